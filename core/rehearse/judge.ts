import { type Axis, axisNames, axisOf, type Face, facesOf } from "../frame/index.ts";
import { cutoutOf, featuresOf, limitsOf, type Part, siteOfPart } from "../part/index.ts";
import type { Dimension, Mm } from "../quantity/index.ts";
import type { Finding } from "./finding.ts";

import type { Workpart } from "./lump.ts";
import type { Stroke } from "./report.ts";
import type { Solid, SolidKit, Vec } from "./solid.ts";
import { blockSizes, cutoutBoxes, drawnPose, drawnSolid, drillPoints, siteAs } from "./truth.ts";
import { inverse } from "./vec.ts";
import { middleOf } from "./workpiece.ts";

/** Chords of arcs, seats and rounded stops leave no more than this, mm. */
const unseen = 0.04;
/** Smaller than this is no piece of metal, mm³. */
const speck = 0.4;

/** How thick a sheet or a lump of metal is on the average: twice its volume over its surface. */
const thickness = (piece: Solid): Mm => (2 * piece.volume) / piece.area;

/**
 * What of the part lies outside its drawing, or the other way round, in pieces. A skin all round is one piece with a cavity: its
 * outer surface alone would count as the whole body.
 */
function outside(body: Solid, other: Solid): Solid[] {
  const left = body.minus(other);
  const { pieces } = left;
  return pieces.some((p) => p.volume < 0) ? [left] : pieces;
}

/** How thick what a round cutter leaves in a sharp corner is, as thickness is counted here: 2 (1 − π/4) R² over (2 + π/2) R. */
const filletOf = (radius: Mm): Mm => (radius * (2 - Math.PI / 2)) / (2 + Math.PI / 2);

interface Where {
  op: string;
  step: string;
  setup: number;
}

/** Half of the tolerance that a size may be off by. */
const half = (d: Dimension | null | undefined, part: Part): Mm => {
  if (!d) return 0;
  const { lower, upper } = limitsOf(d, part);
  return (upper - lower) / 2;
};

/** How far the walls of every feature may lie from where they are drawn: by its sizes and its places, mm. */
function allowance(part: Part): Map<string, Mm> {
  return new Map(
    featuresOf(part).map((feature) => {
      const sizes = Object.values(feature.sizes as Record<string, Dimension | null>);
      const largest = Math.max(0.05, ...sizes.map((d) => half(d, part)));
      const placed = Math.max(...[feature.first.at, feature.second.at].map((d) => half(d, part)), 0);
      return [feature.id, largest + placed];
    }),
  );
}

export interface JudgeAsked {
  part: Workpart;
  drawing: Part;
  /** Features of which nothing is cut, and those that are not finished: not yet, or refused. */
  untouched: ReadonlySet<string>;
  unfinished: ReadonlySet<string>;
  /** Sizes that are to be reached by now. */
  axes: readonly Axis[];
  /** Faces that stay as they were bought, as the application says itself: nothing is held against their skin. */
  raw: readonly Face[];
  /** Radius that stays where walls of a feature meet, as the application says itself, mm. */
  corners: ReadonlyMap<string, Mm>;
  /** How far out of square or parallel the application says itself that its faces may come, mm. */
  form: Mm;
  /** Whether the block stands as it will, so that what is cut into it can be held against it. */
  squared: boolean;
  strokes: readonly Stroke[];
  kit: SolidKit;
  /** What is said where no stroke is to blame. */
  end: Where;
}

/**
 * What the part is against its drawing at the end of a setup, or of all: metal left over it and cut below it, with the feature or
 * face, and the step that cut there. The block counts as it came out; its own sizes are held against their limits.
 */
