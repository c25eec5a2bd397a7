import { type Axis, axisNames } from "../frame/index.ts";
import { guardedVerdict, sizeVerdict, type SizeVerdict } from "../measure/index.ts";
import { fittedLimits, limitsOf, type Part, widerThan } from "../part/index.ts";
import { type Dimension, type Limits, tidy } from "../quantity/index.ts";
import type { OperationKey } from "../route/index.ts";
import { canMeasure, type MeasuredHow, type Shop } from "../shop/index.ts";
import { effective, type Progress, type ReadingOf, type Record as JobRecord } from "../steps/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import type { Job } from "./job.ts";

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
  readings: { seq: number; value: number; instrument: string; questioned: string[] }[];
  /** Largest uncertainty of the instruments used, mm. */
  u: number;
  verdict: SizeVerdict | null;
}

/** Largest uncertainty of the instruments that readings were taken with, mm. */
export const uncertaintyOf = (used: Requirement["readings"], shop: Shop): number =>
  Math.max(0, ...used.map((r) => shop.instruments.find((i) => i.id === r.instrument)?.uncertainty ?? 0));

/** A verdict as far as its readings prove it: an instrument that is not made for the size, or does not reach it, tells nothing. */
export const provedBy = (
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

/**
 * Requirements of a job with the readings that judge them: those taken after the last cut of a size and at the inspection.
 * A later pass makes earlier readings history. The verdict goes by all points, not by one (M34).
 */
export function requirementsOf(
  job: Job,
  part: Part,
  records: JobRecord[],
  shop: Shop,
  progress: Map<OperationKey, Progress>,
  piece: number,
): Requirement[] {
  const lastCut = new Map<string, number>();
  const readings: (JobRecord & { type: "reading" })[] = [];
  for (const record of effective(records)) {
    if (record.piece !== piece) continue;
    if (record.type === "cut") lastCut.set(record.op, record.seq);
    if (record.type === "reading") readings.push(record);
  }
  const judged = (of: ReadingOf) => {
    const cutsOfSize = [...progress.values()]
      .filter((p) => of === "squareness" || sizeOf(p) === of)
      .map((p) => lastCut.get(p.told.key) ?? 0);
    const since = Math.max(0, ...cutsOfSize);
    return readings
      .filter((r) => r.of === of && r.seq > since)
      .map(({ seq, value, instrument, questioned }) => ({ seq, value, instrument, questioned }));
  };
  const uncertainty = (used: Requirement["readings"]) => uncertaintyOf(used, shop);

  const sizes = axisNames.flatMap((axis): Requirement[] => {
    const size = part.sizes[axis];
    if (!size) return [];
    const limits = limitsOf(size, part);
    const used = judged(axis);
    const u = uncertainty(used);
    return [
      {
        of: axis,
        drawn: size,
        limits,
        deviation: deviationOf(job, axis),
        how: "outside",
        readings: used,
        u,
        verdict: provedBy(
          sizeVerdict(
            used.map((r) => r.value),
            limits,
            u,
          ),
          used,
          "outside",
          shop,
        ),
      },
    ];
  });
  const form: Requirement[] = [];
  if (part.parallelism !== null) {
    // Parallelism of a pair is the spread of its readings; the worst pair counts.
    const spreads = sizes
      .filter((s) => s.readings.length >= 2)
      .map((s) => ({ spread: s.verdict!.spread, u: s.u }));
    const worst = spreads.sort((a, b) => b.spread - a.spread)[0];
    form.push({
      of: "parallelism",
      drawn: null,
      limits: { lower: 0, upper: part.parallelism },
      deviation: null,
      how: "outside",
      readings: [],
      u: worst?.u ?? 0,
      verdict: worst ? formVerdict([worst.spread], part.parallelism, worst.u) : null,
    });
  }
  if (part.squareness !== null) {
    const used = judged("squareness");
    const u = uncertainty(used);
    form.push({
      of: "squareness",
      drawn: null,
      limits: { lower: 0, upper: part.squareness },
      deviation: null,
      how: "form",
      readings: used,
      u,
      verdict:
        used.length > 0
          ? formVerdict(
              used.map((r) => r.value),
              part.squareness,
              u,
            )
          : null,
    });
  }
  return [...sizes, ...form];
}

/** The deviation of a size made to a mate as it was measured, where that needs limits the drawing does not give. */
export function fitDeviation(
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

const sizeOf = (p: Progress): ReadingOf =>
  p.told.face === "left" || p.told.face === "right"
    ? "length"
    : p.told.face === "front" || p.told.face === "back"
      ? "width"
      : "height";

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
