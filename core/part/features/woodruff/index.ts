import { axesAcross, axisNames, axisOf } from "../../../frame/index.ts";
import { metricWoodruffFor } from "../../../handbook/index.ts";
import { type Mm, mm } from "../../../quantity/index.ts";
import { line, note, rule, say, warn, words } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { keyseatFromCrown, keyseatFromWall, type KeyseatDepth } from "../../keyseat.ts";
import { oldNumberOf, type WoodruffKey, woodruffKeys, woodruffSeat } from "../../woodruff-key.ts";
import { keyseatLines } from "../../parallel-key.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, profile, span } from "../cutout.ts";
import { depthFromChoice, keyDepthFindings, tooDeep } from "../key-depth.ts";
import { placeAlong } from "../locate.ts";
import { type Fact, type FeatureRules, length } from "../rules.ts";
import { sectionAt, type Site } from "../site.ts";

const sizes = ["depth"] as const;
export const woodruffSchema = featureShape("woodruff", sizes, [], {
  /** A key of the tables, or the one its shaft is driven by in ISO 3912. */
  key: z.string(),
  depthFrom: z.enum(["crown", "edge"]),
});
type Woodruff = z.infer<typeof woodruffSchema>;

const byShaft = "shaft";

const keyFor = (name: string, shaft: Mm): WoodruffKey | null => {
  const driven = metricWoodruffFor(shaft);
  const wanted = name === byShaft ? driven && `${driven.b}x${driven.h}x${driven.diameter}` : name;
  return woodruffKeys.find((k) => k.value === wanted) ?? null;
};

interface Seat {
  at: Mm;
  shaft: Mm;
  key: WoodruffKey;
  /** By the table, and as entered. */
  wanted: KeyseatDepth;
  depth: KeyseatDepth;
  length: Mm;
}

/** The seat of the key in the shaft where it lies; null while it is not whole. */
export function seatOf(feature: Woodruff, site: Site): Seat | null {
  const at = placeAlong(feature.first, "length", site);
  if (!site.shaft || axisOf(feature.face) === "length" || at === null) return null;
  const section = sectionAt(site.shaft, at);
  const key = section && keyFor(feature.key, section.diameter);
  const seat = key && woodruffSeat(key, section.diameter);
  if (!section || !key || !seat) return null;
  const own = feature.sizes.depth?.nominal;
  const depth =
    own === undefined
      ? seat.depth
      : (feature.depthFrom === "crown" ? keyseatFromCrown : keyseatFromWall)(
          section.diameter,
          key.width,
          own,
        );
  return depth && depth.fromCrown < key.diameter
    ? { at, shaft: section.diameter, key, wanted: seat.depth, depth, length: seat.length }
    : null;
}

