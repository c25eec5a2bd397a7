import {
  type Axis,
  axesAcross,
  axisNames,
  axisOf,
  chordsOf,
  type Face,
  extentOfOutline,
  facesOf,
  type Outline,
  outlineArea,
} from "../frame/index.ts";
import {
  acrossAxis,
  boxOfPrism,
  type Cutout,
  cutoutOf,
  type Feature,
  featuresOf,
  type Part,
  type Prism,
  type Site,
  siteOfPart,
} from "../part/index.ts";
import { type Dimension, dimensionOf, type Mm } from "../quantity/index.ts";
import type { Workpart } from "./lump.ts";
import type { Pose, Solid, SolidKit, Vec } from "./solid.ts";
import { cross, dot, moved, plus, poseAlong, scaled, unit } from "./vec.ts";

/** The drawing as a body, and what a part really is against it. Nothing here knows how anything is cut. */

const place: Record<Axis, 0 | 1 | 2> = { length: 0, width: 1, height: 2 };
const directions: Record<Axis, Vec> = { length: [1, 0, 0], width: [0, 1, 0], height: [0, 0, 1] };
/** Chords of a drawn arc leave it by no more than this, mm. */
const cusp = 0.005;
/** A prism that reaches a face goes this far past it, so that no skin is left on it. */
const past = 0.5;

/** From a drawing over two sizes, pulled along the third, into the part. */
function uprightFor(axis: Axis): Pose {
  const [a, b] = acrossAxis(axis);
  return { x: directions[a], y: directions[b], z: directions[axis], at: [0, 0, 0] };
}

function contour(outline: Outline): [number, number][] {
  const chords = chordsOf(outline, cusp);
  return outlineArea(outline) < 0 ? chords.reverse() : chords;
}

function prismSolid(
  { axis, outline, span, island, inset }: Prism,
  face: Face,
  site: Site,
  kit: SolidKit,
): Solid {
  const size = site.sizes[axis];
  const low = span[0] <= 1e-6 ? span[0] - past : span[0];
  const high = span[1] >= size - 1e-6 ? span[1] + past : span[1];
  if (inset !== undefined) {
    const { x, y } = extentOfOutline(outline);
    const r = (x[1] - x[0]) / 2;
    const atHigh = face === facesOf(axis)[1];
    const small = Math.max(0.01, r - inset);
    return kit
      .cone(span[0], span[1], atHigh ? small : r, atHigh ? r : small, 64)
      .posed({ x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2, 0] })
      .posed(uprightFor(axis));
  }
  const region = kit.region([contour(outline)]);
  const cleared = island ? region.minus(kit.region([contour(island)])) : region;
  return cleared.raised(low, high).posed(uprightFor(axis));
}

/** What a feature takes out, as a body in the drawn part. */
export const cutoutSolid = (cutout: Cutout, site: Site, kit: SolidKit): Solid =>
  kit.union(cutout.prisms.filter((p) => !p.thread).map((p) => prismSolid(p, cutout.face, site, kit)));

/** Half the angle of an ordinary drill's point, degrees. */
const drillPoint = 59;

/** What the points of drills leave below the floors of blind holes: no drawing forbids it. */
export function drillPoints(part: Part, site: Site, kit: SolidKit): Solid {
  const points = featuresOf(part).flatMap((feature) => {
    const cutout = feature.kind === "hole" ? cutoutOf(feature, site) : null;
    return (cutout?.prisms ?? []).flatMap(({ axis, outline, span, thread }): Solid[] => {
      if (thread) return [];
      const { x, y } = extentOfOutline(outline);
      const r = (x[1] - x[0]) / 2 + 0.1;
      const deep = r / Math.tan((drillPoint * Math.PI) / 180) + 0.4;
      const high = cutout!.face === facesOf(axis)[1];
      return [
        (high
          ? kit.cone(span[0] - deep, span[0], 0.01, r, 48)
          : kit.cone(span[1], span[1] + deep, r, 0.01, 48)
        )
          .posed({ x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2, 0] })
          .posed(uprightFor(axis)),
      ];
    });
  });
  return kit.union(points);
}

/** The finished part as drawn, without those features that are left out. */
export function drawnSolid(part: Part, site: Site, out: ReadonlySet<string>, kit: SolidKit): Solid {
  const { sizes, shaft } = site;
  const whole = shaft
    ? kit.union(
        shaft.map(({ diameter, from, to }) =>
          kit
            .cone(from, to, diameter / 2, diameter / 2, 96)
            .posed({ x: [0, 1, 0], y: [0, 0, 1], z: [1, 0, 0], at: [0, sizes.width / 2, sizes.height / 2] }),
        ),
      )
    : kit.box([0, 0, 0], [sizes.length, sizes.width, sizes.height]);
  return featuresOf(part).reduce((solid, feature) => {
    const cutout = out.has(feature.id) ? null : cutoutOf(feature, site);
    return cutout ? solid.minus(cutoutSolid(cutout, site, kit)) : solid;
  }, whole);
}

