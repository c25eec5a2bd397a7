import { type AnyKey, type FeatureKey, isFaceKey, isFaceTold } from "../route/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import { applyToFace, beginFace, type FaceProgress } from "./face-progress.ts";
import { applyToFeature, beginFeature, type FeatureProgress } from "./feature-progress.ts";
import { effective, type Record } from "./record.ts";

/** Where every operation that was begun stands, in the order they began. */
export interface Progress {
  faces: Map<OperationKey, FaceProgress>;
  features: Map<FeatureKey, FeatureProgress>;
}

export const nothingBegun = (): Progress => ({ faces: new Map(), features: new Map() });

/** Where an operation stands; undefined while it was not begun. */
export const progressOf = (
  { faces, features }: Progress,
  key: AnyKey,
): FaceProgress | FeatureProgress | undefined => (isFaceKey(key) ? faces.get(key) : features.get(key));

/** Folds the records of one piece into where each begun operation stands. */
export function foldRecords(records: Record[], piece: number): Progress {
  const { faces, features } = nothingBegun();
  for (const record of effective(records)) {
    if (record.piece !== piece || !("op" in record) || record.op === null) continue;
    const key = record.op;
    const known = progressOf({ faces, features }, key);
    if (record.type === "begun") {
      if (known) continue;
      const { told } = record;
      if (isFaceTold(told)) faces.set(told.key, beginFace(told));
      else features.set(told.key, beginFeature(told));
    } else if (known && "cuts" in known) applyToFace(known, record);
    else if (known) applyToFeature(known, record);
  }
  return { faces, features };
}
