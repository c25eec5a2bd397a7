import { type Mm, type Quantity, quantity } from "../quantity/index.ts";
import { axisCross } from "./axis-cross.ts";
import type { Figure, Shape } from "./figure.ts";
import { body, box, dimension, disc, label, line, type Point, seen, sketch, told } from "./sum-shapes.ts";

/** Drawings of what the sums on holding, measuring, keys and threads ask for. */

const text = 4.2;

/** A part between the jaws: how deep it is gripped, where the cut pushes it. */
export function viseDrawing(grip: Mm, above: Mm, clamp: Quantity, push: Quantity): Figure {
  const [g, a] = [
    20 * seen(grip / (grip + above), 0.25, 0.75),
    20 * seen(above / (grip + above), 0.25, 0.75),
  ];
  const jaw = 34;
  return sketch("A part in the vise, seen along the jaws: the cut pushes above them.", 62, [
    box(10, jaw, 16, 20, "movingJaw"),
    box(58, jaw, 16, 20, "fixedJaw"),
    box(10, 54, 64, 6, "bed"),
    box(26, jaw + g, 32, 20 - g, "parallel"),
    box(26, jaw - a, 32, a + g, "part"),
    line(
      [
        [4, jaw - a],
        [25, jaw - a],
      ],
      "accent",
      true,
    ),
    told([14, jaw - a], push, "below", text, ""),
    told([18, jaw + 10], clamp, "below", 3, "clamps"),
    dimension([78, jaw - a], [78, jaw], above, "right", text),
    dimension([78, jaw], [78, jaw + g], grip, "right", text),
  ]);
}

/** A strap over the part, its stud and the packing under its heel. */
export function strapDrawing(toWork: Mm, toHeel: Mm, onWork: Quantity): Figure {
  const both = toWork + toHeel;
  const [toe, heel] = [14, 86];
  const stud = toe + (heel - toe) * seen(toWork / both, 0.15, 0.85);
  return sketch(
    "A strap from the side: the nearer the stud stands to the part, the harder the part is held.",
    62,
    [
      box(0, 52, 100, 8, "bed"),
      box(2, 28, 20, 24, "part"),
      box(heel - 7, 28, 14, 24, "parallel"),
      box(8, 20, 86, 8, "movingJaw"),
      box(stud - 2.5, 8, 5, 44, "rod"),
      box(stud - 5, 13, 10, 7, "rod"),
      line(
        [
          [toe, 10],
          [toe, 19],
        ],
        "accent",
        true,
      ),
      told([toe + 2, 10], onWork, "right", text, ""),
      dimension([toe, 42], [stud, 42], toWork, "below", text),
      dimension([stud, 42], [heel, 42], toHeel, "below", text),
    ],
  );
}

/** A tool at either of two faces, and the middle between them. */
export function centerDrawing(inside: boolean, tool: Mm, width: Mm): Figure {
  const r = seen((18 * tool) / width, 3, 9);
  const [low, high] = [26, 74];
  const at: Point[] = inside
    ? [
        [low + r, 26],
        [high - r, 26],
      ]
    : [
        [low - r, 26],
        [high + r, 26],
      ];
  return sketch("Two opposite faces touched from both sides; zero goes to the middle.", 60, [
    ...(inside
      ? [box(4, 14, low - 4, 26, "part"), box(high, 14, 96 - high, 26, "part")]
      : [box(low, 14, high - low, 26, "part")]),
    ...at.map(([x, y]): Shape => disc(x, y, r, "cutter")),
    line(
      [
        [50, 8],
        [50, 46],
      ],
      "center",
    ),
    dimension([low, 55], [high, 55], width, "below", text),
    label(50, 6, "the middle", 3.6),
  ]);
}

/** Zones of a hole and a shaft about the size, drawn many times as wide. */
export function zonesDrawing(
  hole: { upper: Mm; lower: Mm },
  shaft: { upper: Mm; lower: Mm },
  names: { hole: string; shaft: string },
): Figure {
  const all = [hole.upper, hole.lower, shaft.upper, shaft.lower, 0];
  const [most, least] = [Math.max(...all), Math.min(...all)];
  const y = (v: Mm) => 10 + ((most - v) / Math.max(most - least, 1e-6)) * 40;
  const zone = (x: number, of: { upper: Mm; lower: Mm }, name: string, ink: "part" | "parallel"): Shape[] => [
    box(x, y(of.upper), 18, Math.max(y(of.lower) - y(of.upper), 0.6), ink),
    label(x + 9, 58, name, text),
  ];
  const side = (v: Mm, x: number, way: "left" | "right") =>
    told([x, y(v) + 1.4], quantity("chip", v), way, 3.2);
  return sketch("Where hole and shaft may lie about the size, drawn many times as wide.", 62, [
    line([
      [8, y(0)],
      [92, y(0)],
    ]),
    ...zone(30, hole, names.hole, "part"),
    ...zone(52, shaft, names.shaft, "parallel"),
    side(hole.upper, 28, "left"),
    side(hole.lower, 28, "left"),
    side(shaft.upper, 72, "right"),
    side(shaft.lower, 72, "right"),
  ]);
}