/** Lays a real part as the drawing lies: its bottom down, its front to the front, its low faces at nothing. */
export function drawnPose({ solid, planes, machined }: Workpart): Pose {
  // Machined faces lie as drawn, raw ones as they happen to: of each size the better face counts, and first the size with more of them.
  const ways = (["height", "width", "length"] as const)
    .map((axis) => {
      const [low, high] = facesOf(axis);
      const byHigh = !machined[low] && machined[high];
      return {
        axis,
        way: byHigh ? planes[high] : scaled(planes[low], -1),
        good: Number(machined[low]) + Number(machined[high]),
      };
    })
    .sort((a, b) => b.good - a.good);
  const [first, second] = ways;
  const one = unit(first!.way);
  const two = unit(plus(second!.way, scaled(one, -dot(second!.way, one))));
  const known = { [first!.axis]: one, [second!.axis]: two } as Partial<Record<Axis, Vec>>;
  const { length, width, height } = known;
  const x = length ?? cross(width!, height!);
  const y = width ?? cross(height!, x);
  const pose = poseAlong(x, y, height ?? cross(x, y));
  const { min } = solid.posed(pose).bounds;
  return moved(pose, [-min[0], -min[1], -min[2]]);
}

/** Thickness of a body along a straight way through a point: of the metal about it, or of the gap. */
function across(solid: Solid, through: Vec, axis: Axis, want: "metal" | "gap"): [Mm, Mm] | null {
  const i = place[axis];
  const { min, max } = solid.bounds;
  const at = (value: number): Vec => {
    const p: [number, number, number] = [...through];
    p[i] = value;
    return p;
  };
  const [low, high] = [min[i] - 1, max[i] + 1];
  const found = solid.crossings(at(low), at(high)).map((t) => low + t * (high - low));
  // Crossings that coincide are one surface seen twice.
  const walls = found.filter((f, k) => k === 0 || f - found[k - 1]! > 1e-5);
  const here = through[i];
  if (want === "metal") {
    for (let k = 0; k + 1 < walls.length; k += 2)
      if (walls[k]! <= here + 1e-3 && walls[k + 1]! >= here - 1e-3) return [walls[k]!, walls[k + 1]!];
    return null;
  }
  const below = walls.filter((w) => w <= here).at(-1) ?? low;
  const above = walls.find((w) => w >= here) ?? high;
  return [below, above];
}

/** So near to a cutout a face may be rounded or burred, mm. */
const beside = 0.4;

/** The jaws of a caliper lie at least so far in from an edge, mm. */
const fromEdge = 1.5;

/** Where features take the faces of a part away, by the drawing; between the holes of a pattern the faces stand. */
export const cutoutBoxes = (part: Part, site: Site): Cutout["box"][] =>
  featuresOf(part).flatMap((feature) => cutoutOf(feature, site)?.prisms.map(boxOfPrism) ?? []);

/** The size of a block along one axis wherever its two faces still stand, at up to 25 places, mm; none where features took all of them. @param solid laid as the drawing lies */
export function blockSizes(solid: Solid, axis: Axis, cutouts: readonly Cutout["box"][]): Mm[] {
  const { min, max } = solid.bounds;
  const [a, b] = axesAcross(facesOf(axis)[0]);
  // Nobody measures at the very edge, where a raw side slants or is broken.
  const within = (n: Axis, share: number): Mm => {
    const size = max[place[n]] - min[place[n]];
    const inset = Math.min(fromEdge, 0.3 * size);
    return min[place[n]] + Math.max(inset, Math.min(size - inset, size * share));
  };
  const at = (share: number, other: number): Vec => {
    const p: [number, number, number] = [0, 0, 0];
    p[place[a]] = within(a, share);
    p[place[b]] = within(b, other);
    p[place[axis]] = (min[place[axis]] + max[place[axis]]) / 2;
    return p;
  };
  const whole = max[place[axis]] - min[place[axis]];
  const shares = [0.06, 0.28, 0.503, 0.72, 0.94];
  const places = shares.flatMap((i) => shares.map((j) => [i, j - 0.004] as const));
  const sizes = places.flatMap(([i, j]) => {
    const p = at(i, j);
    const cutThere = cutouts.some((box) =>
      [a, b].every((n) => p[place[n]] > box[n][0] - beside && p[place[n]] < box[n][1] + beside),
    );
    if (cutThere) return [];
    const low: [number, number, number] = [...p];
    const high: [number, number, number] = [...p];
    low[place[axis]] = min[place[axis]] - 1;
    high[place[axis]] = max[place[axis]] + 1;
    const hits = solid.crossings(low, high);
    if (hits.length < 2) return [];
    return [(hits.at(-1)! - hits[0]!) * (whole + 2)];
  });
  // Where features took all but a ledge there is no place left to measure the block.
  return Math.max(0, ...sizes) < 0.5 * whole ? [] : sizes;
}

