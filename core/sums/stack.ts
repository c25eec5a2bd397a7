import { stackDrawing } from "../figure/index.ts";
import { mm, notNegative } from "../quantity/index.ts";
import { done, line, refused, stop, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

const parts = [
  ["base", "Base", { mm: "40", in: "1.575" }],
  ["plate", "Plate, as it is now", { mm: "18", in: "0.71" }],
  ["seat", "Seat of the tool", { mm: "22", in: "0.866" }],
  ["tool", "Tool", { mm: "12", in: "0.472" }],
] as const;

/** Parts on one another under a spindle or up to a line: what comes off one of them. */
export const stackSum: Sum = {
  id: "stack",
  title: "Height of a stack",
  what: "What has to come off one part of a stack so that its top lies at a height, with what the limits of all of them leave.",
  fields: [
    number("wanted", "Height wanted, over the table", "length", { mm: "90", in: "3.54" }),
    number("within", "Within, either way", "length", { mm: "0.05", in: "0.002" }),
    ...parts.map(([key, label, usual]) => number(key, label, "length", usual)),
    number("each", "Each of the others is known within, either way", "length", { mm: "0.01", in: "0.0004" }),
  ],
  work: ({ n }) => {
    const heights = parts.map(([key]) => n(key));
    const sum = heights.reduce((s, h) => s + h, 0);
    if (!notNegative(n("wanted"), n("within"), n("each"), ...heights) || !(sum > 0))
      return refused(words("No height is below zero."), words("Correct it."));
    const off = sum - n("wanted");
    // The part that is cut takes up what the others are; what they are known within is taken from its limits.
    const left = n("within") - 3 * n("each");
    const plate = n("plate") - off;
    return done({
      drawing: stackDrawing(n("wanted"), heights),
      figures: [
        {
          label: off >= 0 ? "comes off the plate" : "is missing at the plate",
          value: mm(Math.abs(off)),
          decimals: 3,
        },
        { label: "plate, finished", value: mm(plate), decimals: 3 },
        { label: "within, either way", value: mm(Math.max(0, left)), decimals: 3 },
      ],
      working: {
        lines: [
          ...parts.map(([key, name]) => line(name.toLowerCase(), mm(n(key)))),
          line("the stack as it is", mm(sum), { sum: true }),
          line("wanted", mm(n("wanted"))),
          line("over that", mm(off), { sum: true, decimals: 3 }),
          line("limits wanted, less three times what the others are known within", mm(left), { decimals: 3 }),
        ],
        notes: [words("Measure the stack together where you can: one reading is surer than four.")],
      },
      warnings: [
        ...(off < 0
          ? [stop(words("The stack is too low: nothing can be cut off. Shim it, or take a thicker plate."))]
          : []),
        ...(plate <= 0 ? [stop(words("Nothing is left of the plate."))] : []),
        ...(left <= 0
          ? [
              stop(
                words(
                  "The others are not known closely enough for these limits. Measure them better, or the stack as one.",
                ),
              ),
            ]
          : []),
      ],
    });
  },
};
