import { intoRadiusDrawing } from "../figure/index.ts";
import { mm, notNegative } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A chamfer on an edge that goes into a corner with an inside radius. */
export const intoRadiusSum: Sum = {
  id: "into-radius",
  title: "Chamfer into an inside radius",
  what: "How large a 45° chamfer on an edge must be so that the part seats in a corner with a radius.",
  fields: [
    number("radius", "Inside radius of the corner", "length", { mm: "2", in: "0.08" }),
    number("gap", "Gap wanted at the radius", "length", { mm: "0.2", in: "0.008" }),
  ],
  work: ({ n }) => {
    const [radius, gap] = [n("radius"), n("gap")];
    if (!notNegative(radius, gap) || radius === 0)
      return refused(words("The radius is above zero, the gap not below."), words("Correct them."));
    // Along the diagonal the radius stands (√2 − 1) r off the corner; a chamfer of a leg is leg ÷ √2 off it.
    const stands = radius * (Math.SQRT2 - 1);
    const leg = (stands + gap) * Math.SQRT2;
    return done({
      drawing: intoRadiusDrawing(radius, leg),
      figures: [
        { label: "leg of the chamfer, at least", value: mm(leg), decimals: 2 },
        { label: "its flat is wide", value: mm(leg * Math.SQRT2), decimals: 2 },
      ],
      working: {
        lines: [
          line("inside radius", mm(radius)),
          line("it stands out of the corner along the diagonal: 0.414 × radius", mm(stands), { decimals: 3 }),
          line("with the gap", mm(stands + gap), { decimals: 3 }),
          line("leg: that × 1.414", mm(leg), { sum: true, decimals: 3 }),
        ],
        notes: [words("A relief slot in the corner seats the part without a chamfer.")],
      },
      warnings: [],
    });
  },
};
