import { trialsDrawing } from "../figure/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { done, line, note, refused, rule, stop, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** What a milled part leaves for grinding, at its worst place, a step between two cuts and all. */
export const grindingSum: Sum = {
  id: "grinding",
  title: "Left for grinding",
  what: "Smallest and largest reading before grinding: what each side has left at its worst place, and the cut to aim at.",
  fields: [
    number("smallest", "Smallest reading", "length", { mm: "40.28", in: "1.586" }),
    number("largest", "Largest reading", "length", { mm: "40.33", in: "1.588" }),
    number("finished", "Finished size", "length", { mm: "40", in: "1.575" }),
    number("least", "Grinding wants, a side", "chip", { mm: "0.1", in: "0.004" }),
    number("most", "And at most, a side", "chip", { mm: "0.2", in: "0.008" }, { mayBeEmpty: true }),
    number("step", "Step where two cuts meet", "chip", { mm: "0.03", in: "0.0012" }, { mayBeEmpty: true }),
  ],
  work: ({ n }) => {
    const step = Number.isNaN(n("step")) ? 0 : n("step");
    if (!(n("largest") >= n("smallest")) || !(n("least") >= 0) || !(step >= 0))
      return refused(
        words("The largest reading cannot lie below the smallest, nor an allowance below zero."),
        words("Correct them."),
      );
    const side = tidy((n("smallest") - n("finished")) / 2 - step);
    const thick = tidy((n("largest") - n("finished")) / 2);
    const short = tidy(n("least") - side);
    const over = Number.isNaN(n("most")) ? 0 : tidy(thick - n("most"));
    return done({
      drawing: trialsDrawing("Least, most and wanted a side, from nothing.", [side, thick, n("least")], 0),
      figures: [
        { label: "least a side, at the worst place", value: mm(side), decimals: 3 },
        { label: "most a side", value: mm(thick), decimals: 3 },
        {
          label: "to mill to, before grinding",
          value: mm(tidy(n("finished") + 2 * (n("least") + step))),
          decimals: 3,
        },
      ],
      working: {
        lines: [
          line("smallest reading − finished", mm(tidy(n("smallest") - n("finished"))), { decimals: 3 }),
          line("half of it a side", mm(tidy((n("smallest") - n("finished")) / 2)), { decimals: 3 }),
          line("less the step where two cuts meet", mm(side), { decimals: 3, sum: true }),
          line("grinding wants", mm(n("least")), { decimals: 3 }),
        ],
        notes: [
          words("Both sides are ground: what one side lacks the other cannot give. A total is two sides."),
        ],
      },
      warnings:
        short > 1e-9
          ? [
              stop(
                rule(
                  "grind.short",
                )`${mm(short)} a side is missing at the worst place: it will not clean up. Agree a smaller finished size, or start anew.`,
              ),
            ]
          : over > 1e-9
            ? [
                note(
                  rule("grind.over")`${mm(over)} a side more than asked: mill it off, grinding takes long.`,
                ),
              ]
            : [note(rule("grind.enough")`Enough on both sides.`)],
    });
  },
};
