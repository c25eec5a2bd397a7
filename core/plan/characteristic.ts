import type { SizeVerdict } from "../inspect/index.ts";
import type { Job } from "../job/index.ts";
import type { Dimension, Limits, Mm } from "../quantity/index.ts";
import type { Setup } from "../route/index.ts";
import type { MeasuredHow } from "../shop/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import type {
  FaceProgress,
  FitPlace,
  GaugeAnswer,
  HandWay,
  ReadingOf,
  Record as JobRecord,
} from "../steps/index.ts";
import type { Phrase } from "../working/index.ts";
import type { JudgedBy, JudgedReading, Reading } from "./judged-reading.ts";

/** A thing that is tried, not measured: what each answer means, and what it was. */
export interface Gauge {
  answers: Record<GaugeAnswer, string>;
  answer: { id: string; value: GaugeAnswer; play: Mm | null; where: FitPlace | null } | null;
  /** Of a fit: the gap wanted at its tightest and at its loosest, mm. */
  gap: { least: Mm; most: Mm } | null;
}

/** What was done to it by hand, and what it read before, mm; a size is the mean of its readings. */
export interface ByHand {
  id: string;
  how: HandWay;
  before: Mm;
}

/** One thing the drawing requires, with its readings and verdict. */
export interface Requirement {
  of: ReadingOf | "parallelism";
  /** What it is called, where it is more than `of`: a size of a feature. */
  name?: Phrase;
  /** The drawn size; null for what has none, such as squareness. */
  drawn: Dimension | null;
  limits: Limits;
  /** Set when the size deviates from the drawing: the limits drawn, null where none are, and why. */
  deviation: { drawn: Limits | null; reason: Phrase } | null;
  /** How it is measured. */
  how: MeasuredHow;
  /** Without it the part is not good. What only follows from how it is made may be left unread. */
  required: boolean;
  /** Others hang on it: only an instrument good to an eighth of its zone calls it good. */
  critical: boolean;
  gauge: Gauge | null;
  readings: JudgedReading[];
  /** Worked by hand since it was cut; what was read before that is history. Null where it was not, or nothing was read before. */
  byHand: ByHand | null;
  /** The largest uncertainty of those that count, mm. */
  u: Mm;
  verdict: SizeVerdict | null;
  /** It was accepted as it is, after its last reading: who, why, and the record that says so. */
  accepted: { id: string; by: string; reason: string } | null;
}

/** What a requirement is judged by. */
export type Asked = Omit<Requirement, "u" | "verdict" | "readings" | "accepted" | "byHand"> & {
  readings: readonly Reading[];
};

export interface Judged extends JudgedBy {
  job: Job;
  setups: readonly Setup[];
  records: readonly JobRecord[];
  /** Where the faces that were begun stand. */
  faces: ReadonlyMap<OperationKey, FaceProgress>;
  piece: number;
}

/** Records of the piece that still count, and its readings among them. */
export interface Happened {
  here: readonly JobRecord[];
  readings: readonly Reading[];
}
