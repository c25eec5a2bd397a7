import { axesAcross, axisOf, rectangle } from "../../../frame/index.ts";
import { fitDeviations, metricKeys } from "../../../handbook/index.ts";
import { type Mm, mm } from "../../../quantity/index.ts";
import { line, note, rule, say, stop, warn, words } from "../../../working/index.ts";
import * as z from "../../../zod.ts";
import { cutterRunOut, keyseatFromCrown, keyseatFromWall, type KeyseatDepth } from "../../keyseat.ts";
import { keyseatLines, type ParallelKey, parallelKeyOf } from "../../parallel-key.ts";
import { emptyFeature, featureShape } from "../base.ts";
import { cutoutFrom, openAt, type Span, span } from "../cutout.ts";
import { depthFromChoice, keyDepthFindings, tooDeep } from "../key-depth.ts";
import { placeAlong } from "../locate.ts";
import { narrowReach } from "../reach.ts";
import { type Fact, type FeatureRules, length } from "../rules.ts";
import { depthSpan, sectionAt, type Site } from "../site.ts";

const sizes = ["width", "depth", "length", "cutter"] as const;
export const keywaySchema = featureShape("keyway", sizes, [], {
  standard: z.enum(["din", "square", "flat"]),
  /** Closed, or open at an end of the shaft. */
  end: z.enum(["closed", "left", "right"]),
  /** Where an own depth counts from. */
  depthFrom: z.enum(["crown", "edge"]),
  fit: z.enum(["H9", "N9", "P9"]),
});
type Keyway = z.infer<typeof keywaySchema>;

interface Seat {
  shaft: Mm;
  run: Span;
  width: Mm;
  depth: KeyseatDepth;
  /** The key of the standard; null for a shaft it has none for. */
  key: ParallelKey | null;
}

/** The seat as the shaft there and the standard make it, own sizes first; null while it is not whole. */
export function seatOf(feature: Keyway, site: Site): Seat | null {
  const { sizes: own, end, standard, depthFrom } = feature;
  if (!site.shaft || axisOf(feature.face) === "length" || !own.length) return null;
  const long = own.length.nominal;
  const whole = site.sizes.length;
  const middle =
    end === "left"
      ? long / 2
      : end === "right"
        ? whole - long / 2
        : placeAlong(feature.first, "length", site);
  const section = middle === null ? null : sectionAt(site.shaft, middle);
  if (middle === null || !section) return null;
  const found = parallelKeyOf(section.diameter, standard);
  const key = found.ok ? found.value : null;
  const width = own.width?.nominal ?? key?.width;
  if (width === undefined) return null;
  const ownDepth = own.depth?.nominal;
  const depth =
    ownDepth === undefined
      ? key &&
        (key.fromCrown
          ? keyseatFromCrown(section.diameter, width, key.depth.fromCrown)
          : keyseatFromWall(section.diameter, width, key.depth.atWall))
      : depthFrom === "crown"
        ? keyseatFromCrown(section.diameter, width, ownDepth)
        : keyseatFromWall(section.diameter, width, ownDepth);
  return depth && { shaft: section.diameter, run: span(middle, long), width, depth, key };
}

