import {
  axesAcross,
  axisOf,
  type Face,
  faceSchema,
  facesOf,
  type Outline,
  quarter,
} from "../../../frame/index.ts";

import * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom } from "../cutout.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";

const sizes = ["radius", "depth"] as const;
export const cornerRadiusSchema = featureShape("cornerRadius", sizes, [], {
  /** All four corners of the face, or the one between two sides. */
  which: z.enum(["all", "one"]),
  sideFirst: faceSchema,
  sideSecond: faceSchema,
});
type CornerRadius = z.infer<typeof cornerRadiusSchema>;

/** What is taken off one corner: the square less its quarter circle. */
function offCorner(
  [x, toX]: readonly [number, 1 | -1],
  [y, toY]: readonly [number, 1 | -1],
  r: number,
): Outline {
  // The arc bends in toward the corner; which way round that is hangs on the quadrant.
  const bulge = toX * toY > 0 ? quarter : -quarter;
  return [
    { x, y, bulge: 0 },
    { x, y: y + toY * r, bulge },
    { x: x + toX * r, y, bulge: 0 },
  ];
}

/** Outside corners of a face rounded, down to a depth or all the way. */
export const cornerRadiusRules: FeatureRules<CornerRadius> = {
  schema: cornerRadiusSchema,
  word: "corner radius",
  what: "outside corners of a face rounded",
  on: "block",
  choices: ({ face, which }) => {
    const [a, b] = axesAcross(face);
    const sides = (faces: readonly Face[]) => faces.map((f) => [f, f] as const);
    return [
      {
        key: "which",
        label: "Rounded",
        options: [
          ["all", "all four corners"],
          ["one", "one corner"],
        ],
      },
      ...(which === "one"
        ? [
            { key: "sideFirst", label: "Between the", options: sides(facesOf(a)) },
            { key: "sideSecond", label: "and the", options: sides(facesOf(b)) },
          ]
        : []),
    ];
  },
  fields: () => [length("radius", "Outside radius"), length("depth", "Down to", "all the way")],
  places: () => [],
  make: (id, face) => {
    const [a, b] = axesAcross(face);
    return {
      ...emptyFeature("cornerRadius", id, face, sizes),
      which: "all",
      sideFirst: facesOf(a)[0],
      sideSecond: facesOf(b)[0],
    };
  },
  cutout({ face, which, sideFirst, sideSecond, sizes: own }, site) {
    const [a, b] = axesAcross(face);
    if (!own.radius || (which === "one" && (axisOf(sideFirst) !== a || axisOf(sideSecond) !== b)))
      return null;
    const r = own.radius.nominal;
    const ends = (axis: typeof a, chosen: Face) =>
      facesOf(axis)
        .filter((f) => which === "all" || f === chosen)
        .map((f): readonly [number, 1 | -1] => (f === facesOf(axis)[0] ? [0, 1] : [site.sizes[axis], -1]));
    const span = depthSpan(site, face, own.depth?.nominal ?? null);
    return cutoutFrom(
      face,
      ends(a, sideFirst).flatMap((x) =>
        ends(b, sideSecond).map((y) => ({ axis: axisOf(face), outline: offCorner(x, y, r), span })),
      ),
      site,
    );
  },
  check: () => [],
};
