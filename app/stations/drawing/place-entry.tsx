import { Box } from "@chakra-ui/react";
import { type Axis, type Face, facesOf } from "../../../core/frame/index.ts";
import { type Locate, needsDimension } from "../../../core/part/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";

const text = ({ from, of, toward }: Locate): string => [from, of ?? "", toward ?? ""].join(">");

/** Every place along a size there is to count from: its edges, its center, the middles of other features. */
function placesAlong(axis: Axis, others: readonly { id: string; name: string }[]) {
  const [low, high] = facesOf(axis);
  const one = (from: Locate["from"], of: string | null, toward: Face | null, said: string) =>
    [text({ from, of, toward, at: null }), said] as const;
  const about = (from: "center" | "feature", of: string | null, name: string) => [
    one(from, of, null, from === "center" ? name : `${name}, in line`),
    one(from, of, low, `${name}, toward the ${low}`),
    one(from, of, high, `${name}, toward the ${high}`),
  ];
  // Each begins with another letter, so that one key chooses it.
  return [
    ...about("center", null, "center"),
    one(low, null, null, `${low} edge`),
    one(high, null, null, `${high} edge`),
    ...others.flatMap(({ id, name }) => about("feature", id, name)),
  ];
}

/** Where a middle lies along a size: in line with the center or another feature, or from one of them or an edge. */
export function PlaceEntry({
  axis,
  place,
  others,
  path,
  onSet,
}: {
  axis: Axis;
  place: Locate;
  others: readonly { id: string; name: string }[];
  path: string;
  onSet: (place: Locate) => void;
}) {
  const options = placesAlong(axis, others);
  const value = text(place);
  return (
    <Box
      gridColumn="1 / -1"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr) minmax(0, 0.9fr)"
      gap="8px 12px"
      alignItems="end"
    >
      <Choice
        label={`Along the ${axis}, from`}
        value={options.some(([v]) => v === value) ? value : ""}
        empty="a feature that is gone"
        options={options}
        onChoose={(next) => {
          const [from, of, toward] = next.split(">") as [Locate["from"], string, Face | ""];
          onSet({ from, of: of || null, toward: toward || null, at: place.at });
        }}
      />
      {needsDimension(place) && (
        <NumberEntry
          label={`to its center, along the ${axis}`}
          path={`${path}/at`}
          kind={dimensionEntry}
          value={place.at}
          width="100%"
          terse
        />
      )}
    </Box>
  );
}
