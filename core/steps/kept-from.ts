import { alongJaws, type Axis, axisOf } from "../frame/index.ts";
import type { FaceCondition } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import { faceOf, isFaceSetup, keyOfSetup, type Setup, cutterOf } from "../route/index.ts";
import { foldRecords, type Progress, progressOf } from "./progress.ts";
import { effective, type Record, type RecordEvent } from "./record.ts";
import { eventsToFinish } from "./events-to-finish.ts";
import type { Step } from "./step.ts";

/** What the piece before left standing at the machine: taken over instead of set anew. */
export interface KeptSettings {
  /** The piece that left it. */
  from: number;
  axes: ("x" | "y" | "z")[];
  /** How far pieces may differ there by their limits, mm: the zero lies where it did, the part is wider or higher. 0 where it does not matter. */
  differ: Mm;
  /** The cutter is still in the spindle, at its speed. */
  tool: boolean;
  /** What taking it over is recorded as. */
  events: RecordEvent[];
}

/** Conditions of a face in which one blank is as thick as the next. */
const likeEachOther = new Set<FaceCondition>(["drawn", "ground", "milled"]);

/** Steps that only set something: before the first cut of a setup. */
const setting = (step: Step): boolean => step.kind === "check" || step.pickup !== null || step.touch !== null;

/**
 * The stop, the zeros and the tool that another piece left in this very setup, where nothing else was done on the machine since.
 * X is kept where a stop stands at the end of the part, Y in a vise, Z where one cutter did all of it; how far pieces may differ
 * there is told.
 * Null where the step to do now sets nothing, or nothing was left for it.
 */
export function keptSettings(
  setup: Setup,
  steps: readonly Step[],
  current: number,
  records: Record[],
  piece: number,
  /** How far a size may differ between two pieces that are both good, mm. */
  rangeOf: (axis: Axis) => Mm,
): KeptSettings | null {
  const now = steps[current];
  const mine = new Set<string>(setup.operations.map((o) => o.key));
  if (!now || now.done || !mine.has(now.op) || !setting(now)) return null;
  const from = leftBy(records, mine, piece);
  if (from === null) return null;
  const before = foldRecords(records, from);
  const kept: KeptSettings = { from, axes: [], differ: 0, tool: false, events: [] };
  const stays = new Set(stayingSteps(setup, steps, (step) => stillStands(setup, step, before)));
  // From here to the first cut, in order: what cannot be kept is set anew, and asked as ever.
  for (const step of steps.slice(current)) {
    if (!mine.has(step.op) || !setting(step)) break;
    if (step.done || !stays.has(step)) continue;
    const axis = axisOfStep(step);
    if (axis) {
      kept.axes.push(axis);
      kept.differ = Math.max(kept.differ, differsAt(setup, step, axis, rangeOf));
    } else if (step.id !== "finder") kept.tool = true;
    kept.events.push(...eventsToFinish(step).map((event) => keptEvent(event, from, before)));
  }
  // Keeping the cutter alone saves nothing worth asking.
  return kept.axes.length > 0 ? kept : null;
}

/** The axis whose zero a step takes; undefined where it takes none. */
export const axisOfStep = ({ pickup, touch }: Step) => pickup?.axis ?? touch?.axis;

/**
 * Steps of a setup that a second piece need not do again, by how it is held: what is set before its first cut and stays so while pieces
 * change. Orders of a batch are compared by it, and the machine offers it.
 * @param stands whether a zero is still what it was; left out where nothing was cut yet
 */
