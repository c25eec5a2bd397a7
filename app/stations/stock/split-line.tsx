import { Box, chakra } from "@chakra-ui/react";
import { axisNames } from "../../../core/frame/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NumberEntry } from "../../instruments/number-entry.tsx";
import { Section } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { signedLength } from "./signed-length.ts";

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
          kind={signedLength}
          value={split.found}
          width="90px"
          optional
        />
        <NumberEntry
          label="Drawn at"
          path="stock/split/drawn"
          kind={signedLength}
          value={split.drawn}
          width="90px"
          optional
        />
      </Box>
    </Section>
  );
}
