import { type Mm, mm, quantity, type Quantity } from "../quantity/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { body, box, dimension, disc, label, line, type Point, seen, sketch, told } from "./sum-shapes.ts";

/** Drawings of what the sums on cutting and on the machine ask for: proportions true where there is room for them. */

const text = 4.2;
const turn = (degrees: number) => (degrees * Math.PI) / 180;

/** A cutter seen from its end: as many teeth as it has, turning to the right. */
function cutterFromEnd(x: number, y: number, r: number, teeth: number): Shape[] {
  const shown = Math.min(Math.max(Math.round(teeth), 1), 24);
  const at = (angle: number, share: number): Point => [
    x + share * r * Math.cos(angle),
    y + share * r * Math.sin(angle),
  ];
  const arc = Array.from({ length: 9 }, (_, i) => at(turn(200 + i * 16), 0.55));
  return [
    disc(x, y, r, "cutter"),
    ...Array.from({ length: shown }, (_, i) => {
      const angle = turn(-90) + (i * 2 * Math.PI) / shown;
      return line([at(angle, 1), at(angle + 0.35, 0.72)]);
    }),
    line(arc, "accent", true),
  ];
}

/** A cutter from above: its diameter, how it turns, and the way it goes over the work. */
export function feedDrawing(diameter: Mm, teeth: number, vf: Quantity): Figure {
  return sketch("The cutter seen from above, turning over the work as it is fed.", 58, [
    box(8, 20, 60, 30, "part"),
    ...cutterFromEnd(68, 35, 15, teeth),
    line(
      [
        [68, 35],
        [24, 35],
      ],
      "accent",
      true,
    ),
    told([40, 31], vf, "below", text, "feed"),
    dimension([53, 12], [83, 12], diameter, "below", text),
    ...(teeth > 24 ? [label(68, 57, "not all teeth drawn", 3.2)] : []),
  ]);
}

/** A cut from the front and from above: depth along the cutter, width across it. */
export function cutDrawing(diameter: Mm, ap: Mm, ae: Mm): Figure {
  const d = 26;
  const wide = d * seen(ae / diameter, 0.06, 1);
  const deep = 22 * seen(ap / diameter, 0.12, 1);
  const [edge, top] = [52, 32];
  return sketch("The cut seen along the feed: how deep along the cutter, how wide across it.", 66, [
    box(8, top, edge - 8, 20, "part"),
    box(8, top - deep, edge - wide - 8, deep + 2, "part"),
    box(edge - wide, top - deep - 14, d, deep + 14, "cutter"),
    box(edge - wide, top - deep, wide, deep, "remove"),
    dimension([edge - wide + d + 4, top - deep], [edge - wide + d + 4, top], ap, "right", text),
    dimension([edge - wide, 62], [edge, 62], ae, "below", text),
  ]);
}

/** Width of cut and diameter, seen from above: the arc on which a tooth cuts, and the feed of one tooth. */
export function chipDrawing(diameter: Mm, ae: Mm, centered: boolean, fz: Quantity): Figure {
  const r = 20;
  const wide = 2 * r * seen(ae / diameter, 0.03, 1);
  const [x, y] = [56, 34];
  const top = centered ? y - wide / 2 : y + r - wide;
  return sketch("The cutter seen from above in its cut, with the width of cut and the feed of a tooth.", 74, [
    box(6, centered ? top : top, x - 6, wide, "remove"),
    ...(centered ? [] : [box(6, top + wide, 88, 8, "part")]),
    ...cutterFromEnd(x, y, r, 4),
    dimension([x - r, 10], [x + r, 10], diameter, "below", text),
    dimension([10, top], [10, top + wide], ae, "right", text),
    told([26, 73], fz, "below", text, "a tooth"),
  ]);
}

