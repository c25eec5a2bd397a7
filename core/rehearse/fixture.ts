import { downOf, type Face, type Orientation, sideOf } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Chance } from "./chance.ts";
import type { Workpart } from "./lump.ts";
import type { Bounds, Pose, Solid, SolidKit, Vec } from "./solid.ts";
import type { Thing, ThingId } from "./told.ts";
import { cross, dot, inverse, moved, plus, poseAlong, scaled, unit } from "./vec.ts";

/** A thing on the table as a body in the machine's frame. */
export interface Body {
  name: string;
  solid: Solid;
  bounds: Bounds;
}

const bodyOf = (name: string, solid: Solid): Body => ({ name, solid, bounds: solid.bounds });

/** How the part goes in, as told. */
export interface Placing {
  at: Orientation;
  on: "vise" | "table" | "blocks";
  out: { by: Mm; end: Orientation["up"] } | null;
  projection: Mm;
  /** The face a square on the bed is put against to set the part upright; null where it sits as it lies. */
  squared: Face | null;
}

/** How far out the things that hold are, mm over mm. */
export interface HoldingErrors {
  jawSquare: number;
  jawLine: number;
  bedAcross: number;
  bedAlong: number;
  square: number;
  parallels: Mm;
}

export const holdingErrors = (chance: Chance): HoldingErrors => ({
  jawSquare: chance.about(0.01) / 50,
  jawLine: chance.about(0.02) / 100,
  bedAcross: chance.about(0.01) / 100,
  bedAlong: chance.about(0.01) / 100,
  square: chance.about(0.01) / 50,
  parallels: chance.about(0.005),
});

/** The top of what the part stands on, above the bed or the table. */
export function supportHeight(things: ReadonlyMap<ThingId, Thing>): Mm {
  const parallels = things.get("parallels");
  const packing = things.get("packing");
  const points = things.get("points");
  if (parallels?.id === "parallels") return parallels.height;
  const plate = things.get("plate");
  if (plate?.id === "plate") return plate.height;
  const blocks = things.get("blocks");
  if (blocks?.id === "blocks" && blocks.under !== undefined) return blocks.under;
  return packing?.id === "packing" ? packing.height : points?.id === "points" ? points.height : 0;
}

/** Where parallels lie, from the fixed jaw to the moving one below zero, between jaws so far apart. */
const slabsOf = (
  { thickness, inset, single }: Extract<Thing, { id: "parallels" }>,
  width: Mm,
): { name: string; y: readonly [Mm, Mm] }[] => {
  const fixed = { name: "the parallel at the fixed jaw", y: [-inset - thickness, -inset] as const };
  return single
    ? [{ ...fixed, name: "the parallel" }]
    : [fixed, { name: "the parallel at the moving jaw", y: [-width + inset, -width + inset + thickness] }];
};

const tableSize = 900;
/** How far a plate below stands out around the part, and how much of it no tool may go into, mm. */
const plateOut = 40;
const plateKeeps = 3;
const jawBehind = 1;

/** Where the fixed jaw stands: plus at the back, minus at the front. */
export const jawSide = (vise: Vise | null): 1 | -1 => (vise?.fixedJaw === "front" ? -1 : 1);

/**
 * How a part comes to lie: the face told flush to the fixed jaw, the face below as near to the bed as that leaves, pushed to the
 * jaw, on its support, in the middle of the jaws or with its end out. Origin: the middle of the jaws, the fixed jaw, the bed.
 */
