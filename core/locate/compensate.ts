import { type Mm, tidy } from "../quantity/index.ts";

/** Where the cutter's axis stands for the four sides of a rectangle. One unit throughout. */
export interface SideReadings {
  xMinus: number;
  xPlus: number;
  yMinus: number;
  yPlus: number;
}

/**
 * The axis of a cutter for the four sides of a rectangle: outside it by half a cutter, or inside.
 * @param left what stays on every side for a later cut
 * @param datum where zero lies: the center of the rectangle, or its low corner
 * @returns null for sizes that are none, or a rectangle the cutter does not go into
 */
export function sideReadings(
  size: { x: Mm; y: Mm },
  cutter: Mm,
  left: Mm,
  datum: "corner" | "center",
  of: "outside" | "inside",
): SideReadings | null {
  if (!(size.x > 0 && size.y > 0 && cutter > 0 && left >= 0)) return null;
  const off = (of === "outside" ? 1 : -1) * (cutter / 2 + left);
  if (tidy(size.x + 2 * off) < 0 || tidy(size.y + 2 * off) < 0) return null;
  const [lowX, lowY] = datum === "center" ? [-size.x / 2, -size.y / 2] : [0, 0];
  return {
    xMinus: tidy(lowX - off),
    xPlus: tidy(lowX + size.x + off),
    yMinus: tidy(lowY - off),
    yPlus: tidy(lowY + size.y + off),
  };
}

/** Radius of the way of a cutter's axis round a boss or in a bore; null where the cutter does not go in. */
export function roundPath(diameter: Mm, cutter: Mm, left: Mm, of: "boss" | "bore"): Mm | null {
  if (!(diameter > 0 && cutter > 0 && left >= 0)) return null;
  const r = tidy(of === "boss" ? (diameter + cutter) / 2 + left : (diameter - cutter) / 2 - left);
  return r >= 0 ? r : null;
}
