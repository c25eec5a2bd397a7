import { jobVersion } from "./job.ts";

type Document = { [key: string]: unknown };

/** A pure step from version n to n + 1. Keyed by n. */
export type Migrations = Record<number, (document: Document) => Document>;

const withoutFeatures = (job: Document): Document => ({
  ...job,
  part: { ...(job.part as Document), features: { byId: {}, order: [] } },
});

const sameKeys = (keys: readonly string[]) => Object.fromEntries(keys.map((key) => [key, null]));
const highFaces: Record<string, [string, string]> = {
  left: ["back", "top"],
  right: ["back", "top"],
  front: ["right", "top"],
  back: ["right", "top"],
  bottom: ["right", "back"],
  top: ["right", "back"],
};

/** What each kind of feature gained in version 4: sizes, numbers and choices it did not have. */
const gained: Record<string, (feature: Document) => Document> = {
  hole: (f) => ({
    sizes: {
      ...sameKeys([
        "threadDepth",
        "drill",
        "headDiameter",
        "headDepth",
        "pitchFirst",
        "pitchSecond",
        "circle",
      ]),
      ...(f.sizes as Document),
    },
    numbers: sameKeys(["headAngle", "countFirst", "countSecond", "count", "start"]),
    form: "drilled",
    screw: "",
    pattern: "one",
    towardFirst: highFaces[f.face as string]?.[0],
    towardSecond: highFaces[f.face as string]?.[1],
  }),
  slot: (f) => ({ numbers: {}, end: (f.sizes as Document).length ? "closed" : "open" }),
  pocket: (f) => ({
    sizes: { ...sameKeys(["bossFirst", "bossSecond"]), ...(f.sizes as Document) },
    numbers: {},
    corner: "exact",
    boss: "none",
  }),
  step: (f) => ({ sizes: { length: null, ...(f.sizes as Document) }, numbers: {}, end: "whole" }),
};

/** Places count from other features too, every kind has its choices, and the part has a form, faces and mates. */
function withAllFeatures(job: Document): Document {
  const part = job.part as Document;
  const features = part.features as { byId: Record<string, Document>; order: unknown };
  const place = (at: unknown) => ({ of: null, toward: null, ...(at as Document) });
  const byId = Object.fromEntries(
    Object.entries(features.byId).map(([id, feature]) => [
      id,
      {
        ...feature,
        first: place(feature.first),
        second: place(feature.second),
        ...gained[feature.kind as string]?.(feature),
      },
    ]),
  );
  const plain = { ra: null, leave: null, mayStayRaw: false };
  return {
    ...job,
    part: {
      ...part,
      shaft: null,
      faces: Object.fromEntries(Object.keys(highFaces).map((face) => [face, plain])),
      features: { byId, order: features.order },
      mates: { byId: {}, order: [] },
    },
    stock: { ...(job.stock as Document), turned: {} },
  };
}

/**
 * Steps between released versions. 1 → 2: own speed, feed, cutter and direction came beside the depth; a job as it was holds.
 * 2 → 3: features came to the drawing; it had none.
 * 3 → 4: more kinds of features, places from other features, shafts, faces and mates.
 * 4 → 5: a job has pieces.
 */
export const migrations: Migrations = {
  1: (job) => job,
  2: withoutFeatures,
  3: withAllFeatures,
  4: (job) => ({ ...job, quantity: 1, added: 0 }),
};

export type Migrated =
  { ok: true; document: Document } | { ok: false; problem: "newer" | "unknown"; version: unknown };

/** Brings a document to the current version; refuses one that is newer than this app or has no version. */
export function migrate(
  document: Document,
  steps: Migrations = migrations,
  to: number = jobVersion,
): Migrated {
  const version = document.version;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, problem: "unknown", version };
  if (version > to) return { ok: false, problem: "newer", version };
  let current = document;
  for (let v = version; v < to; v++) {
    const step = steps[v];
    if (!step) return { ok: false, problem: "unknown", version };
    current = { ...step(current), version: v + 1 };
  }
  return { ok: true, document: current };
}
