import { dimpleDrawing } from "../figure/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A dimple of a width by a ball end: how deep it is plunged. */
export const dimpleSum: Sum = {
  id: "dimple",
  title: "Dimple by a ball end",
  what: "How deep a ball end is plunged for a dimple of a width, and how much wider it gets by a little more depth.",
  fields: [
    number("ball", "Ball end", "length", { mm: "20", in: "3/4" }),
    number("width", "Width of the dimple", "length", { mm: "12", in: "1/2" }),
  ],
  work: ({ n }) => {
    const r = n("ball") / 2;
    const half = n("width") / 2;
    if (!(r > 0) || !(half > 0) || half > r)
      return refused(words("A dimple is no wider than the ball end."), words("Take a larger one."));
    const depth = r - Math.sqrt(r * r - half * half);
    // Width over depth: how much wider by a tenth deeper.
    const deeper = Math.min(r, depth + 0.1);
    const wider = 2 * Math.sqrt(r * r - (r - deeper) ** 2) - n("width");
    return done({
      drawing: dimpleDrawing(n("ball"), n("width"), depth),
      figures: [
        { label: "plunge", value: mm(depth), decimals: 3 },
        { label: "0.1 mm deeper makes it wider by", value: mm(Math.max(0, wider)), decimals: 3 },
      ],
      working: {
        lines: [
          line("radius of the ball end", mm(r), { decimals: 3 }),
          line("half the width", mm(half), { decimals: 3 }),
          line("radius less the root of radius squared less half the width squared", mm(depth), {
            sum: true,
            decimals: 3,
          }),
        ],
        notes: [
          words(
            "The tip of a ball end stands still and rubs: feed slowly, with oil, and let it dwell no longer than a turn.",
          ),
        ],
      },
      warnings:
        half > 0.9 * r
          ? [
              warn(
                words(
                  "So near to its full width a ball end is nearly upright at the rim: a hair deeper changes little of the width.",
                ),
              ),
            ]
          : [],
    });
  },
};
