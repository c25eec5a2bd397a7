import { axesAcross, axisSchema, polygon } from "../../../frame/index.ts";
import { mm, quantity } from "../../../quantity/index.ts";
import { line, rule, warn, words } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { betweenPins, narrowWidth, overPins } from "../../angles.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { acrossGroove, cutoutFrom, depthOf, profile } from "../cutout.ts";
import { acrossOnly, middleAcross, runsAlong } from "../groove.ts";
import { narrowReach } from "../reach.ts";
import { angle, type FeatureRules, length } from "../rules.ts";

const sizes = ["wide", "depth", "pin"] as const;
const numbers = ["angle"] as const;
export const dovetailSchema = featureShape("dovetail", sizes, numbers, {
  along: axisSchema,
  form: z.enum(["slot", "tongue"]),
});
type Dovetail = z.infer<typeof dovetailSchema>;

const usualAngle = 60;
const angleOf = ({ numbers }: Pick<Dovetail, "numbers">) => numbers.angle ?? usualAngle;

/** Wide and narrow width over the sharp corners; null where the flanks meet before the floor. */
function widths(feature: Dovetail) {
  const { wide, depth } = feature.sizes;
  if (!wide || !depth) return null;
  const narrow = narrowWidth(wide.nominal, depth.nominal, angleOf(feature));
  return narrow === null ? null : { wide: wide.nominal, narrow, depth: depth.nominal };
}

/** A slot or a tongue with undercut flanks, given over its sharp corners where it is widest. */
export const dovetailRules: FeatureRules<Dovetail> = {
  schema: dovetailSchema,
  word: "dovetail",
  what: "a slot or a tongue with undercut flanks",
  on: "block",
  choices: (feature) => [
    {
      key: "form",
      label: "Cut as a",
      options: [
        ["slot", "slot"],
        ["tongue", "tongue left standing"],
      ],
    },
    runsAlong(feature),
  ],
  fields: ({ form }) => [
    length("wide", form === "slot" ? "Width at the floor" : "Width at the face"),
    length("depth", "Dovetail depth"),
    angle("angle", "Angle of the flanks, degrees", "60"),
    length("pin", "Pins to measure with", "none"),
  ],
  places: acrossOnly,
  make: (id, face) => ({
    ...emptyFeature("dovetail", id, face, sizes, numbers),
    along: axesAcross(face)[0],
    form: "slot",
  }),
  cutout(feature, site) {
    const { face, along, form } = feature;
    const middle = middleAcross(feature, site);
    const made = widths(feature);
    if (middle === null || !made) return null;
    const [wide, narrow] = [made.wide / 2, made.narrow / 2];
    const whole = site.sizes[acrossGroove(face, along)];
    const span = [0, site.sizes[along]] as const;
    const prism = (points: [number, number][]) => ({
      axis: along,
      outline: profile(site, face, along, polygon(points)),
      span,
    });
    if (form === "slot")
      return cutoutFrom(
        face,
        [
          prism([
            [middle - narrow, 0],
            [middle - wide, made.depth],
            [middle + wide, made.depth],
            [middle + narrow, 0],
          ]),
        ],
        site,
      );
    return cutoutFrom(
      face,
      [
        prism([
          [0, 0],
          [0, made.depth],
          [middle - narrow, made.depth],
          [middle - wide, 0],
        ]),
        prism([
          [middle + wide, 0],
          [middle + narrow, made.depth],
          [whole, made.depth],
          [whole, 0],
        ]),
      ],
      site,
    );
  },
  impossible: (feature) =>
    feature.sizes.wide && feature.sizes.depth && !widths(feature)
      ? words(
          "Its flanks meet before its full depth, or the angle is not between 0 and 90 degrees: draw it wider, shallower or steeper.",
        )
      : null,
  /** No cutter for it, by angle and by the neck it must go through. */
  check(feature, cutout, { shop }) {
    const made = widths(feature)!;
    const depth = depthOf(cutout);
    const fits = shop.cutters.filter(
      (c) =>
        c.kind === "dovetail" &&
        c.fluteLength >= depth - 1e-6 &&
        (feature.form === "tongue" || c.diameter <= made.wide + 1e-6),
    );
    return [
      ...(feature.form === "slot" ? narrowReach("neck", made.narrow, depth, shop) : []),
      ...(fits.length === 0
        ? [
            warn(
              rule(
                "drawing.dovetailCutter",
              )`No dovetail cutter in the shop goes ${mm(depth)} deep${feature.form === "slot" ? ` into this slot` : ""}.`,
            ),
          ]
        : []),
    ];
  },
  facts(feature) {
    const made = widths(feature);
    if (!made) return [];
    const { pin } = feature.sizes;
    const given = angleOf(feature);
    const over =
      pin &&
      (feature.form === "slot"
        ? betweenPins(made.wide, given, pin.nominal)
        : overPins(made.narrow, given, pin.nominal));
    const angleTerm: [string, ReturnType<typeof mm>] = ["a", quantity("angle", given)];
    return [
      {
        label: "narrow width, sharp corners",
        value: mm(made.narrow),
        decimals: 3,
        working: {
          lines: [
            line("narrow width", mm(made.narrow), {
              formula: "dovetail-widths",
              terms: [["wide", mm(made.wide)], ["depth", mm(made.depth)], angleTerm],
              decimals: 3,
            }),
          ],
        },
      },
      ...(over
        ? [
            {
              label: feature.form === "slot" ? "between the pins" : "over the pins",
              value: mm(over),
              decimals: 3,
              working: {
                lines: [
                  line("with pins", mm(over), {
                    formula: "dovetail-pins" as const,
                    terms: [
                      ["A", mm(made.wide)],
                      ["B", mm(made.narrow)],
                      ["d", mm(pin.nominal)],
                      angleTerm,
                    ] as [string, ReturnType<typeof mm>][],
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
