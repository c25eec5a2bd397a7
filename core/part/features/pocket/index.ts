import { axesAcross, axisOf } from "../../../frame/index.ts";
import { cutterKindFacts } from "../../../handbook/index.ts";
import { dimensionSchema, mm } from "../../../quantity/index.ts";
import { cuttingDiameter } from "../../../shop/index.ts";
import { rule, say, type Warning, warn } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { baseShape, placedOn } from "../base.ts";
import { boxOn, depthSpan, reached, span } from "../cutout.ts";
import { placeAlong } from "../locate.ts";
import type { FeatureRules } from "../rules.ts";

export const pocketSchema = z.object({
  ...baseShape,
  kind: z.literal("pocket"),
  sizes: z.object({
    first: dimensionSchema.nullable(),
    second: dimensionSchema.nullable(),
    depth: dimensionSchema.nullable(),
    radius: dimensionSchema.nullable(),
  }),
});
export type Pocket = z.infer<typeof pocketSchema>;

/** A rectangular pocket, blind or through, with round corners. */
export const pocketRules: FeatureRules<Pocket> = {
  schema: pocketSchema,
  word: "pocket",
  what: "a rectangular pocket with round corners",
  sizes: [
    { key: "first", label: "Size along the first edge", empty: null },
    { key: "second", label: "Size along the second edge", empty: null },
    { key: "depth", label: "Pocket depth", empty: "through" },
    { key: "radius", label: "Corner radius", empty: "none given" },
  ],
  places: () => ["first", "second"],
  make: (id, face) => ({
    ...placedOn(id, face),
    kind: "pocket",
    sizes: { first: null, second: null, depth: null, radius: null },
  }),
  cutout({ face, first, second, sizes: own }, sizes) {
    const [a, b] = axesAcross(face);
    const [x, y] = [placeAlong(first, a, sizes), placeAlong(second, b, sizes)];
    if (!own.first || !own.second || x === null || y === null) return null;
    const box = boxOn(
      face,
      [span(x, own.first.nominal), span(y, own.second.nominal)],
      depthSpan(face, own.depth?.nominal ?? null, sizes),
    );
    return { face, box, round: own.radius?.nominal ?? 0, opens: reached(face, box, sizes) };
  },
  /** A corner without a radius, one that no side takes, or one that no owned cutter reaches down. */
  check({ face, sizes: own }, { box }, shop) {
    const found: Warning[] = [];
    const smaller = Math.min(own.first?.nominal ?? Infinity, own.second?.nominal ?? Infinity);
    const deep = box[axisOf(face)];
    const depth = deep[1] - deep[0];
    const radius = own.radius?.nominal ?? null;
    if (radius === null)
      return [
        warn(
          rule(
            "drawing.corner",
          )`No milling cutter leaves a sharp inside corner: give the pocket a radius, best a little over half a cutter you own.`,
        ),
      ];
    if (2 * radius > smaller)
      found.push(
        warn(rule("drawing.radius")`Two corners of ${mm(radius)} do not fit into a side of ${mm(smaller)}.`),
      );
    const reach = shop.cutters.filter(
      (c) =>
        cutterKindFacts[c.kind].cuts.includes("slot") &&
        cuttingDiameter(c) <= 2 * radius + 1e-6 &&
        c.fluteLength >= depth,
    );
    if (reach.length === 0) {
      const next = Math.min(
        ...shop.cutters
          .filter((c) => cutterKindFacts[c.kind].cuts.includes("slot") && c.fluteLength >= depth)
          .map((c) => cuttingDiameter(c) / 2),
      );
      found.push(
        warn(
          rule(
            "drawing.smallCorner",
          )`No cutter in the shop leaves a corner of ${mm(radius)} and goes ${mm(depth)} down${Number.isFinite(next) ? say`; ${mm(next)} could be done` : say``}.`,
        ),
      );
    }
    return found;
  },
};