/** A shaft across its seat: width, depth from the crown, and floor to the far side. */
export function keyDrawing(shaft: Mm, width: Mm, height: Mm, fromCrown: Mm): Figure {
  const r = 22;
  const of = r / (shaft / 2);
  const [cx, cy] = [44, 44];
  const [w, h, deep] = [width * of, height * of, fromCrown * of];
  const floor = cy - r + deep;
  return sketch("A shaft seen on its end, with its key in the seat.", 72, [
    disc(cx, cy, r, "part"),
    box(cx - w / 2, cy - r - 1, w, deep + 1, "ground"),
    box(cx - w / 2, floor - h, w, h, "parallel"),
    ...axisCross(cx, cy, 4),
    dimension([cx - w / 2, floor - h - 3], [cx + w / 2, floor - h - 3], width, "below", text),
    line(
      [
        [cx, cy - r],
        [cx + r + 10, cy - r],
      ],
      "thin",
    ),
    line(
      [
        [cx + w / 2, floor],
        [cx + r + 10, floor],
      ],
      "thin",
    ),
    dimension([cx + r + 8, cy - r], [cx + r + 8, floor], fromCrown, "right", text),
    dimension([cx - r - 5, floor], [cx - r - 5, cy + r], shaft - fromCrown, "left", text),
  ]);
}

/** A Woodruff seat from the side: the disc that cuts it, how deep it goes from the crown, how long it is. */
export function woodruffDrawing(shaft: Mm, cutter: Mm, fromCrown: Mm, length: Mm): Figure {
  const of = 46 / Math.max(length, shaft, cutter);
  const [cx, top] = [46, 26];
  const deep = fromCrown * of;
  const r = (cutter / 2) * of;
  const half = Math.sqrt(Math.max(r * r - (r - deep) * (r - deep), 0));
  const bottom = top + Math.min(shaft * of, 40);
  return sketch("A shaft from the side, the Woodruff cutter at the bottom of its seat.", bottom + 12, [
    box(6, top, 80, bottom - top, "part"),
    disc(cx, top + deep - r, r, "hidden"),
    body(
      Array.from({ length: 17 }, (_, i): Point => {
        const x = -half + (i / 16) * 2 * half;
        return [cx + x, top + deep - r + Math.sqrt(Math.max(r * r - x * x, 0))];
      }),
      "ground",
    ),
    dimension([cx - half, bottom + 9], [cx + half, bottom + 9], length, "below", text),
    dimension([cx + half + 6, top], [cx + half + 6, top + deep], fromCrown, "right", text),
    dimension([90, top], [90, bottom], shaft, "left", 3.6),
  ]);
}

/** A thread in its hole: the drill, and what of the thread it leaves. */
export function threadDrawing(diameter: Mm, pitch: Mm, drill: Mm): Figure {
  const turns = 6;
  const step = 6;
  const deep = 3.9;
  const x = 30;
  const left = deep * seen((diameter - drill) / (1.0825 * pitch), 0, 1);
  const side = (way: 1 | -1, root: number): Point[] =>
    Array.from({ length: turns * 2 + 1 }, (_, i): Point => [
      root + way * (i % 2 === 0 ? 0 : left),
      6 + (i * step) / 2,
    ]);
  const [a, b] = [side(1, x), side(-1, x + 40)];
  return sketch("A tapped hole cut open: what the drill leaves for the thread.", 62, [
    body([[4, 6], ...a, [x, 48], [4, 48]], "section"),
    body([[96, 6], ...b, [x + 40, 48], [96, 48]], "section"),
    line(
      [
        [50, 3],
        [50, 50],
      ],
      "center",
    ),
    dimension([x + left, 40], [x + 40 - left, 40], drill, "below", text, "drill"),
    dimension([x, 60], [x + 40, 60], diameter, "below", text),
    dimension([x + 44, 6 + step], [x + 44, 6 + 2 * step], pitch, "right", text, "pitch"),
  ]);
}

/** A blank in three-quarter view, or its section with its length. */
export function blankDrawing(shape: string, length: Mm, a: Mm, b: Mm): Figure {
  const long = 46;
  const [dx, dy] = [14, -9];
  const tall = shape === "plate" ? 26 * seen(b / Math.max(a, b), 0.08, 1) : 22;
  const y = 50 - tall;
  if (shape === "plate" || shape === "square")
    return sketch("The blank in three-quarter view.", 68, [
      box(20, y, long, tall, "part"),
      body(
        [
          [20, y],
          [20 + dx, y + dy],
          [20 + dx + long, y + dy],
          [20 + long, y],
        ],
        "part",
      ),
      body(
        [
          [20 + long, y],
          [20 + long + dx, y + dy],
          [20 + long + dx, y + dy + tall],
          [20 + long, y + tall],
        ],
        "part",
      ),
      dimension([20, 62], [20 + long, 62], length, "below", text),
      dimension([16, y], [16, y + tall], shape === "plate" ? b : a, "left", text),
      told([20 + long + dx + 1, y + dy + tall / 2], a, "right", text, shape === "plate" ? "wide" : ""),
    ]);
  const [cx, cy, r] = [30, 34, 18];
  const corners = Array.from({ length: 6 }, (_, i): Point => {
    const angle = (Math.PI / 180) * (30 + 60 * i);
    return [
      cx + (r / Math.cos(Math.PI / 6)) * Math.cos(angle),
      cy + (r / Math.cos(Math.PI / 6)) * Math.sin(angle),
    ];
  });
  const wall = shape === "tube" ? r * seen((2 * b) / a, 0.05, 0.95) : 0;
  return sketch("The section of the bar, and its length beside it.", 64, [
    shape === "hex" ? body(corners, "section") : disc(cx, cy, r, "section"),
    ...(wall > 0 ? [disc(cx, cy, r - wall, "ground")] : []),
    ...axisCross(cx, cy, 4),
    dimension([7, cy - r], [7, cy + r], a, "left", text),
    box(58, cy - 9, 34, 18, "part"),
    dimension([58, cy + 16], [92, cy + 16], length, "below", text),
  ]);
}
