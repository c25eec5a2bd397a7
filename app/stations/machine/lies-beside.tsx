import type { FaceProgress } from "../../../core/steps/index.ts";
import { foldRecords, progressOf, type Step, togetherWith } from "../../../core/steps/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { Notice } from "../../instruments/notice.tsx";

/** Another piece lies in the vise with this one: what is cut counts for both, and each is read by itself. */
export function LiesBeside({ step }: { step: Step }) {
  const { job, records, piece } = useJob();
  const other = togetherWith(records, step.op, piece);
  if (other === null || step.kind === "handwork" || step.kind === "hand") return null;
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
