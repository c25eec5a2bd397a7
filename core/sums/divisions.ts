import { divisionsDrawing } from "../figure/index.ts";
import { mm, positive, quantity } from "../quantity/index.ts";
import { done, line, note, refused, say, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** An error in divisions of two dials: whether they can show it at all. */
export const divisionsSum: Sum = {
  id: "divisions",
  title: "An error in divisions",
  what: "How many divisions of a dial an error is, on two machines, and whether they can show it.",
  fields: [
    number("error", "Error, or what is to be moved", "length", { mm: "0.03", in: "0.0012" }),
    number("first", "A division of the first dial", "length", { mm: "0.02", in: "0.001" }),
    number(
      "second",
      "A division of the second dial; may be left",
      "length",
      { mm: "0.05", in: "0.002" },
      { mayBeEmpty: true },
    ),
  ],
  work: ({ n }) => {
    const [error, first, second] = [n("error"), n("first"), n("second")];
    if (!positive(first) || (!Number.isNaN(second) && !positive(second)))
      return refused(
        words("A division is above zero."),
        words("Read it off the dial: travel a turn over lines a turn."),
      );
    const dials = [first, ...(Number.isNaN(second) ? [] : [second])];
    return done({
      drawing: divisionsDrawing(error / first),
      figures: dials.map((d, i) => ({
        label: i === 0 ? "divisions of the first dial" : "divisions of the second",
        value: quantity("ratio", error / d),
        decimals: 2,
      })),
      working: {
        lines: [
          line("error", mm(error), { decimals: 4 }),
          ...dials.map((d, i) =>
            line(i === 0 ? "a division of the first dial" : "a division of the second", mm(d), {
              decimals: 4,
            }),
          ),
          line("error over a division", quantity("ratio", error / first), { sum: true, decimals: 2 }),
        ],
        notes: [words("Half a division is the least an eye sets on a dial.")],
      },
      warnings: dials.flatMap((d) =>
        error < d / 2
          ? [
              warn(
                say`${mm(error)} is less than half a division of ${mm(d)}: that dial cannot show it. Use an indicator.`,
              ),
            ]
          : error < d
            ? [note(say`It lies between two lines of a dial of ${mm(d)}: set it by eye, or by an indicator.`)]
            : [],
      ),
    });
  },
};
