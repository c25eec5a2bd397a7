import { useEffect, useMemo, useRef } from "react";
import { useNavigate, useParams } from "react-router";
import { keyFromSlug } from "../../../core/route/index.ts";
import { foldRecords, type Step } from "../../../core/steps/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { stepUrl } from "./machine-frame.tsx";

/** The step the address names, the one to do now, and the way between them. */
export function useWalk() {
  const { job, plan, records, piece } = useJob();
  const { operation, step: stepId } = useParams();
  const navigate = useNavigate();
  const key = keyFromSlug(operation);
  const current = plan.steps[plan.current];
  const asked = plan.steps.find((s) => s.op === key && s.id === stepId);
  const step: Step | undefined = asked ?? current;
  const progress = useMemo(() => foldRecords(records, piece), [records, piece]);

  // The URL names the step; whoever looks at the step under way is led on when it is done. A revalidation can swallow a
  // navigation, so it is asked for again until it has happened.
  const following = useRef(false);
  const currentId = current ? `${current.op} ${current.id}` : "end";
  const askedId = asked ? `${asked.op} ${asked.id}` : null;
  useEffect(() => {
    if (askedId === currentId) following.current = true;
    else if (stepId === undefined ? current : following.current) {
      // After the last step the address without a step tells that all is done.
      void navigate(current ? stepUrl(job.id, current, piece) : `/jobs/${job.id}/machine?piece=${piece}`, {
        replace: true,
      });
    }
  }, [askedId, currentId, current, stepId, job.id, piece, navigate]);

  const move = (by: -1 | 1) => {
    const at = plan.steps.findIndex((s) => s === step);
    const to = plan.steps[at + by];
    if (!to) return;
    following.current = false;
    void navigate(stepUrl(job.id, to, piece));
  };
  return { step, current, lost: stepId !== undefined && !asked, move, progress };
}
