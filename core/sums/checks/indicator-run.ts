import { runDrawing } from "../../figure/index.ts";
import { runOf, skimOrSet } from "../../inspect/index.ts";
import { mm } from "../../quantity/index.ts";
import { done, line, note, refused, rule, words } from "../../working/index.ts";
import { number, type Sum } from "../sum.ts";

/** Minutes of a skim over an edge and of setting it anew (guess). */
const skimMinutes = 3;
const setMinutes = 4;

export const indicatorRun: Sum = {
  id: "indicator-run",
  title: "Indicator run",
  what: "Start, end, highest and lowest in divisions: slope and waves apart, and whether to skim it or set it anew.",
  fields: [
    number("start", "Start, divisions", "count", "0", { signed: true }),
    number("end", "End", "count", "4", { signed: true }),
    number("high", "Highest", "count", "5", { signed: true, mayBeEmpty: true }),
    number("low", "Lowest", "count", "-1", { signed: true, mayBeEmpty: true }),
    number("division", "One division", "chip", { mm: "0.01", in: "0.0005" }),
    number("length", "Length of the run", "length", { mm: "100", in: "4" }),
    number("spare", "May come off there", "length", { mm: "0.5", in: "0.02" }),
  ],
  work: ({ n }) => {
    const optional = (key: string) => (Number.isNaN(n(key)) ? null : n(key));
    const run = runOf(
      { start: n("start"), end: n("end"), high: optional("high"), low: optional("low") },
      n("division"),
      n("length"),
    );
    if (!run)
      return refused(
        words(
          "The highest cannot lie below an end, the lowest not above one; division and length are above zero.",
        ),
        words("Read again: which way does the needle go where the edge stands out?"),
      );
    const { skim, better } = skimOrSet(run, n("spare"), skimMinutes, setMinutes);
    return done({
      drawing: runDrawing(0, run.slope, n("length"), "edge"),
      figures: [
        { label: "slope over the run", value: mm(run.slope), decimals: 3 },
        { label: "slope over 100 mm", value: mm(run.per100 ?? 0), decimals: 3 },
        { label: "waves beside it", value: mm(run.wave), decimals: 3 },
        { label: "a skim that cleans it", value: mm(skim), decimals: 3 },
      ],
      working: {
        lines: [
          line("end less start", mm(run.slope), { decimals: 3 }),
          line("highest less lowest", mm(run.total), { decimals: 3 }),
          line("less the slope: waves", mm(run.wave), { decimals: 3, sum: true }),
          line("all of it and a finishing cut", mm(skim), { decimals: 3 }),
        ],
        notes: [words("A slope is set right by the shim or a tap; waves only by a cut, or another edge.")],
      },
      warnings: [
        note(
          better === "skim"
            ? rule("run.skim")`Skim it: it comes true in one pass, and there is metal for it.`
            : rule(
                "run.set",
              )`Set it anew by the indicator${skim > n("spare") ? ": a skim would take more than is left" : ", that is quicker"}.`,
        ),
      ],
    });
  },
};
