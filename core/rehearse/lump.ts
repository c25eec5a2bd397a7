import {
  axesAcross,
  type Axis,
  axisNames,
  type Face,
  faceNames,
  facesOf,
  type Sizes,
} from "../frame/index.ts";
import { conditionFacts, type FaceCondition } from "../handbook/index.ts";
import type { ShaftSection } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Chance } from "./chance.ts";
import type { Solid, SolidKit, Vec } from "./solid.ts";
import { cross, dot, scaled, unit } from "./vec.ts";

/** A part as it lies in its own frame: its body, and the way every face of it looks. */
export interface Workpart {
  solid: Solid;
  /** Outward, of length 1. */
  planes: Record<Face, Vec>;
  /** Faces that are machined: they locate, and lie flush. */
  machined: Record<Face, boolean>;
}

export interface LumpAsked {
  /** What was read of the raw piece along each size of the part, at up to four corners, mm; the target where nothing was. */
  readings: Record<Axis, readonly Mm[]>;
  conditions: Record<Face, FaceCondition>;
  target: Sizes;
  /** How far a reading may be off, mm. */
  u: Mm;
}

const outward: Record<Face, Vec> = {
  left: [-1, 0, 0],
  right: [1, 0, 0],
  front: [0, -1, 0],
  back: [0, 1, 0],
  bottom: [0, 0, -1],
  top: [0, 0, 1],
};
const place = { length: 0, width: 1, height: 2 } as const;

/** Four thicknesses at the corners of a face: the plane nearest to whatever was read there. */
function atCorners(readings: readonly Mm[], target: Mm): [Mm, Mm, Mm, Mm] {
  const [a = target, b, c, d] = readings;
  if (b === undefined) return [a, a, a, a];
  const middle = (a + b) / 2;
  const [p, q, r, s] = c === undefined ? [a, middle, middle, b] : [a, b, c, d ?? b + c - a];
  const mean = (p + q + r + s) / 4;
  const [first, second] = [(q + s - p - r) / 4, (r + s - p - q) / 4];
  return [mean - first - second, mean + first - second, mean - first + second, mean + first + second];
}

/** A raw block of true size and shape: as it was read, out of square as its faces usually are. */
export function rawBlock(asked: LumpAsked, kit: SolidKit, chance: Chance): Workpart {
  const { conditions, target } = asked;
  // Of every size: where its low face lies at each of four corners, and how far off the high one.
  const low: Record<Axis, Mm[]> = { length: [], width: [], height: [] };
  const thick: Record<Axis, Mm[]> = { length: [], width: [], height: [] };
  for (const axis of axisNames) {
    const [face] = facesOf(axis);
    const [a, b] = axesAcross(face);
    const rise = (along: Axis) =>
      (chance.about(conditionFacts[conditions[face]].flatness) * target[along]) / 200;
    const [ra, rb] = [rise(a), rise(b)];
    low[axis] = [0, ra, rb, ra + rb];
    thick[axis] = atCorners(asked.readings[axis], target[axis]).map((t) => t + chance.about(asked.u / 2));
  }
  const corner = (ends: Record<Axis, 0 | 1>): Vec => {
    const point: [number, number, number] = [0, 0, 0];
    for (const axis of axisNames) {
      const [a, b] = axesAcross(facesOf(axis)[0]);
      const which = ends[a] + 2 * ends[b];
      point[place[axis]] = low[axis][which]! + (ends[axis] === 1 ? thick[axis][which]! : 0);
    }
    return point;
  };
  const all: { ends: Record<Axis, 0 | 1>; point: Vec }[] = [];
  for (const x of [0, 1] as const)
    for (const y of [0, 1] as const)
      for (const z of [0, 1] as const) {
        const ends = { length: x, width: y, height: z };
        all.push({ ends, point: corner(ends) });
      }
  const planes = { ...outward };
  for (const face of faceNames) {
    const axis = axisNames.find((n) => facesOf(n).includes(face))!;
    const end = facesOf(axis).indexOf(face);
    const [a, b] = axesAcross(face);
    const at = (i: 0 | 1, j: 0 | 1) =>
      all.find(({ ends }) => ends[axis] === end && ends[a] === i && ends[b] === j)!.point;
    const between = (p: Vec, q: Vec): Vec => [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
    const normal = unit(cross(between(at(0, 0), at(1, 1)), between(at(1, 0), at(0, 1))));
    planes[face] = dot(normal, outward[face]) > 0 ? normal : scaled(normal, -1);
  }
  return {
    solid: kit.hull(all.map(({ point }) => point)),
    planes,
    machined: Object.fromEntries(
      faceNames.map((f) => [f, conditionFacts[conditions[f]].machined]),
    ) as Workpart["machined"],
  };
}

/** Straight pieces that a round of a shaft is made of. */
const roundSides = 96;

/** A shaft as it comes from the lathe, along the length, its lowest side at height 0. */
export function turnedShaft(sections: readonly ShaftSection[], kit: SolidKit, chance: Chance): Workpart {
  const thickest = Math.max(...sections.map((s) => s.diameter));
  const turnedOff = chance.about(0.01);
  const rounds = sections.map(({ diameter, from, to }) =>
    kit
      .cone(from, to, (diameter + turnedOff) / 2, (diameter + turnedOff) / 2, roundSides)
      // From along Z to along the length.
      .posed({ x: [0, 1, 0], y: [0, 0, 1], z: [1, 0, 0], at: [0, thickest / 2, thickest / 2] }),
  );
  return {
    solid: kit.union(rounds),
    planes: { ...outward },
    machined: Object.fromEntries(faceNames.map((f) => [f, true])) as Workpart["machined"],
  };
}
