import { plungesDrawing } from "../figure/index.ts";
import { count, mm, notNegative, positive } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** More plunges than this are no way to clear a slot. */
const mostPlunges = 200;
/** Steps wider than this share of the cutter leave cusps that the walls are not cleaned of in one pass (guess). */
const widest = 0.75;

/** A slot roughed by plunging beside plunging: how many, where, and what stands between them. */
export const plungesSum: Sum = {
  id: "plunges",
  title: "Plunge roughing",
  what: "How many plunges clear a slot as wide as the cutter, where each stands, and how high the cusps are that they leave.",
  fields: [
    number("length", "Length of the slot", "length", { mm: "60", in: "2 1/2" }),
    number("cutter", "Cutter, center-cutting", "length", { mm: "12", in: "1/2" }),
    number("step", "From plunge to plunge, at most", "length", { mm: "5", in: "3/16" }),
    number("leave", "Left at both ends for the last pass", "length", { mm: "0.3", in: "0.01" }),
  ],
  work: ({ n }) => {
    const [length, cutter, step, leave] = [n("length"), n("cutter"), n("step"), n("leave")];
    if (!positive(length, cutter, step) || !notNegative(leave))
      return refused(words("Length, cutter and step are above zero."), words("Correct them."));
    const way = length - cutter - 2 * leave;
    if (way < 0)
      return refused(
        say`The slot is no longer than the cutter and what is left at its ends, ${mm(cutter + 2 * leave)}.`,
        words("Take a smaller cutter, or leave less."),
      );
    if (step > cutter)
      return refused(
        words("Steps wider than the cutter leave whole walls standing."),
        words("Step by two thirds of the cutter or less."),
      );
    const steps = Math.max(0, Math.ceil(way / step - 1e-9));
    if (steps + 1 > mostPlunges)
      return refused(
        say`That is more than ${mostPlunges} plunges.`,
        words("Use a larger cutter or a wider step, or mill it."),
      );
    const even = steps === 0 ? 0 : way / steps;
    const cusp = cutter / 2 - Math.sqrt((cutter / 2) ** 2 - (even / 2) ** 2);
    const first = cutter / 2 + leave;
    const places = Array.from({ length: steps + 1 }, (_, i) => first + i * even);
    return done({
      drawing: plungesDrawing(length, cutter, places),
      figures: [
        { label: "plunges", value: count(steps + 1) },
        { label: "from one to the next", value: mm(even), decimals: 3 },
        { label: "cusps on the walls stand", value: mm(cusp), decimals: 3 },
      ],
      rows: {
        head: ["plunge", "X from the end of the slot"],
        of: places.map((x, i) => [count(i + 1), mm(x)]),
      },
      working: {
        lines: [
          line("length less cutter and what is left", mm(way), { decimals: 3 }),
          line("over the step, rounded up", count(steps)),
          line("even step", mm(even), { decimals: 3, sum: true }),
          line("cusp, R − √(R² − (s ÷ 2)²)", mm(cusp), { decimals: 3, sum: true }),
        ],
        notes: [
          words(
            "Then the cusps come off with the side of the cutter, in passes no deeper than it takes there.",
          ),
        ],
      },
      warnings: [
        note(
          rule(
            "M20.plunges",
          )`Lift clear of the chips after every plunge. From the second on the cutter is loaded on one side: step it away from what is cut, quill short, table locked.`,
        ),
        ...(even > widest * cutter
          ? [
              note(
                say`Steps over ${mm(widest * cutter)} leave high cusps: the pass along the wall is then a heavy one (guess).`,
              ),
            ]
          : []),
      ],
    });
  },
};
