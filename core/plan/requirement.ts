import {
  formVerdict,
  placeVerdict,
  readingWay,
  sizeVerdict,
  type SizeVerdict,
  type Verdict,
} from "../inspect/index.ts";
import { criticalShare, featureNames, featuresOf, type Part } from "../part/index.ts";
import { featureOfKey, type FeaturePlan } from "../route/index.ts";
import { canMeasure, type Shop } from "../shop/index.ts";
import {
  effective,
  type GaugeAnswer,
  type ReadingOf,
  type Record as JobRecord,
  type Step,
} from "../steps/index.ts";
import { type Phrase, say } from "../working/index.ts";
import type { Asked, Happened, Judged, Requirement } from "./characteristic.ts";
import {
  featuresAsked,
  formsAsked,
  gaugesAsked,
  otherSizesAsked,
  sizesAsked,
  squarenessAsked,
} from "./characteristics.ts";
import { sinceByHand } from "./by-hand.ts";
import { type JudgedReading, judgedReadings, type Reading } from "./judged-reading.ts";

export type { Requirement } from "./characteristic.ts";

/** A verdict as far as its readings prove it: an instrument that is not made for the size, or does not reach it, tells nothing. */
const provedBy = (
  verdict: SizeVerdict | null,
  used: readonly JudgedReading[],
  { of, how }: Pick<Asked, "of" | "how">,
  part: Part,
  { instruments }: Pick<Shop, "instruments">,
): SizeVerdict | null => {
  const unable = used.some((r) => {
    const instrument = instruments.find((i) => i.id === r.instrument);
    // Read another way the instrument shows something else.
    const way = readingWay(part, of, r.way?.id);
    return instrument && !canMeasure(instrument, way?.how ?? how, way?.shown(r.value) ?? r.value);
  });
  return verdict && unable ? { ...verdict, verdict: "cannotTell", rework: 0 } : verdict;
};

/** What is critical is called good only where an eighth of its zone is in doubt, and no more. */
const certain = (
  verdict: SizeVerdict | null,
  { critical, limits }: Pick<Asked, "critical" | "limits">,
  u: number,
): SizeVerdict | null =>
  critical &&
  verdict &&
  (verdict.verdict === "good" || verdict.verdict === "withinU") &&
  u > criticalShare * (limits.upper - limits.lower) + 1e-9
    ? { ...verdict, verdict: "cannotTell" }
    : verdict;

/** What a gauge that was tried says. */
const gauged: Record<GaugeAnswer, Verdict> = { passes: "good", tight: "rework", loose: "over" };

/** The verdict on what is asked by the readings that count. */
function verdictOn(
  asked: Asked,
  count: readonly JudgedReading[],
  u: number,
  { part, shop }: Pick<Judged, "part" | "shop">,
): SizeVerdict | null {
  const { how, limits, gauge } = asked;
  if (gauge)
    return (
      gauge.answer && { verdict: gauged[gauge.answer.value], largest: 0, smallest: 0, spread: 0, rework: 0 }
    );
  const values = count.map((r) => r.value);
  switch (how) {
    case "form":
      return formVerdict(count, limits.upper, u);
    case "place":
      return placeVerdict(values, limits, u);
    default:
      return provedBy(
        sizeVerdict(values, limits, u, how === "inside" || how === "depth" ? "inside" : "outside"),
        count,
        asked,
        part,
        shop,
      );
  }
}

/**
 * Requirements of a job with the readings that judge them: of the block those taken after the last cut of a size and at the
 * inspection, of a feature those of its operation. A later pass makes earlier readings history. The verdict goes by all points,
 * not by one (M34).
 */
export function requirementsOf(judged: Judged): Requirement[] {
  const { records, piece, part } = judged;
  const here = effective([...records]).filter((r) => r.piece === piece);
  const happened: Happened = { here, readings: here.filter((r): r is Reading => r.type === "reading") };
  const acceptedAfter = (of: Requirement["of"], seq: number): Requirement["accepted"] => {
    const said = here.findLast(
      (r): r is JobRecord & { type: "accepted" } => r.type === "accepted" && r.of === of,
    );
    return said && said.seq > seq ? { id: said.id, by: said.by, reason: said.reason } : null;
  };
  const judge = (everything: Asked): Requirement => {
    const { byHand, since, of } = sinceByHand(everything, here, judged);
    const { readings: by, ...asked } = of;
    const used = judgedReadings(by, asked.how, judged);
    const count = used.filter((r) => r.counts);
    const u = Math.max(0, ...count.map((r) => r.u));
    const last = Math.max(
      since,
      ...by.map((r) => r.seq),
      ...here.flatMap((r) => (r.id === asked.gauge?.answer?.id ? [r.seq] : [])),
    );
    return {
      ...asked,
      readings: used,
      byHand,
      u,
      verdict: certain(verdictOn(of, count, u, judged), asked, u),
      accepted: acceptedAfter(asked.of, last),
    };
  };
  const sizes = sizesAsked(judged, happened).map(judge);
  const measured = featuresAsked(judged, happened);
  const lastSize = Math.max(0, ...here.map((r) => (r.type === "reading" && r.of in part.sizes ? r.seq : 0)));
  return [
    ...sizes,
    ...parallelismOf(part, sizes, acceptedAfter("parallelism", lastSize)),
    ...squarenessAsked(judged, happened).map(judge),
    ...formsAsked(judged, happened).map(judge),
    ...measured.map(judge),
    ...otherSizesAsked(judged, happened, measured).map(judge),
    ...gaugesAsked(judged, happened).map(judge),
  ];
}

/** A requirement that is read or tried itself, and was not yet; what follows from others is none. */
export type Unread = Requirement & { of: ReadingOf };

/** What the drawing asks and nobody has read or tried yet: what must be first. */
export const unreadOf = ({ requirements }: { requirements: readonly Requirement[] }): Unread[] =>
  requirements
    .filter((r): r is Unread => r.of !== "parallelism" && r.verdict === null && r.accepted === null)
    .toSorted((a, b) => Number(b.required) - Number(a.required));

/** Parallelism of a pair is the spread of its readings; the worst pair counts. */
function parallelismOf(
  part: Part,
  sizes: readonly Requirement[],
  accepted: Requirement["accepted"],
): Requirement[] {
  if (part.parallelism === null) return [];
  const [worst] = sizes
    .filter((s) => s.readings.filter((r) => r.counts).length >= 2)
    .map((s) => ({ spread: s.verdict!.spread, u: s.u }))
    .sort((a, b) => b.spread - a.spread);
  return [
    {
      of: "parallelism",
      drawn: null,
      limits: { lower: 0, upper: part.parallelism },
      deviation: null,
      how: "outside",
      required: true,
      critical: false,
      byHand: null,
      gauge: null,
      readings: [],
      u: worst?.u ?? 0,
      verdict: worst
        ? formVerdict([{ value: worst.spread, atMost: false }], part.parallelism, worst.u)
        : null,
      accepted,
    },
  ];
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
