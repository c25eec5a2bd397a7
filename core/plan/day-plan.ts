import { dayNumber, dayOfNumber, daySchema, type Minutes } from "../quantity/index.ts";
import * as z from "../zod.ts";

/** When and by how many people is worked. */
export const workingTimesSchema = z.object({
  /** Minutes after midnight work begins, and how many hours are worked in a day. */
  begins: z.number().int().min(0).max(1439),
  hours: z.number().min(0.25).max(24),
  /** Days of the week that are worked, Monday first. */
  days: z.array(z.boolean()).length(7),
  people: z.number().int().min(1).max(50),
  /** Days nobody works. */
  off: z.array(daySchema).max(400),
});
export type WorkingTimes = z.infer<typeof workingTimesSchema>;

export const usualTimes: WorkingTimes = {
  begins: 8 * 60,
  hours: 6,
  days: [true, true, true, true, true, false, false],
  people: 1,
  off: [],
};

/** A stretch of a job's work on one machine that is done in one go; the next of the job waits for it. */
export interface Stretch {
  machine: string;
  /** What is done, such as "setup 3". */
  name: string;
  minutes: Minutes;
}

/** A job as the day plan knows it. Days are yyyy-mm-dd; empty for none. */
export interface JobAhead {
  id: string;
  name: string;
  due: string;
  ready: string;
  stretches: Stretch[];
  /** Jobs that have to be done first: it is made to what is measured of them. */
  after?: string[];
}

/** A stretch in its place, in minutes of work from the start. */
export interface PlannedStretch extends Stretch {
  jobId: string;
  from: Minutes;
  to: Minutes;
}

export interface DayPlan {
  stretches: PlannedStretch[];
  /** When each job is done, and how late that is, in minutes of work; 0 where it is in time or has no due date. */
  jobs: { id: string; ends: Minutes; late: Minutes }[];
  ends: Minutes;
  /** No plan ends before: the load of the fullest machine, or of the people. */
  bound: Minutes;
  /** Minutes each machine works. */
  loads: { machine: string; minutes: Minutes }[];
}

/** Whether a day is worked. */
export function isWorked(day: string, times: WorkingTimes): boolean {
  // 1970-01-01 was a Thursday.
  const weekday = (((dayNumber(day) + 3) % 7) + 7) % 7;
  return times.days[weekday] === true && !times.off.includes(day);
}

const farthestDays = 4000;

/** Where a minute of work lies: its day, and minutes after midnight. Null where no day is ever worked. */
export function calendarOf(minute: Minutes, start: string, times: WorkingTimes, end = false) {
  const perDay = times.hours * 60;
  let left = minute;
  for (let i = 0; i < farthestDays; i++) {
    const day = dayOfNumber(dayNumber(start) + i);
    if (!isWorked(day, times)) continue;
    // What ends with the day ends on it, and does not begin the next.
    if (left < perDay || (end && left <= perDay)) return { day, minute: times.begins + left };
    left -= perDay;
  }
  return null;
}

/** Minutes of work from the start to the beginning of a day, or to its end. */
export function minutesUntil(day: string, start: string, times: WorkingTimes, whole: boolean): Minutes {
  const perDay = times.hours * 60;
  let minutes = 0;
  const last = dayNumber(day) - dayNumber(start);
  for (let i = 0; i < Math.min(farthestDays, whole ? last + 1 : last); i++)
    if (isWorked(dayOfNumber(dayNumber(start) + i), times)) minutes += perDay;
  return minutes;
}

interface Prepared {
  job: JobAhead;
  ready: Minutes;
  due: Minutes | null;
}

/** A job with its machines as numbers: an order is tried a thousand times. */
interface Row {
  machines: readonly number[];
  minutes: readonly Minutes[];
  ready: Minutes;
  due: Minutes | null;
  /** Rows that end before it begins. */
  after: readonly number[];
}

/**
 * Rows in an order of preference laid one stretch after another where machine and a person are free: the earliest that can begin goes
 * first, of those the first in the order.
 * @param put told of every stretch in its place; left out where only the ends are wanted
 * @returns when each row ends, by its place among the rows
 */
