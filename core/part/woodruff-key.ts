import { inchWoodruffDepths, inchWoodruffs, iso3912, oldWoodruffNumbers } from "../handbook/index.ts";
import { type Mm, mmPerInch } from "../quantity/index.ts";
import { keyseatFromCrown, keyseatFromWall, type KeyseatDepth, woodruffLength } from "./keyseat.ts";

/** A keyseat deeper than this share of the shaft weakens it too much (domain.md 2). */
export const deepestKeyseat = 0.4;

/** Woodruff keys by ASME B17.2 and ISO 3912, all mm. A depth counts at the side wall (inch) or from the crown (metric). */
export const woodruffKeys = [
  ...inchWoodruffs.map((k) => ({
    value: k.number,
    text: `No. ${k.number}`,
    width: k.width * mmPerInch,
    height: k.height * mmPerInch,
    diameter: k.diameter * mmPerInch,
    atWall: inchWoodruffDepths(k).shaft * mmPerInch,
    t1: null,
    hub: inchWoodruffDepths(k).hub * mmPerInch,
    drives: null,
    source: "ASME B17.2, depth at the side wall",
  })),
  ...iso3912.map((k) => ({
    value: `${k.b}x${k.h}x${k.diameter}`,
    text: `${k.b} × ${k.h} × ${k.diameter} mm`,
    width: k.b,
    height: k.h,
    diameter: k.diameter,
    atWall: null,
    t1: k.t1,
    hub: k.t2,
    drives: [k.over, k.to] as const,
    source: "ISO 3912, series 1, depth from the crown",
  })),
];
export type WoodruffKey = (typeof woodruffKeys)[number];

/** What drawings before the present numbers called a key; undefined when they had no name for it. */
export const oldNumberOf = (key: WoodruffKey): string | undefined =>
  Object.entries(oldWoodruffNumbers).find(([, now]) => now === key.value)?.[0];

/** The seat of a key in a shaft, mm; null when the key is wider or deeper than the shaft. */
export function woodruffSeat(key: WoodruffKey, shaft: Mm): { depth: KeyseatDepth; length: Mm } | null {
  const depth =
    key.t1 === null
      ? keyseatFromWall(shaft, key.width, key.atWall)
      : keyseatFromCrown(shaft, key.width, key.t1);
  const length = depth && woodruffLength(key.diameter, depth.atWall);
  return depth && length ? { depth, length } : null;
}
