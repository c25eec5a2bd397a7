import type { Seat } from "../holding/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Shape } from "./figure.ts";

/** A strap as drawn: thickness, its stud and the packing under its heel, mm. */
export const strap = { thick: 9, stud: 6, heel: 14 };
/** A plate as drawn stands so far out around the part, mm. */
const plateOut = 20;

/** What a part on the table lies on: pieces of packing in from its edges, or a plate that stands out all round. */
export function underOnTable(
  { table }: Pick<Seat, "table">,
  on: { left: Mm; right: Mm; y: (z: Mm) => Mm },
): Shape[] {
  const { left, right, y } = on;
  const height = table?.packing ?? 0;
  const piece = (x: Mm, w: Mm): Shape => ({ kind: "rect", x, y: y(height), w, h: height, ink: "parallel" });
  if (table?.plate) return [piece(left - plateOut, right - left + 2 * plateOut)];
  const packed = Math.min(24, (right - left) / 4);
  return [piece(left + 4, packed), piece(right - packed - 4, packed)];
}

/** A strap over an edge seen along it, with its stud and what its heel stands on. */
export function strapAcross(on: {
  /** The edge it reaches over, and which way lies outside. */
  edge: Mm;
  way: 1 | -1;
  reach: Mm;
  top: Mm;
  y: (z: Mm) => Mm;
}): Shape[] {
  const { edge, way, reach, top, y } = on;
  const tip = edge - way * reach;
  const heel = edge + way * 40;
  const stud = edge + way * 12;
  const rect = (a: Mm, b: Mm, low: Mm, high: Mm, ink: "rod" | "parallel" | "edge"): Shape => ({
    kind: "rect",
    x: Math.min(a, b),
    y: y(high),
    w: Math.abs(b - a),
    h: high - low,
    ink,
  });
  return [
    rect(heel - way * strap.heel, heel, 0, top, "parallel"),
    rect(stud, stud + way * strap.stud, 0, top + strap.thick + 8, "edge"),
    rect(tip, heel, top, top + strap.thick, "rod"),
  ];
}
