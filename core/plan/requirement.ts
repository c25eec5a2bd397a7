import { type Axis, axisNames, axisOf } from "../frame/index.ts";
import { guardedVerdict, sizeVerdict, type SizeVerdict, type Spot } from "../inspect/index.ts";
import { featureNames, featuresOf, fittedLimits, limitsOf, type Part, widerThan } from "../part/index.ts";
import { type Dimension, type Limits, tidy } from "../quantity/index.ts";
import {
  datumsOf,
  type FeatureKey,
  featureOfKey,
  type FeaturePlan,
  featureSetupsOf,
  type Setup,
} from "../route/index.ts";
import { extentOf, faceOfKey, type OperationKey } from "../squaring/index.ts";
import { canMeasure, type MeasuredHow, type Shop } from "../shop/index.ts";
import {
  cutsMetal,
  effective,
  type FaceProgress,
  howMeasured,
  type ReadingOf,
  type Record as JobRecord,
  type Step,
} from "../steps/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import type { Job } from "../job/index.ts";

/** One thing the drawing requires, with its readings and verdict. */
export interface Requirement {
  of: ReadingOf | "parallelism";
  /** What it is called, where it is more than `of`: a size of a feature. */
  name?: Phrase;
  /** The drawn size; null for squareness and parallelism. */
  drawn: Dimension | null;
  limits: Limits;
  /** Set when the size deviates from the drawing: the limits drawn, null where none are, and why. */
  deviation: { drawn: Limits | null; reason: Phrase } | null;
  /** How it is measured. */
  how: MeasuredHow;
  readings: { id: string; value: number; instrument: string; questioned: string[]; spot: Spot | null }[];
  /** Largest uncertainty of the instruments used, mm. */
  u: number;
  verdict: SizeVerdict | null;
  /** It was accepted as it is, after its last reading: who, why, and the record that says so. */
  accepted: { id: string; by: string; reason: string } | null;
}

/** Largest uncertainty of the instruments that readings were taken with, mm. */
const uncertaintyOf = (used: Requirement["readings"], shop: Shop): number =>
  Math.max(0, ...used.map((r) => shop.instruments.find((i) => i.id === r.instrument)?.uncertainty ?? 0));

/** A verdict as far as its readings prove it: an instrument that is not made for the size, or does not reach it, tells nothing. */
const provedBy = (
  verdict: SizeVerdict | null,
  used: Requirement["readings"],
  how: MeasuredHow,
  { instruments }: Pick<Shop, "instruments">,
): SizeVerdict | null => {
  const unable = used.some((r) => {
    const instrument = instruments.find((i) => i.id === r.instrument);
    return instrument && !canMeasure(instrument, how, r.value);
  });
  return verdict && unable ? { ...verdict, verdict: "cannotTell", rework: 0 } : verdict;
};

export interface Judged {
  job: Job;
  part: Part;
  setups: readonly Setup[];
  records: readonly JobRecord[];
  shop: Shop;
  /** Where the faces that were begun stand. */
  faces: ReadonlyMap<OperationKey, FaceProgress>;
  piece: number;
}

/** What a requirement is judged by. */
type Asked = Omit<Requirement, "u" | "verdict" | "readings" | "accepted"> & { readings: readonly Reading[] };

type Reading = JobRecord & { type: "reading" };

/**
 * Requirements of a job with the readings that judge them: of the block those taken after the last cut of a size and at the
 * inspection, of a feature those of its operation. A later pass makes earlier readings history. The verdict goes by all points,
 * not by one (M34).
 */
