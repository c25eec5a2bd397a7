import type { Cut, CutTask } from "../cutting/index.ts";
import type { Axis, Face, Orientation, Side, turnBetween } from "../frame/index.ts";
import type { Lies, Seat } from "../holding/index.ts";
import type { Limits, Mm } from "../quantity/index.ts";
import type { FaceSweep } from "../recipes/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { DatumUse } from "./feature-order.ts";
import type { FeatureOperation } from "./feature-operation.ts";
import type { OperationKey } from "../squaring/index.ts";

/** How a setup comes to its seat: newly placed, with the straps moved and the part left, or left as it was clamped. */
export type Entry = "placed" | "swapped" | "stays";

/** A block in the jaws or strapped to the table, or a shaft in V-blocks between the jaws. */
export type Device = "vise" | "table" | "vBlocks";

/** A face to be cut: what comes off it, with which cutter, and how. Sizes in mm along its axis. */
export interface FaceOperation {
  by: "face";
  key: OperationKey;
  face: Face;
  axis: Axis;
  /** Which way it looks where it is cut with the side of the cutter, seen from the front; null where it is up. */
  looks: Side | null;
  cut: Cut;
  /** What its cutter sweeps, as the part lies. */
  sweep: FaceSweep;
  /** What the cut was to do: enough to compare cutters and draw its limits when they are asked for. */
  task: CutTask;
  /** Why this cutter. */
  why: Phrase;
  /** Largest size before and size after. */
  from: Mm;
  to: Mm;
  /** A required size (its other face is cut already), or a first face that only has to clean up. */
  sized: boolean;
  limits: Limits;
  /**
   * The rest of a side whose other side still has its own rest: no size can be measured across. It is cut until the cutter
   * marks layout dye on the part of the side that was cut before.
   */
  matched: boolean;
}

export type Operation = FaceOperation | FeatureOperation;

/** A seat of the part, and what is cut in it. Several in a row may share a clamping: the part stays where it is. */
interface SetupOf<O extends Operation> {
  /** Place in the order of setups. */
  number: number;
  /** Which clamping, from 1: the part stays in it while straps are moved. */
  clamping: number;
  entry: Entry;
  /** The part stays where it is for the setup after it. */
  stays: boolean;
  /** Id of the machine it is done on. */
  machine: string;
  /** The setup before is done on another machine: part, vise and tools are carried here first. */
  carried: boolean;
  at: Orientation;
  seat: Seat;
  device: Device;
  /** How the part lies on its parallels. */
  lies: Lies;
  operations: readonly [O, ...O[]];
  title: Phrase;
  reasons: Phrase[];
  warnings: Warning[];
  minutes: { cutting: number; handling: number };
}

/** A setup in which a face is cut. */
export interface FaceSetup extends SetupOf<FaceOperation> {
  operations: readonly [FaceOperation];
  before: Piece;
  /** The piece as it was when it was placed: what it stands on and against since. */
  placed: Piece;
  after: Piece;
  /** How the part turns from the setup before. */
  turn: ReturnType<typeof turnBetween>;
}

/** A setup in which features are cut, all from one pick-up of the datum. */
export interface FeatureSetup extends SetupOf<FeatureOperation> {
  /** Ids of the features cut in it, in order. */
  features: string[];
  /** What its features are dimensioned from, the most used first. */
  datums: DatumUse[];
  /** What is cut, seen along the jaws: from the fixed jaw inward, and how deep from the top; mm. */
  section: { from: Mm; to: Mm; depth: Mm }[];
  /** Half of the tightest tolerance of a place in it, mm; null where none is dimensioned. */
  closest: Mm | null;
}

export type Setup = FaceSetup | FeatureSetup;

export const isFaceSetup = (setup: Setup): setup is FaceSetup => setup.operations[0].by === "face";

export const faceSetupsOf = (setups: readonly Setup[]): FaceSetup[] => setups.filter(isFaceSetup);
export const featureSetupsOf = (setups: readonly Setup[]): FeatureSetup[] =>
  setups.filter((s): s is FeatureSetup => !isFaceSetup(s));

/** The cutter of an operation, by its id; null for handwork. */
export const cutterOf = (operation: Operation): string | null =>
  operation.by === "face" ? operation.cut.cutter : operation.cutter;
/** Speed and feed of an operation; null where it is turned or done by hand. */
export const conditionsOf = (
  operation: Operation,
): Omit<NonNullable<FeatureOperation["set"]>, "plunge"> | null =>
  operation.by === "face" ? operation.cut : operation.set;

/** The setup an operation is done in. */
export const setupWith = (setups: readonly Setup[], key: string | null): Setup | undefined =>
  setups.find((s) => s.operations.some((o) => o.key === key));
/** The face a setup cuts. */
export const faceOf = ({ operations }: Pick<FaceSetup, "operations">): FaceOperation => operations[0];

/** A setup is known by its first operation. */
export const keyOfSetup = <S extends Setup>({ operations }: S): S["operations"][0]["key"] =>
  operations[0].key;

/** Why a setup cannot be placed yet: a size that nobody measured. Null where nothing is missing. */
export const missingBefore = (setup: Setup): Warning | null =>
  setup.warnings.find((w) => w.phrase.id === "M10.unmeasured") ?? null;
