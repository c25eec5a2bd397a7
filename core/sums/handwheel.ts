import { collarDrawing } from "../figure/index.ts";
import { comfortableTurn, handwheelPace } from "../cutting/index.ts";
import { dialMove } from "../locate/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, type Warning, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Feed by hand as a pace, and a distance as turns and divisions. */
export const handwheel: Sum = {
  id: "handwheel",
  title: "Handwheel",
  what: "A feed as seconds per turn, and a distance as turns and divisions from one zero.",
  fields: [
    number("lead", "Lead, per turn", "length", { mm: "5", in: "0.2" }),
    number("division", "One division", "length", { mm: "0.02", in: "0.001" }),
    number("feed", "Table feed", "feed", { mm: "100", in: "4" }),
    number("distance", "Distance from zero", "length", { mm: "12.34", in: "0.486" }),
  ],
  work: ({ n }) => {
    const [lead, division, feed, distance] = [n("lead"), n("division"), n("feed"), n("distance")];
    if (!(feed > 0) || !(lead > 0) || !(division > 0))
      return refused(words("Lead, division and feed must be above zero."), words("Correct them."));
    const move = dialMove(distance, lead, division);
    if (!move.ok) return move;
    const { turns, divisions, divisionsPerTurn, residual } = move.value;
    const pace = handwheelPace(feed, lead, divisionsPerTurn);
    const [quick, slow] = comfortableTurn;
    const warnings: Warning[] = [];
    if (pace.secondsPerTurn < quick || pace.secondsPerTurn > slow)
      warnings.push(
        note(
          rule(
            "feed.hand",
          )`A hand turns a wheel evenly in ${quick} to ${slow} s per turn: this is ${pace.secondsPerTurn < quick ? "too quick" : "very slow"}.`,
        ),
      );
    return done({
      drawing: collarDrawing(divisionsPerTurn, divisions, turns),
      figures: [
        { label: "one turn in", value: quantity("seconds", pace.secondsPerTurn) },
        { label: "one division in", value: quantity("seconds", pace.secondsPerDivision), decimals: 2 },
        { label: "whole turns", value: count(turns) },
        { label: "and divisions", value: count(divisions) },
        { label: "left by rounding", value: mm(residual), decimals: 4 },
      ],
      working: {
        lines: [
          line("seconds per turn", quantity("seconds", pace.secondsPerTurn), {
            formula: "pace",
            terms: [
              ["lead", mm(lead)],
              ["vf", quantity("feed", feed)],
            ],
          }),
          line("divisions per turn", count(divisionsPerTurn)),
          line("turns and divisions", count(turns), {
            formula: "dial",
            terms: [["divisions", count(divisions)]],
            sum: true,
          }),
          line("left by rounding", mm(residual), { decimals: 4 }),
        ],
        notes: [say`Count from one zero, turning one way: rounding errors then do not accumulate.`],
      },
      warnings,
    });
  },
};
