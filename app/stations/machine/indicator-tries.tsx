import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { mm, parseQuantity } from "../../../core/quantity/index.ts";
import { farthestRun, runSaid, type Tick, type Try } from "../../../core/steps/index.ts";
import { entryProblem } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

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
  const read = (text: string) => (text.trim() === "" ? null : parseQuantity(text, "length", unit, true));
  const [start, end] = [read(texts.start), read(texts.end)];
  const wrong = [start, end].find((r) => r !== null && !r.ok);
  const tooFar = [start, end].some((r) => r?.ok && Math.abs(r.value) > farthestRun);
  const note = () => {
    if (!enabled || !start?.ok || !end?.ok || tooFar) return;
    void onRun({ start: start.value, end: end.value }).then((kept) => {
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
        <Button size="machine" disabled={!enabled || !start?.ok || !end?.ok || tooFar} onClick={note}>
          Note the run
        </Button>
      </Box>
      {tooFar && (
        <chakra.p color="stop" role="status">
          No indicator shows that much: type what the needle shows, <Figure of={mm(farthestRun)} /> at most.
        </chakra.p>
      )}
      {wrong && !wrong.ok && (
        <chakra.p color="stop" role="status">
          <Words of={entryProblem(wrong.problem)} />
        </chakra.p>
      )}
    </Box>
  );
}
