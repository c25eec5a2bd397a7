import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { type GeneralTolerance, materialsWith, type OwnHandbook } from "../../../core/handbook/index.ts";
import type { ProjectionAngle } from "../../../core/figure/index.ts";
import { mostPieces } from "../../../core/job/index.ts";
import type { Part } from "../../../core/part/index.ts";
import { words } from "../../../core/working/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useAngle } from "../../instruments/local-setting.ts";
import { type EntryKind, numberEntry, NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { newShaft } from "./shaft-sections.tsx";

const forms = [
  ["block", "block"],
  ["shaft", "turned shaft"],
] as const;
const tolerances = [
  ["f", "ISO 2768 fine"],
  ["m", "ISO 2768 medium"],
  ["c", "ISO 2768 coarse"],
  ["plusMinus", "one value for all"],
] as const;

/** The title block at the foot of the sheet: part, order, how many, form, material, general tolerance. */
export function TitleBlock({
  name,
  sheet,
  quantity,
  turned,
  material,
  general,
  own,
}: {
  name: string;
  sheet: string;
  quantity: number;
  turned: boolean;
  material: Part["material"];
  general: GeneralTolerance;
  own: OwnHandbook;
}) {
  const submit = useSubmit();
  const [angle, setAngle] = useAngle();
  return (
    <Box
      role="group"
      aria-label="Title block"
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 5fr) minmax(0, 5fr) minmax(0, 6fr)" }}
      borderTopWidth="2px"
      borderColor="ink"
      // Each cell is a box of the block: its own frame is that of its field.
      css={{
        "& input, & select": { border: "0", background: "transparent", paddingInline: "0", width: "100%" },
      }}
    >
      <Cell>
        <TextEntry label="Job" path="name" value={name} />
      </Cell>
      <Cell>
        <TextEntry label="Sheet, order or place" path="sheet" value={sheet} />
      </Cell>
      <Cell>
        <NumberEntry
          label="Quantity"
          path="quantity"
          kind={quantityEntry}
          value={quantity}
          width="100%"
          onlyProblems
        />
      </Cell>
      <Cell>
        <Choice
          label="Material"
          value={material ?? ""}
          options={materialsWith(own).map((m) => [m.id, m.own ? `${m.name} ◆` : m.name] as const)}
          onChoose={(id) => void submit.set("part/material", id)}
          empty="choose a material"
        />
      </Cell>
      <Cell>
        <Box display="flex" gap="10px">
          <Choice
            label="General tolerance"
            value={general.kind === "plusMinus" ? "plusMinus" : general.grade}
            options={tolerances}
            onChoose={(choice) =>
              void submit.set(
                "part/general",
                (choice === "plusMinus"
                  ? { kind: "plusMinus", value: 0.1 }
                  : { kind: "iso2768", grade: choice }) satisfies GeneralTolerance,
              )
            }
          />
          {general.kind === "plusMinus" && (
            <NumberEntry
              label="General tolerance, ±"
              path="part/general/value"
              kind={plainLength}
              value={general.value}
              width="90px"
              onlyProblems
            />
          )}
        </Box>
      </Cell>
      <Cell>
        <Box display="flex" gap="14px">
          <Choice
            label="The part is a"
            value={turned ? "shaft" : "block"}
            options={forms}
            onChoose={(form) => void submit.set("part/shaft", form === "shaft" ? newShaft() : null)}
          />
          <Choice
            label="Projection"
            value={angle}
            options={[
              ["third", "third angle"],
              ["first", "first angle"],
            ]}
            onChoose={setAngle}
          />
          <ProjectionMark angle={angle} />
        </Box>
      </Cell>
    </Box>
  );
}

/** The cone that says how the views are folded out: seen from its small end, drawn at the side it is seen from, or beyond it. */
function ProjectionMark({ angle }: { angle: ProjectionAngle }) {
  const [rings, cone] = angle === "third" ? [11, 24] : [43, 2];
  return (
    <chakra.svg
      viewBox="0 0 54 24"
      width="54px"
      height="24px"
      alignSelf="center"
      aria-hidden="true"
      flexShrink="0"
    >
      <g fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="1.4">
        <circle cx={rings} cy="12" r="9" />
        <circle cx={rings} cy="12" r="4.5" />
        <path d={`M${cone} 7.5L${cone + 28} 3V21L${cone} 16.5Z`} />
      </g>
    </chakra.svg>
  );
}

const Cell = ({ children }: { children: ReactNode }) => (
  <Box px="10px" pt="3px" borderRightWidth="1px" borderBottomWidth="1px" borderColor="ink" minW="0">
    {children}
  </Box>
);

/** Whole pieces, at least one. */
const quantityEntry: EntryKind<number> = {
  ...numberEntry("count"),
  parse: (text, unit) => {
    const read = numberEntry("count").parse(text, unit);
    return read.ok && !(Number.isInteger(read.value) && read.value >= 1 && read.value <= mostPieces)
      ? { ok: false, problem: words(`Type how many pieces: a whole number from 1 to ${mostPieces}.`) }
      : read;
  },
};
