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
  vWidthFromPin,
} from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { MeasuredHow } from "../shop/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
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
}

export interface ReadingWays {
  /** What the size itself is read over. */
  plain: Phrase;
  others: ReadingWay[];
}

/** A way whose sum has no bends. */
const straight = (
  id: ReadingWayId,
  says: Phrase,
  how: MeasuredHow,
  gain: 1 | -1,
  shownAtNothing: Mm,
): ReadingWay => ({
  id,
  says,
  how,
  gain,
  shown: (size) => tidy(shownAtNothing + gain * size),
  size: (shown) => tidy(gain * (shown - shownAtNothing)),
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
  return {
    plain: words("over the far side"),
    others: [
      straight("crown", words("down from the crown"), "depth", -1, shaft),
      straight("edge", words("down from the edge of the seat"), "depth", -1, tidy(shaft - depth.chord)),
      ...(key
        ? [straight("key", say`over a key ${mm(key.height)} high in it`, "outside", 1, key.height)]
        : []),
    ],
  };
}

/** A V by what a pin in it stands over the face. */
function ofV({ sizes, numbers }: OfKind<"vGroove">): ReadingWays | null {
  const pin = sizes.pin?.nominal;
  const angle = numbers.angle ?? 90;
  if (pin === undefined) return null;
  return {
    plain: words("its width at the face"),
    others: [
      {
        id: "pin",
        says: say`what a pin of ${mm(pin)} stands over the face`,
        how: "depth",
        shown: (width) => pinInV(width, angle, pin)?.over ?? null,
        size: (over) => vWidthFromPin(over, angle, pin),
        gain: -2 * Math.tan((angle * Math.PI) / 360),
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
  if (drawn === null) return null;
  const says = inSlot ? say`between two pins of ${mm(pin)}` : say`over two pins of ${mm(pin)}`;
  return {
    plain: words("over its sharp corners"),
    others: [straight("pins", says, inSlot ? "inside" : "outside", 1, tidy(drawn - wide))],
  };
}

/** What a size changes by for each mm shown, as it was read. */
export const gainOf = (part: Part, of: string, way: ReadingWayId | undefined): number =>
  (way && readingWays(part, of)?.others.find((w) => w.id === way)?.gain) ?? 1;
