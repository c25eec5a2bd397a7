import { axesAcross } from "../../../frame/index.ts";
import { metricClearances } from "../../../handbook/index.ts";
import { dimensionSchema, mm } from "../../../quantity/index.ts";
import { note, rule } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { baseShape, placedOn } from "../base.ts";
import { boxOn, depthSpan, reached, span } from "../cutout.ts";
import { placeAlong } from "../locate.ts";
import type { FeatureRules } from "../rules.ts";

export const holeSchema = z.object({
  ...baseShape,
  kind: z.literal("hole"),
  sizes: z.object({ diameter: dimensionSchema.nullable(), depth: dimensionSchema.nullable() }),
});
export type Hole = z.infer<typeof holeSchema>;

/** A round hole from a face, through or to a depth. */
export const holeRules: FeatureRules<Hole> = {
  schema: holeSchema,
  word: "hole",
  what: "a round hole, through or to a depth",
  sizes: [
    { key: "diameter", label: "Hole diameter", empty: null },
    { key: "depth", label: "Hole depth", empty: "through" },
  ],
  places: () => ["first", "second"],
  make: (id, face) => ({
    ...placedOn(id, face),
    kind: "hole",
    sizes: { diameter: null, depth: null },
  }),
  cutout({ face, first, second, sizes: { diameter, depth } }, sizes) {
    const [a, b] = axesAcross(face);
    const [x, y] = [placeAlong(first, a, sizes), placeAlong(second, b, sizes)];
    if (!diameter || x === null || y === null) return null;
    const box = boxOn(
      face,
      [span(x, diameter.nominal), span(y, diameter.nominal)],
      depthSpan(face, depth?.nominal ?? null, sizes),
    );
    return { face, box, round: "circle", opens: reached(face, box, sizes) };
  },
  /** M31: a plain hole of a screw's own size lets no screw through. */
  check({ sizes: { diameter } }) {
    const screw =
      diameter && diameter.fit === null
        ? metricClearances.find((c) => Math.abs(c.diameter - diameter.nominal) < 0.005)
        : undefined;
    return screw
      ? [
          note(
            rule(
              "M31.clearance",
            )`A hole of ${mm(screw.diameter)} lets no ${screw.thread} screw through: a clearance hole is ${mm(screw.medium)}. Give it a fit if a pin goes in.`,
          ),
        ]
      : [];
  },
};