export function judgePart({
  part,
  drawing,
  untouched,
  unfinished,
  axes,
  raw,
  corners,
  form,
  squared,
  strokes,
  kit,
  end,
}: JudgeAsked): Finding[] {
  return kit.scope(() => {
    const findings: Finding[] = [];
    const pose = drawnPose(part);
    const solid = part.solid.posed(pose);
    const planned = siteOfPart(drawing);
    const { min, max } = solid.bounds;
    const whole = Object.fromEntries(axisNames.map((axis, i) => [axis, max[i]! - min[i]!])) as Record<
      Axis,
      Mm
    >;
    // Before the block has its sizes what is cut into it lies where its faces are now.
    const now = siteAs(drawing, whole);
    const gone = [planned, now].flatMap((site) => (site ? cutoutBoxes(drawing, site) : []));
    const actual = Object.fromEntries(
      axisNames.map((axis) => {
        const sizes = blockSizes(solid, axis, gone);
        if (sizes.length > 0) return [axis, Math.max(...sizes)];
        // Where features take all of a face away nothing of it is left to measure over: it is where it was drawn.
        const drawn = planned?.sizes[axis] ?? 0;
        return [axis, drawn - whole[axis] > allGone ? drawn : whole[axis]];
      }),
    ) as Record<Axis, Mm>;
    if (!drawing.shaft)
      for (const axis of axes) {
        const size = drawing.sizes[axis];
        if (!size) continue;
        const { lower, upper } = limitsOf(size, drawing);
        const every = blockSizes(solid, axis, gone);
        if (every.length === 0) continue;
        // Past the edge of a side that is still raw and slants there is no size.
        const whole = Math.max(...every);
        const all = every.filter((is) => is > 0.97 * whole);
        const [least, most] = [Math.min(...all), Math.max(...all)];
        const place = middleOf(solid.bounds);
        if (most > upper + unseen / 2)
          findings.push({ ...end, sort: "left", size: most - upper, what: axis, at: place });
        // A face that is said to be still raw may dip below its size: where it is thickest it was cut too deep.
        const cut = facesOf(axis).some((face) => raw.includes(face)) ? most : least;
        if (cut < lower - unseen / 2)
          findings.push({ ...end, sort: "below", size: lower - cut, what: axis, at: place });
      }
    const site = squared ? siteAs(drawing, actual) : null;
    if (!site) return findings;
    const allowed = allowance(drawing);
    const boxes = featuresOf(drawing).flatMap((feature) => {
      const cutout = untouched.has(feature.id) ? null : cutoutOf(feature, site);
      return cutout ? [{ id: feature.id, box: cutout.box }] : [];
    });
    const near = 1.5;
    const meeting = (low: Vec, high: Vec) =>
      boxes.filter(({ box }) =>
        axisNames.every((axis, i) => high[i]! > box[axis][0] - near && low[i]! < box[axis][1] + near),
      );
    const featureAt = (p: Vec): string | null => {
      const found = meeting(p, p);
      const size = ({ box }: (typeof boxes)[number]) =>
        axisNames.reduce((v, axis) => v * (box[axis][1] - box[axis][0] + 1), 1);
      return found.sort((a, b) => size(a) - size(b))[0]?.id ?? null;
    };
    const told = (pieces: Solid[], sort: "left" | "below") => {
      for (const piece of pieces) {
        if (piece.volume < speck) continue;
        const thick = thickness(piece);
        const at = middleOf(piece.bounds);
        const feature = featureAt(at);
        const { min: low, max: high } = piece.bounds;
        // A skin along the walls of two that cross is one piece with what round cutters leave in the corners of both.
        const beside = feature !== null ? [feature] : meeting(low, high).map(({ id }) => id);
        const mayOf = (id: string) => Math.max(allowed.get(id) ?? 0, unseen) + filletOf(corners.get(id) ?? 0);
        const may = Math.max(feature === null ? form : 0, unseen, ...beside.map(mayOf)) + unseen;
        if (thick <= may) continue;
        const where = sort === "below" ? blame(piece, strokes, pose, kit) : null;
        findings.push({
          ...(where ?? { ...end, ...(feature ? { op: feature, step: "end" } : {}) }),
          sort,
          size: thick,
          what: feature ?? "the block",
          at,
        });
      }
    };
    const skins = raw.map((face) => skinOf(face, actual, kit));
    const bared = (body: Solid): Solid => skins.reduce((rest, skin) => rest.minus(skin), body);
    told(outside(bared(solid), bared(drawnSolid(drawing, site, unfinished, kit))), "left");
    const least = drawnSolid(drawing, site, untouched, kit).minus(drillPoints(drawing, site, kit));
    told(outside(bared(least), bared(solid)), "below");
    return findings;
  });
}

/** Shorter than drawn by more than this a part has lost all of a face to what is cut into it, mm: no face is cut so far wrong unsaid. */
const allGone = 1;

/** How far from a face metal still belongs to its skin, mm. */
const skinDeep = 1.5;
/** Beyond any part, mm. */
const far = 2000;

/** The skin of a face of the block: a layer under it, and all that stands over it. */
function skinOf(face: Face, sizes: Record<Axis, Mm>, kit: SolidKit): Solid {
  const axis = axisOf(face);
  const i = axisNames.indexOf(axis);
  const low: [Mm, Mm, Mm] = [-far, -far, -far];
  const high: [Mm, Mm, Mm] = [far, far, far];
  if (facesOf(axis)[0] === face) high[i] = skinDeep;
  else low[i] = sizes[axis] - skinDeep;
  return kit.box(low, high);
}

/** The stroke that took a piece of metal away: the first whose way holds most of it. */
function blame(piece: Solid, strokes: readonly Stroke[], drawn: Stroke["pose"], kit: SolidKit): Where | null {
  const whole = piece.volume;
  const inPart = piece.posed(inverse(drawn));
  const poses = new Map<Stroke["pose"], Solid>();
  for (const stroke of strokes) {
    let here = poses.get(stroke.pose);
    if (!here) poses.set(stroke.pose, (here = inPart.posed(stroke.pose)));
    const { min, max } = here.bounds;
    const { low, high } = stroke.body;
    if (([0, 1, 2] as const).some((i) => max[i] < low[i] || min[i] > high[i])) continue;
    if (here.within(kit.box(low, high)).volume > 0.5 * whole) {
      const { op, step, setup } = stroke;
      return { op, step, setup };
    }
  }
  return null;
}