export function poseOf(
  part: Workpart,
  placing: Placing,
  things: ReadonlyMap<ThingId, Thing>,
  vise: Vise | null,
  errors: HoldingErrors,
  kit: SolidKit,
): Pose {
  const { at } = placing;
  const down = downOf(at);
  const side = jawSide(placing.on === "table" ? null : vise);
  const fixed = scaled(part.planes[at.fixed], side);
  const below = scaled(part.planes[down], -1);
  const square = (first: Vec, second: Vec): Vec => unit(plus(second, scaled(first, -dot(first, second))));
  // On the table the part lies flat and is set along X by its edge; in the vise the jaw comes first.
  const flat = placing.on === "table";
  // With packing that gives at the jaw the part settles on what is below.
  const settles = flat || things.has("soft");
  const alongZ = settles ? unit(below) : square(fixed, below);
  const alongY = settles ? square(alongZ, fixed) : unit(fixed);
  const alongX = cross(alongY, alongZ);
  const turned =
    placing.squared === null ? poseAlong(alongX, alongY, alongZ) : setUpright(part.planes[placing.squared]);
  const tilted = flat ? turned : tiltedBy(turned, errors, things.has("parallels"));
  const { min, max } = part.solid.posed(tilted).bounds;
  const end = vise && placing.on !== "table" ? vise.jawWidth / 2 : 0;
  const outAtRight = placing.out ? looksRight(tilted, part.planes[placing.out.end]) : false;
  const x = placing.out
    ? outAtRight
      ? end + placing.out.by - max[0]
      : -end - placing.out.by - min[0]
    : -(min[0] + max[0]) / 2;
  const z =
    placing.on === "blocks" && vise && at.up !== "left" && at.up !== "right"
      ? vise.jawDepth + placing.projection - max[2]
      : supportHeight(things) - min[2];
  // What stands out above the jaws does not keep the part off them.
  const jawTop = vise && placing.on === "vise" ? vise.jawDepth - z : Infinity;
  const between =
    jawTop < max[2]
      ? kit.scope(
          () =>
            part.solid
              .posed(tilted)
              .within(kit.box([min[0] - 1, min[1] - 1, min[2] - 1], [max[0] + 1, max[1] + 1, jawTop])).bounds,
        )
      : { min, max };
  const y = side > 0 ? -between.max[1] : -between.min[1];
  return moved(tilted, [x, y, z]);

  /** Flush to the fixed jaw, the face that the square stands against upright. */
  function setUpright(face: Vec): Pose {
    const side = square(alongY, face);
    const upright = scaled(side, dot(side, alongX) > 0 ? 1 : -1);
    return poseAlong(upright, alongY, cross(upright, alongY));
  }
}

/** Whether a face looks to the right in a pose. */
export const looksRight = ({ x, y, z }: Pose, face: Vec): boolean =>
  x[0] * face[0] + y[0] * face[1] + z[0] * face[2] > 0;

/** Jaw, bed and parallels are never quite true: the part is turned by as much. */
function tiltedBy(pose: Pose, e: HoldingErrors, onParallels: boolean): Pose {
  // About X by the jaw out of square, about Z by the jaw out of line, about Y by bed and parallels.
  const [a, b, c] = [e.jawSquare, e.bedAlong + (onParallels ? e.parallels / 100 : 0), e.jawLine];
  const small = ([x, y, z]: Vec): Vec => [x - c * y + b * z, y + c * x - a * z, z - b * x + a * y];
  const [x, y] = [unit(small(pose.x)), small(pose.y)];
  const straight = unit(plus(y, scaled(x, -dot(x, y))));
  return { x, y: straight, z: cross(x, straight), at: pose.at };
}

