import { useFetcher } from "react-router";
import { type Change, changeOf } from "../../core/job/index.ts";
import type { RecordEvent } from "../../core/steps/index.ts";
import { type Answer, type JobIntent, useJob } from "./job-context.tsx";

/** Sends decisions and events to the job's clientAction; `answer` is what came back for the last one. */
export function useSubmit() {
  const { job, records, piece, reason } = useJob();
  const fetcher = useFetcher<Answer>();
  const send = (intent: JobIntent) =>
    fetcher.submit(intent, {
      method: "post",
      action: `/jobs/${job.id}`,
      encType: "application/json",
    });
  return {
    change: (changes: Change[]) => send({ intent: "change", changes, reason }),
    /** Sets one path against the job as it stands. */
    set: (path: string, to: unknown) =>
      send({ intent: "change", changes: [changeOf(job, path, to)], reason }),
    append: (...events: RecordEvent[]) =>
      send({ intent: "append", events, lastSeen: records.at(-1)?.seq ?? 0, piece }),
    answer: fetcher.data,
    busy: fetcher.state !== "idle",
  };
}
