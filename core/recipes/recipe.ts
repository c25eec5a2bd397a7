import { type Axis, axisOf, type Face, facesOf, type Sizes, spansWithin } from "../frame/index.ts";
import type { CutTask } from "../cutting/index.ts";
import type { CutterKind } from "../handbook/index.ts";
import {
  acrossAxis,
  type Cutout,
  type Feature,
  type FeatureKind,
  fittedLimits,
  limitsOf,
  type Part,
  type Prism,
  type Site,
  sectionAt,
  type ShaftSection,
} from "../part/index.ts";
import { type Dimension, type Limits, middle, type Mm, tidy } from "../quantity/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { Area, Sides, Sweep } from "./sweep.ts";

/** A size that is measured once an operation is done, and what it should be; mm. */
export interface Measured {
  /** Key of the size in its feature. */
  size: string;
  name: Phrase;
  target: Mm;
  limits: Limits;
  /** Before the last wall: what is left of it is the reading against what it should be now. */
  before: boolean;
  /** Grows as metal goes (a slot), or shrinks (a boss). */
  grows: boolean;
  /** It is critical: it is not left unread. */
  critical?: boolean;
}

/** What a tool must be to do a work. */
export type ToolWish =
  | {
      by: "mill";
      kind: CutTask["kind"];
      /** Largest and smallest diameter that does, mm. */
      most: Mm | null;
      least: Mm | null;
      /** Must go down into solid metal. */
      plunges: boolean;
      /** What comes off sideways where a wall is cut, mm; null where it hangs on the cutter. */
      total: Mm | null;
      /** Half the tolerance of the wall it makes, mm. */
      halfTolerance: Mm | null;
      /** Head tilted by so many degrees: a step of the knee is not the depth. */
      tilt: number | null;
    }
  | {
      by: "hole" | "form";
      kinds: readonly CutterKind[];
      /** Diameter, and how far off it may be; mm. */
      diameter: Mm;
      over: Mm;
      under: Mm;
      /** Width along its axis it must have, mm; entering angle in degrees. */
      width?: Mm;
      angle?: number;
      /** Feed of a tap, mm a turn. */
      pitch?: Mm;
      /** The hole a boring head goes into, mm: its bar has to pass. */
      enters?: Mm;
      /** What would do, for whoever has none. */
      wanted: Phrase;
    }
  | { by: "hand"; minutes: number; with: string };

/** One operation of a feature before its tool is chosen. */
export interface Work {
  /** Names it within its feature: `rough`, `wall-left`. */
  task: string;
  title: Phrase;
  sweep: Sweep;
  /** Below the approach face: where the metal begins, and how deep it goes; mm. */
  top: Mm;
  floor: Mm;
  tool: ToolWish;
  /** How exact its places must be, mm. */
  exact: Mm;
  measure: Measured | null;
  notes: readonly Warning[];
}

/** One way of making a feature. */
export interface Way {
  name: string;
  why: Phrase;
  /** The face that is up. */
  up: Face;
  /** The face that must stand to the front, where the cutter comes from the side; null for any. */
  front?: Face;
  works: readonly Work[];
}

/** What a recipe knows of the part. */
export interface RecipePlace {
  part: Part;
  site: Site;
  sizes: Sizes;
  shop: Shop;
  machine: Machine;
  cutout: Cutout;
  /** What was taken out before it. */
  before: readonly Cutout[];
  /** What the other features take out, whenever that is. */
  others: readonly Cutout[];
}

/** All that is known of making a kind of feature: its ways, best liked first; never empty. */
export type Recipe<F extends Feature = Feature> = (feature: F, place: RecipePlace) => readonly Way[];

export type OfKind<K extends FeatureKind> = Extract<Feature, { kind: K }>;

/** Where the metal of a cutout begins and ends below an approach face, mm. */
export function depthsFrom(up: Face, [low, high]: readonly [Mm, Mm], sizes: Sizes): { top: Mm; floor: Mm } {
  const axis = axisOf(up);
  return up === facesOf(axis)[1]
    ? { top: tidy(sizes[axis] - high), floor: tidy(sizes[axis] - low) }
    : { top: tidy(low), floor: tidy(high) };
}