/** Everything that stands on the table while a part is held, as bodies. They belong to the present scope. */
export function bodiesOf(
  part: Solid,
  placing: Placing,
  things: ReadonlyMap<ThingId, Thing>,
  vise: Vise | null,
  kit: SolidKit,
): Body[] {
  const { min, max } = part.bounds;
  const bodies: Body[] = [];
  const add = (name: string, low: Vec, high: Vec) => {
    const [a, b] = [low, high].map((v): Vec => [...v]) as [Vec, Vec];
    bodies.push(bodyOf(name, kit.box(a, b)));
  };
  // Across the table from the fixed jaw: all is written for a jaw at the back, and turned round for one in front.
  const side = jawSide(placing.on === "table" ? null : vise);
  const across = (name: string, x: readonly [Mm, Mm], y: readonly [Mm, Mm], z: readonly [Mm, Mm]) =>
    side > 0
      ? add(name, [x[0], y[0], z[0]], [x[1], y[1], z[1]])
      : add(name, [x[0], -y[1], z[0]], [x[1], -y[0], z[1]]);
  const width = max[1] - min[1];
  if (placing.on === "table" || !vise) {
    add("the table", [-tableSize, -tableSize, -60], [tableSize, tableSize, 0]);
    const packing = things.get("packing");
    const straps = things.get("straps");
    const height = packing?.id === "packing" ? packing.height : 0;
    const underStraps = packing?.id === "packing" && packing.underStraps === true;
    if (height > 0 && !underStraps) {
      // Clear of what is cut, as told: a finger's width in from every edge.
      const inset = Math.min(12, width / 4, (max[0] - min[0]) / 4);
      add("the packing", [min[0] + inset, min[1] + inset, 0], [max[0] - inset, max[1] - inset, height]);
    }
    const plate = things.get("plate");
    if (plate?.id === "plate")
      // It is there to be cut into, but not through.
      add(
        "the plate",
        [min[0] - plateOut, min[1] - plateOut, 0],
        [max[0] + plateOut, max[1] + plateOut, plateKeeps],
      );
    if (straps?.id === "straps")
      bodies.push(...strapBodies(straps, underStraps ? height : 0, part, placing, kit));
    return bodies;
  }
  const half = vise.jawWidth / 2;
  const { jawDepth: deep, jawThickness: thick, bedHeight } = vise;
  const rod = things.get("rod");
  const between = width + (rod?.id === "rod" ? rod.diameter : 0);
  across("the fixed jaw", [-half, half], [0, thick], [0, deep]);
  across("the moving jaw", [-half, half], [-between - thick, -between], [0, deep]);
  across(
    "the bed",
    [-half, half],
    [-Math.max(vise.opening, between) - thick, thick],
    [-bedHeight + jawBehind, 0],
  );
  add("the table", [-tableSize, -tableSize, -bedHeight - 60], [tableSize, tableSize, -bedHeight]);
  const parallels = things.get("parallels");
  if (parallels?.id === "parallels") {
    const { length, height } = parallels;
    for (const { name, y } of slabsOf(parallels, width))
      across(name, [-length / 2, length / 2], y, [0, height]);
  }
  if (rod?.id === "rod") {
    const r = rod.diameter / 2;
    across(
      "the rod",
      [-half, half],
      [-width - rod.diameter, -width],
      [rod.height - r * 0.8, rod.height + r * 0.8],
    );
  }
  // A stop stands at the left end, as high as the jaws or the part, whichever is lower.
  if (things.has("stop")) {
    const top = Math.min(deep, max[2]) - 2;
    add("the stop", [min[0] - 14, (min[1] + max[1]) / 2 - 6, 0], [min[0], (min[1] + max[1]) / 2 + 6, top]);
  }
  blocksUnder();
  return bodies;

  /** V-blocks under a lying shaft: their V reaches to a third of the radius below its middle. */
  function blocksUnder() {
    const blocks = things.get("blocks");
    if (blocks?.id !== "blocks") return;
    const top = (min[2] + max[2]) / 2 - width / 6;
    const onTable = placing.on === "table" || !vise;
    const turned = sideOf(placing.at, "left", onTable ? "back" : vise.fixedJaw) === "right";
    const from = (m: Mm) => (turned ? max[0] - m : min[0] + m);
    const usual = onTable ? [] : [-vise.jawWidth / 4, vise.jawWidth / 4];
    for (const x of blocks.at?.map(from) ?? usual)
      if (top > 1) across("a V-block", [x - 18, x + 18], [-width - 6, onTable ? 6 : 0], [0, top]);
  }
}

/** Straps with their studs over one edge of the part. */
function strapBodies(
  { count, over, reach, at }: Extract<Thing, { id: "straps" }>,
  underneath: Mm,
  part: Solid,
  placing: Placing,
  kit: SolidKit,
): Body[] {
  const { min, max } = part.bounds;
  // On the table X and Y of the machine: the fixed face to the back, so the edge it names lies there.
  const onY = over === placing.at.fixed ? 1 : over === oppositeOf(placing.at.fixed) ? -1 : 0;
  const [thick, wide, tail, stud] = [20, 25, 60, 6];
  if (at && at.length > 0)
    return at.flatMap(({ edge, left }): Body[] => {
      const way = edge === "back" ? 1 : -1;
      const x = min[0] + left;
      const on = way > 0 ? max[1] : min[1];
      const [tip, heel] = [on - way * reach, on + way * tail];
      const box = (a: Vec, b: Vec) =>
        kit.box(
          [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])],
          [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])],
        );
      const below =
        underneath > 0
          ? [bodyOf("the packing", box([x - wide / 2, on, 0], [x + wide / 2, tip, underneath]))]
          : [];
      return [
        bodyOf("a strap", box([x - wide / 2, tip, max[2]], [x + wide / 2, heel, max[2] + thick])),
        bodyOf(
          "a stud",
          box([x - stud, on + way * 12 - stud, 0], [x + stud, on + way * 12 + stud, max[2] + 35]),
        ),
        ...below,
      ];
    });
  return Array.from({ length: count }, (_, i): Body[] => {
    const share = (i + 1) / (count + 1);
    const x = min[0] + (max[0] - min[0]) * share;
    const y = min[1] + (max[1] - min[1]) * share;
    const top = max[2];
    const rise = 35;
    if (onY !== 0) {
      const edge = onY > 0 ? max[1] : min[1];
      const [from, to] = onY > 0 ? [edge - reach, edge + tail] : [edge - tail, edge + reach];
      return [
        bodyOf("a strap", kit.box([x - wide / 2, from, top], [x + wide / 2, to, top + thick])),
        bodyOf(
          "a stud",
          kit.box([x - stud, edge + onY * 12 - stud, 0], [x + stud, edge + onY * 12 + stud, top + rise]),
        ),
      ];
    }
    const edge = max[0];
    return [
      bodyOf("a strap", kit.box([edge - reach, y - wide / 2, top], [edge + tail, y + wide / 2, top + thick])),
      bodyOf("a stud", kit.box([edge + 12 - stud, y - stud, 0], [edge + 12 + stud, y + stud, top + rise])),
    ];
  }).flat();
}

