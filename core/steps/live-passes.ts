import { type Pass, passesForRest } from "../cutting/index.ts";
import { factorModel } from "../inspect/index.ts";
import { type DialMove, movesToTouch, settleAt, stopReading } from "../locate/index.ts";
import { facePasses, faceStrokes, type Stroke, strokeMinutes } from "../recipes/index.ts";
import { type Minutes, type Mm, tidy } from "../quantity/index.ts";
import { type FaceOperation, noCut } from "../route/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import type { AxisScrew, Machine } from "../shop/index.ts";
import { type FaceProgress, largestReading, provingTick } from "./face-progress.ts";
import type { RecordEvent } from "./record.ts";

/** One rung of the pass ladder: a pass with where to stop. */
export interface LivePass {
  number: number;
  kind: Pass["kind"];
  depth: Mm;
  /** Size of the part after it, mm. The last one is the target by assignment. */
  sizeAfter: Mm;
  /** How far from zero it stops, mm: negative into the part, as it can be set on readout or dial. */
  stop: Mm;
  /** The same as the axis counts it: into a face at the left or the front it grows, mm. */
  reads: Mm;
  /** Wanted − what can be set. */
  residue: Mm;
  dial: DialMove | null;
  done: boolean;
  last: boolean;
  /** Taken to see whether the setting takes what it should: a reading follows. */
  proves: boolean;
}

/** The axis that gives the depth: Z under the spindle; for a wall the one of the table that does not feed. */
export const depthAxis = ({ cut }: Pick<FaceOperation, "cut">): "x" | "y" | "z" =>
  cut.kind !== "side" ? "z" : cut.feedAlong === "y" ? "x" : "y";

/** How the depth axis counts into the part: 1 where its reading grows. */
export const intoPart = ({ looks }: Pick<FaceOperation, "looks">): 1 | -1 =>
  looks === null ? -1 : movesToTouch[looks];

/** Size at zero before the zero is taken: with a dial the collar is zeroed at the paper, so the paper counts in. */
const plannedSizeAtZero = (from: Mm, screw: AxisScrew, paper: Mm): Mm =>
  tidy(screw.readout === null ? from + paper : from);

/** Where to stop as it can be set: what lies above zero is no dial move. */
function settle(wanted: Mm, screw: AxisScrew): Pick<LivePass, "stop" | "residue" | "dial"> {
  return { ...settleAt(wanted, screw), dial: settleAt(Math.min(0, wanted), screw).dial };
}

/** A light pass that proves a setting, mm (guess). */
const lightDepth: Mm = 0.1;
/** A reading is a surprise where it is out by more than this, and by more than half of the limits; mm (guess). */
const surprising: Mm = 0.05;

/** Whether the pass to cut now may have a light one before it: it is the last to the size, and thick enough to be cut twice. */
export const canProve = (
  { sized, matched }: FaceOperation,
  pass: LivePass,
  passes: readonly LivePass[],
): boolean => {
  const now = passes.find((p) => !p.done)?.number === pass.number;
  return now && sized && !matched && pass.last && pass.depth >= 2 * thinnestPass;
};

/** Asks for a light pass before the one that is told. */
export const askToProve = (op: OperationKey, { number }: Pick<LivePass, "number">): RecordEvent => ({
  type: "tick",
  op,
  tick: provingTick(number),
});

/** Whether the reading before a pass was out by more than cutting alone makes it. */
function surprised({ limits }: Pick<FaceOperation, "limits">, state: FaceProgress, pass: number): boolean {
  const off = state.corrections.find((c) => c.afterPass === pass - 1)?.off ?? 0;
  return Math.abs(off) > Math.max(surprising, (limits.upper - limits.lower) / 2);
}

/** Whether a pass proves the setting, as it was asked for or after a surprise: unless it is the last, a reading follows. */
const proves = (op: FaceOperation, state: FaceProgress | null, pass: number): boolean =>
  state !== null && op.sized && !op.matched && (state.light.has(pass) || surprised(op, state, pass));

/**
 * How much is taken first, to see whether it comes off: a light pass where one was asked for, half of what is left after a surprise
 * (never all that remains in one cut). Null where neither is so, or too little is left to be cut twice.
 */
function lightFirst(op: FaceOperation, state: FaceProgress | null, rest: Mm): Mm | null {
  if (!state || !op.sized || op.matched || rest < 2 * thinnestPass) return null;
  const next = state.cuts.length + 1;
  if (state.light.has(next)) return tidy(Math.min(lightDepth, rest / 2));
  return surprised(op, state, next) ? tidy(rest / 2) : null;
}

const lightPass = (depth: Mm): Pass => ({ kind: "rough", depth, cumulative: depth });
const after = (first: Mm, pass: Pass): Pass => ({ ...pass, cumulative: tidy(pass.cumulative + first) });

/**
 * The passes of a setup: those cut, then those still to come by the newest reading (offset model: the zero moves, and
 * with it every stop below).
 */
