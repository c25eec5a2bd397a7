import {
  betweenPins,
  type Feature,
  featuresOf,
  keywayOf,
  narrowWidth,
  overPins,
  type Part,
  pinInV,
  siteOfPart,
  vGroove,
  vWidthFromPin,
} from "../part/index.ts";
import { type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import type { MeasuredHow } from "../shop/index.ts";
import { line, type Phrase, say, type WorkingLine, words } from "../working/index.ts";
import * as z from "../zod.ts";

/** How a size is come at where the instrument does not show it itself. */
export const readingWaySchema = z.enum(["crown", "edge", "key", "pin", "pins"]);
export type ReadingWayId = z.infer<typeof readingWaySchema>;

/** Another way to read a size: what the instrument shows then, and the size that follows from it; mm. */
export interface ReadingWay {
  id: ReadingWayId;
  says: Phrase;
  how: MeasuredHow;
  shown: (size: Mm) => Mm | null;
  size: (shown: Mm) => Mm | null;
  /** What the size changes by for each mm that is shown: the instrument's error and doubt come in by as much. */
  gain: number;
  /** How what is shown follows from the size. */
  working: (size: Mm) => WorkingLine[];
}

export interface ReadingWays {
  /** What the size itself is read over. */
  plain: Phrase;
  others: ReadingWay[];
}

/** A way that adds a fixed length to the size, or takes the size from it. */
const straight = (
  way: Pick<ReadingWay, "id" | "says" | "how"> & { gain: 1 | -1 },
  plain: Phrase,
  fixed: { is: Mm; lines: WorkingLine[] },
): ReadingWay => ({
  ...way,
  shown: (size) => tidy(fixed.is + way.gain * size),
  size: (shown) => tidy(way.gain * (shown - fixed.is)),
  working: (size) => [
    line(plain, mm(size), { decimals: 3 }),
    ...fixed.lines,
    line(way.says, mm(tidy(fixed.is + way.gain * size)), { decimals: 3, sum: true }),
  ],
});

/** The ways to read a size of a feature that no instrument shows, or that some have no instrument for; null where there are none. */
export function readingWays(part: Part, of: string): ReadingWays | null {
  const [id, size] = of.split("/");
  const feature = featuresOf(part).find((f) => f.id === id);
  if (!feature) return null;
  if (feature.kind === "keyway" && size === "depth") return ofKeyseat(feature, part);
  if (feature.kind === "vGroove" && size === "width") return ofV(feature);
  return feature.kind === "dovetail" && size === "wide" ? ofDovetail(feature) : null;
}

type OfKind<K extends Feature["kind"]> = Extract<Feature, { kind: K }>;

/** The floor of a keyseat: over the far side (S = d − t1), down from the crown, down from its edge, or over the key that lies in it. */
function ofKeyseat(feature: OfKind<"keyway">, part: Part): ReadingWays | null {
  const site = siteOfPart(part);
  const seat = site && keywayOf(feature, site);
  if (!seat) return null;
  const { shaft, depth, key } = seat;
  const plain = words("over the far side");
  const across = line("shaft, less that", mm(shaft));
  const round = line("less what the crown stands over the edge (Y)", mm(depth.chord), {
    decimals: 3,
    formula: "chord-height",
    terms: [
      ["D", mm(shaft)],
      ["W", mm(seat.width)],
    ],
  });
  return {
    plain,
    others: [
      straight({ id: "crown", says: words("down from the crown"), how: "depth", gain: -1 }, plain, {
        is: shaft,
        lines: [across],
      }),
      straight({ id: "edge", says: words("down from the edge of the seat"), how: "depth", gain: -1 }, plain, {
        is: tidy(shaft - depth.chord),
        lines: [across, round],
      }),
      ...(key
        ? [
            straight(
              { id: "key", says: say`over a key ${mm(key.height)} high in it`, how: "outside", gain: 1 },
              plain,
              { is: key.height, lines: [line("and the key on it", mm(key.height), { source: key.source })] },
            ),
          ]
        : []),
    ],
  };
}

/** A V by what a pin in it stands over the face. A pin that lies below it, or on its edges, shows nothing. */
function ofV({ sizes, numbers }: OfKind<"vGroove">): ReadingWays | null {
  const pin = sizes.pin?.nominal;
  const width = sizes.width?.nominal;
  const angle = numbers.angle ?? 90;
  const drawn = pin === undefined || width === undefined ? null : pinInV(width, angle, pin);
  if (pin === undefined || !drawn?.touches || drawn.over <= 0) return null;
  const plain = words("its width at the face");
  const says = say`what a pin of ${mm(pin)} stands over the face`;
  const shown = (size: Mm) => pinInV(size, angle, pin)?.over ?? null;
  return {
    plain,
    others: [
      {
        id: "pin",
        says,
        how: "depth",
        shown,
        size: (over) => vWidthFromPin(over, angle, pin),
        gain: -2 * Math.tan((angle * Math.PI) / 360),
        working: (size) => [
          line(plain, mm(size), { decimals: 3 }),
          line("so deep to its sharp bottom", mm(vGroove(size, angle)?.depth ?? NaN), { decimals: 3 }),
          line(says, mm(shown(size) ?? NaN), {
            decimals: 3,
            sum: true,
            formula: "v-pin",
            terms: [
              ["d", mm(pin)],
              ["angle", quantity("angle", angle)],
            ],
          }),
        ],
      },
    ],
  };
}

/** A dovetail between two pins in the slot, or over two on the tongue. */
function ofDovetail({ form, sizes, numbers }: OfKind<"dovetail">): ReadingWays | null {
  const pin = sizes.pin?.nominal;
  const depth = sizes.depth?.nominal;
  const angle = numbers.angle ?? 60;
  const wide = sizes.wide?.nominal;
  if (pin === undefined || depth === undefined || wide === undefined) return null;
  const inSlot = form === "slot";
  const narrow = narrowWidth(wide, depth, angle);
  const drawn = inSlot
    ? betweenPins(wide, angle, pin)
    : narrow === null
      ? null
      : overPins(narrow, angle, pin);
  if (drawn === null || narrow === null) return null;
  const plain = words("over its sharp corners");
  const says = inSlot ? say`between two pins of ${mm(pin)}` : say`over two pins of ${mm(pin)}`;
  const pins = line(
    inSlot ? "less both pins and where they touch" : "and both pins and where they touch",
    mm(Math.abs(drawn - (inSlot ? wide : narrow))),
    {
      decimals: 3,
      formula: "dovetail-pins",
      terms: [
        ["d", mm(pin)],
        ["a", quantity("angle", angle)],
      ],
    },
  );
  const slants = line("less both flanks", mm(wide - narrow), {
    decimals: 3,
    formula: "dovetail-widths",
    terms: [
      ["depth", mm(depth)],
      ["a", quantity("angle", angle)],
    ],
  });
  return {
    plain,
    others: [
      straight({ id: "pins", says, how: inSlot ? "inside" : "outside", gain: 1 }, plain, {
        is: tidy(drawn - wide),
        lines: inSlot ? [pins] : [slants, pins],
      }),
    ],
  };
}

/** A way by its id; null for a size read plainly, or one whose drawing has changed since. */
export const readingWay = (part: Part, of: string, way: ReadingWayId | undefined): ReadingWay | null =>
  (way && readingWays(part, of)?.others.find((w) => w.id === way)) ?? null;

/** What is said where no size follows from what was typed. */
export const noSizeFrom = (shown: Mm): Phrase =>
  say`No size follows from ${mm(shown)}. Type what the instrument shows.`;
