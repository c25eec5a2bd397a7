/** Geometry of keyseats in round shafts. One unit throughout: mm or inch; null for what cannot be. */

const positive = (...values: number[]) => values.every((v) => Number.isFinite(v) && v > 0);

/** From the crown of a shaft down to where the walls of a seat of a width begin: Y = (D − √(D² − W²)) / 2. */
export const chordHeight = (shaft: number, width: number): number | null =>
  positive(shaft, width) && width <= shaft ? (shaft - Math.sqrt(shaft ** 2 - width ** 2)) / 2 : null;

export interface KeyseatDepth {
  chord: number;
  fromCrown: number;
  atWall: number;
  /** From the floor of the seat to the far side of the shaft: what a caliper measures. */
  overOpposite: number;
}

/**
 * Depth of a seat that counts from the crown (DIN 6885, ISO 773 and ISO 3912: t1).
 * @param t1 from the crown of the shaft
 */
export function keyseatFromCrown(shaft: number, width: number, t1: number): KeyseatDepth | null {
  const chord = chordHeight(shaft, width);
  if (chord === null || !positive(t1) || t1 >= shaft) return null;
  return { chord, fromCrown: t1, atWall: t1 - chord, overOpposite: shaft - t1 };
}

/**
 * Depth of a seat that counts at its side wall (ASME B17.1: half the key's height; B17.2: tabulated).
 * @param atWall from the edge where the wall meets the shaft
 */
export function keyseatFromWall(shaft: number, width: number, atWall: number): KeyseatDepth | null {
  const chord = chordHeight(shaft, width);
  if (chord === null || !positive(atWall) || atWall + chord >= shaft) return null;
  return { chord, fromCrown: atWall + chord, atWall, overOpposite: shaft - chord - atWall };
}

/**
 * Measures over a parallel key by ASME B17.1: S from the shaft's far side to the floor, T over the hub's keyway.
 * @param clearance over the key in the hub: 0.005 in
 */
export function overKey(
  shaft: number,
  width: number,
  height: number,
  clearance: number,
): { s: number; t: number } | null {
  if (chordHeight(shaft, width) === null || !positive(height)) return null;
  const root = Math.sqrt(shaft ** 2 - width ** 2);
  return { s: (shaft - height + root) / 2, t: (shaft + height + root) / 2 + clearance };
}

/** Length of a Woodruff seat at the shaft's surface, a cutter of a diameter sunk to a depth: 2 √(2 R d − d²). */
export function woodruffLength(diameter: number, depth: number): number | null {
  return positive(diameter, depth) && depth <= diameter ? 2 * Math.sqrt(diameter * depth - depth ** 2) : null;
}

/** A Woodruff key's side: its arc, its chord across the top, and its face, from its diameter and height. */
export function woodruffSide(
  diameter: number,
  height: number,
): { arc: number; chord: number; area: number } | null {
  if (!positive(diameter, height) || height > diameter) return null;
  const r = diameter / 2;
  const half = Math.acos((r - height) / r);
  return {
    arc: diameter * half,
    chord: 2 * Math.sqrt(height * (diameter - height)),
    area: r ** 2 * half - (r - height) * Math.sqrt(height * (diameter - height)),
  };
}

/** A side-and-face cutter runs on past the end of a seat by √(t (D − t)): its arc. */
export const cutterRunOut = (cutter: number, depth: number): number | null =>
  positive(cutter, depth) && depth < cutter ? Math.sqrt(depth * (cutter - depth)) : null;

/**
 * From touching the side of a shaft to the cutter on its axis: R + half the cutter + what lies between.
 * @param across what the cutter is wide there: its width, or its diameter when its flank touched
 */
export const travelToCenter = (shaftRadius: number, across: number, medium: number): number | null =>
  positive(shaftRadius, across) && medium >= 0 ? shaftRadius + across / 2 + medium : null;
