import type { Face } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type AnyKey, type FeatureKey, isFaceKey, isFaceTold } from "../route/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import { applyToFace, beginFace, type FaceProgress } from "./face-progress.ts";
import { applyToFeature, beginFeature, type FeatureProgress } from "./feature-progress.ts";
import type { ReadingOf, Record } from "./record.ts";
import { recordsOf } from "./together.ts";

/** Where every operation that was begun stands, in the order they began. */
export interface Progress {
  faces: Map<OperationKey, FaceProgress>;
  features: Map<FeatureKey, FeatureProgress>;
  /** What goes back to the machine once more, in order. */
  reworks: Rework[];
}

/** A size that was not good and is cut once more. */
export interface Rework {
  of: ReadingOf;
  op: AnyKey;
  /** What was read where most is left, and how much that is too much; mm. */
  from: Mm;
  left: Mm;
  /** Size a face is cut to for its form, mm; left out where it is cut to the drawn size. */
  to?: Mm;
  /** The face it has to come square to. */
  against?: Face;
}

export const nothingBegun = (): Progress => ({ faces: new Map(), features: new Map(), reworks: [] });

/** Where an operation stands; undefined while it was not begun. */
export const progressOf = (
  { faces, features }: Pick<Progress, "faces" | "features">,
  key: AnyKey,
): FaceProgress | FeatureProgress | undefined => (isFaceKey(key) ? faces.get(key) : features.get(key));

/** Folds the records of one piece into where each begun operation stands. */
export function foldRecords(records: Record[], piece: number): Progress {
  const { faces, features, reworks } = nothingBegun();
  for (const record of recordsOf(records, piece)) {
    if (!("op" in record) || record.op === null) continue;
    if (record.type === "rework") {
      const { of, op, from, left, to, against } = record;
      // The same rework planned on two devices is one.
      if (!reworks.some((r) => r.op === op))
        reworks.push({ of, op, from, left, ...(to ? { to } : {}), ...(against ? { against } : {}) });
      continue;
    }
    const key = record.op;
    const known = progressOf({ faces, features }, key);
    if (record.type === "begun") {
      if (known) continue;
      const { told } = record;
      if (isFaceTold(told)) faces.set(told.key, beginFace(told));
      else features.set(told.key, beginFeature(told));
    } else if (known && "cuts" in known) {
      if (record.type === "cut" && record.piece !== piece) cutWithAnother(known, record.pass);
      applyToFace(known, record);
    } else if (known) applyToFeature(known, record);
  }
  return { faces, features, reworks };
}

/** The other piece was cut on: what was to be read of this one before that is left out. */
function cutWithAnother({ cuts, measured, skipped }: FaceProgress, pass: number): void {
  if (cuts.some((c) => c.pass === pass)) return;
  for (let after = 0; after < pass; after++)
    if (!measured.has(after)) {
      measured.add(after);
      skipped.add(after);
    }
}