export function stayingSteps(
  setup: Setup,
  steps: readonly Step[],
  stands: (step: Step) => boolean = () => true,
): Step[] {
  const mine = new Set<string>(setup.operations.map((o) => o.key));
  const all = steps.filter((s) => mine.has(s.op));
  const first = all.findIndex(setting);
  const end = all.findIndex((s, i) => i > first && !setting(s));
  const before = first < 0 ? [] : all.slice(first, end < 0 ? undefined : end);
  const touches = all.filter((s) => s.pickup && s.pickup.toucher.kind !== "cutter");
  const finderStays = touches.every((s) => axisStays(setup, s.pickup!.axis, false) && stands(s));
  const cutters = new Set(setup.operations.map(cutterOf).filter((c) => c !== null));
  // Where a finder has to go in, the cutter comes out: its Z is lost with it.
  const tool = cutters.size === 1 && finderStays;
  return before.filter((step) => {
    const axis = axisOfStep(step);
    if (axis) return axisStays(setup, axis, tool) && stands(step);
    return step.id === "finder" ? finderStays : tool;
  });
}

/** The other piece whose work in a setup was the last done on the machine; null where something else was. */
function leftBy(records: Record[], mine: ReadonlySet<string>, piece: number): number | null {
  const done = effective(records).filter(
    (r) => "op" in r && r.op !== null && (r.type === "tick" || r.type === "cut" || r.type === "touched"),
  ) as (Record & { op: string })[];
  const last = done.findLast((r) => !(r.piece === piece && mine.has(r.op)));
  return last && last.piece !== piece && mine.has(last.op) ? last.piece : null;
}

/** Whether a zero stays while pieces change, by how they are held. @param tool the cutter stays in the spindle */
function axisStays(setup: Setup, axis: "x" | "y" | "z", tool: boolean): boolean {
  if (axis === "z" && !tool) return false;
  if (axis === "x" && !setup.seat.stop) return false;
  // Blanks differ where they were sawn, cast or rolled: the highest spot of each is felt anew.
  if (isFaceSetup(setup)) return likeEachOther.has(setup.before.faces[faceOf(setup).face].condition);
  return axis !== "y" || setup.device === "vise";
}

/** Whether a zero was taken for the piece before and nothing was touched since. */
function stillStands(setup: Setup, step: Step, before: Progress): boolean {
  if (isFaceSetup(setup)) return before.faces.get(keyOfSetup(setup))?.zeroed === true;
  const known = progressOf(before, step.op);
  if (!known || "cuts" in known) return false;
  return (known.ticks.get(step.id) ?? -1) > Math.max(-1, ...known.stales.map((s) => s.seq));
}

/**
 * How far the next piece may lie off a zero that stays: nothing where it counts from the fixed jaw or the bed, half the range of the
 * width for a middle, all of it for the far side; along X it is not known at which end the stop stands.
 */
function differsAt(setup: Setup, { pickup }: Step, axis: "x" | "y" | "z", rangeOf: (axis: Axis) => Mm): Mm {
  if (!pickup) return 0;
  const range = rangeOf(
    axis === "x" ? alongJaws(setup.at) : axisOf(axis === "y" ? setup.at.fixed : setup.at.up),
  );
  if (axis !== "y") return range;
  if (pickup.faces.length > 1) return range / 2;
  return pickup.faces[0] === setup.at.fixed ? 0 : range;
}

/** A zero taken over is what it was at the end for the piece before, put right by its readings. */
function keptEvent(event: RecordEvent, from: number, before: Progress): RecordEvent {
  if (event.type === "touched")
    return {
      ...event,
      sizeAtZero: before.faces.get(event.op)?.sizeAtZero ?? event.sizeAtZero,
      keptFrom: from,
    };
  return event.type === "tick" ? { ...event, keptFrom: from } : event;
}

/** Where the stop of a setup was noted to stand, by the newest note of any piece; null where nobody noted it. */
export function stopReading(
  records: Record[],
  { operations }: Pick<Setup, "operations">,
): { value: Mm; piece: number } | null {
  const mine = new Set<string>(operations.map((o) => o.key));
  const noted = effective(records).findLast((r) => r.type === "stopAt" && mine.has(r.op));
  return noted?.type === "stopAt" ? { value: noted.value, piece: noted.piece } : null;
}
