import { useCallback, useEffect, useState, useSyncExternalStore } from "react";
import { useRevalidator, useSubmit } from "react-router";
import { setStatus, database } from "../../store/index.ts";
import { Planning, type Shown } from "../planner/planning.ts";
import { askPlan } from "../planner/use-plan.ts";
import type { Answer, JobIntent } from "../session/intent.ts";
import type { JobSession } from "../session/job-session.ts";

/** The open job as stations show it, with its plan; null until the first plan is there. */
export function useShown(
  session: JobSession,
  piece: number,
): { shown: Shown | null; failed: string | null; planning: Planning } {
  const [planning] = useState(() => new Planning(session, piece, askPlan));
  useEffect(() => planning.of(piece), [planning, piece]);
  const shown = useSyncExternalStore(planning.subscribe, planning.shown, () => null);
  const failed = useSyncExternalStore(planning.subscribe, planning.failed, planning.failed);
  return { shown, failed, planning };
}

/** Sends what is to be kept to the job's action; answers what became of it. */
export function useSend(session: JobSession): (intent: JobIntent) => Promise<Answer> {
  const submit = useSubmit();
  return useCallback(
    (intent) => {
      const ticket = session.ticket();
      const answered = session.answered(ticket);
      void submit(
        // As text: what is left out of an event is no undefined in it.
        JSON.stringify({ ...intent, ticket }),
        {
          method: "post",
          action: `/jobs/${session.state.job.id}`,
          encType: "application/json",
          navigate: false,
          fetcherKey: `job-${ticket}`,
        },
      );
      return answered;
    },
    [session, submit],
  );
}

/** Asks for the job again when it was put away in another tab: the address then says so. */
export function useGone(gone: boolean): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (gone) void revalidate();
  }, [gone, revalidate]);
}

/** Keeps the line that the bench shows of a job as its newest plan says it. */
export function useStatusLine(shown: Shown | null): void {
  const plan = shown?.plan;
  const line = plan
    ? plan.status[plan.cutBegun ? "machine" : plan.setups.length > 0 || plan.features ? "setups" : "drawing"]
    : null;
  const text = line ? JSON.stringify(line) : null;
  const jobId = shown?.state.job.id;
  useEffect(() => {
    // The line on the bench only: what is kept of the job says when it cannot be.
    if (text && jobId) setStatus(database(), jobId, JSON.parse(text) as never).catch(() => undefined);
  }, [text, jobId]);
}