const oppositeOf = (face: Orientation["up"]): Orientation["up"] => downOf({ up: face, fixed: face });

/** What the jaws and the support really touch. */
export interface Contact {
  /** Area each support carries, mm²; by its name. */
  supports: { name: string; area: number; at: Vec }[];
  /** Height and area each jaw holds, mm and mm². */
  jaws: { name: string; height: Mm; area: number; at: Vec }[];
}

const skin = 0.3;

/** Where a part that lies in the vise is really touched: by bodies, whatever was planned. */
export function contactOf(
  part: Workpart,
  solid: Solid,
  placing: Placing,
  things: ReadonlyMap<ThingId, Thing>,
  vise: Vise,
  kit: SolidKit,
): Contact {
  const { min, max } = solid.bounds;
  const side = jawSide(vise);
  const half = vise.jawWidth / 2;
  const within = (low: Vec, high: Vec) => {
    const [y0, y1] = side > 0 ? [low[1], high[1]] : [-high[1], -low[1]];
    return solid.within(kit.box([low[0], y0, low[2]], [high[0], y1, high[2]]));
  };
  const width = max[1] - min[1];
  const top = vise.jawDepth - vise.jawChamfer;
  // A raw face is not flat: it is touched wherever it comes near.
  const slack = (machined: boolean) => (machined ? skin : 1.2);
  const supports: Contact["supports"] = [];
  const base = supportHeight(things);
  const rest = slack(part.machined[downOf(placing.at)]);
  const parallels = things.get("parallels");
  const support = (name: string, x: readonly [Mm, Mm], y: readonly [Mm, Mm]) => {
    const slab = within([x[0], y[0], base - 0.05], [x[1], y[1], base + rest]);
    supports.push({ name, area: slab.volume / rest, at: [0, side * ((y[0] + y[1]) / 2), base] });
  };
  if (parallels?.id === "parallels") {
    const { length } = parallels;
    for (const { name, y } of slabsOf(parallels, width)) support(name, [-length / 2, length / 2], y);
  } else support("the bed", [-half, half], [-width, 0]);
  const jaw = (name: string, from: Mm, to: Mm, thick: Mm) => {
    const slab = within([-half, from, 0], [half, to, top]);
    const height = slab.empty ? 0 : slab.bounds.max[2] - slab.bounds.min[2];
    return { name, height, area: slab.volume / thick, at: [0, side * from, top / 2] as Vec };
  };
  // The moving jaw comes as far as the metal between the jaws lets it.
  const gripped = within([-half, -width - 1, 0], [half, 0, top]);
  const reached = gripped.empty ? -width : side > 0 ? gripped.bounds.min[1] : -gripped.bounds.max[1];
  const fixed = slack(part.machined[placing.at.fixed]);
  const moving = slack(part.machined[oppositeOf(placing.at.fixed)]);
  const rod = things.get("rod");
  return {
    supports,
    jaws: [
      jaw("the fixed jaw", -fixed, 0, fixed),
      rod?.id === "rod" ? rodContact(rod.height) : jaw("the moving jaw", reached, reached + moving, moving),
    ],
  };

  /** A rod meets whatever metal stands at its height, along a line. */
  function rodContact(height: Mm) {
    const met = within([-half, -width - 1, height - 1], [half, 0, height + 1]);
    const long = met.empty ? 0 : met.bounds.max[0] - met.bounds.min[0];
    return {
      name: "the rod",
      height: long > 0 ? 2 : 0,
      area: long * 2,
      at: [0, -side * width, height] as Vec,
    };
  }
}

/** A direction of the machine as the part sees it. */
export const asPartSees = (pose: Pose, direction: Vec): Vec => {
  const { x, y, z } = inverse(pose);
  return plus(plus(scaled(x, direction[0]), scaled(y, direction[1])), scaled(z, direction[2]));
};
