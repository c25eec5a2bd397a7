import {
  axesAcross,
  axisOf,
  axisSchema,
  faceSchema,
  facesOf,
  type Outline,
  rectangle,
  swappedOutline,
} from "../../../frame/index.ts";
import { mm } from "../../../quantity/index.ts";
import { rule, stop } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { emptyFeature, featureShape, placeFor } from "../base.ts";
import { acrossGroove, cutoutFrom, depthOf, openAt, type Span, span } from "../cutout.ts";
import { middleAcross, runsAlong } from "../groove.ts";
import { placeAlong } from "../locate.ts";
import { narrowReach } from "../reach.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";

const sizes = ["width", "depth", "length"] as const;
export const slotSchema = featureShape("slot", sizes, [], {
  /** The size it runs along. */
  along: axisSchema,
  /** Both ends open, both closed, or open at one face. */
  end: z.union([z.enum(["open", "closed"]), faceSchema]),
});
export type Slot = z.infer<typeof slotSchema>;

/** A straight slot: open at both ends or at one, or closed with round ends; to a depth or through. */
export const slotRules: FeatureRules<Slot> = {
  schema: slotSchema,
  word: "slot",
  what: "a straight slot, open at its ends or closed",
  on: "both",
  choices: (feature) => [
    runsAlong(feature),
    {
      key: "end",
      label: "Its ends",
      options: [
        ["open", "both open"],
        ["closed", "both closed"],
        ...facesOf(feature.along).map((f) => [f, `open at the ${f}`] as const),
      ],
    },
  ],
  fields: ({ end }) => [
    length("width", "Slot width"),
    length("depth", "Slot depth", "through"),
    ...(end === "open" ? [] : [length("length", "Slot length over all")]),
  ],
  places: ({ face, along, end }) =>
    end === "closed" ? ["first", "second"] : [placeFor(face, acrossGroove(face, along))],
  make: (id, face) => ({
    ...emptyFeature("slot", id, face, sizes),
    along: axesAcross(face)[0],
    end: "open",
  }),
  cutout(feature, site) {
    const { face, along, end, sizes: own } = feature;
    const middle = middleAcross(feature, site);
    const long = own.length?.nominal;
    if (middle === null || !own.width) return null;
    const across = span(middle, own.width.nominal);
    const whole: Span = [0, site.sizes[along]];
    const drawn = (): { run: Span; outline: Outline } | null => {
      if (end === "open") return { run: whole, outline: rectangle(whole, across) };
      if (long === undefined) return null;
      if (end === "closed") {
        const at = placeAlong(feature[placeFor(face, along)], along, site);
        if (at === null) return null;
        const run = span(at, long);
        return { run, outline: rectangle(run, across, own.width!.nominal / 2) };
      }
      const [low, high] = facesOf(along);
      if (end !== low && end !== high) return null;
      const run: Span = end === low ? [0, long] : [whole[1] - long, whole[1]];
      return { run, outline: openAt(end === low ? "low" : "high", run, across) };
    };
    const made = drawn();
    if (!made) return null;
    const outline = axesAcross(face)[0] === along ? made.outline : swappedOutline(made.outline);
    const at = along === "length" ? (made.run[0] + made.run[1]) / 2 : middle;
    const deep = depthSpan(site, face, own.depth?.nominal ?? null, at);
    return cutoutFrom(face, [{ axis: axisOf(face), outline, span: deep }], site);
  },
  widest: ({ sizes: { width } }) => width?.nominal ?? null,
  /** Shorter than its round ends; narrower or deeper than any cutter that is owned. */
  check: ({ end, sizes: { width, length: long } }, cutout, { shop }) => {
    if (!width) return [];
    return [
      ...(end === "closed" && long && long.nominal < width.nominal - 1e-6
        ? [
            stop(
              rule(
                "drawing.slotShort",
              )`A closed slot ${mm(width.nominal)} wide is at least that long: its ends are round.`,
            ),
          ]
        : []),
      ...narrowReach("slot", width.nominal, depthOf(cutout), shop),
    ];
  },
};
