import { type Mm, tidy } from "../quantity/index.ts";

/** Touching an edge or a top through a medium (paper, tape). Mm; `side` is where the tool stands (M23). */
export type ToolSide = "minus" | "plus";

const reach = (diameter: Mm, medium: Mm): Mm | null =>
  diameter > 0 && medium >= 0 ? tidy(diameter / 2 + medium) : null;

/** What to set the readout to at the touch, so that the face reads its coordinate. Null for a diameter that cannot be. */
export function edgeSetting(face: Mm, diameter: Mm, medium: Mm, side: ToolSide): Mm | null {
  const r = reach(diameter, medium);
  return r === null ? null : tidy(face + (side === "plus" ? r : -r));
}

/** Coordinate of the face from the reading at the touch. */
export function edgeFromReading(reading: Mm, diameter: Mm, medium: Mm, side: ToolSide): Mm | null {
  const r = reach(diameter, medium);
  return r === null ? null : tidy(reading - (side === "plus" ? r : -r));
}

/** What to set Z to when the cutter touches the top through the medium, so that the top reads its coordinate (M23, Z). NaN for a medium below nothing. */
export const topSetting = (top: Mm, medium: Mm): Mm => (medium >= 0 ? tidy(top + medium) : NaN);

/** Center and width from touches on two opposite faces; null when the tool does not fit between them. */
export function centerOfTwo(
  a: Mm,
  b: Mm,
  diameter: Mm,
  medium: Mm,
  touch: "inside" | "outside",
): { center: Mm; width: Mm } | null {
  const apart = Math.abs(b - a);
  const width = tidy(touch === "outside" ? apart - diameter - 2 * medium : apart + diameter + 2 * medium);
  return diameter > 0 && medium >= 0 && width > 0 ? { center: tidy((a + b) / 2), width } : null;
}
