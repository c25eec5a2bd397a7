import { circle, polygon } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { axisCross } from "./axis-cross.ts";
import type { Figure, Shape } from "./figure.ts";
import { dimension, line, type Point } from "./sum-shapes.ts";

/** Drawings of what a sum asks for, to scale; its figures stand at their dimension lines. */

/** Places of holes on a circle, numbered as in the table, seen from above with Y away. */
export function boltCircleDrawing(holes: readonly { x: Mm; y: Mm }[], center: Point, radius: Mm): Figure {
  const margin = radius * 0.45;
  const half = radius + margin;
  const put = (x: Mm, y: Mm): Point => [half + x - center[0], half - (y - center[1])];
  const size = radius * 0.13;
  return {
    title: `Seen from above: ${holes.length} holes on a circle, the first numbered 1, the others round to the left.`,
    width: 2 * half,
    height: 2 * half,
    shapes: [
      { kind: "path", outlines: [circle(half, half, radius)], ink: "hidden" },
      ...axisCross(half, half, radius * 0.2),
      ...holes.flatMap(({ x, y }, i): Shape[] => {
        const [px, py] = put(x, y);
        const [ox, oy] = [(px - half) * 0.24, (py - half) * 0.24];
        return [
          { kind: "circle", x: px, y: py, r: size * 0.8, ink: "void" },
          {
            kind: "text",
            x: px + ox,
            y: py + oy + size * 0.35,
            text: String(i + 1),
            size,
            anchor: "middle",
            ink: "thin",
            bold: i === 0,
          },
        ];
      }),
    ],
  };
}

/** A flat on a round: its width, how deep it goes, and what is left to the far side. */
export function chordDrawing(diameter: Mm, width: Mm, depth: Mm): Figure {
  const r = diameter / 2;
  const u = diameter / 100;
  const [cx, cy] = [r + 26 * u, r + 18 * u];
  const flat = cy - r + depth;
  return {
    title: "A round seen along its axis, with a flat on top.",
    width: diameter + 62 * u,
    height: diameter + 30 * u,
    shapes: [
      { kind: "path", outlines: [circle(cx, cy, r)], ink: "part" },
      ...axisCross(cx, cy, r * 0.15),
      line([
        [cx - width / 2, flat],
        [cx + width / 2, flat],
      ]),
      dimension(
        [cx - width / 2, flat - depth - 6 * u],
        [cx + width / 2, flat - depth - 6 * u],
        width,
        "below",
        5 * u,
      ),
      dimension([cx - r - 8 * u, cy - r], [cx - r - 8 * u, flat], depth, "left", 5 * u),
      dimension([cx + r + 8 * u, flat], [cx + r + 8 * u, cy + r], diameter - depth, "right", 5 * u),
    ],
  };
}

/** A V with a pin laid in it: its width, its depth to the sharp bottom, and what the pin stands over the surface. */
export function vGrooveDrawing(width: Mm, depth: Mm, pin: Mm, over: Mm): Figure {
  const high = Math.max(over, pin * 0.2, width * 0.12);
  const below = depth + width * 0.25;
  const side = width * 0.7;
  const u = (width + 2 * side) / 100;
  const [cx, top] = [side + width / 2, high + 14 * u];
  const outline: Point[] = [
    [0, top],
    [cx - width / 2, top],
    [cx, top + depth],
    [cx + width / 2, top],
    [2 * cx, top],
    [2 * cx, top + below],
    [0, top + below],
  ];
  return {
    title: "A V-groove seen along it, with a pin laid in it.",
    width: 2 * cx,
    height: top + below + 4 * u,
    shapes: [
      { kind: "path", outlines: [polygon(outline)], ink: "part" },
      { kind: "circle", x: cx, y: top - over + pin / 2, r: pin / 2, ink: "rod" },
      dimension(
        [cx - width / 2, top - high - 4 * u],
        [cx + width / 2, top - high - 4 * u],
        width,
        "below",
        4.5 * u,
      ),
      dimension([cx - width / 2 - 5 * u, top], [cx - width / 2 - 5 * u, top + depth], depth, "left", 4.5 * u),
      ...(over > 0
        ? [
            dimension(
              [cx + width / 2 + 5 * u, top - over],
              [cx + width / 2 + 5 * u, top],
              over,
              "right",
              4.5 * u,
            ),
          ]
        : []),
    ],
  };
}

