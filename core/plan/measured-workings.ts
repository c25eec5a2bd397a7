import { cutWindow } from "../inspect/index.ts";
import { mm } from "../quantity/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import { line, say, words, type Working } from "../working/index.ts";
import { liesBy } from "./advice.ts";
import { type JudgedBy, meanOf } from "./judged-reading.ts";
import type { Plan } from "./plan.ts";
import { seriesFor } from "./series.ts";

/** Workings of what was measured: a verdict, and how a size runs over the pieces. */

/** Limits, doubts and extremes a verdict goes by; null for what was not judged. */
export function verdictWorking(key: string, made: Plan, of: string): Working | null {
  const requirement = made.requirements.find((r) => r.of === of);
  if (!requirement?.verdict) return null;
  const { limits, u, verdict } = requirement;
  const readings = requirement.readings.filter((r) => r.counts);
  const worst = readings.toSorted((a, b) => b.u - a.u)[0];
  const lies = liesBy(requirement);
  const window =
    requirement.how === "outside" && verdict.verdict === "rework"
      ? cutWindow(
          readings.map((r) => r.value),
          limits.lower,
          limits.upper,
        )
      : null;
  return {
    key,
    title: say`Working: verdict on the ${of}`,
    lines: [
      ...(Number.isFinite(limits.lower) && requirement.drawn
        ? [line("lower limit", mm(limits.lower), { decimals: 3 })]
        : []),
      line("upper limit", mm(limits.upper), { decimals: 3 }),
      ...(worst && (worst.overdue || worst.doubts.reference > 0 || worst.doubts.temperature > 0)
        ? [
            line("of the instrument", mm(worst.doubts.instrument), { decimals: 3 }),
            ...(worst.overdue
              ? [line("its check is overdue: half as much again", mm(worst.doubts.overdue), { decimals: 4 })]
              : []),
            ...(worst.doubts.reference > 0
              ? [line("of what it was compared with", mm(worst.doubts.reference), { decimals: 4 })]
              : []),
            ...(worst.doubts.temperature > 0
              ? [line("temperatures known to 1 °C", mm(worst.doubts.temperature), { decimals: 4 })]
              : []),
            line("uncertainty U", mm(u), {
              decimals: 4,
              source: "root of the squares of these; the instrument as registered (guess until checked)",
            }),
          ]
        : [
            line("uncertainty U", mm(u), {
              decimals: 3,
              source: "of the instrument used (guess until checked)",
            }),
          ]),
      line("smallest reading", mm(verdict.smallest), { decimals: 3 }),
      line("largest reading", mm(verdict.largest), { decimals: 3 }),
      ...(readings.length > 1 ? [line("mean of the readings", mm(meanOf(readings)!), { decimals: 3 })] : []),
      line("spread", mm(verdict.spread), { decimals: 3, sum: true, formula: "guard-band", terms: [] }),
      ...(window
        ? [
            line("largest reading − upper limit: the least to take off", mm(window.least), { decimals: 3 }),
            line("smallest reading − lower limit: the most", mm(window.most), { decimals: 3 }),
          ]
        : []),
      ...(lies
        ? [
            line("slope along X over the face: the shim at its thick end", mm(Math.abs(lies.right)), {
              decimals: 3,
            }),
            line("slope along Y", mm(Math.abs(lies.back)), { decimals: 3 }),
            line("off that plane: uneven", mm(lies.uneven), { decimals: 3 }),
          ]
        : []),
    ],
    limits: [],
    notes: [
      words("Every point counts, not just the best one."),
      ...(lies
        ? [words("The slopes are those of the plane that fits the readings best (least squares).")]
        : []),
    ],
  };
}

/** So many pieces are listed one by one. */
const mostListed = 24;

/** Mean, scatter and drift of a size over the pieces, from the middle of each; null with fewer than two. */
export function runWorking(
  key: string,
  made: Plan,
  of: string,
  records: readonly JobRecord[],
  by: JudgedBy,
): Working | null {
  const requirement = made.requirements.find((r) => r.of === of);
  const run = requirement && seriesFor(requirement, records, by);
  if (!run || run.pieces.length < 2) return null;
  const { pieces, mean, spread, drift, start } = run;
  const trend = (piece: number) => start + drift * piece;
  const last = pieces.at(-1)!.piece;
  return {
    key,
    title: say`Working: the run of ${requirement.name ?? of}`,
    lines: [
      ...pieces
        .slice(-mostListed)
        .map(({ piece, low, high }) =>
          line(`piece ${piece}, middle of its readings`, mm((low + high) / 2), { decimals: 4 }),
        ),
      line(`mean of ${pieces.length} pieces`, mm(mean), { decimals: 4, sum: true }),
      ...(drift === 0
        ? []
        : [
            line("slope of the line through them: drift a piece", mm(drift), { decimals: 5 }),
            line(`the line at piece ${last}`, mm(trend(last)), { decimals: 4 }),
          ]),
      ...(spread > 0
        ? [line("twice the standard deviation about the line", mm(spread), { decimals: 4 })]
        : []),
    ],
    limits: [],
    notes: [
      ...(pieces.length > mostListed
        ? [words(`Only the last ${mostListed} pieces are listed; all count.`)]
        : []),
      words(
        "A drift is told where the slope is three times what the scatter alone would make of it. Least squares.",
      ),
      ...(run.scrapped.length > 0 ? [words("Scrapped pieces are left out.")] : []),
    ],
  };
}
