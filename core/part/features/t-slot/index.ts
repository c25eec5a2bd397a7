import { axesAcross, axisSchema, polygon } from "../../../frame/index.ts";
import { tSlots } from "../../../handbook/index.ts";
import { mm } from "../../../quantity/index.ts";
import { note, rule, warn } from "../../../working/index.ts";
import type * as z from "../../../zod.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, profile } from "../cutout.ts";
import { acrossOnly, middleAcross, runsAlong } from "../groove.ts";
import { narrowReach } from "../reach.ts";
import { type FeatureRules, length } from "../rules.ts";

const sizes = ["neck", "neckDepth", "foot", "footHeight"] as const;
export const tSlotSchema = featureShape("tSlot", sizes, [], { along: axisSchema });
type TSlot = z.infer<typeof tSlotSchema>;

/** A slot with a wider foot below its neck, open at both ends. */
export const tSlotRules: FeatureRules<TSlot> = {
  schema: tSlotSchema,
  word: "T-slot",
  what: "a slot with a wider foot below its neck",
  on: "block",
  choices: (feature) => [runsAlong(feature)],
  fields: () => [
    length("neck", "Neck width"),
    length("neckDepth", "Neck depth, to the foot"),
    length("foot", "Foot width"),
    length("footHeight", "Foot height"),
  ],
  places: acrossOnly,
  make: (id, face) => ({ ...emptyFeature("tSlot", id, face, sizes), along: axesAcross(face)[0] }),
  cutout(feature, site) {
    const { face, along, sizes: own } = feature;
    const middle = middleAcross(feature, site);
    if (middle === null || !own.neck || !own.neckDepth || !own.foot || !own.footHeight) return null;
    const [n, f] = [own.neck.nominal / 2, own.foot.nominal / 2];
    const [top, floor] = [own.neckDepth.nominal, own.neckDepth.nominal + own.footHeight.nominal];
    const outline = polygon([
      [middle - n, 0],
      [middle - n, top],
      [middle - f, top],
      [middle - f, floor],
      [middle + f, floor],
      [middle + f, top],
      [middle + n, top],
      [middle + n, 0],
    ]);
    return cutoutFrom(
      face,
      [{ axis: along, outline: profile(site, face, along, outline), span: [0, site.sizes[along]] }],
      site,
    );
  },
  widest: ({ sizes: { neck } }) => neck?.nominal ?? null,
  /** A foot no wider than its neck; one no owned cutter makes; one off the standard of its neck. */
  check({ sizes: own }, _cutout, { shop }) {
    const [neck, foot, high] = [own.neck!.nominal, own.foot!.nominal, own.footHeight!.nominal];
    if (foot <= neck)
      return [
        warn(
          rule(
            "drawing.tFoot",
          )`The foot of ${mm(foot)} is no wider than its neck of ${mm(neck)}: enter the foot wider.`,
        ),
      ];
    const cutters = shop.cutters.filter(
      (c) => c.kind === "tSlot" && c.diameter <= foot + 1e-6 && c.fluteLength <= high + 1e-6,
    );
    const standard = tSlots.find((row) => Math.abs(row.width - neck) < 0.005);
    return [
      ...narrowReach("neck", neck, own.neckDepth!.nominal, shop),
      ...(cutters.length === 0
        ? [
            warn(
              rule(
                "drawing.tCutter",
              )`No T-slot cutter in the shop goes into a foot ${mm(foot)} wide and ${mm(high)} high.`,
            ),
          ]
        : []),
      ...(standard && (foot < standard.footWidth[0] || foot > standard.footWidth[1])
        ? [
            note(
              rule(
                "drawing.tStandard",
              )`Bolts for a neck of ${mm(neck)} (${standard.bolt}) need a foot of ${mm(standard.footWidth[0])} to ${mm(standard.footWidth[1])} (ISO 299).`,
            ),
          ]
        : []),
    ];
  },
};
