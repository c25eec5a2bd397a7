import { rectangle } from "../frame/index.ts";
import { mm, type Mm } from "../quantity/index.ts";
import type { Figure, Shape } from "./figure.ts";

/** A blank in its place on a bar. */
export interface LaidBlank {
  /** Written on it. */
  name: string;
  length: Mm;
}

/**
 * A bar lying, its first end at the left: every blank in its place, the saw cuts between, and what is left.
 * @param of what the bar is called, for who cannot see it
 * @param options what is sawn off its end first; the longest of bars that are drawn together, which gives the size of what is written; and
 * whether what is left is told in the drawing
 */
export function barCuts(
  of: string,
  bar: { length: Mm; across: Mm },
  blanks: readonly LaidBlank[],
  kerf: Mm,
  { trim = 0, long = bar.length, leftTold = true }: { trim?: Mm; long?: Mm; leftTold?: boolean } = {},
): Figure {
  const unit = long / 64;
  // A thin bar would be a line: it is drawn thick enough to be written on.
  const high = Math.min(Math.max(bar.across, unit * 2.2), unit * 3);
  const top = unit * 0.5;
  const shapes: Shape[] = [];
  let x = 0;
  const cut = (width: Mm) => {
    if (width > 0)
      shapes.push({
        kind: "path",
        outlines: [rectangle([x, x + Math.min(width, bar.length - x)], [top, top + high])],
        ink: "remove",
      });
    x += width;
  };
  if (trim > 0) cut(trim + kerf);
  for (const blank of blanks) {
    shapes.push({
      kind: "path",
      outlines: [rectangle([x, x + blank.length], [top, top + high])],
      ink: "part",
    });
    const size = Math.min(unit * 1.1, (blank.length * 1.7) / Math.max(1, blank.name.length));
    if (size > unit * 0.4)
      shapes.push({
        kind: "text",
        x: x + blank.length / 2,
        y: top + high / 2 + size * 0.35,
        text: blank.name,
        size,
        anchor: "middle",
        ink: "edge",
      });
    x += blank.length;
    if (x < bar.length - 1e-6) cut(kerf);
  }
  const drop = bar.length - x;
  if (drop > 1e-6) {
    shapes.push({
      kind: "path",
      outlines: [rectangle([x, bar.length], [top, top + high])],
      ink: "face-drawn",
    });
    if (leftTold && drop > unit * 5)
      shapes.push({
        kind: "dimension",
        from: [x, top + high + unit * 2.4],
        to: [bar.length, top + high + unit * 2.4],
        value: mm(drop),
        label: "left",
        size: unit * 1.3,
        side: "below",
      });
  }
  return {
    title: `${of}, with ${blanks.length} blanks`,
    width: bar.length,
    height: top + high + unit * (leftTold ? 3.4 : 0.5),
    shapes,
  };
}
