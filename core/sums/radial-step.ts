import { ringsDrawing } from "../figure/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, note, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** One diameter in place of another: how far its edge lies from where the old one did. */
export const radialStepSum: Sum = {
  id: "radial-step",
  title: "Difference of two diameters",
  what: "How far apart the edges of two rounds on one center lie: the step, the offset of a bracket, the wall of a tube.",
  fields: [
    number("old", "One diameter", "length", { mm: "63", in: "2-1/2" }),
    number("now", "The other", "length", { mm: "50", in: "2" }),
  ],
  work: ({ n }) => {
    const [a, b] = [n("old"), n("now")];
    const step = Math.abs(a - b) / 2;
    if (!(Math.max(a, b) > 0)) return refused(words("A diameter is above zero."), words("Enter both."));
    return done({
      drawing: ringsDrawing(Math.max(a, b), Math.min(a, b), "Two rounds on one center.", "apart"),
      figures: [
        { label: "their edges lie apart by", value: mm(step), decimals: 4 },
        { label: "difference of the diameters", value: mm(Math.abs(a - b)), decimals: 4 },
      ],
      working: {
        lines: [
          line("larger", mm(Math.max(a, b))),
          line("smaller", mm(Math.min(a, b))),
          line("half their difference", mm(step), { sum: true, decimals: 4 }),
        ],
        notes: [],
      },
      warnings: a === b ? [note(words("They are alike."))] : [],
    });
  },
};