export function requirementsOf(judged: Judged): Requirement[] {
  const { records, piece, part, shop } = judged;
  const here = effective([...records]).filter((r) => r.piece === piece);
  const readings = here.filter((r): r is Reading => r.type === "reading");
  const judge = ({ readings: by, ...asked }: Asked): Requirement => {
    const used = by.map(({ id, value, instrument, questioned, spot }) => ({
      id,
      value,
      instrument,
      questioned,
      spot: spot ?? null,
    }));
    const u = uncertaintyOf(used, shop);
    const values = used.map((r) => r.value);
    const verdict =
      asked.how === "form"
        ? values.length > 0
          ? formVerdict(values, asked.limits.upper, u)
          : null
        : provedBy(
            sizeVerdict(
              values,
              asked.limits,
              u,
              asked.how === "inside" || asked.how === "depth" ? "inside" : "outside",
            ),
            used,
            asked.how,
            shop,
          );
    const said = here.findLast(
      (r): r is JobRecord & { type: "accepted" } => r.type === "accepted" && r.of === asked.of,
    );
    const standing = said && by.every((r) => r.seq < said.seq);
    const accepted = standing ? { id: said.id, by: said.by, reason: said.reason } : null;
    return { ...asked, readings: used, u, verdict, accepted };
  };
  const since = sinceLastCut(judged, here);
  const sizes = sizesAsked(judged, (of) => readings.filter((r) => r.of === of && r.seq > since(of))).map(
    judge,
  );
  const squareness =
    part.squareness === null
      ? []
      : [
          judge({
            of: "squareness",
            drawn: null,
            limits: { lower: 0, upper: part.squareness },
            deviation: null,
            how: "form",
            readings: readings.filter((r) => r.of === "squareness" && r.seq > since("squareness")),
          }),
        ];
  return [
    ...sizes,
    ...parallelismOf(part, sizes, here),
    ...squareness,
    ...featuresAsked(judged, readings, here).map(judge),
  ];
}

/** The last cut that a size hangs on, as a place in the sequence; 0 where there is none. Squareness hangs on all. */
function sinceLastCut({ faces }: Judged, here: readonly JobRecord[]) {
  const lastCut = new Map<string, number>();
  for (const record of here) if (record.type === "cut") lastCut.set(record.op, record.seq);
  return (of: ReadingOf): number =>
    Math.max(
      0,
      ...[...faces.values()]
        .filter(({ told }) => of === "squareness" || axisOf(told.face) === of)
        .map(({ told }) => lastCut.get(told.key) ?? 0),
    );
}

/** The three sizes of the block. */
const sizesAsked = ({ job, part }: Judged, readingsOf: (of: Axis) => readonly Reading[]): Asked[] =>
  axisNames.flatMap((axis): Asked[] => {
    const size = part.sizes[axis];
    if (!size) return [];
    return [
      {
        of: axis,
        drawn: size,
        limits: limitsOf(size, part),
        deviation: deviationOf(job, axis),
        how: "outside",
        readings: readingsOf(axis),
      },
    ];
  });

/** Parallelism of a pair is the spread of its readings; the worst pair counts. */
function parallelismOf(part: Part, sizes: readonly Requirement[], here: readonly JobRecord[]): Requirement[] {
  if (part.parallelism === null) return [];
  const last = Math.max(0, ...here.map((r) => (r.type === "reading" && r.of in part.sizes ? r.seq : 0)));
  const said = here.findLast(
    (r): r is JobRecord & { type: "accepted" } =>
      r.type === "accepted" && r.of === "parallelism" && r.seq > last,
  );
  const [worst] = sizes
    .filter((s) => s.readings.length >= 2)
    .map((s) => ({ spread: s.verdict!.spread, u: s.u }))
    .sort((a, b) => b.spread - a.spread);
  return [
    {
      of: "parallelism",
      drawn: null,
      limits: { lower: 0, upper: part.parallelism },
      deviation: null,
      how: "outside",
      readings: [],
      u: worst?.u ?? 0,
      verdict: worst ? formVerdict([worst.spread], part.parallelism, worst.u) : null,
      accepted: said ? { id: said.id, by: said.by, reason: said.reason } : null,
    },
  ];
}

