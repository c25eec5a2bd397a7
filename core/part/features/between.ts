import { axisNames, axisOf, extentOfOutline } from "../../frame/index.ts";
import { type Mm, mm } from "../../quantity/index.ts";
import { note, rule, type Warning, warn } from "../../working/index.ts";
import { type Box, boxOfPrism, type Cutout, depthOf } from "./cutout.ts";
import type { Feature } from "./index.ts";

/** A wall thinner than this, or than a share of its depth, bends or breaks away (domain.md 2). */
const thinnest = { mm: 2, ofDepth: 1 / 5 } as const;

const leastWall = (depth: Mm): Mm => Math.max(thinnest.mm, depth * thinnest.ofDepth);

/** The thinnest wall beside a cutout that stands its cut, mm. Round a hole it is curved: half the hole's width is enough. */
export function wallBeside(feature: Feature, cutout: Cutout): Mm {
  const least = leastWall(depthOf(cutout));
  if (feature.kind !== "hole") return least;
  const bore = cutout.prisms[0]!;
  const [low, high] = extentOfOutline(bore.outline).x;
  return Math.max(thinnest.mm, Math.min(least, (high - low) / 2));
}

interface Named {
  name: string;
  feature: Feature;
  cutout: Cutout;
}

/** Gap of two spans; below zero where they overlap. */
const gap = (a: readonly [Mm, Mm], b: readonly [Mm, Mm]): Mm => Math.max(a[0], b[0]) - Math.min(a[1], b[1]);
const gaps = (a: Box, b: Box): Mm[] => axisNames.map((axis) => gap(a[axis], b[axis]));

/** Boxes of what is cut, a part left standing in it and a drawn thread left aside. */
const solid = ({ prisms }: Cutout): Box[] =>
  prisms.filter((p) => !p.island && !p.thread).map((p) => boxOfPrism(p));

/** A wall too thin between two cutouts that stand beside one another. What crosses is told apart. */
export function between(one: Named, other: Named): Warning[] {
  const least = Math.min(wallBeside(one.feature, one.cutout), wallBeside(other.feature, other.cutout));
  if (gaps(one.cutout.box, other.cutout.box).some((g) => g >= least)) return [];
  let wall = Infinity;
  const others = solid(other.cutout);
  for (const a of solid(one.cutout))
    for (const b of others) {
      const apart = gaps(a, b).filter((g) => g > 1e-9);
      if (apart.length === 0) return [];
      if (apart.length === 1) wall = Math.min(wall, apart[0]!);
    }
  return wall < least - 1e-9
    ? [
        warn(
          rule(
            "drawing.between",
          )`Only ${mm(wall)} is left between the ${one.name} and the ${other.name}; ${mm(least)} stands the cut.`,
        ),
      ]
    : [];
}

/** A blind hole that runs past another it meets at right angles: the drill wanders there, and burrs stand inside. */
export function crossings(one: Named & { feature: Feature }, other: Named & { feature: Feature }): Warning[] {
  if (one.feature.kind !== "hole" || other.feature.kind !== "hole") return [];
  const axis = axisOf(one.cutout.face);
  if (axis === axisOf(other.cutout.face)) return [];
  if (gaps(one.cutout.box, other.cutout.box).some((g) => g > -1e-6)) return [];
  const meets = solid(one.cutout).some((a) =>
    solid(other.cutout).some((b) => gaps(a, b).every((g) => g < -1e-6)),
  );
  if (!meets) return [];
  const [a, b] = [one.cutout.box[axis], other.cutout.box[axis]];
  const passes = a[0] < b[0] - 1e-6 && a[1] > b[1] + 1e-6;
  return [
    note(
      passes
        ? rule(
            "drawing.pastCross",
          )`The ${one.name} goes on past the ${other.name} that crosses it: drill the smaller first, deburr inside, and check that it is meant to.`
        : rule(
            "drawing.meets",
          )`The ${one.name} runs into the ${other.name}: drill the smaller first, and deburr inside.`,
    ),
  ];
}
