import { Box } from "@chakra-ui/react";
import { memo } from "react";
import { type Axis, axisNames, type Face, faceNames, facesOf } from "../../../core/frame/index.ts";
import { leftAlong, leftWithin, type Part } from "../../../core/part/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Check } from "../../instruments/check.tsx";
import { type EntryKind, numberEntry, NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";

/** An Ra is above zero. */
const roughness: EntryKind<number> = {
  ...numberEntry("count"),
  parse: (text, unit) => {
    const read = numberEntry("count").parse(text, unit);
    return read.ok && read.value <= 0
      ? { ok: false, problem: { parts: ["Ra must be above zero, in µm: 3.2 for example."] } }
      : read;
  },
};

/** Figures of a face, a column each. */
const figures: {
  key: "ra" | "leave" | "leaveWithin";
  label: (face: Face) => string;
  kind: EntryKind<number>;
  width: string;
  shown: (face: Part["faces"][Face]) => boolean;
}[] = [
  { key: "ra", label: (face) => `Ra of the ${face}, µm`, kind: roughness, width: "90px", shown: () => true },
  {
    key: "leave",
    label: (face) => `Left on the ${face}`,
    kind: plainLength,
    width: "110px",
    shown: () => true,
  },
  {
    key: "leaveWithin",
    label: (face) => `What is left on the ${face}, within`,
    kind: plainLength,
    width: "90px",
    shown: ({ leave }) => leave !== null,
  },
];

/** Finish wanted, what is left for a next process, and what may stay raw, face by face. */
function Faces({ faces }: { faces: Part["faces"] }) {
  const submit = useSubmit();
  /** What is left on the low face of a pair counts for both of them. */
  const share = (axis: Axis) => {
    const total = leftAlong({ faces }, axis);
    void submit.change(
      facesOf(axis).map((face) => ({
        path: `part/faces/${face}/leave`,
        from: faces[face].leave,
        to: total / 2,
      })),
    );
  };
  const within = (axis: Axis) => leftWithin({ faces }, axis);
  const uneven = axisNames.filter((axis) => {
    const [low, high] = facesOf(axis);
    return leftAlong({ faces }, axis) > 0 && faces[low].leave !== faces[high].leave;
  });
  return (
    <Section title="Faces: finish, and stock left for the next process">
      <Table
        label="Faces"
        head={["face", "Ra required, µm", "stock left on this side", "within ±", "may stay raw in spots"]}
      >
        {faceNames.map((face) => (
          <tr key={face}>
            <th scope="row">{face}</th>
            {figures.map(({ key, label, kind, width, shown }) => (
              <td key={key}>
                {shown(faces[face]) && (
                  <NumberEntry
                    label={label(face)}
                    bare
                    path={`part/faces/${face}/${key}`}
                    kind={kind}
                    value={faces[face][key]}
                    width={width}
                    optional
                  />
                )}
              </td>
            ))}
            <td>
              <Check
                checked={faces[face].mayStayRaw}
                onCheck={(raw) => void submit.set(`part/faces/${face}/mayStayRaw`, raw)}
              >
                {faces[face].mayStayRaw ? "may" : "clean all over"}
              </Check>
            </td>
          </tr>
        ))}
      </Table>
      <Box fontSize="14px" mt="6px">
        {axisNames
          .filter((axis) => leftAlong({ faces }, axis) > 0)
          .map((axis) => (
            <p key={axis}>
              The {axis} is milled <Figure of={mm(leftAlong({ faces }, axis))} /> over its drawn size, both
              sides together
              {within(axis) !== null && (
                <>
                  , within ±<Figure of={mm(within(axis)!)} decimals={3} />
                </>
              )}
              .{" "}
              {uneven.includes(axis) && (
                <Button onClick={() => share(axis)}>That is the total: half to each side</Button>
              )}
            </p>
          ))}
      </Box>
    </Section>
  );
}

/** Painted anew only when something of the faces changes. */
export const FaceTable = memo(Faces);