/** How deep below an approach face the metal begins at a place, after what was taken out before; mm. */
export function metalFrom(up: Face, point: readonly [Mm, Mm], { before, sizes, site }: RecipePlace): Mm {
  const [x, y] = point;
  const axis = axisOf(up);
  const [a, b] = acrossAxis(axis);
  const at = { [axis]: NaN, [a]: x, [b]: y } as Sizes;
  const columns = before
    .flatMap(({ prisms }) => prisms.flatMap((prism) => columnsIn(prism, axis, at)))
    .map((span) => depthsFrom(up, span, sizes))
    .sort((one, other) => one.top - other.top);
  // One below the other is one column.
  const round = site.shaft && axis !== "length" ? roundAt(site.shaft, sizes.width, point) : 0;
  return columns.reduce(
    (deep, { top, floor }) => (top < deep + atEdge ? Math.max(deep, floor) : deep),
    round,
  );
}

/** How deep below the crown of its thickest section the round of a shaft lies at a place along it and beside its axis, mm. */
function roundAt(shaft: readonly ShaftSection[], thickest: Mm, [along, beside]: readonly [Mm, Mm]): Mm {
  const section = sectionAt(shaft, along);
  if (!section) return 0;
  const off = beside - thickest / 2;
  return tidy(thickest / 2 - Math.sqrt(Math.max(0, (section.diameter / 2) ** 2 - off ** 2)));
}

/** So far beside the axis of a shaft, as a share of the radius there, a drill starts on a slope. */
const steep = 0.25;

/** Whether a place lies on the slope of a round. */
export function onSlope(up: Face, [along, beside]: readonly [Mm, Mm], { site, sizes }: RecipePlace): boolean {
  const section = site.shaft && axisOf(up) !== "length" ? sectionAt(site.shaft, along) : null;
  return section !== null && Math.abs(beside - sizes.width / 2) > (steep * section.diameter) / 2;
}

/** Where a line through a place, along an axis, runs in what a prism took out. */
function columnsIn(prism: Prism, along: Axis, at: Sizes): readonly (readonly [Mm, Mm])[] {
  if (prism.thread || prism.island || prism.inset !== undefined) return [];
  const [a, b] = acrossAxis(prism.axis);
  if (prism.axis === along) {
    const within = spansWithin(prism.outline, "x", at[a]).some(([low, high]) => at[b] > low && at[b] < high);
    return within ? [prism.span] : [];
  }
  const beyond = at[prism.axis] <= prism.span[0] || at[prism.axis] >= prism.span[1];
  return beyond ? [] : spansWithin(prism.outline, a === along ? "y" : "x", at[a === along ? b : a]);
}

const atEdge = 1e-6;

/** Whether the two sizes across a face, in their order, run left and right the other way than seen from it. */
const seenMirrored = (up: Face): boolean => (axisOf(up) === "width") === (facesOf(axisOf(up))[1] === up);

/** The rectangle a box is from an approach, with a wall where it ends within the part. */
export function areaOfBox(up: Face, box: Cutout["box"], sizes: Sizes): Area {
  const [a, b] = acrossAxis(axisOf(up));
  const walls: Sides = {
    xLow: box[a][0] > atEdge,
    xHigh: box[a][1] < sizes[a] - atEdge,
    yLow: box[b][0] > atEdge,
    yHigh: box[b][1] < sizes[b] - atEdge,
  };
  return { x: box[a], y: box[b], walls, boss: null, corner: 0, mirrored: seenMirrored(up) };
}

/**
 * The size of a feature that is aimed at: the middle of its limits, as the drawing or the general tolerance gives them; where
 * it fits a mate that was measured, that size with the middle of the gap wanted.
 */
export function aimOf(
  feature: Feature,
  key: string,
  part: Part,
): { target: Mm; limits: Limits; mate: string | null } | null {
  const fitted = fittedLimits(part, `${feature.id}/${key}`);
  if (fitted) return { target: tidy(middle(fitted.limits)), limits: fitted.limits, mate: fitted.other };
  const dimension = (feature.sizes as Record<string, Dimension | null | undefined>)[key];
  if (!dimension) return null;
  const limits = limitsOf(dimension, part);
  return { target: tidy(middle(limits)), limits, mate: null };
}

/** The axis of the part that counts as X or Y from an approach. */
export const planeAxis = (up: Face, which: "x" | "y"): Axis => acrossAxis(axisOf(up))[which === "x" ? 0 : 1];

/** The name of a side of an area: the face it lies toward. */
export const sideFace = (up: Face, side: keyof Sides): Face =>
  facesOf(planeAxis(up, side[0] as "x" | "y"))[side.endsWith("Low") ? 0 : 1];
