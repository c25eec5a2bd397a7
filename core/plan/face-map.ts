import type { Axis, Face } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import type { Piece } from "../stock/index.ts";
import { type Record as JobRecord, recordsOf } from "../steps/index.ts";
import type { Plan } from "./plan.ts";

/** What a finished face of the block is marked with. */
export interface FaceMark {
  /** Size over it: as it was read last, else as it was to be. */
  axis: Axis;
  size: Mm;
  read: boolean;
  /** Day it was cut last. */
  on: string;
}

/** The block as it is now, and a mark for each face that is cut; null for a shaft, or before the stock is known. */
export function faceMap(
  { setups, steps, raw }: Pick<Plan, "setups" | "steps" | "raw">,
  records: JobRecord[],
  piece: number,
): { now: Piece; marks: Partial<Record<Face, FaceMark>> } | null {
  if (!raw) return null;
  const mine = recordsOf(records, piece);
  const marks: Partial<Record<Face, FaceMark>> = {};
  let now = raw;
  for (const setup of faceSetupsOf(setups)) {
    const { key, face, axis, to } = faceOf(setup);
    const cut = mine.findLast((r) => r.type === "cut" && r.op === key);
    if (!cut || steps.some((s) => s.op === key && s.pass && !s.done)) continue;
    now = setup.after;
    const read = mine.findLast((r) => r.type === "reading" && r.of === axis);
    const value = read?.type === "reading" ? read.value : null;
    marks[face] = { axis, size: value ?? to, read: value !== null, on: cut.at.slice(0, 10) };
  }
  return { now, marks };
}
