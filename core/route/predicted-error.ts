import { type Axis, axesAcross, axisNames, axisOf, type Face, opposite, type Sizes } from "../frame/index.ts";
import { type BiasName, biasWords, usualBias } from "../handbook/index.ts";
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
  tolerance: Mm | null;
}

/** Slope of a bias in rad: by the machine's or the vise's own reading, else the usual (guess). */
export function biasSlope(name: BiasName, machine: Machine, vise: Vise): { slope: number; own: boolean } {
  const { rise, over } = usualBias[name];
  const own = (value: number | null, sweep: number) =>
    value === null ? { slope: rise / over, own: false } : { slope: Math.abs(value) / sweep, own: true };
  if (name === "jawSquare") return own(vise.jawSquareness, 50);
  if (name === "tramAlong") return own(machine.tramAlong, machine.tramSweep);
  if (name === "tramAcross") return own(machine.tramAcross, machine.tramSweep);
  return { slope: rise / over, own: false };
}

/** Stands for pairs that were never located from one another. */
const unrelated: Cause = "raw:none";

const isBias = (cause: Cause): cause is BiasName => cause in usualBias;

function causeName(cause: Cause): Phrase {
  if (isBias(cause)) return words(biasWords[cause]);
  return cause.startsWith("seat:")
    ? say`the seat of setup ${Number.parseInt(cause.slice(5), 10)}`
    : words("a seat on a face that is no reference");
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

/** Predicted errors of all pairs of cut faces: twelve square, three parallel. */
export function predictedErrors(
  links: readonly ChainLink[],
  sizes: Sizes,
  place: { machine: Machine; vise: Vise },
  asked: { squareness: Mm | null; parallelism: Mm | null },
): PairError[] {
  const size = (cause: Cause): number =>
    isBias(cause)
      ? biasSlope(cause, place.machine, place.vise).slope
      : cause.startsWith("seat:")
        ? 1
        : Infinity;
  const errorOf = (parts: [rotation: Map<Cause, number> | null, over: Mm][]) => {
    const shares = parts.flatMap(([rotation, over]) =>
      rotation
        ? [...rotation].map(([cause, count]) => ({ cause, share: Math.abs(count) * size(cause) * over }))
        : [{ cause: unrelated, share: Infinity }],
    );
    const largest = shares.reduce<(typeof shares)[number] | null>(
      (most, s) => (!most || s.share > most.share ? s : most),
      null,
    );
    return {
      predicted: Math.sqrt(shares.reduce((sum, s) => sum + s.share ** 2, 0)),
      worst: shares.reduce((sum, s) => sum + s.share, 0),
      largest: largest && { name: causeName(largest.cause), share: largest.share },
    };
  };
  const found: PairError[] = [];
  links.forEach((a, i) => {
    for (const b of links.slice(i + 1)) {
      if (axisOf(a.face) === axisOf(b.face)) continue;
      const third = axisNames.find((x) => x !== axisOf(a.face) && x !== axisOf(b.face))!;
      found.push({
        kind: "square",
        faces: [a.face, b.face],
        ...errorOf([[difference(a.rotations[third], b.rotations[third]), 100]]),
        tolerance: asked.squareness,
      });
    }
  });
  for (const a of links) {
    const b = links.find((link) => link.face === opposite(a.face));
    if (!b || a.number > b.number) continue;
    const [one, other]: [Axis, Axis] = axesAcross(a.face);
    found.push({
      kind: "parallel",
      faces: [a.face, b.face],
      // Turned about one axis the thickness changes along the other.
      ...errorOf([
        [difference(a.rotations[one], b.rotations[one]), sizes[other]],
        [difference(a.rotations[other], b.rotations[other]), sizes[one]],
      ]),
      tolerance: asked.parallelism,
    });
  }
  return found;
}

/** How far the worst pair is beyond its tolerance: 1 just meets it; 0 where none is asked for. */
export const worstShare = (errors: readonly PairError[]): number =>
  Math.max(0, ...errors.map((e) => (e.tolerance === null ? 0 : e.predicted / e.tolerance)));