const bigger = (d: Dimension, by: Mm): Dimension => dimensionOf(d.nominal + by, d.written.unit, d);

/** Where a size of a feature is to be measured in the drawn part. */
interface Probe {
  axis: Axis;
  through: Vec;
  kind: "gap" | "metal" | { from: Face };
}

/** Kinds whose radius or leg is no straight distance between walls. */
const notStraight = new Set(["cornerRadius", "arc", "chamfer", "dovetail", "outline", "slope"]);

/** Finds where a size lies by what it moves: the drawing once more with it a little larger. */
function probeOf(feature: Feature, size: string, over: boolean, site: Site): Probe | null {
  if (notStraight.has(feature.kind)) return null;
  const sizes = feature.sizes as Record<string, Dimension | null | undefined>;
  const here = cutoutOf(feature, site);
  if (!here) return null;
  const middle = (box: Cutout["box"]): Vec => [
    (box.length[0] + box.length[1]) / 2,
    (box.width[0] + box.width[1]) / 2,
    (box.height[0] + box.height[1]) / 2,
  ];
  if (over)
    return { axis: axisOf(feature.face), through: beyondFloor(here, middle(here.box)), kind: "metal" };
  const drawn = sizes[size];
  if (!drawn) return null;
  const larger = { ...feature, sizes: { ...sizes, [size]: bigger(drawn, 0.1) } } as unknown as Feature;
  const after = cutoutOf(larger, site);
  if (!after) return null;
  const between = tongueBetween(here, after, site);
  if (between) return between;
  for (const [i, prism] of here.prisms.entries()) {
    const other = after.prisms[i];
    if (!other || prism.thread) continue;
    const [a, b] = [boxOfPrism(prism), boxOfPrism(other)];
    for (const axis of axisNames) {
      const [low, high] = [
        Math.abs(a[axis][0] - b[axis][0]) > 1e-6,
        Math.abs(a[axis][1] - b[axis][1]) > 1e-6,
      ];
      if (!low && !high) continue;
      const size = site.sizes[axis];
      const [first, last] = facesOf(axis);
      const openLow = a[axis][0] <= 1e-6;
      const openHigh = a[axis][1] >= size - 1e-6;
      // A groove with slanting walls is as wide as it is where it opens.
      const at: [number, number, number] = [...middle(a)];
      if (feature.kind === "vGroove" && axis !== axisOf(feature.face)) {
        const deep = axisOf(feature.face);
        at[place[deep]] = feature.face === facesOf(deep)[1] ? a[deep][1] - 0.02 : a[deep][0] + 0.02;
      }
      // Across a pocket with a boss in it one measures beside the boss.
      if (prism.island && axis !== prism.axis) {
        const [p, q] = acrossAxis(prism.axis);
        const beside = axis === p ? q : p;
        const stands = extentOfOutline(prism.island)[beside === p ? "x" : "y"];
        at[place[beside]] =
          stands[0] - a[beside][0] > a[beside][1] - stands[1]
            ? (a[beside][0] + stands[0]) / 2
            : (stands[1] + a[beside][1]) / 2;
      }
      if (openLow !== openHigh) return { axis, through: at, kind: { from: openLow ? first : last } };
      return openLow ? null : { axis, through: at, kind: "gap" };
    }
    if (prism.island && other.island) {
      const [x, y] = [extentOfOutline(prism.island), extentOfOutline(other.island)];
      const [p, q] = acrossAxis(prism.axis);
      const axis = Math.abs(x.x[1] - y.x[1]) > 1e-6 ? p : Math.abs(x.y[1] - y.y[1]) > 1e-6 ? q : null;
      if (!axis) continue;
      const at: [number, number, number] = [...middle(a)];
      at[place[p]] = (x.x[0] + x.x[1]) / 2;
      at[place[q]] = (x.y[0] + x.y[1]) / 2;
      // Round about what stands, out to the faces: its width counts from a face.
      const stands = axis === p ? x.x : x.y;
      if (a[axis][0] <= 1e-6) {
        at[place[axis]] = (a[axis][0] + stands[0]) / 2;
        return { axis, through: at, kind: { from: facesOf(axis)[0] } };
      }
      return { axis, through: at, kind: "metal" };
    }
  }
  return null;
}

