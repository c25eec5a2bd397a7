import Papa from "papaparse";
import { spotWords } from "../inspect/index.ts";
import { fromMm, showFixed } from "../quantity/index.ts";
import { effective, type Record } from "../steps/index.ts";
import type { Shop } from "../shop/index.ts";

/** Readings of a job as CSV: one row a reading, mm and inch side by side, newest last. */
export function readingsCsv(records: Record[], shop: Shop): string {
  const rows = effective(records).flatMap((r) =>
    r.type === "reading"
      ? [
          {
            number: r.seq,
            time: r.at,
            piece: r.piece,
            of: r.of,
            operation: r.op ?? "inspection",
            mm: r.value,
            inch: showFixed(fromMm(r.value, "in"), 5).replace("−", "-"),
            place: r.spot ? spotWords(r.spot) : "",
            typed: `${r.written.text} ${r.written.unit}`,
            instrument: shop.instruments.find((i) => i.id === r.instrument)?.name ?? r.instrument,
            questioned: r.questioned.join(" "),
          },
        ]
      : [],
  );
  return Papa.unparse(
    {
      fields: [
        "number",
        "time",
        "piece",
        "of",
        "operation",
        "mm",
        "inch",
        "place",
        "typed",
        "instrument",
        "questioned",
      ],
      data: rows,
    },
    { newline: "\r\n", escapeFormulae: true },
  );
}
