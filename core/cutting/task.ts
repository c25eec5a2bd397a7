import type { CutKind } from "../handbook/index.ts";
import type { GripCapacity, StudBeside } from "../holding/index.ts";
import type { Mm, MmPerMin, Rpm } from "../quantity/index.ts";
import type { Limit } from "../working/index.ts";

/** What the person set themselves about a cut; null where the plan decides. */
export interface OwnConditions {
  cutter: string | null;
  rpm: Rpm | null;
  vf: MmPerMin | null;
  depth: Mm | null;
  /** Left for the last pass. */
  finish: Mm | null;
  climb: boolean;
}

export const nothingOwn: OwnConditions = {
  cutter: null,
  rpm: null,
  vf: null,
  depth: null,
  finish: null,
  climb: false,
};

/** What a cut is to do. All mm. */
export interface CutTask {
  kind: CutKind;
  /** Along the feed. */
  length: Mm;
  /** The table's axis that feeds: a side is cut across the table unless it lies along it. */
  feedAlong: "x" | "y";
  /** Across the feed: width of a face, height of a side cut, width of a slot, step or groove. */
  across: Mm;
  /** Of a side cut: what still stands above the top it is cut down from, beside which its cutter runs too; 0 where nothing does. */
  proud: Mm;
  total: Mm;
  /** Skin of the face to get beneath; 0 for a clean one. */
  skin: Mm;
  /** The skin is scale, sand or burnt: it kills a sharp edge. */
  hardSkin: boolean;
  /** Roughness wanted, Ra in µm; null when none is asked for. */
  ra: number | null;
  /** Half the tolerance of the size a wall makes; null when it makes none. */
  halfTolerance: Mm | null;
  /** Radius of the inside corner it has to leave; null when there is none. */
  insideRadius: Mm | null;
  /** Goes down into solid metal. */
  plunges: boolean;
  /** Holes, gaps or hard spots in the way. */
  interrupted: boolean;
  /** A stud beside a side cut on the table; null where none stands. */
  stud: StudBeside | null;
  /** What the seat holds; null where nothing is known of it. */
  grip: GripCapacity | null;
  /** Limits from outside on the depth per pass. */
  outside: Limit[];
  own: OwnConditions;
  /** "quick" goes to the hard limits and the faster half of the ranges; by choice only. */
  aim: "usual" | "quick";
}

/** A task with nothing special about it but what is given. */
export const cutTask = (
  given: Pick<CutTask, "kind" | "length" | "across" | "total"> & Partial<CutTask>,
): CutTask => ({
  feedAlong: given.kind === "side" ? "y" : "x",
  proud: 0,
  skin: 0,
  hardSkin: false,
  ra: null,
  halfTolerance: null,
  insideRadius: null,
  plunges: false,
  interrupted: false,
  stud: null,
  grip: null,
  outside: [],
  own: nothingOwn,
  aim: "usual",
  ...given,
});
