import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { fitDeviations } from "../../../core/handbook/index.ts";
import { movesWith, moveWords } from "../../../core/job/index.ts";
import { fromMm, mm, parseDimension, showFixed } from "../../../core/quantity/index.ts";
import type { Spare } from "../../../core/stock/index.ts";
import { entryProblem } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** When the lump is short of a size: other stock, or a new size recorded as a deviation from the drawing. */
export function Retarget({ spare }: { spare: Spare }) {
  const { unit, job, drafts, keepDraft } = useJob();
  const submit = useSubmit();
  const half = (spare.limits.upper - spare.limits.lower) / 2;
  const step = unit === "mm" ? 0.1 : 0.005;
  const most = Math.floor((fromMm(spare.reachable - half, unit) + 1e-9) / step) * step;
  const [text, setText] = useState<string | null>(null);
  // Saved as it is typed, for this box goes and comes with the sizes above it; forgotten once the new size is saved.
  const path = `retargets/${spare.axis}`;
  const why = drafts[path] ?? "";
  const shown =
    text ??
    (most > 0
      ? `${showFixed(most, unit === "mm" ? 2 : 3)} ±${showFixed(fromMm(half, unit), unit === "mm" ? 2 : 4)} ${unit}`
      : "");
  const read = parseDimension(shown, unit, fitDeviations);
  const usable = read.ok && read.value.nominal > 0;
  const fits =
    usable &&
    read.value.nominal - (read.value.upper === null ? half : -(read.value.lower ?? 0)) <=
      spare.reachable + 1e-9;
  const moves = usable && fits ? movesWith(job.part, spare.axis, read.value.nominal) : [];
  return (
    <Box borderWidth="1px" borderStyle="solid" borderColor="stop" p="14px" my="10px">
      <chakra.h3 fontSize="16px" mb="6px">
        The {spare.axis} is short by <Figure of={mm(spare.shortfall)} />. Two options:
      </chakra.h3>
      <chakra.p mb="10px">
        <b>Other stock.</b> The {spare.axis} must be at least{" "}
        <Figure of={mm(spare.limits.upper + spare.skins)} /> at its smallest. Measure the other blank and type
        its sizes above.
      </chakra.p>
      <chakra.p mb="6px">
        <b>A new size.</b> With the skins off, this stock cleans up to <Figure of={mm(spare.reachable)} />.
        Whoever made the drawing must agree; it is recorded as a deviation.
      </chakra.p>
      {moves.length > 0 && (
        <Box mb="8px" fontSize="14.5px">
          What depends on the {spare.axis} changes with it:
          <Box as="ul" listStyleType="none">
            {moves.map((move) => (
              <Box as="li" key={move.feature}>
                · <Words of={moveWords(move)} />
              </Box>
            ))}
          </Box>
        </Box>
      )}
      <Box display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end">
        <Field
          label={`New ${spare.axis}`}
          figure
          value={shown}
          onChange={(e) => setText(e.target.value)}
          aria-invalid={!usable || !fits}
        />
        <Field
          label="Who agreed, or why"
          grow
          value={why}
          onChange={(e) => keepDraft(path, e.target.value)}
        />
        <Button
          look="strong"
          disabled={!usable || !fits}
          onClick={() =>
            usable && void submit.set(path, { size: read.value, reason: why.trim() || "no reason given" })
          }
        >
          Record the deviation
        </Button>
      </Box>
      <chakra.p role="status" fontSize="13px" color="stop" minH="18px">
        {!read.ok ? (
          <Words of={entryProblem(read.problem)} />
        ) : !fits ? (
          "The stock does not clean up to this size either."
        ) : (
          ""
        )}
      </chakra.p>
    </Box>
  );
}