function laid(
  rows: readonly Row[],
  order: readonly number[],
  { people, machines }: { people: number; machines: number },
  put?: (row: number, stretch: number, from: Minutes, to: Minutes) => void,
): Float64Array {
  const busy = new Float64Array(machines);
  const hands = new Float64Array(people);
  const next = new Uint16Array(rows.length);
  const free = Float64Array.from(rows, (row) => row.ready);
  let left = rows.reduce((sum, row) => sum + row.minutes.length, 0);
  while (left > 0) {
    let hand = 0;
    for (let h = 1; h < people; h++) if (hands[h]! < hands[hand]!) hand = h;
    let best = -1;
    let begins = Infinity;
    for (const i of order) {
      const { machines: on, minutes, after } = rows[i]!;
      const at = next[i]!;
      if (at >= minutes.length) continue;
      let can = Math.max(free[i]!, busy[on[at]!]!, hands[hand]!);
      let waits = false;
      for (const before of after) {
        if (next[before]! < rows[before]!.minutes.length) waits = true;
        else can = Math.max(can, free[before]!);
      }
      if (waits) continue;
      if (can < begins - 1e-9) [best, begins] = [i, can];
    }
    const row = rows[best]!;
    const at = next[best]!;
    const to = begins + row.minutes[at]!;
    put?.(best, at, begins, to);
    busy[row.machines[at]!] = to;
    hands[hand] = to;
    free[best] = to;
    next[best] = at + 1;
    left--;
  }
  return free;
}

/** How bad a plan is: minutes late of all jobs before its end. */
function costOf(rows: readonly Row[], ends: Float64Array): number {
  let [late, last, all] = [0, 0, 0];
  rows.forEach(({ due }, i) => {
    const end = ends[i]!;
    if (due !== null && end > due) late += end - due;
    if (end > last) last = end;
    all += end;
  });
  return late * 1e6 + last * 10 + all / Math.max(1, rows.length);
}

/** The rows a job waits for. What waits for itself through others waits for none of them: somebody has to begin. */
function waitsFor(prepared: readonly Prepared[], row: number): number[] {
  const placeOf = (id: string) => prepared.findIndex(({ job }) => job.id === id);
  const direct = (i: number) => (prepared[i]!.job.after ?? []).map(placeOf).filter((n) => n >= 0 && n !== i);
  const reaches = (from: number, seen: Set<number>): boolean =>
    direct(from).some((n) => n === row || (!seen.has(n) && reaches(n, seen.add(n))));
  return direct(row).filter((n) => !reaches(n, new Set([n])));
}

/** Orders tried after the first ones, in all. */
const mostTried = 1500;

/**
 * Plans jobs over machines and people: from the orders by due date, by least work and by most, then by moving jobs in the best of them
 * as long as that helps. Yields how far it is, so that whoever asks can stop it.
 * @param start first day, yyyy-mm-dd
 */
