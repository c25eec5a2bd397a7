import { slopeDrawing } from "../figure/index.ts";
import { levelBetween } from "../inspect/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Two heights and how far they lie apart: the slope, its angle, and the shim that levels the part on its rests. */
export const slopeSum: Sum = {
  id: "slope",
  title: "Slope and shim",
  what: "How much a part slopes between two readings, and the shim that levels it on its rests.",
  fields: [
    number("left", "Reads at the left", "length", { mm: "0", in: "0" }, { signed: true }),
    number("right", "Reads at the right", "length", { mm: "0.06", in: "0.0024" }, { signed: true }),
    number("apart", "Readings apart", "length", { mm: "100", in: "4" }),
    number("rests", "Rests apart", "length", { mm: "80", in: "3" }),
  ],
  work: ({ n }) => {
    const found = levelBetween(n("left"), n("right"), n("apart"), n("rests"));
    if (!found) return refused(words("Both distances must be above zero."), words("Correct them."));
    return done({
      drawing: slopeDrawing(n("left"), n("right"), n("apart"), found.shim),
      figures: [
        {
          label:
            found.shim === 0
              ? "no shim"
              : `shim under the ${n("right") >= n("left") ? "left" : "right"} rest`,
          value: mm(found.shim),
          decimals: 3,
        },
        { label: "slope over 100 mm", value: mm(found.per100), decimals: 3 },
        { label: "angle", value: quantity("angle", found.angle), decimals: 3 },
      ],
      working: {
        lines: [
          line("rise between the readings", mm(n("right") - n("left")), { decimals: 3 }),
          line("readings apart", mm(n("apart"))),
          line("slope over 100 mm", mm(found.per100), { decimals: 3 }),
          line("rests apart", mm(n("rests"))),
          line("shim", mm(found.shim), { decimals: 3, sum: true }),
        ],
        notes: [
          words(
            "Tighten and read again: a clamp over an unsupported place bends the part and spoils the level.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
