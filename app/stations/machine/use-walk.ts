import { useEffect, useMemo, useRef } from "react";
import { useNavigate, useParams } from "react-router";
import { keyFromSlug } from "../../../core/route/index.ts";
import { foldRecords, type Step } from "../../../core/steps/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath, pieceOf } from "../../instruments/job-paths.ts";

/** The step the address names, the one to do now, and the way between them. */
export function useWalk() {
  const { job, plan, records, piece } = useJob();
  const { piece: named, operation, step: stepId } = useParams();
  const navigate = useNavigate();
  const key = keyFromSlug(operation);
  const current = plan.steps[plan.current];
  const asked = plan.steps.find((s) => s.op === key && s.id === stepId);
  const step: Step | undefined = asked ?? current;
  const progress = useMemo(() => foldRecords(records, piece), [records, piece]);

  // The URL names the step; whoever looks at the step under way is led on when it is done.
  const following = useRef(false);
  const currentId = current ? `${current.op} ${current.id}` : "end";
  const askedId = asked ? `${asked.op} ${asked.id}` : null;
  useEffect(() => {
    // Another piece was asked for, and its plan is still being worked: the address is not this one's.
    if (pieceOf(named) !== piece && pieceOf(named) !== null) return;
    if (askedId === currentId) following.current = true;
    else if (stepId === undefined ? current : following.current) {
      // After the last step the address without a step tells that all is done.
      void navigate(machinePath(job.id, piece, current), { replace: true });
    }
  }, [askedId, currentId, current, stepId, job.id, piece, named, navigate]);

  const move = (by: -1 | 1) => {
    const at = plan.steps.findIndex((s) => s === step);
    const to = plan.steps[at + by];
    if (!to) return;
    following.current = false;
    void navigate(machinePath(job.id, piece, to));
  };
  return { step, current, lost: stepId !== undefined && !asked, move, progress };
}
