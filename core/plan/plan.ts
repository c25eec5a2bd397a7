import type { CutTwice } from "./cut-twice.ts";
import type { Axis, Sizes } from "../frame/index.ts";
import type { Locating } from "../locate/index.ts";
import type { DrawingFinding } from "../part/index.ts";
import type { FeatureKey, FeaturePlan, PairError, Route, Setup } from "../route/index.ts";
import type { OperationKey, School } from "../squaring/index.ts";
import type { Piece, Spare, SpareVerdict } from "../stock/index.ts";
import type { FaceProgress, LivePass, Step } from "../steps/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { Requirement } from "./requirement.ts";
import type { OverrideReport } from "./settle-overrides.ts";

export const stations = ["drawing", "stock", "setups", "cuts", "machine", "record"] as const;
export type Station = (typeof stations)[number];

export interface Plan {
  findings: DrawingFinding[];
  /** Target sizes with deviations applied; null while the drawing is not complete. */
  target: Sizes | null;
  spares: Record<Axis, Spare> | null;
  spareVerdict: SpareVerdict;
  raw: Piece | null;
  /** How the block is squared: as the person chose, or what goes. */
  school: School;
  /** All of them in order, of faces and of features. */
  setups: Setup[];
  /** Where zero lies in setups of features, by their first operation. */
  zeros: { [first: FeatureKey]: Locating };
  /** Why there is no (further) setup. */
  refusal: Route["refusal"];
  warnings: Warning[];
  /** What is to be checked again because what it was cut from was cut again (M39). */
  rechecks: Warning[];
  /** Cuts that two devices have recorded. */
  twice: CutTwice[];
  /** How what is drawn into the part is cut, and what cannot be; null while the block is not planned square, or there is nothing. */
  features: Pick<FeaturePlan, "routes" | "refused"> | null;
  steps: Step[];
  /** Index of the step to do now; the number of steps when all are done. */
  current: number;
  ladders: Partial<Record<OperationKey, LivePass[]>>;
  /** Readings that moved passes, newest last, by operation. */
  corrections: Partial<Record<OperationKey, FaceProgress["corrections"]>>;
  overrides: OverrideReport[];
  /** Squareness and parallelism to expect of the route, pair by pair. */
  errors: PairError[];
  requirements: Requirement[];
  /** Features that are drawn and not cut: still to come, or that cannot be, with the reason. */
  missing: { name: Phrase; why: Phrase | null }[];
  minutes: { cutting: number; handling: number; total: number };
  /** Any pass cut yet: from then on every change of a decision is logged. */
  cutBegun: boolean;
  status: Record<Station, Phrase>;
}