/** A keyseat for a parallel key: closed by an end mill, or open by a side-and-face cutter. */
export const keywayRules: FeatureRules<Keyway> = {
  schema: keywaySchema,
  word: "keyway",
  what: "a seat for a parallel key, its size looked up from the shaft",
  on: "shaft",
  choices: ({ sizes: own }) => [
    {
      key: "standard",
      label: "Key by",
      options: [
        ["din", "DIN 6885, ISO 773 (metric)"],
        ["square", "ASME B17.1 square (inch)"],
        ["flat", "ASME B17.1 flat (inch)"],
      ],
    },
    {
      key: "end",
      label: "Its ends",
      options: [
        ["closed", "closed"],
        ["left", "open at the left"],
        ["right", "open at the right"],
      ],
    },
    {
      key: "fit",
      label: "Width class",
      options: [
        ["N9", "normal, N9"],
        ["P9", "tight, P9"],
        ["H9", "free, H9"],
      ],
    },
    ...depthFromChoice(own.depth),
  ],
  fields: ({ end }) => [
    length("length", "Seat length over all"),
    length("width", "Seat width", "by the shaft"),
    length("depth", "Seat depth", "by the standard"),
    ...(end === "closed" ? [] : [length("cutter", "Side-and-face cutter", "not chosen")]),
  ],
  places: ({ end }) => (end === "closed" ? ["first"] : []),
  make: (id, face) => ({
    ...emptyFeature("keyway", id, face, sizes),
    standard: "din",
    end: "closed",
    depthFrom: "crown",
    fit: "N9",
  }),
  cutout(feature, site) {
    const seat = seatOf(feature, site);
    if (!seat) return null;
    const { face } = feature;
    const across = span(site.sizes[axesAcross(face)[1]] / 2, seat.width);
    const outline =
      feature.end === "closed"
        ? rectangle(seat.run, across, seat.width / 2)
        : openAt(feature.end === "left" ? "low" : "high", seat.run, across);
    const at = (seat.run[0] + seat.run[1]) / 2;
    const deep = depthSpan(site, face, seat.depth.fromCrown, at);
    return cutoutFrom(face, [{ axis: axisOf(face), outline, span: deep }], site);
  },
  widest: (feature, site) => seatOf(feature, site)?.width ?? null,
  impossible(feature, site) {
    if (axisOf(feature.face) === "length")
      return words("A keyseat lies along the shaft: put it on its top, bottom, front or back.");
    if (!feature.sizes.length || seatOf(feature, site) || !site.shaft) return null;
    const at = feature.end === "closed" ? placeAlong(feature.first, "length", site) : 0;
    const section = at === null ? null : sectionAt(site.shaft, at);
    return section
      ? say`The standard has no key for a shaft of ${mm(section.diameter)}, or the seat is wider or deeper than the shaft. Enter width and depth, or take another standard.`
      : null;
  },
  /** M29: width and depth against the shaft; over two fifths of it; over a shoulder; no cutter. */
  check(feature, _cutout, { shop, site }) {
    const seat = seatOf(feature, site)!;
    const { key } = seat;
    const own = feature.sizes;
    const shoulder = site.shaft!.find((s) => s.to > seat.run[0] + 1e-6 && s.to < seat.run[1] - 1e-6);
    const neighbors = metricKeys
      .filter((row) => row.b !== key?.width)
      .map((row) => ({ name: `${row.b} × ${row.h}`, fromCrown: row.t1 }));
    return [
      ...(key && Math.abs(seat.width - key.width) > 0.005
        ? [
            warn(
              rule(
                "M29.width",
              )`A shaft of ${mm(seat.shaft)} usually has a key ${mm(key.width)} wide (${key.source}); here the seat is ${mm(seat.width)}. Check the key in hand.`,
            ),
          ]
        : []),
      ...(key && own.depth && Math.abs(seat.width - key.width) < 0.005
        ? keyDepthFindings(
            seat.depth,
            key.depth,
            { depth: own.depth.nominal, from: feature.depthFrom },
            key.plus,
            feature.standard === "din" ? neighbors : [],
          )
        : []),
      ...tooDeep(seat.depth.fromCrown, seat.shaft),
      ...(shoulder
        ? [
            warn(
              rule(
                "drawing.shoulder",
              )`The seat runs over the shoulder ${mm(shoulder.to)} from the left end: move it, or make it shorter.`,
            ),
          ]
        : []),
      ...(feature.end === "closed" && seat.run[1] - seat.run[0] < seat.width
        ? [stop(rule("drawing.keyseatShort")`A closed seat is at least as long as it is wide.`)]
        : []),
      ...(feature.end === "closed" ? narrowReach("seat", seat.width, seat.depth.fromCrown, shop) : []),
      ...(own.width && own.width.upper === null
        ? [
            note(
              rule(
                "drawing.keyWidth",
              )`The width ${mm(seat.width)} has no limits of its own: class ${feature.fit} holds.`,
            ),
          ]
        : []),
    ];
  },
  facts(feature, site) {
    const seat = seatOf(feature, site);
    if (!seat) return [];
    const { shaft, width, depth, key } = seat;
    const lines = [
      ...(key ? [line(`key ${key.name}`, mm(key.width), { source: key.source })] : []),
      ...keyseatLines(shaft, width, depth, key ? key.fromCrown : feature.depthFrom === "crown"),
    ];
    const fact = (label: string, value: Mm, more = lines): Fact => ({
      label,
      value: mm(value),
      decimals: 3,
      working: { lines: more },
    });
    const limits = fitDeviations(feature.fit, width);
    const cutter = feature.sizes.cutter?.nominal;
    const runsOn = cutter === undefined ? null : cutterRunOut(cutter, depth.atWall);
    return [
      ...(limits
        ? [
            fact(`width ${feature.fit}, least`, width + limits.lower, [
              line(`${feature.fit} at this width, lower`, mm(limits.lower), {
                source: "ISO 286-2",
                decimals: 3,
              }),
            ]),
            fact(`width ${feature.fit}, most`, width + limits.upper, [
              line(`${feature.fit} at this width, upper`, mm(limits.upper), {
                source: "ISO 286-2",
                decimals: 3,
              }),
            ]),
          ]
        : []),
      fact("depth from the crown", depth.fromCrown),
      fact("depth from the edge", depth.atWall),
      fact("floor to the far side (S, d − t1)", depth.overOpposite),
      ...(key
        ? [
            fact("key over the far side", depth.overOpposite + key.height, [
              ...lines,
              line("key height", mm(key.height), { source: key.source }),
            ]),
            fact("depth in the hub", key.hub, [
              line("depth in the hub", mm(key.hub), { source: key.source, decimals: 3 }),
            ]),
            fact("hub, bore to the far keyway (T)", shaft + key.hub, [
              line("bore", mm(shaft)),
              line("depth in the hub", mm(key.hub), { source: key.source, decimals: 3 }),
              line("over both", mm(shaft + key.hub), { sum: true, decimals: 3 }),
            ]),
          ]
        : []),
      ...(runsOn === null
        ? []
        : [
            fact("the cutter runs on past the end by", runsOn, [
              line("runs on past the end", mm(runsOn), {
                formula: "cutter-run-out",
                terms: [
                  ["t", mm(depth.atWall)],
                  ["D", mm(cutter!)],
                ],
              }),
            ]),
          ]),
    ];
  },
};
