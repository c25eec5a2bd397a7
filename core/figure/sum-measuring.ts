import { type Mm, quantity } from "../quantity/index.ts";
import type { Figure } from "./figure.ts";
import { body, box, dimension, label, line, sketch, told } from "./sum-shapes.ts";

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
