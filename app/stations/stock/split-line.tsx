import { Box, chakra } from "@chakra-ui/react";
import { axisNames, facesOf, type Sizes } from "../../../core/frame/index.ts";
import type { Lump } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { type Balance, splitSays } from "../../../core/stock/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NumberEntry } from "../../instruments/number-entry.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure } from "../../instruments/words.tsx";
import { signedEntry } from "../../instruments/signed-entry.ts";

/** Where the halves of a casting met: its line is often what the part is to be laid out from. */
export function SplitLine() {
  const { split } = useJob().job.stock;
  const submit = useSubmit();
  return (
    <Section title="Split line of the casting">
      <chakra.p fontSize="13.5px" color="quiet" mb="6px">
        Where the two halves met, as high as it was found and as it is drawn. What either half gives is told.
      </chakra.p>
      <Box display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end">
        <Choice
          label="Across the"
          value={split.axis}
          options={axisNames.map((axis) => [axis, axis] as const)}
          onChoose={(axis) => void submit.set("stock/split/axis", axis)}
        />
        <NumberEntry
          label="Found at"
          path="stock/split/found"
          kind={signedEntry}
          value={split.found}
          width="90px"
          optional
        />
        <NumberEntry
          label="Drawn at"
          path="stock/split/drawn"
          kind={signedEntry}
          value={split.drawn}
          width="90px"
          optional
        />
      </Box>
    </Section>
  );
}

/** What either half of a casting gives when its split line is put where it is drawn. */
export function Halves({ found, finished, need }: { found: Balance; finished: Sizes; need: Lump["need"] }) {
  const { split } = useJob().job.stock;
  const says = splitSays(split, found, finished);
  if (!says) return null;
  return (
    <Section title="By its split line">
      <Table
        label="Halves of the casting"
        figures={[1, 2, 3]}
        head={["half", "as it came", "comes off", "needs", ""]}
      >
        {says.halves.map(({ face, raw, over }) => (
          <tr key={face}>
            <th scope="row">to the {face}</th>
            <td>
              <Worked at={`split#${face}`}>
                <Figure of={mm(raw)} />
              </Worked>
            </td>
            <td>
              <Worked at={`split#${face}`}>
                <Figure of={mm(over)} />
              </Worked>
            </td>
            <td>
              <Figure of={mm(need[face])} />
            </td>
            <td>
              <chakra.b color={over < need[face] - 1e-6 ? "stop" : "good"}>
                {over < need[face] - 1e-6 ? "■ stays raw" : "✓ cleans up"}
              </chakra.b>
            </td>
          </tr>
        ))}
      </Table>
      <chakra.p fontSize="14px" mt="4px">
        {Math.abs(says.off) < 0.005 ? (
          "Balanced by its faces, the line lies where it is drawn."
        ) : (
          <>
            Balanced by its faces, the line lies{" "}
            <Worked at={`split#${facesOf(split.axis)[0]}`}>
              <Figure of={mm(Math.abs(says.off))} />
            </Worked>{" "}
            off where it is drawn. To follow the line, scribe both lines over the {facesOf(split.axis)[0]}{" "}
            face that much {says.off > 0 ? "higher" : "lower"}.
          </>
        )}
      </chakra.p>
    </Section>
  );
}
