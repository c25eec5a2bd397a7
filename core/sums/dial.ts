import { collarDrawing } from "../figure/index.ts";
import { dialMove, dialReading, movesPastBacklash } from "../locate/index.ts";
import { count, mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** From where an axis stands to where it must stand, in turns and divisions, past the backlash. */
export const dialSum: Sum = {
  id: "dial",
  title: "Dial",
  what: "A move by the dial: turns and divisions from one zero, where the collar ends, and how to come past the backlash.",
  fields: [
    number("lead", "Lead, per turn", "length", { mm: "5", in: "0.2" }),
    number("division", "One division", "length", { mm: "0.02", in: "0.001" }),
    number("backlash", "Backlash", "length", { mm: "0.2", in: "0.008" }),
    number("now", "Now at", "length", "0", { signed: true }),
    number("target", "Go to", "length", { mm: "-46", in: "-1.811" }, { signed: true }),
    choice(
      "last",
      "Last turned toward",
      [
        ["+", "plus"],
        ["-", "minus"],
      ],
      "+",
    ),
  ],
  work: ({ n, c }) => {
    const [lead, division, backlash, now, target] = [
      n("lead"),
      n("division"),
      n("backlash"),
      n("now"),
      n("target"),
    ];
    const toward = target >= now ? "+" : "-";
    const move = dialMove(Math.abs(target - now), lead, division);
    if (!move.ok) return move;
    const overshoot = Math.max(lead / 2, 2 * backlash);
    const travels = movesPastBacklash(
      now,
      c("last") === "-" ? "-" : "+",
      target,
      backlash,
      overshoot,
      toward,
    );
    const collar = dialReading(0, target, lead, division);
    if (travels === null || collar === null)
      return refused(
        words("Backlash cannot be negative, and must be less than half a turn."),
        words("Correct it."),
      );
    const { turns, divisions, divisionsPerTurn, residual } = move.value;
    return done({
      drawing: collarDrawing(divisionsPerTurn, collar, turns),
      figures: [
        { label: "whole turns", value: count(turns) },
        { label: "and divisions", value: count(divisions) },
        { label: "collar ends at division", value: count(collar) },
        { label: "left over by the nearest division", value: mm(residual), decimals: 3 },
      ],
      rows: {
        head: ["move", "by"],
        of: travels.map((travel, i) => [count(i + 1), mm(travel)]),
      },
      working: {
        lines: [
          line("distance", mm(target - now), { decimals: 3 }),
          line("divisions in a turn", count(divisionsPerTurn)),
          line("turns", count(turns), { formula: "dial" }),
          line("divisions", count(divisions), { sum: true }),
        ],
        notes: [
          words("Every position counts from one zero: rounding errors do not accumulate."),
          words("Check the rough position with a rule: a whole turn out is the usual slip."),
        ],
      },
      warnings: [],
    });
  },
};
