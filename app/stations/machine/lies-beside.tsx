import { piecesOf } from "../../../core/plan/index.ts";
import type { Setup } from "../../../core/route/index.ts";
import {
  type FaceProgress,
  foldRecords,
  partnerIn,
  progressOf,
  type Step,
  togetherWith,
} from "../../../core/steps/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice } from "../../instruments/notice.tsx";

/** Another piece lies in the vise with this one, or is to: what is cut counts for both, and each is read by itself. */
export function LiesBeside({ step, setup }: { step: Step; setup: Setup }) {
  const { job, plan, records, piece } = useJob();
  if (!setup.seat.together || step.kind === "handwork" || step.kind === "hand") return null;
  const other = togetherWith(records, step.op, piece);
  if (other === null) {
    if (step.kind !== "place") return null;
    const next = partnerIn(setup, piece, { pieces: piecesOf(job, records), setups: plan.setups, records });
    return (
      <Notice severity={next === null ? "warn" : "note"} role="status">
        {next === null
          ? "No other piece is ready to go in with it. Bring one this far first, or cut this one alone."
          : `Piece ${next} goes in with it: every tick and cut of this setup then counts for both.`}
      </Notice>
    );
  }
  const state = progressOf(foldRecords(records, other), step.op);
  const read = state && "cuts" in state ? readNow(state) : null;
  return (
    <Notice severity="note" role="status">
      Piece {other} lies in the vise with it: every tick and cut counts for both.{" "}
      {step.measure && (
        <>
          {read
            ? `Piece ${other} is read after this cut.`
            : `Measure piece ${other} too, before the next cut.`}{" "}
          <ButtonLink to={machinePath(job.id, other)}>To piece {other}</ButtonLink>
        </>
      )}
    </Notice>
  );
}

const readNow = ({ readings, cuts }: FaceProgress): boolean => (readings.get(cuts.length)?.length ?? 0) > 0;