/** A cutter out of its holder, pushed aside at its end. */
export function bendingDrawing(diameter: Mm, stickout: Mm, force: Quantity, bends: Mm): Figure {
  const long = 36;
  const wide = long * seen(diameter / stickout, 0.06, 0.9);
  const x = 46;
  const tip = 8 + long;
  const over = 5;
  return sketch("A cutter out of its holder; the force at its end bends it aside.", 62, [
    box(x - 14, 1, 28, 7, "movingJaw"),
    box(x - wide / 2, 8, wide, long, "cutter"),
    body(
      [
        [x - wide / 2, 8],
        [x - wide / 2 + over * 0.3, 8 + long / 2],
        [x - wide / 2 + over, tip],
        [x + wide / 2 + over, tip],
        [x + wide / 2 + over * 0.3, 8 + long / 2],
        [x + wide / 2, 8],
      ],
      "hidden",
    ),
    line(
      [
        [x - wide / 2 - 20, tip - 2],
        [x - wide / 2 - 1, tip - 2],
      ],
      "accent",
      true,
    ),
    told([x - wide / 2 - 11, tip - 1], force, "below", text),
    dimension([x - 22, 8], [x - 22, tip - 8], stickout, "left", text),
    dimension([x - wide / 2, tip + 10], [x + wide / 2, tip + 10], diameter, "below", text),
    told([x + wide / 2 + over + 2, tip], quantity("chip", bends), "right", text, "bends, drawn larger"),
  ]);
}

/** What the teeth leave behind: a ridge at each feed. */
export function ridgesDrawing(apart: Quantity, radius: Mm): Figure {
  const [from, step, floor] = [14, 12, 34];
  const sag = 5;
  const r = (step * step) / (8 * sag) + sag / 2;
  const points: Point[] = [];
  for (let i = 0; i < 6; i++)
    for (let k = 0; k < 8; k++) {
      const dx = (k / 8 - 0.5) * step;
      points.push([from + i * step + dx + step / 2, floor + Math.sqrt(r * r - dx * dx) - r]);
    }
  points.push([from + 6 * step, floor - sag]);
  return sketch("Ridges that the feed leaves, drawn many times as high.", 56, [
    body([...points, [from + 6 * step, 50], [from, 50]], "part"),
    disc(from + 2.5 * step, floor - r, r, "hidden"),
    dimension([from + 2 * step, 22], [from + 3 * step, 22], apart, "below", text),
    told([from + 3 * step + 4, 12], radius, "right", text, "radius that marks"),
  ]);
}

/** What comes off, pass by pass; the last one is the light one. */
export function passesDrawing(depths: readonly Mm[], from: Mm, to: Mm): Figure {
  const total = depths.reduce((sum, d) => sum + d, 0);
  const high = 32;
  const shown = depths.length <= 14;
  let y = 10;
  const cuts: Shape[] = shown
    ? depths.map((d) => {
        const h = total > 0 ? (high * d) / total : 0;
        const cut = box(30, y, 40, h, "remove");
        y += h;
        return cut;
      })
    : [box(30, 10, 40, high, "remove")];
  return sketch("The block from the front; each pass is a line.", 64, [
    box(30, 10 + high, 40, 18, "part"),
    ...cuts,
    dimension([24, 10], [24, 60], from, "left", text, "now"),
    dimension([76, 10 + high], [76, 60], to, "right", text, "wanted"),
    told([76, 14], depths[0] ?? 0, "right", text, depths.length > 1 ? "first pass" : "one pass"),
    ...(depths.length > 1 ? [told([76, 10 + high - 4], depths.at(-1)!, "right", text, "last pass")] : []),
  ]);
}

/** A collar with its zero mark, and the mark where it ends. */
export function collarDrawing(divisions: number, ends: number, turns: number): Figure {
  const [x, y, r] = [50, 34, 25];
  const marks = Math.min(Math.max(Math.round(divisions), 4), 500);
  const every = Math.max(1, Math.round(marks / 100));
  const at = (division: number, share: number): Point => {
    const angle = turn(-90) + (division / marks) * 2 * Math.PI;
    return [x + share * r * Math.cos(angle), y + share * r * Math.sin(angle)];
  };
  const shown = Array.from({ length: Math.floor(marks / every) }, (_, i) => i * every);
  return sketch("The collar of the dial: zero at the mark, and the division where it ends.", 66, [
    disc(x, y, r, "movingJaw"),
    ...shown.map((d) => line([at(d, 1), at(d, d % (10 * every) === 0 ? 0.82 : 0.92)], "thin")),
    label(x, 6, "0", text),
    line([at(ends, 0.5), at(ends, 1.12)], "accent", true),
    told([x, y + 1], quantity("count", ends), "below", text, "division"),
    told([x, y + 14], quantity("count", turns), "below", text, turns === 1 ? "whole turn" : "whole turns"),
  ]);
}

