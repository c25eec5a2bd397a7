import { reversalDrawing } from "../figure/index.ts";
import { squareReversed } from "../inspect/index.ts";
import { mm } from "../quantity/index.ts";
import { checkLasts } from "../shop/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { keeps } from "./checks/keeps.ts";
import { number, type Sum } from "./sum.ts";

/** A square proves itself: read against a face, turned round, read again. */
export const reversalSum: Sum = {
  id: "reversal",
  title: "Square by reversal",
  what: "What a square is off, and what the face is off, from two readings with the square turned round.",
  fields: [
    number("first", "Indicator at the top", "chip", { mm: "0.03", in: "0.0012" }, { signed: true }),
    number("second", "Turned round, at the top", "chip", { mm: "-0.01", in: "-0.0004" }, { signed: true }),
    number("height", "Between foot and top", "length", { mm: "80", in: "3" }),
  ],
  work: ({ n }) => {
    const found = squareReversed(n("first"), n("second"), n("height"));
    if (!found) return refused(words("The height must be above zero."), words("Correct it."));
    return done({
      drawing: reversalDrawing(n("first"), n("second"), n("height")),
      figures: [
        { label: "the square is off, over 100 mm", value: mm(found.square), decimals: 3 },
        { label: "the face is off, over 100 mm", value: mm(found.face), decimals: 3 },
      ],
      working: {
        lines: [
          line("first reading", mm(n("first")), { decimals: 3 }),
          line("turned round", mm(n("second")), { decimals: 3 }),
          line("half their difference: the square", mm((n("first") - n("second")) / 2), { decimals: 3 }),
          line("half their sum: the face", mm((n("first") + n("second")) / 2), { decimals: 3 }),
          line("the square, over 100 mm", mm(found.square), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Zero the indicator at the foot each time; plus means the top leans toward it."),
          words("What turns round with the square is its own error; what stays is that of the face."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("instruments", {
    lasts: checkLasts.reversal,
    fits: (i) => i.kind === "square",
    found: ({ n }) => squareReversed(n("first"), n("second"), n("height"))?.square ?? 0,
    into: (square, _entered, on) => ({ ...square, lastCheck: on }),
  }),
};