/** A dovetail slot with a pin in either corner: the wide and the narrow width, and what is read between the pins. */
export function dovetailDrawing(wide: Mm, narrow: Mm, depth: Mm, pin: Mm, between: Mm): Figure {
  const side = wide * 0.35;
  const u = (wide + 2 * side) / 100;
  const [cx, top] = [side + wide / 2, 12 * u];
  const floor = top + depth;
  const end = floor + 22 * u;
  const outline: Point[] = [
    [0, top],
    [cx - narrow / 2, top],
    [cx - wide / 2, floor],
    [cx + wide / 2, floor],
    [cx + narrow / 2, top],
    [2 * cx, top],
    [2 * cx, end],
    [0, end],
  ];
  return {
    title: "A dovetail slot seen along it, with a pin in either corner.",
    width: 2 * cx,
    height: end + 4 * u,
    shapes: [
      { kind: "path", outlines: [polygon(outline)], ink: "part" },
      ...[-1, 1].map((s): Shape => ({
        kind: "circle",
        x: cx + s * (between / 2 + pin / 2),
        y: floor - pin / 2,
        r: pin / 2,
        ink: "rod",
      })),
      dimension([cx - narrow / 2, top - 4 * u], [cx + narrow / 2, top - 4 * u], narrow, "below", 4 * u),
      dimension(
        [cx - between / 2, floor - pin / 2],
        [cx + between / 2, floor - pin / 2],
        between,
        "below",
        4 * u,
      ),
      dimension([cx - wide / 2, floor + 14 * u], [cx + wide / 2, floor + 14 * u], wide, "below", 4 * u),
    ],
  };
}

/** A sine bar on its packing: what lies between the rollers, and what goes under the higher one. */
export function sineDrawing(bar: Mm, packing: Mm): Figure {
  const u = bar / 100;
  const r = 5 * u;
  const along = Math.sqrt(bar * bar - packing * packing);
  const floor = packing + 2 * r + 16 * u;
  const low: Point = [14 * u, floor - r];
  const high: Point = [low[0] + along, floor - packing - r];
  const [dx, dy] = [(along / bar) * 10 * u, (packing / bar) * 10 * u];
  const [nx, ny] = [-dy, -dx];
  const corner = (at: Point, s: number, t: number): Point => [
    at[0] + s * dx + t * nx,
    at[1] - s * dy + t * ny,
  ];
  return {
    title: "A sine bar seen from the side, its higher roller on the packing.",
    width: high[0] + 34 * u,
    height: floor + 10 * u,
    shapes: [
      line([
        [0, floor],
        [high[0] + 30 * u, floor],
      ]),
      {
        kind: "path",
        outlines: [
          polygon([
            corner(low, -0.8, 0.2),
            corner(high, 0.8, 0.2),
            corner(high, 0.8, 1.3),
            corner(low, -0.8, 1.3),
          ]),
        ],
        ink: "part",
      },
      { kind: "rect", x: high[0] - 6 * u, y: floor - packing, w: 12 * u, h: packing, ink: "parallel" },
      ...[low, high].map(([x, y]): Shape => ({ kind: "circle", x, y, r, ink: "rod" })),
      dimension([high[0] + 12 * u, floor - packing], [high[0] + 12 * u, floor], packing, "right", 4.5 * u),
      dimension(
        [low[0], floor + 6 * u],
        [high[0], floor + 6 * u],
        bar,
        "below",
        4.5 * u,
        "between the rollers",
      ),
    ],
  };
}

/** A round boss turned past the cutter: how far their axes stand apart. */
export function roundBossDrawing(boss: Mm, cutter: Mm, apart: Mm): Figure {
  const half = apart + cutter / 2;
  const u = half / 40;
  const c = half + 4 * u;
  return {
    title: "A round boss from above, the cutter beside it.",
    width: 2 * c,
    height: 2 * c,
    shapes: [
      { kind: "path", outlines: [circle(c, c, half)], ink: "remove" },
      { kind: "path", outlines: [circle(c, c, boss / 2)], ink: "part" },
      { kind: "path", outlines: [circle(c, c, apart)], ink: "hidden" },
      { kind: "path", outlines: [circle(c + apart, c, cutter / 2)], ink: "cutter" },
      ...axisCross(c, c, 4 * u),
      dimension([c, c + 4 * u], [c + apart, c + 4 * u], apart, "below", 4 * u),
    ],
  };
}
