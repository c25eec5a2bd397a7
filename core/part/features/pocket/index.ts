import { axesAcross, axisOf, circle, rectangle } from "../../../frame/index.ts";
import { mm } from "../../../quantity/index.ts";
import { rule, stop, warn } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { emptyFeature, featureShape, middleOn } from "../base.ts";
import { cutoutFrom, depthOf, span } from "../cutout.ts";
import { cornerReach, narrowReach } from "../reach.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";

const sizes = ["first", "second", "depth", "radius", "bossFirst", "bossSecond"] as const;
export const pocketSchema = featureShape("pocket", sizes, [], {
  /** A corner radius that is to be had, or one that may be smaller. */
  corner: z.enum(["exact", "max"]),
  boss: z.enum(["none", "round", "square"]),
});
export type Pocket = z.infer<typeof pocketSchema>;

/** A rectangular pocket, blind or through, with round corners; a boss may be left standing in its middle. */
export const pocketRules: FeatureRules<Pocket> = {
  schema: pocketSchema,
  word: "pocket",
  what: "a rectangular pocket with round corners, with or without a boss",
  on: "both",
  choices: () => [
    {
      key: "corner",
      label: "Its corners",
      options: [
        ["exact", "R as given"],
        ["max", "R max: smaller will do"],
      ],
    },
    {
      key: "boss",
      label: "Left standing in it",
      options: [
        ["none", "nothing"],
        ["round", "a round boss"],
        ["square", "a square-cornered boss"],
      ],
    },
  ],
  fields({ face, boss }) {
    const [a, b] = axesAcross(face);
    return [
      length("first", `Along the ${a}`),
      length("second", `Along the ${b}`),
      length("depth", "Pocket depth", "through"),
      length("radius", "Corner radius", "none given"),
      ...(boss === "round" ? [length("bossFirst", "Boss diameter")] : []),
      ...(boss === "square"
        ? [length("bossFirst", `Boss along the ${a}`), length("bossSecond", `Boss along the ${b}`)]
        : []),
    ];
  },
  places: () => ["first", "second"],
  make: (id, face) => ({ ...emptyFeature("pocket", id, face, sizes), corner: "exact", boss: "none" }),
  cutout(feature, site) {
    const { face, boss, sizes: own } = feature;
    const at = middleOn(feature, site);
    if (!own.first || !own.second || !at) return null;
    const [x, y] = at;
    if (boss !== "none" && (!own.bossFirst || (boss === "square" && !own.bossSecond))) return null;
    const island =
      boss === "round"
        ? circle(x, y, own.bossFirst!.nominal / 2)
        : boss === "square"
          ? rectangle(span(x, own.bossFirst!.nominal), span(y, own.bossSecond!.nominal))
          : null;
    const outline = rectangle(
      span(x, own.first.nominal),
      span(y, own.second.nominal),
      own.radius?.nominal ?? 0,
    );
    const deep = depthSpan(
      site,
      face,
      own.depth?.nominal ?? null,
      axesAcross(face)[0] === "length" ? x : null,
    );
    const axis = axisOf(face);
    return cutoutFrom(face, [{ axis, outline, span: deep, ...(island ? { island } : {}) }], site);
  },
  widest({ sizes: own }) {
    const radius = own.radius ? 2 * own.radius.nominal : Infinity;
    const narrow = Math.min(radius, own.first?.nominal ?? Infinity, own.second?.nominal ?? Infinity);
    return Number.isFinite(narrow) ? narrow : null;
  },
  /** A corner without a radius, one that no side takes, or one that no owned cutter reaches down; a boss with no room beside it. */
  check({ corner, boss, sizes: own }, cutout, { shop }) {
    const depth = depthOf(cutout);
    const radius = own.radius?.nominal ?? null;
    const [a, b] = [own.first!.nominal, own.second!.nominal];
    const smaller = Math.min(a, b);
    const [ba, bb] = [
      own.bossFirst?.nominal ?? 0,
      (boss === "square" ? own.bossSecond : own.bossFirst)?.nominal ?? 0,
    ];
    const gap = boss === "none" ? null : Math.min((a - ba) / 2, (b - bb) / 2);
    return [
      ...(corner === "max" && radius !== null ? [] : cornerReach("pocket", radius, depth, shop)),
      ...(radius !== null && 2 * radius > smaller
        ? [
            stop(
              rule("drawing.radius")`Two corners of ${mm(radius)} do not fit into a side of ${mm(smaller)}.`,
            ),
          ]
        : []),
      ...(gap === null
        ? []
        : gap <= 0
          ? [
              warn(
                rule("drawing.boss")`The boss is as large as the pocket: nothing is left to mill beside it.`,
              ),
            ]
          : own.depth === null
            ? [
                warn(
                  rule(
                    "drawing.bossFalls",
                  )`The pocket goes through, so its boss falls out. Give the pocket a depth.`,
                ),
              ]
            : narrowReach("gap beside the boss", gap, depth, shop)),
    ];
  },
};