/** A seat for a Woodruff key, sunk by a cutter of the key's diameter. */
export const woodruffRules: FeatureRules<Woodruff> = {
  schema: woodruffSchema,
  word: "Woodruff seat",
  what: "a seat for a Woodruff key, by its number or by the shaft",
  on: "shaft",
  choices: ({ sizes: own }) => [
    {
      key: "key",
      label: "Key",
      options: [
        [byShaft, "by the shaft, ISO 3912"],
        ...woodruffKeys.map((k) => {
          const old = oldNumberOf(k);
          return [k.value, old === undefined ? k.text : `${k.text} (old ${old})`] as const;
        }),
      ],
    },
    ...depthFromChoice(own.depth),
  ],
  fields: () => [length("depth", "Seat depth", "by the table")],
  places: () => ["first"],
  make: (id, face) => ({ ...emptyFeature("woodruff", id, face, sizes), key: byShaft, depthFrom: "crown" }),
  cutout(feature, site) {
    const seat = seatOf(feature, site);
    if (!seat) return null;
    const { face } = feature;
    const across = axisNames.find((a) => a !== "length" && a !== axisOf(face))!;
    const half = Math.sqrt(seat.depth.fromCrown * (seat.key.diameter - seat.depth.fromCrown));
    const drawn = [
      { x: seat.at - half, y: 0, bulge: -seat.depth.fromCrown / half },
      { x: seat.at + half, y: 0, bulge: 0 },
    ];
    const outline = profile(site, face, across, drawn, seat.at);
    return cutoutFrom(
      face,
      [{ axis: across, outline, span: span(site.sizes[axesAcross(face)[1]] / 2, seat.key.width) }],
      site,
    );
  },
  impossible(feature, site) {
    if (axisOf(feature.face) === "length")
      return words("A keyseat lies along the shaft: put it on its top, bottom, front or back.");
    const at = placeAlong(feature.first, "length", site);
    const section = at === null || !site.shaft ? null : sectionAt(site.shaft, at);
    if (!section || seatOf(feature, site)) return null;
    return keyFor(feature.key, section.diameter)
      ? say`The key is wider or deeper than a shaft of ${mm(section.diameter)}. Use a smaller key.`
      : say`ISO 3912 drives no shaft of ${mm(section.diameter)}. Choose a key by its number.`;
  },
  /** M29 for its depth; over two fifths; a key of another shaft; no cutter of its size; too near the end. */
  check(feature, cutout, { shop, site }) {
    const seat = seatOf(feature, site)!;
    const { key, shaft } = seat;
    const own = feature.sizes.depth;
    const cutter = shop.cutters.some(
      (c) =>
        c.kind === "woodruff" &&
        Math.abs(c.diameter - key.diameter) < 0.2 &&
        Math.abs(c.fluteLength - key.width) < 0.05,
    );
    const neighbors = woodruffKeys
      .filter((k) => k !== key && k.source === key.source)
      .flatMap((k) => {
        const other = woodruffSeat(k, shaft);
        return other ? [{ name: k.text, fromCrown: other.depth.fromCrown }] : [];
      });
    const [low, high] = cutout.box.length;
    const ends = Math.min(low, site.sizes.length - high);
    return [
      ...(own
        ? keyDepthFindings(
            seat.depth,
            seat.wanted,
            { depth: own.nominal, from: feature.depthFrom },
            0.13,
            neighbors,
          )
        : []),
      ...tooDeep(seat.depth.fromCrown, shaft),
      ...(key.drives && (shaft <= key.drives[0] || shaft > key.drives[1])
        ? [
            note(
              rule(
                "M29.woodruffShaft",
              )`The standard drives shafts over ${mm(key.drives[0])} to ${mm(key.drives[1])} with this key; elsewhere it only locates.`,
            ),
          ]
        : []),
      ...(cutter
        ? []
        : [
            warn(
              rule(
                "drawing.woodruffCutter",
              )`No Woodruff cutter in the shop is ${mm(key.diameter)} across and ${mm(key.width)} wide: the seat takes the cutter of its key.`,
            ),
          ]),
      ...(ends >= 0 && ends < key.width
        ? [
            warn(
              rule(
                "drawing.seatNearEnd",
              )`Only ${mm(ends)} of the shaft is left beyond the seat: it breaks out under load. Leave at least the key's width of ${mm(key.width)}.`,
            ),
          ]
        : []),
    ];
  },
  facts(feature, site) {
    const seat = seatOf(feature, site);
    if (!seat) return [];
    const { key, shaft, depth } = seat;
    const lines = [
      line(`key ${key.text}`, mm(key.width), { source: key.source }),
      line("cutter", mm(key.diameter)),
      ...keyseatLines(shaft, key.width, depth, key.t1 !== null),
    ];
    const old = oldNumberOf(key);
    const notes = old === undefined ? [] : [say`Older drawings call it number ${old}.`];
    const fact = (label: string, value: Mm, more = lines): Fact => ({
      label,
      value: mm(value),
      decimals: 3,
      working: { lines: more, notes },
    });
    return [
      fact("depth from the crown", depth.fromCrown),
      fact("depth from the edge", depth.atWall),
      fact("floor to the far side", depth.overOpposite),
      fact("key over the far side", depth.overOpposite + key.height, [
        ...lines,
        line("key height", mm(key.height), { source: key.source, decimals: 3 }),
      ]),
      fact("key above the crown", key.height - depth.fromCrown, [
        line("key height", mm(key.height), { source: key.source, decimals: 3 }),
        line("depth from the crown", mm(depth.fromCrown), { decimals: 3 }),
        line("stands above the crown", mm(key.height - depth.fromCrown), { sum: true, decimals: 3 }),
      ]),
      fact("depth in the hub", key.hub, [
        line("depth in the hub", mm(key.hub), { source: key.source, decimals: 3 }),
      ]),
      fact("length of the seat", seat.length, [
        line("length of the seat", mm(seat.length), {
          formula: "woodruff-length",
          terms: [
            ["R", mm(key.diameter / 2)],
            ["d", mm(depth.atWall)],
          ],
        }),
      ]),
    ];
  },
};
