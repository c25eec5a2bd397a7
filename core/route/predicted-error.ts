import { type Axis, axesAcross, axisNames, axisOf, type Face, opposite, type Sizes } from "../frame/index.ts";
import { type BiasName, biasWords, usualBias, witnessStep } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Machine, Vise } from "../shop/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import type { Cause, ChainLink, Rotation } from "./reference-chain.ts";

/** Squareness of two faces over 100 mm, or parallelism of two opposite ones over their length, as predicted. All mm. */
export interface PairError {
  kind: "square" | "parallel";
  faces: [Face, Face];
  /** Root of the sum of squares; Infinity where the faces were never located from one another. */
  predicted: Mm;
  /** Every cause at its largest and all one way. */
  worst: Mm;
  /** The largest contributor; null when none. */
  largest: { name: Phrase; share: Mm } | null;
  /** Every cause with its share, the largest first. */
  causes: { name: Phrase; share: Mm }[];
  tolerance: Mm | null;
}

/** Slope of a bias in rad: by the machine's or the vise's own reading, else the usual (guess). */
export function biasSlope(
  name: BiasName,
  machine: Machine,
  vise: Vise,
  square: Mm | null = null,
): { slope: number; own: boolean } {
  const { rise, over } = usualBias[name];
  const own = (value: number | null, sweep: number) =>
    value === null ? { slope: rise / over, own: false } : { slope: Math.abs(value) / sweep, own: true };
  if (name === "jawSquare") return own(vise.jawSquareness, 50);
  if (name === "square") return own(square, 100);
  if (name === "tramAlong") return own(machine.tramAlong, machine.tramSweep);
  if (name === "tramAcross") return own(machine.tramAcross, machine.tramSweep);
  if (name === "jawLine" || name === "bedAlong" || name === "bedAcross") return own(vise[name], 100);
  return { slope: rise / over, own: false };
}

/** Stands for pairs that were never located from one another. */
const unrelated: Cause = "raw:none";

const isBias = (cause: Cause): cause is BiasName => cause in usualBias;

const setupIn = (cause: Cause): number => Number.parseInt(cause.slice(5), 10);

function causeName(cause: Cause): Phrase {
  if (isBias(cause)) return words(biasWords[cause]);
  if (cause.startsWith("witness:"))
    return say`the step where the two cuts of the ${cause.slice(8)} face meet`;
  if (cause.endsWith("lift")) return say`the moving jaw lifting the part in setup ${setupIn(cause)}`;
  if (cause.endsWith("twist")) return say`the jaw twisting at one side in setup ${setupIn(cause)}`;
  return cause.startsWith("seat:")
    ? say`the seat of setup ${setupIn(cause)}`
    : words("a seat on a face that is not a reference");
}

function difference(a: Rotation | undefined, b: Rotation | undefined): Map<Cause, number> | null {
  if (!a || !b) return null;
  const sum = new Map(a);
  for (const [cause, count] of b) {
    const left = (sum.get(cause) ?? 0) - count;
    if (Math.abs(left) < 1e-12) sum.delete(cause);
    else sum.set(cause, left);
  }
  return sum;
}

/** What errors are worked for: sizes of the part, machine and vise, and what the drawing asks. */
export interface ErrorsAsked {
  target: Sizes;
  machine: Machine;
  vise: Vise;
  /** What the square that sets an end was found to be out, over 100 mm; null while it was never turned round. */
  square: Mm | null;
  squareness: Mm | null;
  parallelism: Mm | null;
}

/** Every cause of the error of two cut faces to each other, mm, with their root of squares and their plain sum. */
function tally(a: ChainLink, b: ChainLink, asked: ErrorsAsked) {
  const size = (cause: Cause): number =>
    isBias(cause)
      ? biasSlope(cause, asked.machine, asked.vise, asked.square).slope
      : cause.startsWith("seat:")
        ? 1
        : Infinity;
  let [squares, worst] = [0, 0];
  const causes: { cause: Cause; share: Mm }[] = [];
  const count = (cause: Cause, share: Mm, most = share) => {
    squares += share ** 2;
    worst += most;
    causes.push({ cause, share });
  };
  const opposed = b.face === opposite(a.face);
  const across = axesAcross(a.face);
  // Turned about one axis the thickness changes along the other; squareness is said over 100 mm.
  const parts: [about: Axis, over: Mm][] = opposed
    ? [
        [across[0], asked.target[across[1]]],
        [across[1], asked.target[across[0]]],
      ]
    : [[axisNames.find((x) => x !== axisOf(a.face) && x !== axisOf(b.face))!, 100]];
  for (const [about, over] of parts) {
    const rotation = difference(a.rotations[about], b.rotations[about]);
    if (!rotation) count(unrelated, Infinity);
    else for (const [cause, times] of rotation) count(cause, Math.abs(times) * size(cause) * over);
  }
  for (const { face, witness } of [a, b])
    if (witness) count(`witness:${face}`, witnessStep.usual, witnessStep.largest);
  const tolerance = opposed ? asked.parallelism : asked.squareness;
  return { opposed, predicted: Math.sqrt(squares), worst, causes, tolerance };
}

/** How far two cut faces are expected to be beyond their tolerance: 1 just meets it; 0 where none is asked for. */
export function pairShare(a: ChainLink, b: ChainLink, asked: ErrorsAsked): number {
  const { predicted, tolerance } = tally(a, b, asked);
  return tolerance === null ? 0 : predicted / tolerance;
}

/** Predicted error of two cut faces to each other. */
function pairError(a: ChainLink, b: ChainLink, asked: ErrorsAsked): PairError {
  const { opposed, causes, ...sums } = tally(a, b, asked);
  const named = causes
    .sort((x, y) => y.share - x.share)
    .map(({ cause, share }) => ({ name: causeName(cause), share }));
  return {
    kind: opposed ? "parallel" : "square",
    faces: [a.face, b.face],
    ...sums,
    largest: named[0] ?? null,
    causes: named,
  };
}

/** A pair by name, such as `left-top`. */
export const pairKey = ({ faces }: Pick<PairError, "faces">): string => [...faces].sort().join("-");

/** Predicted errors of all pairs of cut faces: twelve square, then three parallel. */
export function predictedErrors(links: readonly ChainLink[], asked: ErrorsAsked): PairError[] {
  const all = links.flatMap((a, i) => links.slice(i + 1).map((b) => pairError(a, b, asked)));
  return [...all.filter((e) => e.kind === "square"), ...all.filter((e) => e.kind === "parallel")];
}

/** How far the worst pair is beyond its tolerance: 1 just meets it; 0 where none is asked for. */
export const worstShare = (errors: readonly PairError[]): number =>
  Math.max(0, ...errors.map((e) => (e.tolerance === null ? 0 : e.predicted / e.tolerance)));
