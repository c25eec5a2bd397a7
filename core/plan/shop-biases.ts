import {
  axesAcross,
  type Axis,
  axisNames,
  axisOf,
  clampingAxes,
  type Face,
  facesOf,
  opposite,
} from "../frame/index.ts";
import { type BiasName, usualBias } from "../handbook/index.ts";
import { type BiasFound, biasesFrom, type BiasSeen, liesOf, type Spot } from "../inspect/index.ts";
import {
  type ChainLink,
  faceOf,
  type FaceSetup,
  faceSetupsOf,
  locatedIn,
  referenceChain,
} from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import { extentOf } from "../squaring/index.ts";
import { effective, type Record as JobRecord } from "../steps/index.ts";
import { faceSpan } from "./advice.ts";
import type { Plan } from "./plan.ts";
import { lastReadings } from "./series.ts";

export interface ShopBias extends BiasFound {
  name: BiasName;
}

/** The axes of a part as directions: length, width and height are right-handed. */
const direction: Record<Axis, readonly [number, number, number]> = {
  length: [1, 0, 0],
  width: [0, 1, 0],
  height: [0, 0, 1],
};
const outward = (face: Face) => {
  const sign = facesOf(axisOf(face))[1] === face ? 1 : -1;
  return direction[axisOf(face)].map((v) => v * sign) as [number, number, number];
};
const cross = (a: readonly number[], b: readonly number[]): [number, number, number] => [
  a[1]! * b[2]! - a[2]! * b[1]!,
  a[2]! * b[0]! - a[0]! * b[2]!,
  a[0]! * b[1]! - a[1]! * b[0]!,
];
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((s, v, i) => s + v * b[i]!, 0);

/**
 * How the thickness over a pair of faces slopes along a part axis, as a sum of biases: what the two faces are turned against each
 * other about the axis across it. Null where they were never located from one another.
 */
function slopeAlong(
  along: Axis,
  a: ChainLink,
  b: ChainLink,
): { counts: Map<BiasName, number>; scatter: number } | null {
  const about = axesAcross(a.face).find((axis) => axis !== along)!;
  const [one, other] = [a.rotations[about], b.rotations[about]];
  if (!one || !other) return null;
  // A face turned by ω lies lower by (ω × n)·r at a place r on it.
  const lever = -dot(cross(direction[about], outward(a.face)), direction[along]);
  const counts = new Map<BiasName, number>();
  let squares = 0;
  const causes = new Map(one);
  for (const [cause, count] of other) causes.set(cause, (causes.get(cause) ?? 0) - count);
  for (const [cause, count] of causes) {
    if (Math.abs(count) < 1e-12) continue;
    if (cause in usualBias) counts.set(cause as BiasName, count * lever);
    else if (cause.startsWith("seat:")) squares += count ** 2;
    else return null;
  }
  return { counts, scatter: Math.sqrt(squares) };
}

/** What the readings of one face of a piece say: its slope along both sides, each with the biases that are in it. */
function seenOn(
  setup: FaceSetup,
  readings: readonly { value: number; spot: Spot; u: number }[],
  links: ReadonlyMap<Face, ChainLink>,
  sizes: Record<Axis, number>,
): BiasSeen[] {
  const lies = liesOf(readings);
  const { face } = faceOf(setup);
  const [a, b] = [links.get(face), links.get(opposite(face))];
  if (!lies || !a || !b) return [];
  const axes = clampingAxes(setup.at);
  const span = faceSpan(setup, sizes);
  const u = Math.max(...readings.map((r) => r.u)) / 2;
  return (["x", "y"] as const).flatMap((side): BiasSeen[] => {
    const { axis, sign } = axes[side];
    const told = slopeAlong(axis, a, b);
    if (!told || told.counts.size === 0) return [];
    const rise = side === "x" ? lies.right : lies.back;
    return [
      {
        counts: told.counts,
        slope: (rise / span[side]) * sign,
        sigma: Math.hypot(u / span[side], told.scatter),
      },
    ];
  });
}

/**
 * What the readings of all pieces of a job say of vise, table and head: least squares over the slopes of every size that was read
 * at its corners. A piece that was cut once more, or scrapped, tells nothing of its first seats.
 */
export function shopBiases(
  { setups, target }: Pick<Plan, "setups" | "target">,
  records: readonly JobRecord[],
  { instruments }: Pick<Shop, "instruments">,
): ShopBias[] {
  if (!target) return [];
  const faces = faceSetupsOf(setups).filter((s) => extentOf(faceOf(s).key) !== "again");
  const links = new Map(referenceChain(locatedIn(faces)).map((link) => [link.face, link]));
  const reworked = new Set(effective([...records]).flatMap((r) => (r.type === "rework" ? [r.piece] : [])));
  const seen = axisNames.flatMap((axis) => {
    const setup = faces.findLast((s) => faceOf(s).axis === axis && faceOf(s).sized);
    if (!setup) return [];
    const { byPiece, scrapped } = lastReadings(axis, records);
    return [...byPiece].flatMap(([piece, readings]) =>
      reworked.has(piece) || scrapped.has(piece)
        ? []
        : seenOn(
            setup,
            readings.flatMap(({ value, spot, instrument }) =>
              spot
                ? [{ value, spot, u: instruments.find((i) => i.id === instrument)?.uncertainty ?? 0.03 }]
                : [],
            ),
            links,
            target,
          ),
    );
  });
  const usual = new Map(Object.entries(usualBias).map(([name, { rise, over }]) => [name, rise / over]));
  return biasesFrom(seen, usual) as ShopBias[];
}
