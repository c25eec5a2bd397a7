import { place } from "../../../quantity/index.ts";
import {
  type Axis,
  axesAcross,
  axisOf,
  extentOfOutline,
  mapOutline,
  type Outline,
  rectangle,
} from "../../../frame/index.ts";
import { rule, warn, words } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { emptyFeature, featureShape, middleOn } from "../base.ts";
import { cutoutFrom, depthOf } from "../cutout.ts";
import { cornerReach } from "../reach.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";
import { sharpestInside, outlineProblem } from "./inside.ts";

const sizes = ["depth"] as const;
export const outlineSchema = featureShape("outline", sizes, [], {
  /** About the middle of its extents, mm, X along the first size of its face. */
  corners: z.array(z.object({ x: place, y: place, bulge: z.number().min(-1000).max(1000) })),
  /** Whether the metal within it goes, or the metal around it. */
  takes: z.enum(["inside", "outside"]),
});
type OutlineFeature = z.infer<typeof outlineSchema>;

/** An outline about the middle of its extents. */
export function centered(outline: Outline): { corners: Outline; middle: readonly [number, number] } {
  const { x, y } = extentOfOutline(outline);
  const middle = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2] as const;
  return { corners: mapOutline(outline, (px, py) => [px - middle[0], py - middle[1]]), middle };
}

/** A free outline of lines and arcs: the metal within it goes, or all around it. */
export const outlineRules: FeatureRules<OutlineFeature> = {
  schema: outlineSchema,
  word: "outline",
  what: "a free outline of lines and arcs, drawn by points or from a DXF file",
  on: "block",
  choices: () => [
    {
      key: "takes",
      label: "Taken away",
      options: [
        ["inside", "what lies within it"],
        ["outside", "what lies around it"],
      ],
    },
  ],
  fields: () => [length("depth", "Outline depth", "through")],
  places: () => ["first", "second"],
  make: (id, face) => ({
    ...emptyFeature("outline", id, face, sizes),
    corners: [],
    takes: "inside",
  }),
  cutout(feature, site) {
    const { face, corners, takes, sizes: own } = feature;
    const at = middleOn(feature, site);
    if (!at || outlineProblem(corners)) return null;
    const [a, b] = axesAcross(face);
    const drawn = mapOutline(corners, (x, y) => [at[0] + x, at[1] + y]);
    const span = depthSpan(site, face, own.depth?.nominal ?? null);
    const axis = axisOf(face);
    return cutoutFrom(
      face,
      takes === "inside"
        ? [{ axis, outline: drawn, span }]
        : [{ axis, outline: rectangle([0, site.sizes[a]], [0, site.sizes[b]]), island: drawn, span }],
      site,
    );
  },
  widest({ corners, takes }) {
    const sharpest = sharpestInside(corners, takes);
    return sharpest ? 2 * sharpest : null;
  },
  impossible: ({ corners }) =>
    corners.length === 0 ? words("Enter its points, or read them from a DXF file.") : outlineProblem(corners),
  check({ corners, takes }, cutout, { shop, site }) {
    const sharp = sharpestInside(corners, takes);
    const [a, b] = axesAcross(cutout.face);
    const { island } = cutout.prisms[0]!;
    const out = island && extentOfOutline(island);
    const fits = (axis: Axis, [low, high]: readonly [number, number]) =>
      low >= -1e-6 && high <= site.sizes[axis] + 1e-6;
    return [
      ...(sharp === null ? [] : cornerReach("outline", sharp || null, depthOf(cutout), shop)),
      ...(out && !(fits(a, out.x) && fits(b, out.y))
        ? [warn(rule("drawing.outside")`The outline runs off the block: move it, or make the block larger.`)]
        : []),
    ];
  },
  mirror: (feature, axis) => {
    const across = axesAcross(feature.face).indexOf(axis);
    if (across === -1) return feature;
    const turned = mapOutline(feature.corners, (x, y) => (across === 0 ? [-x || 0, y] : [x, -y || 0]), true);
    return { ...feature, corners: turned.map((c) => ({ ...c })) };
  },
};
