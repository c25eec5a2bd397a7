import type { WorkOf } from "./feature-operation.ts";
import type { Face } from "../frame/index.ts";
import type { Cutout } from "../part/index.ts";
import type { Placed } from "./feature-order.ts";
import type { OtherWay } from "./feature-plan.ts";
import type { Way, Work } from "../recipes/index.ts";

/** A feature with its ways worked in one approach. */
export interface Option {
  approach: string;
  up: Face;
  way: Way;
  minutes: number;
}

/** A feature with all its ways. */
export interface Drawn extends Placed {
  ways: readonly Way[];
}

export interface Candidate extends Placed {
  options: Option[];
  others: OtherWay[];
}

export const approachOf = ({ up, front }: Pick<Way, "up" | "front">): string =>
  front ? `${up} ${front}` : up;

/** A work with the feature it is of. */
export interface Owned {
  of: WorkOf;
  work: Work;
  /** What the feature takes out. */
  cutout: Cutout;
  /** Its cutter runs out of metal and into it again: something was cut through its way before. */
  interrupted: boolean;
}

/** A way all by hand needs no setup of its own. */
export const byHand = (way: Way): boolean => way.works.every((w) => w.tool.by === "hand");

export interface Chosen {
  candidate: Candidate;
  option: Option;
}
