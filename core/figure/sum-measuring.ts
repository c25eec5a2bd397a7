import { mm, type Mm, quantity } from "../quantity/index.ts";
import type { Figure } from "./figure.ts";
import { body, box, dimension, disc, label, line, sketch, told } from "./sum-shapes.ts";

/** Drawings of what the sums on measuring ask for. */

const text = 4.2;

/** A square tried twice against the same face, its blade one way and turned round. */
export const reversalDrawing = (first: Mm, second: Mm, height: Mm): Figure =>
  sketch("A square read at its top, then turned round and read at the other side.", 66, [
    box(4, 54, 92, 6, "bed"),
    body(
      [
        [20, 54],
        [26, 12],
        [31, 12],
        [27, 54],
      ],
      "parallel",
    ),
    body(
      [
        [80, 54],
        [74, 12],
        [69, 12],
        [73, 54],
      ],
      "parallel",
    ),
    line(
      [
        [8, 16],
        [24, 16],
      ],
      "accent",
      true,
    ),
    line(
      [
        [92, 16],
        [76, 16],
      ],
      "accent",
      true,
    ),
    told([15, 12], quantity("chip", first), "below", 3.8),
    told([85, 12], quantity("chip", second), "below", 3.8),
    dimension([50, 14], [50, 54], height, "right", text),
  ]);

/** What an indicator is run over, with what it read at both ends. */
export const runDrawing = (left: Mm, right: Mm, apart: Mm, over: string): Figure => {
  const rises = right >= left;
  const level = Math.abs(right - left) < 1e-9;
  const [a, b] = level ? [26, 26] : rises ? [30, 22] : [22, 30];
  return sketch("An indicator run over it, from one end to the other.", 70, [
    body(
      [
        [12, a],
        [88, b],
        [88, 52],
        [12, 52],
      ],
      "part",
    ),
    line(
      [
        [16, a - 12],
        [16, a - 1],
      ],
      "accent",
      true,
    ),
    line(
      [
        [84, b - 12],
        [84, b - 1],
      ],
      "accent",
      true,
    ),
    told([22, a - 6], quantity("chip", left), "right", 3.8),
    told([66, b - 10], quantity("chip", right), "right", 3.8),
    dimension([16, 64], [84, 64], apart, "below", text),
    label(50, 43, over, 4),
  ]);
};

/** A part on two rests with the heights read over them. */
export const slopeDrawing = (left: Mm, right: Mm, apart: Mm, shim: Mm): Figure => {
  const rises = right >= left;
  const [a, b] = rises ? [24, 18] : [18, 24];
  return sketch("Heights at two places, and the shim that levels them.", 76, [
    box(4, 56, 92, 5, "bed"),
    body(
      [
        [12, a],
        [88, b],
        [88, b + 24],
        [12, a + 24],
      ],
      "part",
    ),
    box(20, a + 24, 8, 56 - a - 24, "parallel"),
    box(72, b + 24, 8, 56 - b - 24, "parallel"),
    told([24, a - 2], quantity("chip", left), "below", 3.8),
    told([76, b - 2], quantity("chip", right), "below", 3.8),
    dimension([24, 73], [76, 73], apart, "below", text),
    told([rises ? 30 : 82, 52], quantity("chip", shim), "right", 3.6, "shim here"),
    label(50, 38, "part", 3.4),
  ]);
};

/** Readings of one thing as pins above a line, all to one scale, with where they are measured from. */
export function trialsDrawing(title: string, values: readonly Mm[], base: Mm): Figure {
  const far = Math.max(1e-9, ...values.map((v) => Math.abs(v - base)));
  const step = 76 / Math.max(1, values.length);
  return sketch(title, 64, [
    line(
      [
        [8, 34],
        [92, 34],
      ],
      "center",
    ),
    told([6, 60], mm(base), "right", 3.6, "from"),
    ...values.flatMap((v, i) => {
      const x = 12 + step * (i + 0.5);
      const y = 34 - ((v - base) / far) * 18;
      return [
        line(
          [
            [x, 34],
            [x, y],
          ],
          "thin",
        ),
        disc(x, y, 1.6, "edge"),
        told([x, y < 34 ? y - 3 : y + 7], mm(v), "below", 3.6),
      ];
    }),
  ]);
}

/** An upright face with an indicator at its foot and at its top. */
export const uprightDrawing = (bottom: Mm, top: Mm, height: Mm): Figure => {
  const leans = top - bottom === 0 ? 0 : Math.sign(top - bottom) * 5;
  return sketch("An indicator at the foot and at the top of an upright face.", 76, [
    box(4, 64, 92, 5, "bed"),
    body(
      [
        [30, 64],
        [30 - leans, 12],
        [46 - leans, 12],
        [46, 64],
      ],
      "fixedJaw",
    ),
    line(
      [
        [76, 18],
        [47 - leans, 18],
      ],
      "accent",
      true,
    ),
    line(
      [
        [76, 58],
        [47, 58],
      ],
      "accent",
      true,
    ),
    told([80, 18], quantity("chip", top), "right", 3.8),
    told([80, 58], quantity("chip", bottom), "right", 3.8),
    dimension([62, 18], [62, 58], height, "right", 3.8),
  ]);
};
