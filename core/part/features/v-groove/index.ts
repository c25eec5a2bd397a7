import { axesAcross, axisSchema, polygon } from "../../../frame/index.ts";
import { mm, quantity } from "../../../quantity/index.ts";
import { line, note, rule, words } from "../../../working/index.ts";
import type * as z from "../../../zod.ts";
import { pinInV, vGroove } from "../../angles.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, profile } from "../cutout.ts";
import { acrossOnly, middleAcross, runsAlong } from "../groove.ts";
import { angle, type FeatureRules, length } from "../rules.ts";

const sizes = ["width", "reliefWidth", "reliefDepth", "pin"] as const;
const numbers = ["angle"] as const;
export const vGrooveSchema = featureShape("vGroove", sizes, numbers, { along: axisSchema });
type VGroove = z.infer<typeof vGrooveSchema>;

const usualAngle = 90;
const angleOf = (feature: VGroove) => feature.numbers.angle ?? usualAngle;

/** A groove with two flanks, with or without a relief slot along its floor. */
export const vGrooveRules: FeatureRules<VGroove> = {
  schema: vGrooveSchema,
  word: "V-groove",
  what: "a groove with two flanks and a relief slot",
  on: "block",
  choices: (feature) => [runsAlong(feature)],
  fields: () => [
    length("width", "V width at the face"),
    angle("angle", "Angle between the flanks, degrees", "90"),
    length("reliefWidth", "Relief width", "no relief slot"),
    length("reliefDepth", "Relief depth from the face", "just clears the V"),
    length("pin", "Pin to measure over", "none"),
  ],
  places: acrossOnly,
  make: (id, face) => ({
    ...emptyFeature("vGroove", id, face, sizes, numbers),
    along: axesAcross(face)[0],
  }),
  cutout(feature, site) {
    const { face, along, sizes: own } = feature;
    const middle = middleAcross(feature, site);
    const v = own.width && vGroove(own.width.nominal, angleOf(feature));
    if (middle === null || !own.width || !v) return null;
    const half = own.width.nominal / 2;
    const relief = own.reliefWidth?.nominal ?? 0;
    const narrow = relief / 2;
    if (narrow >= half) return null;
    // Where the relief meets the flanks.
    const meets = v.depth * (1 - narrow / half);
    const floor = relief > 0 ? Math.max(own.reliefDepth?.nominal ?? v.depth + 1, meets) : v.depth;
    const outline =
      relief > 0
        ? polygon([
            [middle - half, 0],
            [middle - narrow, meets],
            [middle - narrow, floor],
            [middle + narrow, floor],
            [middle + narrow, meets],
            [middle + half, 0],
          ])
        : polygon([
            [middle - half, 0],
            [middle, v.depth],
            [middle + half, 0],
          ]);
    return cutoutFrom(
      face,
      [{ axis: along, outline: profile(site, face, along, outline), span: [0, site.sizes[along]] }],
      site,
    );
  },
  impossible: (feature) => {
    const { width, reliefWidth } = feature.sizes;
    if (!width) return null;
    if (!vGroove(width.nominal, angleOf(feature)))
      return words("The angle between the flanks lies between 0 and 180 degrees.");
    return reliefWidth && reliefWidth.nominal >= width.nominal
      ? words("The relief is as wide as the V: no flank is left of it. Draw a slot, or a narrower relief.")
      : null;
  },
  check: ({ sizes: own }) =>
    own.reliefWidth
      ? []
      : [
          note(
            rule(
              "drawing.noRelief",
            )`Without a relief slot the bottom of the V is as sharp as the cutter's corner: a part laid in it rides on chips. A relief of 2 to 3 mm helps.`,
          ),
        ],
  facts(feature) {
    const { width, pin } = feature.sizes;
    const v = width && vGroove(width.nominal, angleOf(feature));
    if (!width || !v) return [];
    const terms: [string, ReturnType<typeof mm>][] = [
      ["width", mm(width.nominal)],
      ["angle", quantity("angle", angleOf(feature))],
    ];
    const over = pin && pinInV(width.nominal, angleOf(feature), pin.nominal);
    return [
      {
        label: "depth to the sharp bottom",
        value: mm(v.depth),
        decimals: 3,
        working: {
          lines: [line("to the sharp bottom", mm(v.depth), { formula: "v-depth", terms, decimals: 3 })],
        },
      },
      ...(over
        ? [
            {
              label: "over the pin, from the face",
              value: mm(over.over),
              decimals: 3,
              working: {
                lines: [
                  line("over the pin", mm(over.over), {
                    formula: "v-pin" as const,
                    terms: [["d", mm(pin.nominal)], ...terms],
                    decimals: 3,
                  }),
                ],
              },
            },
          ]
        : []),
    ];
  },
};
