import type { Mm } from "../quantity/index.ts";
import type { Figure } from "./figure.ts";
import { box, dimension, disc, line, type Point, seen, sketch, told } from "./sum-shapes.ts";

const text = 4.2;

/** Two round holes with the line of their centers. */
export function twoHolesDrawing(first: Mm, second: Mm, apart: Mm): Figure {
  const whole = first + apart + second;
  const k = 76 / whole;
  const x1 = 12 + first * k;
  const x2 = x1 + apart * k;
  const tallest = Math.max(first, second) * k;
  const y = tallest + 6;
  const gap = apart - first - second;
  return sketch("Two round holes and what stands between them.", 2 * tallest + 26, [
    box(2, 2, 96, 2 * tallest + 8, "part"),
    disc(x1, y, first * k, "void"),
    disc(x2, y, second * k, "void"),
    line(
      [
        [x1, y],
        [x2, y],
      ],
      "center",
    ),
    dimension([x1, 2 * tallest + 18], [x2, 2 * tallest + 18], apart, "below", text),
    told(
      [(x1 + first * k + x2 - second * k) / 2, y - 3],
      Math.abs(gap),
      "below",
      text,
      gap < 0 ? "overlap" : "gap",
    ),
  ]);
}

/** Plunges side by side along a slot. More than a few are drawn as a few. */
export function plungesDrawing(length: Mm, cutter: Mm, places: readonly Mm[]): Figure {
  const k = 84 / length;
  const r = seen((cutter / 2) * k, 3, 20);
  const every = Math.max(1, Math.ceil(places.length / 24));
  const shown = places.filter((_, i) => i % every === 0 || i === places.length - 1);
  const [a, b] = [places[0] ?? 0, places[1] ?? places[0] ?? 0];
  return sketch("A slot cleared by plunges side by side.", 2 * r + 40, [
    box(2, 4, 96, 2 * r + 12, "part"),
    ...shown.map((x) => disc(8 + x * k, r + 10, r, "void")),
    ...(places.length > 1
      ? [dimension([8 + a * k, 2 * r + 22], [8 + b * k, 2 * r + 22], b - a, "below" as const, text)]
      : []),
    dimension([8, 2 * r + 36], [92, 2 * r + 36], length, "below", text),
  ]);
}

/** A corner with cutters of falling radius in it. */
export function ladderDrawing(angle: number, radii: readonly Mm[]): Figure {
  const half = (angle * Math.PI) / 360;
  const largest = radii[0] ?? 1;
  // Every circle touches both walls: its center lies r ÷ sin from the point.
  const reach = largest / Math.sin(half) + largest;
  const k = 58 / Math.max(reach, 2 * largest);
  const at: Point = [8, 36];
  const wall = Math.min(84, 33 / Math.sin(half));
  const end = (side: 1 | -1): Point => [at[0] + wall * Math.cos(half), at[1] + side * wall * Math.sin(half)];
  const last = radii.at(-1) ?? largest;
  return sketch("Cutters one after the other in a corner.", 72, [
    line([end(-1), at, end(1)]),
    ...radii.map((r) => disc(at[0] + (r / Math.sin(half)) * k, at[1], r * k, "void")),
    told([88, 12], 2 * largest, "below", text, "first"),
    told([88, 62], 2 * last, "below", text, "last"),
  ]);
}
