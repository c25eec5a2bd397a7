import type { Face, Sizes } from "../frame/index.ts";
import type { Prism, ShaftSection } from "../part/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import { type AxisScrew, edgeFinderOf, type Machine, type Shop, type Vise } from "../shop/index.ts";
import type { Phrase, Warning } from "../working/index.ts";
import type { Datum } from "./setup-frame.ts";
import type { ToolSide } from "./touch.ts";

/** How an edge is touched, the least trouble first. */
export const touchWays = ["line", "chip", "paper", "finder", "finderTurned", "indicator"] as const;
export type TouchWay = (typeof touchWays)[number];

/** How a datum is picked up, and how well it is known then, mm (guess; domain.md 9). */
export const pickupErrors: Readonly<Record<TouchWay, Mm>> = {
  line: 0.25,
  chip: 0.02,
  paper: 0.03,
  finder: 0.01,
  finderTurned: 0.005,
  indicator: 0.005,
};

/** As they are called. */
export const touchWords: Readonly<Record<TouchWay, string>> = {
  line: "scribed line",
  chip: "cutter alone, first chip",
  paper: "cutter and paper",
  finder: "edge finder",
  finderTurned: "edge finder, turned half a turn",
  indicator: "indicator",
};

/** How a person can pick up an edge; by both sides and halving whichever it is touched with. */
export const pickupWays = [...touchWays, "sides"] as const;
export type PickupWay = (typeof pickupWays)[number];

/** How far a zero on an axis may be off, touched once or halved between two sides, mm. */
export const touchError = (way: TouchWay, screw: AxisScrew, halved: boolean): Mm =>
  tidy(Math.hypot(halved ? pickupErrors[way] / Math.SQRT2 : pickupErrors[way], stepOf(screw) / 2));

/**
 * The way with the least trouble that is good enough for the places of a setup: the finder as it is, then turned half round, then
 * the indicator; without a finder paper, then the indicator. The best of them where none is.
 */
export function wayFor({
  setup: { closest },
  shop,
  machine,
  wanted,
}: Pick<LocateRequest, "machine" | "wanted"> & {
  setup: Pick<FeatureSetup, "closest">;
  shop: Pick<Shop, "instruments">;
}): TouchWay {
  if (wanted !== null && wanted !== "sides") return wanted;
  const ways: readonly TouchWay[] = edgeFinderOf(shop)
    ? ["finder", "finderTurned", "indicator"]
    : ["paper", "indicator"];
  const { x, y } = machine.axes;
  const both = (way: TouchWay) => Math.hypot(touchError(way, x, false), touchError(way, y, false));
  return ways.find((way) => closest === null || both(way) <= closest) ?? ways.at(-1)!;
}

/** A sheet of copy paper between tool and part, squeezed, while nobody measured it, mm (guess). */
export const usualPaper = 0.05;

/** What touches: a cutter of the drawer by its id, or something that goes into the spindle only for the touch. */
export type Toucher =
  { kind: "cutter"; id: string; name: string } | { kind: "finder" | "indicator" | "pin"; name: string };

/** Where a tool stands, seen from the face it touches. */
export type TouchFrom = "left" | "right" | "front" | "back" | "above";

/** Which way an axis moves to touch from a side: 1 where its reading grows. */
export const movesToTouch: Record<TouchFrom, 1 | -1> = { left: 1, front: 1, right: -1, back: -1, above: -1 };

/** One datum of a setup on one axis: what is touched with what, and what to set then. */
export interface Pickup {
  axis: "x" | "y" | "z";
  datum: Datum;
  /** The faces that are touched: one, or both to halve between them. */
  faces: Face[];
  way: TouchWay;
  /** What must be in the spindle for it. */
  toucher: Toucher;
  /** From which side each of them is touched, in that order; the zero remembers the last of them (M25). */
  from: TouchFrom[];
  /** Diameter that touches, and what lies between, mm. */
  tool: Mm;
  medium: Mm;
  /** Slack that two touches from opposite sides leave in what the collar shows, mm; 0 on a readout. */
  slack: Mm;
  /** Where the tool stands, seen from the face; null for a touch from above and for two sides. */
  side: ToolSide | null;
  /** What to set the readout to at the touch, mm; of two sides the reading at each. */
  settings: Mm[];
  /** How far the axis then stands from the edge, mm. */
  off: Mm;
  /** Set by readout, or by the collar of the dial. */
  by: "readout" | "dial";
  /** How far the zero may be off, mm. */
  error: Mm;
  title: Phrase;
  /** Where the other axes stand at the touch, where that matters, mm. */
  near: { x: Mm; y: Mm | null; z: Mm | null } | null;
  /** What lies at that place is touched, and not the highest there is. */
  there: boolean;
  /** What is done, in this order: it cannot plough into the part (M24). */
  order: Phrase[];
  warnings: Warning[];
}

export interface LocateRequest {
  setup: FeatureSetup;
  sizes: Sizes;
  /** Sections of a shaft, which is picked up on its center; null for a block. */
  shaft: readonly ShaftSection[] | null;
  /** What features cut in the setups before took out. */
  gone: readonly Prism[];
  vise: Pick<Vise, "fixedJaw" | "jawDepth">;
  machine: Machine;
  shop: Pick<Shop, "instruments" | "cutters">;
  /** How the person wants it picked up; null for the best that is owned. */
  wanted: PickupWay | null;
  /** The paper that is touched through, mm. */
  paper: Mm;
}

/** What a zero is set by on an axis: its readout where it has one. */
export const setBy = (screw: AxisScrew): Pickup["by"] => (screw.readout === null ? "dial" : "readout");

/** What turning back leaves in a reading, mm: a readout sees the table itself. */
export const slackOf = (screw: AxisScrew): Mm => (screw.readout === null ? screw.backlash : 0);

/** Which way an axis moved when it was set: on that side its slack is taken up. */
export const zeroedToward = ({ from }: Pick<Pickup, "from">): 1 | -1 => movesToTouch[from.at(-1)!];

/** The least step an axis can be set by, mm. */
export const stepOf = (screw: AxisScrew): Mm => screw.readout ?? screw.division;