export function* planningDays(
  jobs: readonly JobAhead[],
  start: string,
  times: WorkingTimes,
): Generator<number, DayPlan> {
  const prepared = jobs
    .filter((job) => job.stretches.some((s) => s.minutes > 0))
    .map((job): Prepared => ({
      job: { ...job, stretches: job.stretches.filter((s) => s.minutes > 0) },
      ready: job.ready === "" || job.ready <= start ? 0 : minutesUntil(job.ready, start, times, false),
      due: job.due === "" ? null : job.due < start ? 0 : minutesUntil(job.due, start, times, true),
    }));
  const names = [...new Set(prepared.flatMap(({ job }) => job.stretches.map((s) => s.machine)))];
  const rows = prepared.map(({ job, ready, due }) => ({
    machines: job.stretches.map((s) => names.indexOf(s.machine)),
    minutes: job.stretches.map((s) => s.minutes),
    ready,
    due,
    after: [] as number[],
  }));
  rows.forEach((row, i) => {
    row.after.push(...waitsFor(prepared, i));
  });
  const means = { people: times.people, machines: names.length };
  const work = rows.map((row) => row.minutes.reduce((sum, m) => sum + m, 0));
  const due = rows.map((row) => row.due ?? Infinity);
  const all = rows.map((_, i) => i);
  const firsts = [
    [...all].sort((a, b) => due[a]! - due[b]! || work[a]! - work[b]!),
    [...all].sort((a, b) => work[a]! - work[b]!),
    [...all].sort((a, b) => due[a]! - work[a]! - (due[b]! - work[b]!) || work[b]! - work[a]!),
  ];
  const judged = (order: readonly number[]) => ({ order, cost: costOf(rows, laid(rows, order, means)) });
  let best = firsts.map(judged).reduce((a, b) => (b.cost < a.cost ? b : a));
  let tried = 0;
  for (let better = true; better && tried < mostTried;) {
    better = false;
    for (let from = 0; from < rows.length && tried < mostTried; from++)
      for (let to = 0; to < rows.length && tried < mostTried; to++) {
        if (to === from) continue;
        if (++tried % 50 === 0) yield tried / mostTried;
        const order = [...best.order];
        order.splice(to, 0, ...order.splice(from, 1));
        const next = judged(order);
        if (next.cost < best.cost - 1e-9) {
          best = next;
          better = true;
        }
      }
  }
  const made: PlannedStretch[] = [];
  const ends = laid(rows, best.order, means, (row, stretch, from, to) => {
    const { job } = prepared[row]!;
    made.push({ ...job.stretches[stretch]!, jobId: job.id, from, to });
  });
  const loads = new Map<string, Minutes>();
  for (const { machine, minutes } of made) loads.set(machine, (loads.get(machine) ?? 0) + minutes);
  const total = [...loads.values()].reduce((sum, m) => sum + m, 0);
  return {
    stretches: joined(made),
    jobs: prepared.map(({ job, due: by }, i) => ({
      id: job.id,
      ends: ends[i]!,
      late: by === null ? 0 : Math.max(0, ends[i]! - by),
    })),
    ends: Math.max(0, ...ends),
    bound: Math.max(0, total / times.people, ...loads.values()),
    loads: [...loads].map(([machine, minutes]) => ({ machine, minutes })),
  };
}

/** Stretches of a job that follow one another without a gap on a machine are one. */
function joined(made: readonly PlannedStretch[]): PlannedStretch[] {
  const all: PlannedStretch[] = [];
  for (const s of [...made].sort((a, b) => a.from - b.from)) {
    const last = all.findLast((other) => other.machine === s.machine);
    if (last && last.jobId === s.jobId && Math.abs(last.to - s.from) < 1e-6) {
      all[all.indexOf(last)] = {
        ...last,
        name: spanOf(last.name, s.name),
        minutes: last.minutes + s.minutes,
        to: s.to,
      };
    } else all.push(s);
  }
  return all;
}

/** "setup 2" and "setup 3" are "setups 2 to 3". */
function spanOf(first: string, next: string): string {
  const begins = /^setups? (\d+)/.exec(first)?.[1];
  const ends = /^setup (\d+)/.exec(next)?.[1];
  return begins !== undefined && ends !== undefined ? `setups ${begins} to ${ends}` : `${first}, ${next}`;
}

/** The days of a stretch on the calendar: one part for each day it is worked on. */
export function partsByDay(
  { from, to }: Pick<PlannedStretch, "from" | "to">,
  start: string,
  times: WorkingTimes,
): { day: string; from: Minutes; to: Minutes }[] {
  const perDay = times.hours * 60;
  const parts: { day: string; from: Minutes; to: Minutes }[] = [];
  for (let at = from; at < to - 1e-6;) {
    const upTo = Math.min(to, (Math.floor(at / perDay + 1e-9) + 1) * perDay);
    const begin = calendarOf(at, start, times);
    const end = calendarOf(upTo, start, times, true);
    if (!begin || !end) break;
    parts.push({ day: begin.day, from: begin.minute, to: end.minute });
    at = upTo;
  }
  return parts;
}
