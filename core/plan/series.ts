import { axisNames, axisOf } from "../frame/index.ts";
import { type PieceRead, type Series, seriesOf } from "../inspect/index.ts";
import { featureOfKey, isFaceKey } from "../route/index.ts";
import { faceOfKey } from "../squaring/index.ts";
import { cutsMetal, effective, type Record as JobRecord } from "../steps/index.ts";
import { type JudgedBy, judgedReadings, type Reading } from "./judged-reading.ts";
import type { Requirement } from "./requirement.ts";

/** Whether a record cut what a size is of, or worked it by hand: then what was read before it is history. */
function changesSize(record: JobRecord, of: Requirement["of"]): boolean {
  if (record.type === "byHand") return record.of === of;
  if (!cutsMetal(record) || !("op" in record) || record.op === null) return false;
  const axis = axisNames.find((a) => a === of);
  if (isFaceKey(record.op)) return axis !== undefined && axisOf(faceOfKey(record.op)) === axis;
  return axis === undefined && featureOfKey(record.op) === of.split("/")[0];
}

/** Of each piece what was read of a size since it was cut last, and which pieces were scrapped. */
export function lastReadings(of: Requirement["of"], records: readonly JobRecord[]) {
  const byPiece = new Map<number, Reading[]>();
  const scrapped = new Set<number>();
  for (const record of effective([...records])) {
    if (record.type === "scrapped") scrapped.add(record.piece);
    if (record.type === "reading" && record.of === of) {
      const known = byPiece.get(record.piece);
      if (known) known.push(record);
      else byPiece.set(record.piece, [record]);
    } else if (changesSize(record, of)) byPiece.delete(record.piece);
  }
  return { byPiece, scrapped };
}

/** How a size runs over the pieces; those scrapped are left out of it. */
export interface Run extends Series {
  scrapped: readonly number[];
}

/**
 * How a size runs over the pieces of a job: of each what was read after it was cut last, as it is judged. What a piece was read
 * before it was finished does not count.
 */
export function seriesFor(
  r: Pick<Requirement, "of" | "how" | "limits" | "u">,
  records: readonly JobRecord[],
  by: JudgedBy,
): Run | null {
  const { byPiece, scrapped } = lastReadings(r.of, records);
  // A scrapped piece is no part of the run: what spoiled it says nothing of the others.
  const reads = [...byPiece].flatMap(([piece, readings]): PieceRead[] => {
    if (scrapped.has(piece)) return [];
    const values = judgedReadings(readings, r.how, by).flatMap((j) => (j.counts ? [j.value] : []));
    return [{ piece, low: Math.min(...values), high: Math.max(...values) }];
  });
  const series = seriesOf(reads, r.limits, r.u);
  return series && { ...series, scrapped: [...scrapped] };
}
