import Papa from "papaparse";
import { spotWords } from "../inspect/index.ts";
import type { Requirement } from "../plan/index.ts";
import { showDimension, tidy } from "../quantity/index.ts";
import type { Shop } from "../shop/index.ts";
import type { Record } from "../steps/index.ts";
import { phraseText } from "../working/index.ts";

const verdictWords = {
  good: "good",
  withinU: "good, near a limit",
  rework: "rework",
  under: "under size",
  over: "over size",
  cannotTell: "cannot tell",
} as const;

/**
 * The inspection sheet of a piece as CSV: one row for each thing required, with limits, readings, uncertainty, verdict, instruments
 * and when it was last read. All in mm.
 */
export function inspectionCsv(
  requirements: readonly Requirement[],
  records: readonly Record[],
  piece: number,
  shop: Shop,
): string {
  const at = new Map(records.map((r) => [r.id, r.at]));
  const data = requirements.map((r) => {
    const values = r.readings.map((reading) => reading.value);
    const used = [...new Set(r.readings.map((reading) => reading.instrument))];
    return {
      piece,
      required: r.name ? phraseText(r.name, "mm") : r.of,
      drawn: r.drawn ? showDimension(r.drawn, "mm") : "",
      lower: !r.gauge && Number.isFinite(r.limits.lower) ? tidy(r.limits.lower) : "",
      upper: r.gauge ? "" : tidy(r.limits.upper),
      readings: r.gauge?.answer
        ? r.gauge.answers[r.gauge.answer.value]
        : r.readings
            .map(({ value, spot }) => (spot ? `${value} (${spotWords(spot)})` : String(value)))
            .join("; "),
      smallest: values.length > 0 ? Math.min(...values) : "",
      largest: values.length > 0 ? Math.max(...values) : "",
      U: r.u > 0 ? r.u : "",
      verdict: `${r.verdict ? verdictWords[r.verdict.verdict] : "not judged"}${r.accepted ? `; accepted: ${r.accepted.reason}` : ""}`,
      instruments: used.map((id) => shop.instruments.find((i) => i.id === id)?.name ?? id).join("; "),
      read:
        r.readings
          .map((reading) => at.get(reading.id) ?? "")
          .sort()
          .at(-1) ?? "",
    };
  });
  return Papa.unparse(
    {
      fields: [
        "piece",
        "required",
        "drawn",
        "lower",
        "upper",
        "readings",
        "smallest",
        "largest",
        "U",
        "verdict",
        "instruments",
        "read",
      ],
      data,
    },
    { newline: "\r\n", escapeFormulae: true },
  );
}
