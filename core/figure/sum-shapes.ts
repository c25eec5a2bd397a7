import { circle, polygon, rectangle } from "../frame/index.ts";
import { mm, type Mm, type Quantity } from "../quantity/index.ts";
import type { Figure, Ink, Shape } from "./figure.ts";

/** The few shapes that drawings of sums are made of, short to write. */

export type Point = [x: number, y: number];

export const line = (
  points: Point[],
  ink: "edge" | "center" | "thin" | "hidden" | "accent" = "edge",
  arrow = false,
): Shape => ({ kind: "line", points, ink, ...(arrow ? { arrow } : {}) });

export const box = (x: number, y: number, w: number, h: number, ink: Ink): Shape => ({
  kind: "path",
  outlines: [rectangle([x, x + Math.max(w, 0)], [y, y + Math.max(h, 0)])],
  ink,
});

export const body = (points: Point[], ink: Ink): Shape => ({
  kind: "path",
  outlines: [polygon(points)],
  ink,
});

export const disc = (x: number, y: number, r: number, ink: Ink): Shape => ({
  kind: "path",
  outlines: [circle(x, y, r)],
  ink,
});

export const label = (
  x: number,
  y: number,
  text: string,
  size: number,
  anchor: "start" | "middle" | "end" = "middle",
): Shape => ({ kind: "text", x, y, text, size, anchor, ink: "thin" });

/** A dimension of a quantity, or of a length in mm. */
export const dimension = (
  from: Point,
  to: Point,
  value: Mm | Quantity,
  side: "left" | "right" | "below",
  size: number,
  text = "",
): Shape => ({
  kind: "dimension",
  from,
  to,
  value: typeof value === "number" ? mm(value) : value,
  label: text,
  size,
  side,
});

/** A quantity beside a point, without a line. */
export const told = (
  at: Point,
  value: Mm | Quantity,
  side: "left" | "right" | "below",
  size: number,
  text = "",
): Shape => ({
  ...(dimension(at, at, value, side, size, text) as Shape & { kind: "dimension" }),
  bare: true,
});

/** A share kept within what can be seen: a thin thing is drawn thick enough, a long one short enough. */
export const seen = (share: number, least: number, most: number): number =>
  Number.isFinite(share) ? Math.min(most, Math.max(least, share)) : least;

/** A drawing on a sheet 100 wide that is true in proportion only where there is room for it. */
export const sketch = (title: string, height: number, shapes: Shape[]): Figure => ({
  title,
  width: 100,
  height,
  shapes,
});
