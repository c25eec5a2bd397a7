import type { Record } from "../../../core/steps/index.ts";

/** A gap longer than this is a pause, minutes. */
const pause = 15;

/** Minutes at the machine from the times of its records, pauses left out; null before anything was done. */
export function timeAtMachine(records: Record[]): { active: number; from: string; to: string } | null {
  const times = records.filter((r) => "op" in r && r.op !== null).map((r) => r.at);
  const from = times[0];
  const to = times.at(-1);
  if (from === undefined || to === undefined) return null;
  const minutes = times.map((t) => Date.parse(t) / 60_000);
  const active = minutes.slice(1).reduce((sum, t, i) => {
    const gap = t - minutes[i]!;
    return gap > 0 && gap <= pause ? sum + gap : sum;
  }, 0);
  return { active, from, to };
}
