import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { featureNames, featuresOf } from "../../../core/part/index.ts";
import { findingWarnings, type FoundWarning } from "../../../core/rehearse/index.ts";
import { missingBefore, setupWith } from "../../../core/route/index.ts";
import type { RecordEvent, Step } from "../../../core/steps/index.ts";
import type { Warning } from "../../../core/working/index.ts";
import { Button, ButtonLink } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { setupNumbered } from "../../instruments/setup-place.ts";
import { useLongWork } from "../../instruments/use-long-work.ts";
import { Words } from "../../instruments/words.tsx";

/** The tick that says of one thing found: seen, and gone on all the same. What is found later holds the setup up anew. */
const lookedAt = ({ key }: FoundWarning): string => `looked-at ${key}`;

/** What is saved when a setup goes on although it was held up. */
const goingOn = (
  { op }: Step,
  called: string,
  reason: string,
  held: readonly FoundWarning[],
): RecordEvent[] => [
  ...held.map((warning): RecordEvent => ({ type: "tick", op, tick: lookedAt(warning) })),
  { type: "note", text: `Setup ${called} went on past a hold: ${reason}` },
];

const notNow = () => Promise.resolve(null);

export interface SetupGate {
  /** Nothing is asked before a setup is placed. */
  asks: boolean;
  /** How far the steps were followed; null when they are not being followed now. */
  progress: { done: number; of: number } | null;
  stopped: boolean;
  again: () => void;
  /** What was found of this setup. */
  warnings: FoundWarning[];
  /** Something found can hurt or spoil, and nobody said yet why it may go on: the setup waits. */
  held: FoundWarning[];
  /** What must be measured before anything can be placed: no reason goes past that. */
  missing: Warning | null;
  holds: boolean;
}

/**
 * Before a part is placed its steps are followed to the letter in the worker; what is found of this setup holds it up until the
 * person has looked at it and says why it may go on. What was found stays in sight all the same.
 */
export function useSetupGate(step: Step, answered: (tick: string) => boolean): SetupGate {
  const { plan, job, walkThrough } = useJob();
  const asks = step.kind === "place";
  const { found, progress, stopped, again } = useLongWork(plan, asks ? walkThrough : notNow);
  const warnings =
    asks && found
      ? findingWarnings(
          found.findings,
          step.setup,
          featureNames(featuresOf(job.part)),
          ({ op, step: id }) => plan.steps.find((s) => s.op === op && s.id === id)?.title ?? null,
        )
      : [];
  const held = warnings.filter((w) => w.severity === "stop" && !answered(lookedAt(w)));
  const setup = setupWith(plan.setups, step.op);
  const missing = asks && setup ? missingBefore(setup) : null;
  return {
    asks,
    progress,
    stopped,
    again,
    warnings,
    held,
    missing,
    holds: held.length > 0 || missing !== null,
  };
}

/** What following the steps to the letter found of the setup that is to be placed. */
export function SetupGateCard({
  gate,
  step,
  enabled,
  onPass,
}: {
  gate: SetupGate;
  step: Step;
  enabled: boolean;
  onPass: (...events: RecordEvent[]) => void;
}) {
  const { stopWalk, plan, job } = useJob();
  const called = setupNumbered(step.setup, plan);
  const [reason, setReason] = useState("");
  if (!gate.asks) return null;
  if (gate.missing)
    return (
      <Box mb="10px">
        <Notice severity="stop">
          <Words of={gate.missing.phrase} />{" "}
          <ButtonLink to={`/jobs/${job.id}/stock`}>Measure it now</ButtonLink>
        </Notice>
      </Box>
    );
  if (gate.progress)
    return (
      <Box display="flex" gap="12px" alignItems="center" mb="10px" role="status">
        <chakra.span color="quiet" fontSize="16px">
          Checking the steps one by one first: {gate.progress.done} of {gate.progress.of}…
        </chakra.span>
        <Button onClick={stopWalk}>Stop</Button>
      </Box>
    );
  if (gate.stopped)
    return (
      <Box mb="10px">
        <Notice severity="note">
          The steps of this setup have not been walked through yet.{" "}
          <Button onClick={gate.again}>Check them now</Button>
        </Notice>
      </Box>
    );
  if (gate.warnings.length === 0) return null;
  return (
    <Box mb="12px">
      <chakra.h2 fontSize="18px">Following the steps exactly, this happens</chakra.h2>
      <Warnings of={gate.warnings} />
      {gate.held.length > 0 && (
        <Box display="flex" gap="10px" alignItems="flex-end" mt="8px" flexWrap="wrap">
          <Field
            label="Why it is safe to go on"
            grow
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <Button
            look="warn"
            size="machine"
            disabled={!enabled || reason.trim() === ""}
            onClick={() => onPass(...goingOn(step, called, reason.trim(), gate.held))}
          >
            I have checked it, go on
          </Button>
        </Box>
      )}
    </Box>
  );
}