export function livePasses(
  op: FaceOperation,
  state: FaceProgress | null,
  { machine, paper }: { machine: Machine; paper: Mm },
): LivePass[] {
  const screw = machine.axes[depthAxis(op)];
  const present = state?.present ?? op.from;
  const sizeAtZero = state?.zeroed ? state.sizeAtZero : plannedSizeAtZero(present, screw, paper);
  const cuts = state?.cuts ?? [];
  const reads = (stop: Mm): Mm => tidy(-stop * intoPart(op)) || 0;
  const done = cuts.map((cut, i): LivePass => {
    const before = i === 0 ? op.from : cuts[i - 1]!.expected;
    return {
      number: cut.pass,
      kind: cut.last ? "finish" : "rough",
      depth: tidy(before - cut.expected),
      sizeAfter: cut.expected,
      stop: cut.stop,
      reads: reads(cut.stop),
      residue: 0,
      dial: settle(cut.stop, screw).dial,
      done: true,
      last: cut.last,
      proves: !cut.last && proves(op, state, cut.pass),
    };
  });
  // A side that is matched is done where the dye was marked, whatever the figures leave.
  const rest = op.matched && cuts.at(-1)?.last ? 0 : restToCut(op, state, screw);
  const ordinary =
    cuts.length === 0 && Math.abs(present - op.from) < noCut && rest > noCut
      ? op.cut.passes
      : passesForRest(rest, op.cut.depth, op.cut.finish, cuts.length === 0 ? op.cut.first : 0);
  const light = lightFirst(op, state, rest);
  const asked = state?.light.has(cuts.length + 1) ?? false;
  const planned =
    light === null || (ordinary.length > 1 && !asked)
      ? ordinary
      : [
          lightPass(light),
          ...passesForRest(tidy(rest - light), op.cut.depth, op.cut.finish).map((p) => after(light, p)),
        ];
  const step = screw.readout ?? screw.division;
  const stands = stopReading(present, sizeAtZero);
  let stoodAt = stands;
  const coming: LivePass[] = [];
  planned.forEach((pass, i) => {
    const last = i === planned.length - 1;
    const sizeAfter = last ? op.to : tidy(present - pass.cumulative);
    const wanted = tidy(stands - factorModel(1, state?.rate ?? 1, present - sizeAfter));
    const settled = settle(wanted, screw);
    // A pass thinner than can be set on the dial is no pass: the next one takes it.
    if (!last && stoodAt - settled.stop < step / 2) return;
    stoodAt = settled.stop;
    coming.push({
      number: cuts.length + coming.length + 1,
      kind: pass.kind,
      depth: pass.depth,
      sizeAfter,
      ...settled,
      reads: reads(settled.stop),
      done: false,
      last,
      proves: !last && coming.length === 0 && proves(op, state, cuts.length + 1),
    });
  });
  return [...done, ...coming];
}

/** The strokes of one pass, lane by lane, as it is told now. */
export const strokesOfPass = (
  { cut, sweep, from }: Pick<FaceOperation, "cut" | "sweep" | "from">,
  { number, depth, sizeAfter, last }: LivePass,
): Stroke[] =>
  faceStrokes(sweep, facePasses(cut, [{ number, takes: depth, cumulative: tidy(from - sizeAfter), last }]));

/** The strokes of the pass to cut next, of the last when all are cut; none where nothing comes off. */
export function strokesNow(
  op: Pick<FaceOperation, "cut" | "sweep" | "from">,
  passes: readonly LivePass[],
): Stroke[] {
  const pass = passes.find((p) => !p.done) ?? passes.at(-1);
  return pass ? strokesOfPass(op, pass) : [];
}

/** The minutes of passes as they are told, stroke by stroke. */
export const minutesOfPasses = (
  op: Pick<FaceOperation, "cut" | "sweep" | "from">,
  passes: readonly LivePass[],
): Minutes => passes.reduce((sum, pass) => sum + strokeMinutes(strokesOfPass(op, pass), op.cut.vf, 0), 0);

/** A pass thinner than this only rubs, mm (guess). */
const thinnestPass = 0.03;

/** What is still to come off, mm. After a last pass a size inside its limits is left alone. */
export function restToCut(op: FaceOperation, state: FaceProgress | null, screw: AxisScrew): Mm {
  if (!state || state.cuts.length === 0) {
    const rest = tidy((state?.present ?? op.from) - op.to);
    // Read within its limits, and less over than a cutter can take: it is there without a cut.
    return op.sized && state && rest <= thinnestPass && state.present <= op.limits.upper ? 0 : rest;
  }
  // Out of the vise nothing more is cut here: what is too large then is cut once more in a setup of its own.
  if (state.ticks.has("out-part")) return 0;
  const last = state.cuts.at(-1)!;
  if (!op.sized) {
    const nominal = tidy(last.expected - op.to);
    // Less than one division is what rounding left of the last pass, not metal to cut.
    return nominal > (last.last ? (screw.readout ?? screw.division) : noCut) ? nominal : 0;
  }
  const rest = tidy(state.present - op.to);
  // Within its limits, and less left than a cutter can take: it is there.
  if (!last.last) return rest > (state.present <= op.limits.upper ? thinnestPass : noCut) ? rest : 0;
  const largest = largestReading(state);
  // Only once measuring is finished: a first reading must not send anyone back to the handle.
  return state.measured.has(state.cuts.length) &&
    largest !== null &&
    largest > op.limits.upper &&
    rest > noCut
    ? rest
    : 0;
}