/** Sizes of features that are measured. What was cut once more is read anew, and so is what counts from a face that was. */
function featuresAsked(
  { part, setups }: Judged,
  readings: readonly Reading[],
  here: readonly JobRecord[],
): Asked[] {
  const names = featureNames(featuresOf(part));
  const byId = new Map(featuresOf(part).map((f) => [f.id, f]));
  const asked = new Map<FeatureKey, Asked>();
  for (const { operations, at } of featureSetupsOf(setups))
    for (const { measure, feature, key } of operations) {
      if (!measure || measure.before) continue;
      const path: FeatureKey = `${feature}/${measure.size}`;
      const drawn = (
        part.features.byId[feature]?.sizes as { [size: string]: Dimension | null } | undefined
      )?.[measure.size];
      const again = asked.has(path);
      const drawnFrom = byId.get(feature);
      const faces = drawnFrom ? [at.up, drawnFrom.face, ...datumsOf(drawnFrom, byId)] : [at.up];
      const since = Math.max(
        0,
        ...here.flatMap((r) => {
          const recut = r.type === "cut" && extentOf(r.op) === "again" && faces.includes(faceOfKey(r.op));
          const cutAgain = again && r.type === "tick" && r.op === key && cutsMetal(r);
          return recut || cutAgain ? [r.seq] : [];
        }),
      );
      asked.set(path, {
        of: path,
        name: say`${names.get(feature) ?? feature}, ${measure.name}`,
        drawn: drawn ?? null,
        limits: measure.limits,
        deviation: fitDeviation(part, path, drawn ? limitsOf(drawn, part) : null),
        how: howMeasured(measure),
        readings: readings.filter(
          (r) => r.of === path && r.seq > since && (again || r.op === key || r.op === null),
        ),
      });
    }
  return [...asked.values()];
}

/** The deviation of a size made to a mate as it was measured, where that needs limits the drawing does not give. */
function fitDeviation(
  part: Pick<Part, "mates">,
  path: string,
  drawn: Limits | null,
): Requirement["deviation"] {
  const fitted = fittedLimits(part, path);
  return fitted && drawn && widerThan(fitted.limits, drawn)
    ? { drawn, reason: say`Made to ${fitted.other} as it was measured.` }
    : null;
}

/** Why an outside size is not made as drawn: another size was agreed, or it is made to a mate that needs other limits. */
function deviationOf(job: Job, axis: Axis): Requirement["deviation"] {
  const size = job.part.sizes[axis];
  const drawn = size && limitsOf(size, job.part);
  if (fittedLimits(job.part, `sizes/${axis}`)) return fitDeviation(job.part, `sizes/${axis}`, drawn);
  const retarget = job.retargets[axis];
  return retarget ? { drawn, reason: words(retarget.reason) } : null;
}

/** Verdict of an error of form against its largest: nothing is too small, too large is rework. */
function formVerdict(values: number[], upper: number, u: number): SizeVerdict | null {
  const largest = Math.max(...values);
  const judged = guardedVerdict(largest, { lower: -Infinity, upper }, u);
  if (!judged) return null;
  const verdict =
    judged.verdict === "accept"
      ? "good"
      : judged.verdict === "reject"
        ? "rework"
        : 2 * u >= upper
          ? "cannotTell"
          : "withinU";
  return {
    verdict,
    largest,
    smallest: Math.min(...values),
    spread: tidy(largest - Math.min(...values)),
    rework: verdict === "rework" ? tidy(largest - upper) : 0,
  };
}

/** Features of a drawing that are not cut: those with a step that is open, and those that cannot be made, with the reason. */
export function missingFeatures(
  features: Pick<FeaturePlan, "refused">,
  steps: readonly Step[],
  part: Part,
): { name: Phrase; why: Phrase | null }[] {
  const names = featureNames(featuresOf(part));
  const nameOf = (id: string) => say`${names.get(id) ?? id}`;
  const open = new Set(
    steps.flatMap((s) => ((s.move || s.kind === "hand") && !s.done ? [featureOfKey(s.op)] : [])),
  );
  return [
    ...[...open].map((id) => ({ name: nameOf(id), why: null })),
    ...features.refused.map(({ feature, reason }) => ({ name: nameOf(feature), why: reason })),
  ];
}
