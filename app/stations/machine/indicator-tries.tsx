import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { mm } from "../../../core/quantity/index.ts";
import { farthestRun, runSaid, type Tick, type Try } from "../../../core/steps/index.ts";
import { say } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { type LengthAsked, LengthProblem, readLength } from "../../instruments/typed-length.tsx";
import { Words } from "../../instruments/words.tsx";

const onIndicator = (value: number): boolean => Math.abs(value) <= farthestRun;
const noIndicator = say`No indicator shows that much: type what the needle shows, ${mm(farthestRun)} at most.`;

/** Indicator runs while something is aligned: noted at both ends, told what to do, until one is near enough. */
export function IndicatorTries({
  of: { within, tries },
  enabled,
  onRun,
}: {
  of: NonNullable<Tick["run"]>;
  enabled: boolean;
  /** Answers whether it was kept: until then what was typed stays. */
  onRun: (run: Try) => Promise<boolean>;
}) {
  const { unit } = useJob();
  const [texts, setTexts] = useState({ start: "", end: "" });
  const asked: LengthAsked = { unit, signed: true, may: onIndicator, told: noIndicator };
  const [start, end] = [readLength(texts.start, asked), readLength(texts.end, asked)];
  const run = start.value === null || end.value === null ? null : { start: start.value, end: end.value };
  const note = () => {
    if (!enabled || !run) return;
    void onRun(run).then((kept) => {
      if (kept) setTexts({ start: "", end: "" });
    });
  };
  return (
    <Box ml="40px" mt="6px" fontSize="17px">
      <Box as="ol" listStyleType="none" aria-live="polite">
        {tries.map((run, i) => (
          <li key={i}>
            Run {i + 1}: <Words of={runSaid(run, within)} />
          </li>
        ))}
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end" mt="4px">
        {(["start", "end"] as const).map((key) => (
          <Field
            key={key}
            label={key === "start" ? "Indicator at one end" : "At the far end"}
            value={texts[key]}
            inputMode="decimal"
            width="130px"
            onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
            onKeyDown={(e) => {
              if (e.key === "Enter") note();
            }}
          />
        ))}
        <Button size="machine" disabled={!enabled || !run} onClick={note}>
          Note the run
        </Button>
      </Box>
      <LengthProblem of={[start, end].find((read) => read.problem)} />
    </Box>
  );
}
