import { useEffect, useState } from "react";
import type { NotKept } from "../../store/index.ts";
import { Button } from "./button.tsx";
import type { JobIntent } from "./job-context.tsx";
import { Notice } from "./notice.tsx";

interface Lost {
  why: NotKept;
  /** What was to be saved, in words. */
  what: string;
}

const event = "firm-arbor:not-kept";

/** Says in the frame of the job that something was not saved. */
export const tellNotKept = (why: NotKept, what: string): void =>
  void dispatchEvent(new CustomEvent<Lost>(event, { detail: { why, what } }));

/** What an intent was to save, so that it can be entered again. */
export function whatOf(intent: JobIntent): string {
  if (intent.intent !== "append") return "Your last change";
  const readings = intent.events.flatMap((e) =>
    e.type === "reading" ? [`${e.written.text} ${e.written.unit}`] : [],
  );
  return readings.length > 0
    ? `The reading ${readings.join(", ")}`
    : "What you last told the machine station";
}

const reasons: Record<NotKept, string> = {
  full: "this browser has no room left. Make room on this device, then enter it again; what was saved before is safe.",
  updated: "Firm Arbor was updated in another tab. Reload this page, then enter it again.",
  blocked:
    "this browser stores nothing for this page: a private window, or a setting that forbids it. Open the page in an ordinary window, or allow it to store, then enter it again.",
  failed: "the browser refused. Reload the page and look at what is there before you enter it again.",
};

/** Stands until the person has read it. */
export function NotKeptNotice() {
  const [lost, setLost] = useState<Lost | null>(null);
  useEffect(() => {
    const onLost = (e: Event) => setLost((e as CustomEvent<Lost>).detail);
    addEventListener(event, onLost);
    return () => removeEventListener(event, onLost);
  }, []);
  if (!lost) return null;
  return (
    <Notice severity="stop" role="alert">
      {lost.what} was not saved: {reasons[lost.why]}{" "}
      <Button onClick={() => setLost(null)}>I have read this</Button>
    </Notice>
  );
}
