import type { OwnHandbook } from "../handbook/index.ts";
import type { Job } from "../job/index.ts";
import { type Minutes, minutesOfTime } from "../quantity/index.ts";
import { type Bar, type Shop } from "../shop/index.ts";
import { effective, lastRecordOf, type Record as JobRecord } from "../steps/index.ts";
import { sawHandling } from "../stock/index.ts";
import { piecesOf, scrappedIn, standingOf } from "./batch.ts";
import type { JobAhead, Stretch } from "./day-plan.ts";
import { sawOf } from "./blank-offer.ts";
import { plan } from "./make-plan.ts";
import type { Plan } from "./plan.ts";

/** What is still to be done of a job, and what keeps it from being done. */
export interface Ahead extends JobAhead {
  left: Minutes;
  /** It cannot be planned to its end: these minutes are not all. */
  blocked: boolean;
}

/** What a saw is called where it is a machine of the day plan. */
export const sawMachine = (saw: string): string => `saw/${saw}`;

/** What is left of one clamping on a machine: a piece that was begun elsewhere stays there. */
type LeftIn = Omit<Stretch, "name"> & { clamping: number };
type Left = Map<string, LeftIn>;

function put(left: Left, { clamping, machine, minutes }: LeftIn): void {
  const key = `${clamping} ${machine}`;
  left.set(key, { clamping, machine, minutes: (left.get(key)?.minutes ?? 0) + minutes });
}

/** Minutes still to do of one piece, by clamping. */
function leftByClamping(made: Plan): Left {
  const all = made.steps.reduce((sum, s) => sum + s.minutes, 0);
  const scale = all > 0 ? made.minutes.total / all : 0;
  const setupAt = new Map(made.setups.map((s) => [s.number, s]));
  const found: Left = new Map();
  for (const step of made.steps) {
    const setup = setupAt.get(step.setup);
    if (step.done || !setup) continue;
    put(found, { ...setup, minutes: step.minutes * scale });
  }
  return found;
}

/**
 * What is left of a job, setup by setup over all its pieces.
 * @param pace how many minutes of a person one planned minute is
 */
export function jobAhead(
  job: Job,
  records: JobRecord[],
  shop: Shop,
  rack: readonly Bar[],
  { own, pace = 1 }: { own?: OwnHandbook; pace?: number } = {},
): Ahead {
  const shared = { job, records, shop, ...(own ? { own } : {}) };
  let untouched: Left | null = null;
  let blocked = false;
  const left: Left = new Map();
  for (const piece of piecesOf(job, records)) {
    if (scrappedIn(records, piece)) continue;
    const mine = lastRecordOf(records, piece) !== null;
    let mineLeft: Left;
    if (!mine && untouched) mineLeft = untouched;
    else {
      const made = plan({ ...shared, piece });
      blocked ||=
        made.refusal !== null || made.setups.length === 0 || standingOf(made, records, piece).steps === 0;
      mineLeft = leftByClamping(made);
      if (!mine) untouched = mineLeft;
    }
    for (const part of mineLeft.values()) put(left, part);
  }
  const saw = sawOf(job, shop);
  const cuts = rack
    .flatMap((bar) => bar.claims)
    .reduce((sum, c) => sum + (c.jobId === job.id ? c.count : 0), 0);
  const sawn: Stretch[] =
    cuts > 0 ? [{ machine: sawMachine(saw?.id ?? ""), name: "saw", minutes: cuts * sawHandling }] : [];
  const setups = [...left.values()].sort((a, b) => a.clamping - b.clamping);
  const stretches = [
    ...sawn,
    ...setups.map(({ clamping, machine, minutes }): Stretch => ({
      machine,
      name: `setup ${clamping}`,
      minutes: minutes * pace,
    })),
  ];
  return {
    id: job.id,
    name: job.name || "Unnamed job",
    due: job.due,
    ready: job.ready,
    stretches,
    after: waitsFor(job),
    left: stretches.reduce((sum, s) => sum + s.minutes, 0),
    blocked,
  };
}

/** Jobs whose measured sizes it is made to, and of which none was taken over yet. */
const waitsFor = ({ part: { mates } }: Job): string[] =>
  mates.order.flatMap((id) => {
    const mate = mates.byId[id];
    return mate?.kind === "fits" && mate.measured && mate.job !== "" && !mate.mate ? [mate.job] : [];
  });

/** A gap between records longer than this is a pause, minutes. */
const pause = 15;

/** Minutes at the machine from the times of its records, pauses left out; null before anything was done. */
export function timeAtMachine(
  records: readonly JobRecord[],
): { active: Minutes; from: string; to: string } | null {
  const times = records.filter((r) => "op" in r && r.op !== null).map((r) => r.at);
  const from = times[0];
  const to = times.at(-1);
  if (from === undefined || to === undefined) return null;
  const minutes = times.map(minutesOfTime);
  const active = minutes.slice(1).reduce((sum, t, i) => {
    const gap = t - minutes[i]!;
    return gap > 0 && gap <= pause ? sum + gap : sum;
  }, 0);
  return { active, from, to };
}

/** What own times say of the planned ones: minutes taken and planned of pieces that were finished. */
export interface OwnTimes {
  taken: Minutes;
  planned: Minutes;
}

/** Times of the finished pieces of a job against its plan; null where none was finished. */
export function ownTimesOf(job: Job, records: JobRecord[], shop: Shop, own?: OwnHandbook): OwnTimes | null {
  const counting = effective(records);
  let [taken, planned] = [0, 0];
  for (const piece of new Set(counting.map((r) => r.piece))) {
    const mine = counting.filter((r) => r.piece === piece);
    const time = timeAtMachine(mine);
    if (!time || time.active < leastTimed) continue;
    const made = plan({ job, records, shop, piece, ...(own ? { own } : {}) });
    if (made.steps.length === 0 || made.current < made.steps.length) continue;
    taken += time.active;
    planned += made.minutes.total;
  }
  return planned > 0 ? { taken, planned } : null;
}

/** Less than this is no time at a machine, but records that were typed afterwards, minutes. */
const leastTimed = 5;

/** Minutes of this person for one that is planned, by all pieces that were finished; 1 while none was. */
export const paceOf = (times: readonly OwnTimes[]): number => {
  const planned = times.reduce((sum, t) => sum + t.planned, 0);
  const taken = times.reduce((sum, t) => sum + t.taken, 0);
  // What is far off is no pace: records of a rehearsal, or of a job that lay for days.
  return planned > 0 ? Math.min(5, Math.max(0.2, taken / planned)) : 1;
};
