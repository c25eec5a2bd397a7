import type { Record } from "./record.ts";
import type { Try } from "./tick.ts";

/** Notes an indicator run with the others of its tick. */
export function noteRun(
  { runs }: { runs: Map<string, (Try & { seq: number })[]> },
  { tick, start, end, seq }: Record & { type: "aligned" },
): void {
  runs.set(tick, [...(runs.get(tick) ?? []), { start, end, seq }]);
}
