import { sineDrawing } from "../figure/index.ts";
import { sineAngle, sineHeight } from "../part/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Beyond this a sine bar is too coarse: a little packing turns it far, degrees. */
const coarse = 45;

/** Packing under a sine bar. */
export const sineSum: Sum = {
  id: "sine",
  title: "Sine bar",
  what: "The packing under a sine bar for an angle, and the angle of what packing you have.",
  fields: [
    number("bar", "Between the rollers", "length", { mm: "100", in: "5" }),
    number("angle", "Angle", "angle", "12.5"),
    number("have", "Packing at hand", "length", { mm: "21.5", in: "1.08" }),
  ],
  work: ({ n }) => {
    const height = sineHeight(n("bar"), n("angle"));
    const angle = sineAngle(n("bar"), n("have"));
    if (height === null || angle === null)
      return refused(
        words("The angle lies between 0° and 90°, and the packing is no higher than the bar is long."),
        words("Correct them."),
      );
    return done({
      figures: [
        { label: "packing", value: mm(height), decimals: 3 },
        { label: "angle of your packing", value: quantity("angle", angle), decimals: 3 },
      ],
      drawing: sineDrawing(n("bar"), height),
      working: {
        lines: [
          line("between the rollers", mm(n("bar"))),
          line("angle", quantity("angle", n("angle"))),
          line("packing", mm(height), { decimals: 3, sum: true, formula: "sine" }),
        ],
        notes: [],
      },
      warnings:
        n("angle") > coarse
          ? [note(words("Above 45° set the other angle from the other side: it is far more exact."))]
          : [],
    });
  },
};
