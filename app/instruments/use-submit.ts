import { startTransition, useState } from "react";
import { type Change, changeOf } from "../../core/job/index.ts";
import type { RecordEvent } from "../../core/steps/index.ts";
import type { Answer, JobIntent } from "../session/intent.ts";
import { useEntry } from "./job-context.tsx";

/** Sends decisions and events to the open job; `answer` is what came back for the last one. */
export function useSubmit() {
  const { shown, reason, send: keep } = useEntry();
  const [sending, setSending] = useState(0);
  const [answer, setAnswer] = useState<Answer | undefined>(undefined);
  const send = async (intent: JobIntent) => {
    setSending((n) => n + 1);
    const answered = await keep(intent);
    // Free only together with what was saved being there: a press in between would act on what is no longer so.
    startTransition(() => {
      setSending((n) => n - 1);
      setAnswer(answered);
    });
    return answered;
  };
  return {
    change: (changes: Change[]) => send({ intent: "change", changes, reason }),
    /** Sets one path against the job as it stands. */
    set: (path: string, to: unknown) =>
      send({ intent: "change", changes: [changeOf(shown().job, path, to)], reason }),
    append: (...events: RecordEvent[]) => {
      const { records, piece } = shown();
      return send({ intent: "append", events, seen: records.at(-1)?.id ?? null, piece });
    },
    answer,
    /** The browser kept nothing of what was sent last: what was typed stays in its field, to be sent again. */
    lost: answer !== undefined && !answer.ok && "notKept" in answer,
    busy: sending > 0,
  };
}
