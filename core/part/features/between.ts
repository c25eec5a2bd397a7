import { axisNames, axisOf, extentOfOutline } from "../../frame/index.ts";
import { type Mm, mm } from "../../quantity/index.ts";
import { capital, note, rule, type Warning, warn } from "../../working/index.ts";
import { type Box, boxOfPrism, type Cutout, depthOf, takesAll } from "./cutout.ts";
import { pointBelow } from "./hole/point.ts";
import type { Feature } from "./index.ts";

/** A wall thinner than this, or than a share of its depth, bends or breaks away (domain.md 2). */
const thinnest = { mm: 2, ofDepth: 1 / 5 } as const;

const leastWall = (depth: Mm): Mm => Math.max(thinnest.mm, depth * thinnest.ofDepth);

/** The thinnest wall beside a cutout that stands its cut, mm. Round a hole it is curved: half the hole's width is enough. */
function wallBeside(feature: Feature, cutout: Cutout): Mm {
  const least = leastWall(depthOf(cutout));
  if (feature.kind !== "hole") return least;
  const bore = cutout.prisms[0]!;
  const [low, high] = extentOfOutline(bore.outline).x;
  return Math.max(thinnest.mm, Math.min(least, (high - low) / 2));
}

/** A cutout as it is held against others, with what is asked of it many times. */
export interface Held {
  name: string;
  feature: Feature;
  cutout: Cutout;
  /** The thinnest wall that stands beside it, mm. */
  least: Mm;
  /** How far the point of a drill goes below its floor, mm. */
  point: Mm;
  /** Boxes of its pieces; a part left standing in it and a drawn thread left aside. */
  boxes: readonly Box[];
  /** The same for cutouts that are the same. */
  print: string;
}

export const held = (name: string, feature: Feature, cutout: Cutout): Held => ({
  name,
  feature,
  cutout,
  least: wallBeside(feature, cutout),
  point: pointBelow(feature),
  boxes: cutout.prisms.filter((p) => !p.island && !p.thread).map((p) => boxOfPrism(p)),
  print: JSON.stringify(cutout.prisms),
});

/** Gap of two spans; below zero where they overlap. */
const gap = (a: readonly [Mm, Mm], b: readonly [Mm, Mm]): Mm => Math.max(a[0], b[0]) - Math.min(a[1], b[1]);
const gaps = (a: Box, b: Box): Mm[] => axisNames.map((axis) => gap(a[axis], b[axis]));

/** A wall too thin between two cutouts that stand beside one another. What crosses is told apart. */
export function between(one: Held, other: Held): Warning[] {
  const least = Math.min(one.least, other.least);
  if (gaps(one.cutout.box, other.cutout.box).some((g) => g >= least)) return [];
  let wall = Infinity;
  for (const a of one.boxes)
    for (const b of other.boxes) {
      const apart = gaps(a, b).filter((g) => g > 1e-9);
      if (apart.length === 0) return [];
      if (apart.length === 1) wall = Math.min(wall, apart[0]!);
    }
  return wall < least - 1e-9
    ? [
        warn(
          rule(
            "drawing.between",
          )`Only ${mm(wall)} is left between ${one.name} and ${other.name}; a wall under ${mm(least)} bends or breaks under the cutter.`,
        ),
      ]
    : [];
}

/** Whether all that one takes out, another takes out too: nothing is left to cut. */
export const swallowed = (one: Held, other: Held): boolean =>
  gaps(one.cutout.box, other.cutout.box).every((g) => g < 0) &&
  one.cutout.prisms.every((prism) => prism.thread || takesAll(other.cutout, prism));

/** Edges of a chamfer that another takes away: there is none left to take off. */
export function edgesGone(one: Held, other: Held): Warning[] {
  if (one.feature.kind !== "chamfer" || one.cutout.prisms.length === 1) return [];
  const gone = one.cutout.prisms.filter((prism) => takesAll(other.cutout, prism)).length;
  return gone === 0
    ? []
    : [
        note(
          rule(
            "drawing.edgeGone",
          )`${capital(other.name)} takes away ${gone === 1 ? "an edge" : `${gone} edges`} that ${one.name} runs along: nothing is chamfered there.`,
        ),
      ];
}

/** A blind hole that runs past another it meets at right angles: the drill wanders there, and burrs stand inside. */
export function crossings(one: Held, other: Held): Warning[] {
  if (one.feature.kind !== "hole" || other.feature.kind !== "hole") return [];
  const axis = axisOf(one.cutout.face);
  if (axis === axisOf(other.cutout.face)) return [];
  if (gaps(one.cutout.box, other.cutout.box).some((g) => g > -1e-6)) return [];
  const meets = one.boxes.some((a) => other.boxes.some((b) => gaps(a, b).every((g) => g < -1e-6)));
  if (!meets) return [];
  const [a, b] = [one.cutout.box[axis], other.cutout.box[axis]];
  const passes = a[0] < b[0] - 1e-6 && a[1] > b[1] + 1e-6;
  return [
    note(
      passes
        ? rule(
            "drawing.pastCross",
          )`${capital(one.name)} goes on past ${other.name}, which crosses it: drill the smaller first, deburr inside, and check that it is meant to.`
        : rule(
            "drawing.meets",
          )`${capital(one.name)} runs into ${other.name}: drill the smaller first, and deburr inside.`,
    ),
  ];
}
