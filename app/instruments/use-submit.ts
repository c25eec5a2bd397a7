import { startTransition, useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { type Change, changeOf } from "../../core/job/index.ts";
import type { RecordEvent } from "../../core/steps/index.ts";
import { type Answer, type JobIntent, useJob } from "./job-context.tsx";

/** Sends decisions and events to the job's clientAction; `answer` is what came back for the last one. */
export function useSubmit() {
  const { job, records, piece, reason } = useJob();
  const fetcher = useFetcher<Answer>();
  // The fetcher says that it is busy, and shows what came back, when there is time for it; in between a press would act on what
  // is no longer so.
  const [sending, setSending] = useState(0);
  const send = async (intent: JobIntent) => {
    setSending((n) => n + 1);
    try {
      await fetcher.submit(intent, {
        method: "post",
        action: `/jobs/${job.id}`,
        encType: "application/json",
      });
    } finally {
      startTransition(() => setSending((n) => n - 1));
    }
  };
  const idle = fetcher.state === "idle" && sending === 0;
  const lastSeen = records.at(-1)?.seq ?? 0;
  // What comes while the last is being saved, as from an instrument's cable, goes after it: sent at once it would name a record
  // that is no longer the last, and be refused as another tab's.
  const waiting = useRef<RecordEvent[]>([]);
  useEffect(() => {
    if (!idle || waiting.current.length === 0) return;
    const events = waiting.current;
    waiting.current = [];
    void send({ intent: "append", events, lastSeen, piece });
  });
  return {
    change: (changes: Change[]) => send({ intent: "change", changes, reason }),
    /** Sets one path against the job as it stands. */
    set: (path: string, to: unknown) =>
      send({ intent: "change", changes: [changeOf(job, path, to)], reason }),
    append: (...events: RecordEvent[]) => {
      if (idle) void send({ intent: "append", events, lastSeen, piece });
      else waiting.current.push(...events);
    },
    answer: fetcher.data,
    /** The browser kept nothing of what was sent last: what was typed stays in its field, to be sent again. */
    lost: fetcher.data !== undefined && !fetcher.data.ok && "notKept" in fetcher.data,
    busy: !idle,
  };
}
