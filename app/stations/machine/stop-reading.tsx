import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Mm, mm, parseLength } from "../../../core/quantity/index.ts";
import type { Setup } from "../../../core/route/index.ts";
import { farthestStop, type RecordEvent, type Step, stopReading } from "../../../core/steps/index.ts";
import { entryProblem, words } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { type OwnRead, OwnValueRow } from "../../instruments/own-value.tsx";
import { Figure } from "../../instruments/words.tsx";

/** Steps at which the table is free to go to the stop: nothing is cut yet. */
const early = new Set<Step["kind"]>(["place", "clamp", "check", "pickup", "touch"]);

/**
 * Where X reads with the spindle over the stop: noted for the first piece of a batch, and gone back to for the others, to see whether
 * the stop still stands where it did.
 */
export function StopReading({
  step,
  setup,
  enabled,
  onKeep,
}: {
  step: Step;
  setup: Setup;
  enabled: boolean;
  onKeep: (event: RecordEvent) => Promise<boolean>;
}) {
  const { job, records, unit } = useJob();
  const [text, setText] = useState("");
  const [open, setOpen] = useState(false);
  const known = stopReading(records, setup);
  if (!setup.seat.stop || job.quantity + job.added < 2 || !early.has(step.kind)) return null;
  const read = parseLength(text, unit, true);
  const outcome: OwnRead =
    text.trim() === ""
      ? null
      : !read.ok
        ? { ok: false, problem: entryProblem(read.problem) }
        : Math.abs(read.value) > farthestStop
          ? { ok: false, problem: words("No table goes that far: check the unit and the decimal point.") }
          : { ok: true, value: read.value, said: "" };
  const keep = async () => {
    if (!outcome?.ok) return;
    const kept = await onKeep({
      type: "stopAt",
      op: step.op,
      value: outcome.value,
      written: { text, unit },
    });
    if (kept) {
      setText("");
      setOpen(false);
    }
  };
  return (
    <Box fontSize="16px" mt="8px">
      <chakra.p>
        {known ? <KnownStop of={known} /> : "The stop serves the pieces after this one too. "}
        <Button onClick={() => setOpen(!open)} aria-expanded={open}>
          {known ? "It reads otherwise now" : "Note where it stands"}
        </Button>
      </chakra.p>
      {open && (
        <OwnValueRow
          label="X, spindle over the stop"
          text={text}
          outcome={outcome}
          onType={setText}
          onUse={() => void keep()}
          button="Keep it"
          enabled={enabled && outcome?.ok === true}
        />
      )}
    </Box>
  );
}

const KnownStop = ({ of }: { of: { value: Mm; piece: number } }) => (
  <>
    The stop stood at X <Figure of={mm(of.value)} decimals={3} /> for piece {of.piece}. Chips away behind it,
    then go there and look: it must read the same.{" "}
  </>
);
