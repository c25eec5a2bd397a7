import { mm, type Mm } from "../quantity/index.ts";
import type { Figure } from "./figure.ts";
import { body, box, dimension, disc, label, line, seen, sketch, told } from "./sum-shapes.ts";

/** Drawings of what the sums on pieces, bars and places ask for. */

const text = 4.2;

/** A bar with its blanks side by side, and what is left. */
export const barDrawing = (of: { bar: Mm; count: number; sawLength: Mm; kerf: Mm }): Figure => {
  const shown = Math.min(of.count, 12);
  const wide = 84 * seen((of.count * of.sawLength) / of.bar, 0.1, 1);
  const each = wide / shown;
  const cut = seen(of.kerf / of.sawLength, 0.03, 0.2) * each;
  return sketch("Blanks in a bar, a saw cut between two.", 52, [
    box(8, 16, 84, 14, "face-drawn"),
    ...Array.from({ length: shown }, (_, i) => box(8 + i * each, 16, each - cut, 14, "part")),
    dimension([8, 12], [8 + each - cut, 12], of.sawLength, "below", text, "saw length"),
    dimension([8, 44], [92, 44], of.bar, "below", text, "bar"),
  ]);
};

/** A blade in a section: teeth as they stand in it. */
export const bladeDrawing = (section: Mm, perInch: number): Figure => {
  const teeth = Math.max(1, Math.min(24, (section * perInch) / 25.4));
  const pitch = 60 / teeth;
  const points: [number, number][] = [];
  for (let x = 6; x < 94; x += pitch) {
    points.push([x, 20], [Math.min(94, x + pitch * 0.7), 30]);
  }
  return sketch("The blade's teeth over the section they cut.", 66, [
    box(20, 30, 60, 20, "section"),
    body([[6, 12], ...points, [94, 20], [94, 12]], "cutter"),
    dimension([20, 60], [80, 60], section, "below", text, "section"),
  ]);
};

/** Divisions of a dial, and how much of them an error is. */
export const divisionsDrawing = (divisions: number): Figure => {
  const shown = Math.max(4, Math.min(20, Math.ceil(divisions) + 2));
  const step = 84 / shown;
  return sketch("The error over the divisions of the dial.", 44, [
    line([
      [8, 24],
      [92, 24],
    ]),
    ...Array.from({ length: shown + 1 }, (_, i) =>
      line([
        [8 + i * step, i % 5 === 0 ? 14 : 18],
        [8 + i * step, 24],
      ]),
    ),
    box(8, 28, seen(divisions / shown, 0.005, 1) * 84, 6, "remove"),
  ]);
};

/** Two circles about one middle: what one stands out over the other. */
export const ringsDrawing = (outer: Mm, inner: Mm, title: string, between: string): Figure => {
  const r = 28 * seen(inner / outer, 0.2, 0.94);
  return sketch(title, 72, [
    disc(36, 36, 28, "part"),
    disc(36, 36, r, "void"),
    dimension([36 + r, 36], [64, 36], Math.abs(outer - inner) / 2, "below", text, between),
    told([84, 18], outer, "below", text, "outer"),
    told([84, 60], inner, "below", text, "inner"),
  ]);
};

/** A width with a line off its middle: the distances to both edges. */
export const edgesDrawing = (width: Mm, near: Mm): Figure => {
  const x = 12 + 76 * seen(near / width, 0.08, 0.92);
  return sketch("A center line off the middle, and both edges.", 64, [
    box(12, 14, 76, 20, "part"),
    line(
      [
        [x, 8],
        [x, 40],
      ],
      "center",
    ),
    dimension([12, 46], [x, 46], near, "below", text),
    dimension([x, 46], [88, 46], width - near, "below", text),
    dimension([12, 62], [88, 62], width, "below", text),
  ]);
};

/** Parts standing on one another up to a height that is wanted. */
export const stackDrawing = (wanted: Mm, parts: readonly Mm[]): Figure => {
  const sum = parts.reduce((s, p) => s + p, 0);
  const most = Math.max(wanted, sum, 1e-9);
  let y = 64;
  return sketch("What stands on one another, against the height that is wanted.", 72, [
    ...parts.flatMap((p, i) => {
      const high = 52 * seen(p / most, 0.02, 1);
      y -= high;
      return [box(20, Math.max(4, y), 30, high, i % 2 === 0 ? ("part" as const) : ("parallel" as const))];
    }),
    line(
      [
        [12, 64 - 52 * seen(wanted / most, 0.02, 1)],
        [88, 64 - 52 * seen(wanted / most, 0.02, 1)],
      ],
      "center",
    ),
    dimension([76, 64 - 52 * seen(wanted / most, 0.02, 1)], [76, 64], wanted, "right", text, "wanted"),
  ]);
};

