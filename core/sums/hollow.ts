import { ringsDrawing } from "../figure/index.ts";
import { mm, notNegative } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A hollow that a round boss swings in without touching. */
export const hollowSum: Sum = {
  id: "hollow",
  title: "Hollow that clears a boss",
  what: "The smallest radius of a hollow in which a round boss turns clear: on its own center, or swung about another.",
  fields: [
    number("boss", "Radius of the boss", "length", { mm: "12", in: "1/2" }),
    number("swing", "Its center from the center of the hollow", "length", { mm: "4", in: "0.15" }),
    number("gap", "Gap wanted", "length", { mm: "0.5", in: "0.02" }),
  ],
  work: ({ n }) => {
    const [boss, swing, gap] = [n("boss"), n("swing"), n("gap")];
    if (!notNegative(boss, swing, gap) || boss === 0)
      return refused(words("The boss has a radius, and nothing is below zero."), words("Correct them."));
    const radius = boss + swing + gap;
    return done({
      drawing: ringsDrawing(2 * radius, 2 * boss, "The boss in its hollow.", "room"),
      figures: [
        { label: "smallest radius of the hollow", value: mm(radius), decimals: 3 },
        { label: "its diameter", value: mm(2 * radius), decimals: 3 },
      ],
      working: {
        lines: [
          line("radius of the boss", mm(boss)),
          line("its center swings at", mm(swing)),
          line("gap", mm(gap)),
          line("sum", mm(radius), { sum: true, decimals: 3 }),
        ],
        notes: [words("An end mill of at most that diameter cuts it in one place.")],
      },
      warnings: [],
    });
  },
};