/** Knee up and quill down since the cutter touched. */
export const kneeAndQuillDrawing = (knee: Mm, quill: Mm, deeper: Mm): Figure =>
  sketch("The quill comes down, the knee goes up: both make the cutter stand deeper.", 70, [
    box(38, 2, 18, 12, "movingJaw"),
    box(43, 14, 8, 22, "cutter"),
    box(18, 32, 25, 14, "part"),
    box(51, 32, 25, 14, "part"),
    box(18, 36, 58, 10, "part"),
    box(12, 46, 70, 6, "bed"),
    line(
      [
        [34, 6],
        [34, 18],
      ],
      "accent",
      true,
    ),
    told([33, 12], quill, "left", text, "quill down"),
    line(
      [
        [47, 63],
        [47, 54],
      ],
      "accent",
      true,
    ),
    told([50, 61], knee, "right", text, "knee up"),
    dimension([80, 32], [80, 36], deeper, "right", text, "deeper"),
  ]);

/** A head out of square to the table, or tilted on purpose: what a move along it gives. */
export function tiltDrawing(degrees: number, step: Mm, part: boolean): Figure {
  const angle = turn(Math.min(Math.abs(degrees), 60));
  const [x, y] = [50, 44];
  const way: Point = [x - 30 * Math.sin(angle), y - 30 * Math.cos(angle)];
  const corner = (a: number, b: number): Point => [
    x + a * Math.cos(angle) + b * Math.sin(angle),
    y - a * Math.sin(angle) + b * Math.cos(angle),
  ];
  return sketch(part ? "The part tilted on the table." : "The head tilted over the table.", 62, [
    box(14, 52, 72, 6, "bed"),
    ...(part
      ? [body([corner(-16, -14), corner(16, -14), corner(16, 0), corner(-16, 0)], "part")]
      : [
          body(
            [
              [x - 4 * Math.cos(angle), y + 4 * Math.sin(angle)],
              [x + 4 * Math.cos(angle), y - 4 * Math.sin(angle)],
              [way[0] + 4 * Math.cos(angle), way[1] - 4 * Math.sin(angle)],
              [way[0] - 4 * Math.cos(angle), way[1] + 4 * Math.sin(angle)],
            ],
            "cutter",
          ),
        ]),
    line(
      [
        [x, y + 4],
        [x, 6],
      ],
      "center",
    ),
    line([[x, y], way], "accent", true),
    told([way[0] - 2, way[1] + 4], step, "left", text, "moved by"),
    told([x + 3, 14], quantity("angle", degrees), "right", text, "tilt"),
  ]);
}

/** A rule with its sixty-fourths, and the length on it. */
export function ruleDrawing(length: Mm): Figure {
  const inches = length / 25.4;
  const from = Math.max(0, Math.floor(inches * 4 - 1) / 4);
  const x = (at: number) => 8 + (at - from) * 84 * 1.333;
  const marks = Array.from({ length: 49 }, (_, i) => from + i / 64);
  const high = (i: number) =>
    i % 64 === 0 ? 18 : i % 32 === 0 ? 14 : i % 16 === 0 ? 11 : i % 8 === 0 ? 8 : i % 4 === 0 ? 6 : 4;
  return sketch("A rule in sixty-fourths of an inch, with the length on it.", 46, [
    box(4, 18, 92, 24, "movingJaw"),
    ...marks.map((at) =>
      line(
        [
          [x(at), 18],
          [x(at), 18 + high(Math.round(at * 64))],
        ],
        "thin",
      ),
    ),
    ...[from, from + 0.25, from + 0.5, from + 0.75]
      .filter((at) => Number.isInteger(at))
      .map((at) => label(x(at) + 2, 40, `${at} in`, text, "start")),
    line(
      [
        [x(inches), 6],
        [x(inches), 18],
      ],
      "accent",
      true,
    ),
    told([x(inches) + 2, 10], mm(length), "right", text),
  ]);
}