/** A box seen from above with its four walls, each with its thickness. */
export const wallsDrawing = (walls: { left: Mm; right: Mm; front: Mm; back: Mm }): Figure =>
  sketch("The four walls from above.", 80, [
    box(20, 12, 60, 56, "section"),
    box(29, 21, 42, 38, "void"),
    told([12, 42], walls.left, "left", text),
    told([84, 42], walls.right, "right", text),
    told([50, 10], walls.back, "below", text),
    told([50, 80], walls.front, "below", text),
  ]);

/** A ball end sunk into a face as wide as its dimple. */
export const dimpleDrawing = (ball: Mm, wide: Mm, depth: Mm): Figure => {
  const r = 22;
  const down = r * seen(depth / (ball / 2), 0.06, 1);
  return sketch("A ball end in the face.", 70, [
    box(8, 40, 84, 26, "part"),
    disc(50, 40 + down - r, r, "cutter"),
    dimension([88, 40], [88, 40 + down], depth, "right", text, "deep"),
    told([50, 66], wide, "below", text, "wide"),
  ]);
};

/** A cutter in an inside corner with the arc it cuts over. */
export const inCornerDrawing = (corner: Mm, cutter: Mm, ae: Mm): Figure => {
  const r = 30 * seen(cutter / 2 / corner, 0.15, 1);
  return sketch("The cutter in the corner: it cuts over more of its edge than along the wall.", 84, [
    box(6, 6, 88, 72, "part"),
    body(
      [
        [18, 78],
        [18, 48],
        [27, 27],
        [48, 18],
        [94, 18],
        [94, 78],
      ],
      "void",
    ),
    disc(27 + r * 0.75, 27 + r * 0.75, r, "cutter"),
    told([70, 14], ae, "below", text, "off the wall"),
    told([78, 66], corner, "below", text, "corner radius"),
  ]);
};

/** A chamfer that goes into an inside radius without standing on it. */
export const intoRadiusDrawing = (radius: Mm, leg: Mm): Figure =>
  sketch("The chamfered edge in the inside radius.", 76, [
    body(
      [
        [10, 8],
        [22, 8],
        [22, 44],
        [30, 58],
        [44, 66],
        [92, 66],
        [92, 74],
        [10, 74],
      ],
      "part",
    ),
    body(
      [
        [23, 8],
        [23, 42],
        [47, 65],
        [80, 65],
        [80, 8],
      ],
      "parallel",
    ),
    told([66, 34], leg, "below", text, "leg"),
    told([36, 24], radius, "below", text, "radius"),
  ]);

/** A spigot in its recess, a gap all round and below. */
export const spigotDrawing = (recess: Mm, spigot: Mm, depth: Mm): Figure => {
  const gap = seen((recess - spigot) / 2 / recess, 0.015, 0.2) * 60;
  return sketch("The spigot in its recess.", 78, [
    body(
      [
        [8, 30],
        [20, 30],
        [20, 60],
        [80, 60],
        [80, 30],
        [92, 30],
        [92, 74],
        [8, 74],
      ],
      "part",
    ),
    body(
      [
        [8, 8],
        [92, 8],
        [92, 28],
        [80 - gap, 28],
        [80 - gap, 57],
        [20 + gap, 57],
        [20 + gap, 28],
        [8, 28],
      ],
      "parallel",
    ),
    dimension([20 + gap, 46], [80 - gap, 46], spigot, "below", text, "spigot"),
    told([90, 48], depth, "left", text, "deep"),
    label(50, 20, "fits into", 3.8),
    told([50, 72], mm(recess), "below", text, "recess"),
  ]);
};

/** A land between two obstacles, clear of both. */
export const landDrawing = (room: Mm, land: Mm): Figure => {
  const wide = 60 * seen(land / room, 0.1, 0.96);
  return sketch("A land with room on both sides.", 62, [
    box(8, 10, 12, 40, "bed"),
    box(80, 10, 12, 40, "bed"),
    box(50 - wide / 2, 18, wide, 32, "part"),
    dimension([50 - wide / 2, 14], [50 + wide / 2, 14], land, "below", text),
    dimension([20, 58], [80, 58], room, "below", text),
  ]);
};
