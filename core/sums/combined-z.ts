import { kneeAndQuillDrawing } from "../figure/index.ts";
import { combinedZ } from "../locate/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Knee and quill both moved: where the cutter then stands. */
export const combinedZSum: Sum = {
  id: "combined-z",
  title: "Knee and quill together",
  what: "One depth from two handles: what the knee was raised and the quill lowered since the touch.",
  fields: [
    number("knee", "Knee raised by", "length", { mm: "2", in: "0.08" }, { signed: true }),
    number("quill", "Quill lowered by", "length", { mm: "3.5", in: "0.14" }, { signed: true }),
    number("tilt", "Head tilted by", "angle", "0"),
  ],
  work: ({ n }) => {
    const z = combinedZ(n("knee"), n("quill"), n("tilt"));
    if (!z.ok) return z;
    return done({
      drawing: kneeAndQuillDrawing(n("knee"), n("quill"), z.value),
      figures: [{ label: "deeper than at the touch", value: mm(z.value), decimals: 3 }],
      working: {
        lines: [
          line("knee raised", mm(n("knee"))),
          line("quill lowered", mm(n("quill"))),
          line("head", quantity("angle", n("tilt"))),
          line("deeper", mm(z.value), { sum: true, decimals: 3 }),
        ],
        notes: [
          words("Lowered knee or raised quill counts with a minus."),
          words(
            "Lock the one that stays, and write down both readings: a zero of one alone is lost when the other moves.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