/** The metal left standing between two pieces that are taken out on either side of it, when a size moves both. */
function tongueBetween(here: Cutout, after: Cutout, site: Site): Probe | null {
  for (const axis of axisNames) {
    const walls = here.prisms.flatMap((prism, i) => {
      const other = after.prisms[i];
      if (!other) return [];
      const [a, b] = [boxOfPrism(prism), boxOfPrism(other)];
      const low = Math.abs(a[axis][0] - b[axis][0]) > 1e-6;
      const high = Math.abs(a[axis][1] - b[axis][1]) > 1e-6;
      if (low && !high && a[axis][1] >= site.sizes[axis] - 1e-6) return [{ box: a, at: a[axis][0], side: 1 }];
      if (high && !low && a[axis][0] <= 1e-6) return [{ box: a, at: a[axis][1], side: -1 }];
      return [];
    });
    const [first] = walls;
    const other = walls.find((w) => first && w.side !== first.side);
    if (!first || !other) continue;
    const p: [number, number, number] = [0, 0, 0];
    for (const n of axisNames) p[place[n]] = (first.box[n][0] + first.box[n][1]) / 2;
    p[place[axis]] = (first.at + other.at) / 2;
    return { axis, through: p, kind: "metal" };
  }
  return null;
}

/** A point just below the floor of a cutout. */
function beyondFloor({ face, box }: Cutout, middle: Vec): Vec {
  const axis = axisOf(face);
  const p: [number, number, number] = [...middle];
  p[place[axis]] = face === facesOf(axis)[1] ? box[axis][0] - 0.5 : box[axis][1] + 0.5;
  return p;
}

/**
 * A size of a feature as it really is.
 * @param solid laid as the drawing lies
 * @returns null where it is no straight distance, or there is nothing yet to measure
 */
export function featureSize(
  solid: Solid,
  feature: Feature,
  size: string,
  over: boolean,
  site: Site,
): Mm | null {
  const probe = probeOf(feature, size, over, site);
  if (!probe) return null;
  const usual = sizeAt(solid, probe);
  const drawn = (feature.sizes as Record<string, Dimension | null | undefined>)[size]?.nominal;
  if (drawn === undefined || over || (usual !== null && Math.abs(usual - drawn) < crossed)) return usual;
  // Where another feature took a wall away one measures beside it.
  const beside = placesBeside(probe, feature, site).flatMap(
    (through) => sizeAt(solid, { ...probe, through }) ?? [],
  );
  return [...(usual === null ? [] : [usual]), ...beside].reduce<Mm | null>(
    (best, is) => (best === null || Math.abs(is - drawn) < Math.abs(best - drawn) ? is : best),
    null,
  );
}

/** A size further off than this was measured where another feature crosses, mm. */
const crossed = 1.5;

/** Places along a feature, other than its middle, where the same size can be measured. */
function placesBeside({ axis, through }: Probe, feature: Feature, site: Site): Vec[] {
  const box = cutoutOf(feature, site)?.box;
  const along = axesAcross(feature.face).find((a) => a !== axis);
  if (!box || !along || axis === axisOf(feature.face)) return [];
  const [low, high] = box[along];
  return [0.1, 0.25, 0.4, 0.6, 0.75, 0.9].map((share): Vec => {
    const at: [number, number, number] = [...through];
    at[place[along]] = low + (high - low) * share;
    return at;
  });
}

/** What lies between two walls, or is left between two cuts, at one place. */
function sizeAt(solid: Solid, { axis, through, kind }: Probe): Mm | null {
  const found = across(solid, through, axis, kind === "metal" ? "metal" : "gap");
  if (!found) return null;
  const [low, high] = found;
  if (kind === "gap" || kind === "metal") {
    const outside = low < solid.bounds.min[place[axis]] - 0.5 || high > solid.bounds.max[place[axis]] + 0.5;
    return kind === "gap" && outside ? null : high - low;
  }
  const { min, max } = solid.bounds;
  const [first] = facesOf(axis);
  return kind.from === first ? high - min[place[axis]] : max[place[axis]] - low;
}

/** The site of a part with its block as it really came out. */
export function siteAs(part: Part, sizes: Record<Axis, Mm>): Site | null {
  const drawn = siteOfPart(part);
  if (!drawn || drawn.shaft) return drawn;
  const asIs: Part = {
    ...part,
    sizes: Object.fromEntries(
      axisNames.map((axis) => {
        const d = part.sizes[axis];
        return [axis, d && dimensionOf(sizes[axis], "mm", { ...d, upper: 0, lower: 0, fit: null })];
      }),
    ) as Part["sizes"],
  };
  return siteOfPart(asIs) ?? drawn;
}
