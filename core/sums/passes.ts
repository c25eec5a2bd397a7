import { passesDrawing } from "../figure/index.ts";
import { passSchedule } from "../cutting/index.ts";
import { count, mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Beyond this many passes a table helps nobody. */
const mostPasses = 200;

/** How to split what comes off into passes. */
export const passesSum: Sum = {
  id: "passes",
  title: "Passes",
  what: "How to split what comes off into equal roughing passes and a last one.",
  fields: [
    number("have", "On the block now", "length", { mm: "63.6", in: "2.504" }),
    number("want", "Wanted", "length", { mm: "60", in: "2.362" }),
    number("largest", "Largest depth per pass", "length", { mm: "1.2", in: "0.05" }),
    number("finish", "Left for the last pass", "length", { mm: "0.15", in: "0.006" }),
    number("first", "First pass at least", "length", "0", {
      help: "To get under a skin; 0 for a clean face.",
    }),
  ],
  work: ({ n }) => {
    const stock = n("have") - n("want");
    if (stock < 0)
      return refused(
        words("The block is smaller than wanted: nothing can be cut."),
        words("Check both sizes, and their unit."),
      );
    if (stock / n("largest") > mostPasses)
      return refused(
        words(`That would be more than ${mostPasses} passes.`),
        words("Saw it closer first, or check the depth."),
      );
    const schedule = passSchedule(stock, n("largest"), n("finish"), n("first"));
    if (!schedule.ok) return schedule;
    const passes = schedule.value;
    return done({
      drawing: passesDrawing(
        passes.map((p) => p.depth),
        n("have"),
        n("want"),
      ),
      figures: [
        { label: "passes", value: count(passes.length) },
        { label: "to remove", value: mm(stock) },
        {
          label: "a roughing pass",
          value: mm(passes.find((p) => p.kind === "rough")?.depth ?? 0),
          decimals: 3,
        },
        { label: "the last pass", value: mm(passes.at(-1)?.depth ?? 0), decimals: 3 },
      ],
      rows: {
        head: ["pass", "depth", "from zero", "size after"],
        of: passes.map((pass, i) => [
          count(i + 1),
          mm(pass.depth),
          mm(-pass.cumulative),
          mm(i === passes.length - 1 ? n("want") : n("have") - pass.cumulative),
        ]),
      },
      working: {
        lines: [
          line("to remove", mm(stock), { formula: "to-remove", sum: true }),
          line("passes", count(passes.length), { formula: "pass-count" }),
          line("a roughing pass", mm(passes[0]?.depth ?? 0), { formula: "pass-depth", decimals: 3 }),
        ],
        notes: [
          words(
            "Roughing passes are equal and none above the limit; the last one ends on the size exactly. Measure before the last two.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
