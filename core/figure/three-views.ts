import type { Axis, Sizes } from "../frame/index.ts";
import type { Figure, Shape } from "./figure.ts";

/** Where the entry field of a size stands, as shares of the figure's width and height. */
export type EntryPlaces = Record<Axis, { x: number; y: number }>;

/**
 * Top, front and right view of a block to scale, with dimension lines; the texts are entry fields put in by the app.
 * @param sizes mm; a size not yet known is drawn at a usual proportion and marked by the app
 */
export function threeViews(sizes: Sizes): { figure: Figure; entries: EntryPlaces } {
  const { length, width, height } = sizes;
  const unit = Math.max(length + width, width + height) / 100;
  const gap = 22 * unit;
  const rise = 15 * unit;
  const left = 52 * unit;
  const top = 9 * unit;
  const figureWidth = left + length + gap + width + 4 * unit;
  const figureHeight = top + width + rise + height + 12 * unit;
  const frontTop = top + width + rise;
  const text = 3.6 * unit;
  const label = (x: number, y: number, words: string): Shape => ({
    kind: "text",
    x,
    y,
    text: words,
    size: text,
    anchor: "start",
    ink: "thin",
  });
  const line = (points: [number, number][]): Shape => ({
    kind: "line",
    points,
    ink: "dimension",
    arrow: true,
  });
  const thin = (points: [number, number][]): Shape => ({ kind: "line", points, ink: "thin" });
  const lengthY = frontTop + height + 8 * unit;
  const sideX = left - 6 * unit;
  const rightX = left + length + gap;
  const shapes: Shape[] = [
    { kind: "rect", x: left, y: top, w: length, h: width, ink: "part", strong: true },
    { kind: "rect", x: left, y: frontTop, w: length, h: height, ink: "part", strong: true },
    { kind: "rect", x: rightX, y: frontTop, w: width, h: height, ink: "part", strong: true },
    label(left, top - 2 * unit, "top"),
    label(left, frontTop - 2 * unit, "front"),
    label(rightX, frontTop - 2 * unit, "right"),
    line([
      [left, lengthY],
      [left + length, lengthY],
    ]),
    thin([
      [left, frontTop + height + 1.5 * unit],
      [left, lengthY + 2 * unit],
    ]),
    thin([
      [left + length, frontTop + height + 1.5 * unit],
      [left + length, lengthY + 2 * unit],
    ]),
    line([
      [sideX, top],
      [sideX, top + width],
    ]),
    thin([
      [left - 1.5 * unit, top],
      [sideX - 2 * unit, top],
    ]),
    thin([
      [left - 1.5 * unit, top + width],
      [sideX - 2 * unit, top + width],
    ]),
    line([
      [sideX, frontTop],
      [sideX, frontTop + height],
    ]),
    thin([
      [left - 1.5 * unit, frontTop],
      [sideX - 2 * unit, frontTop],
    ]),
    thin([
      [left - 1.5 * unit, frontTop + height],
      [sideX - 2 * unit, frontTop + height],
    ]),
  ];
  const at = (x: number, y: number) => ({ x: x / figureWidth, y: y / figureHeight });
  return {
    figure: {
      title: "Three views of the block to scale: top, front and right.",
      width: figureWidth,
      height: figureHeight,
      shapes,
    },
    entries: {
      length: at(left + length / 2, lengthY),
      width: at(sideX - 2 * unit, top + width / 2),
      height: at(sideX - 2 * unit, frontTop + height / 2),
    },
  };
}
