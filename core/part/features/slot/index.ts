import { axesAcross, axisOf, axisSchema } from "../../../frame/index.ts";
import { cutterKindFacts } from "../../../handbook/index.ts";
import { dimensionSchema, mm } from "../../../quantity/index.ts";
import { cuttingDiameter } from "../../../shop/index.ts";
import { rule, warn } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { baseShape, placedOn } from "../base.ts";
import { boxOn, depthSpan, reached, span } from "../cutout.ts";
import { placeAlong } from "../locate.ts";
import type { FeatureRules } from "../rules.ts";

export const slotSchema = z.object({
  ...baseShape,
  kind: z.literal("slot"),
  /** The size it runs along. */
  along: axisSchema,
  sizes: z.object({
    width: dimensionSchema.nullable(),
    depth: dimensionSchema.nullable(),
    length: dimensionSchema.nullable(),
  }),
});
export type Slot = z.infer<typeof slotSchema>;

/** A straight slot: open at both ends, or closed with round ends; to a depth or through. */
export const slotRules: FeatureRules<Slot> = {
  schema: slotSchema,
  word: "slot",
  what: "a straight slot, open at both ends or closed",
  sizes: [
    { key: "width", label: "Slot width", empty: null },
    { key: "depth", label: "Slot depth", empty: "through" },
    { key: "length", label: "Slot length over all", empty: "open at both ends" },
  ],
  places({ face, along, sizes: { length } }) {
    const across = axesAcross(face)[0] === along ? "second" : "first";
    return length ? ["first", "second"] : [across];
  },
  make: (id, face) => ({
    ...placedOn(id, face),
    kind: "slot",
    along: axesAcross(face)[0],
    sizes: { width: null, depth: null, length: null },
  }),
  cutout({ face, along, first, second, sizes: { width, depth, length } }, sizes) {
    const axes = axesAcross(face);
    if (!width || !axes.includes(along)) return null;
    const spans = ([first, second] as const).map((place, i) => {
      const axis = axes[i]!;
      if (axis === along && !length) return [0, sizes[axis]] as const;
      const middle = placeAlong(place, axis, sizes);
      return middle === null ? null : span(middle, axis === along ? length!.nominal : width.nominal);
    });
    const [a, b] = spans;
    if (!a || !b) return null;
    const box = boxOn(face, [a, b], depthSpan(face, depth?.nominal ?? null, sizes));
    return { face, box, round: length ? width.nominal / 2 : 0, opens: reached(face, box, sizes) };
  },
  /** Narrower or deeper than any cutter that is owned. */
  check({ face, sizes: { width } }, { box }, shop) {
    if (!width) return [];
    const deep = box[axisOf(face)];
    const depth = deep[1] - deep[0];
    const mills = shop.cutters.filter(
      (c) => cutterKindFacts[c.kind].cuts.includes("slot") && cuttingDiameter(c) <= width.nominal + 1e-6,
    );
    if (mills.length === 0)
      return [
        warn(
          rule(
            "drawing.narrow",
          )`No cutter in the shop is as narrow as ${mm(width.nominal)}: the smallest would cut it too wide.`,
        ),
      ];
    const longest = Math.max(...mills.map((c) => c.fluteLength));
    return longest < depth
      ? [
          warn(
            rule(
              "drawing.deep",
            )`The slot is ${mm(depth)} deep; cutters narrow enough for it have flutes of ${mm(longest)}.`,
          ),
        ]
      : [];
  },
};
