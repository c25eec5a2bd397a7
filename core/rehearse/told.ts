import type { Face, Orientation } from "../frame/index.ts";
import type { Kw, Mm, MmPerMin, Rpm } from "../quantity/index.ts";

/**
 * What a person is told, step by step, and nothing else: which things to put in and out, how the part goes in, what goes into the
 * spindle, what to touch and set, where to stop. The literal machine obeys it to the letter.
 */

export type MachineAxis = "x" | "y" | "z";

/** A thing that is put on the bed or the table, with the sizes that were told of it; mm. */
export type Thing =
  | { id: "parallels"; height: Mm; thickness: Mm; length: Mm; inset: Mm; single: boolean }
  | { id: "rod"; diameter: Mm; height: Mm }
  /** Packing in from the edges, or a piece under each strap alone. */
  | { id: "packing"; height: Mm; underStraps?: boolean }
  /** A plate under all of the part, that a tool may go into. */
  | { id: "plate"; height: Mm }
  /** Straps evenly over one edge, or where it is told: the edge, and how far the middle lies from the part's left end. */
  | {
      id: "straps";
      count: number;
      over: Face;
      reach: Mm;
      at?: readonly { edge: "back" | "front"; left: Mm }[];
    }
  /** V-blocks under a lying shaft; their middles from the part's left end where that is told. */
  | {
      id: "blocks";
      at: readonly Mm[] | null;
      /** On the table: how high the shaft lies in them. */ under?: Mm;
    }
  /** Three pieces to stand on; how high where that is told. */
  | { id: "points"; height: Mm }
  | { id: "paper" }
  /** Soft packing at the fixed jaw. */
  | { id: "soft" }
  | { id: "jack" }
  | { id: "stop" };
export type ThingId = Thing["id"];

/** What is to be measured. */
export type ToldSize =
  | {
      of: "length" | "width" | "height";
      /** Across the upper part of what is held, so far down from its top; null for all of the part. */
      above?: Mm | null;
      /** Of a face cut in two clampings: where it is cut, or over what was left standing. */
      on?: "cut" | "left";
    }
  | { of: "feature"; feature: string; size: string; /** Over the far side of the part. */ over: boolean };

/** One touch of a face. */
export interface Touch {
  /** Where the tool stands, seen from the face: it comes from there. */
  from: "left" | "right" | "front" | "back" | "above";
}

export type Instruction =
  | {
      do: "place";
      at: Orientation;
      on: "vise" | "table" | "blocks";
      things: readonly Thing[];
      /** The end that hangs out, how far, and the side it is said to hang out at. */
      out: { end: Face; by: Mm; side: "left" | "right" | null } | null;
      /** Told to stand above the jaws; only where it says how high a round part lies. */
      projection: Mm;
      /** The face a square is put against to set it upright; null where it sits as it lies. */
      squared: Face | null;
    }
  /** The straps go over another edge; the part stays. */
  | { do: "swap"; straps: Extract<Thing, { id: "straps" }> }
  | {
      do: "clamp";
      /** Grip after the chamfers, as told; mm. */
      grip: Mm | null;
      /** It is told what to do where a raw face does not lie on both parallels. */
      loose: boolean;
    }
  | { do: "take out"; things: readonly ThingId[]; part: boolean }
  | {
      do: "fit";
      /** Empty for what is no cutter: a finder, a pin. */
      cutter: string;
      /** Null where it is not to turn. */
      rpm: Rpm | null;
      /** Which way, and from where it is looked at; null where nothing is said of it. */
      turns: { way: "clockwise" | "counterclockwise"; seen: string } | null;
      upright: boolean;
    }
  | { do: "tilt head"; degrees: number }
  /** A boring head: its tip set to the wall, or as it is, and opened by so much on the diameter, mm. */
  | { do: "open head"; cutter: string; from: Mm | null; by: Mm }
  | {
      do: "zero";
      axis: MachineAxis;
      /** What touches: the tool in the spindle by its name, or something put there by hand. */
      tool: { kind: "cutter"; id: string } | { kind: "finder" | "pin" | "indicator"; diameter: Mm };
      medium: Mm;
      /** One touch, or two to halve between. */
      touches: readonly Touch[];
      /** What half of the reading between two touches is to be lessened by, mm. */
      lessen: Mm;
      /** What the readout is set to at the touch; null on a dial, whose collar is set to nothing after moving on. */
      setting: Mm | null;
      /** How far to move on before the collar is set to nothing again, in the direction of the touch; mm. */
      moveOn: Mm;
      /** Where the other axes stand at the touch; readings. From above where the cut comes, from a side how high. */
      near: { x: Mm; y: Mm | null } | { x: Mm; z: Mm } | null;
      /** Where the end of the cutter stands in Z at a touch from the side, a reading; null where nothing is told. */
      end: Mm | null;
      /** Touched there, and not on the highest place of all. */
      crown: boolean;
      /** Touched where it is cut by now, lower than what is left standing beside. */
      on?: "cut";
      /** How to leave the touch. */
      backOff: "clear" | "into the part";
    }
  | {
      do: "pass";
      /** The face that is cut, and whether by the end of the cutter, its side, or a cutter on an arbor. */
      face: Face;
      by: "end" | "side" | "arbor";
      axis: MachineAxis;
      /** Reading to stop at. */
      stop: Mm;
      /** Where Z stands for a cut with the side of the cutter, a reading; null else. */
      down: Mm | null;
      /** Most that comes off in this pass, and the width of a lane, as told. */
      depth: Mm;
      width: Mm;
      /** Where the middle of the cutter goes, lane by lane: so far in from an edge, or over the middle of the part. */
      lanes: readonly { from: "front" | "back" | "left" | "right" | "middle"; in: Mm }[];
      feedAlong: "x" | "y";
      travel: "left" | "right" | "front" | "back";
      vf: MmPerMin;
      rpm: Rpm;
      /** Power the cut was told to take. */
      power: Kw | null;
      cutter: string;
      spring: boolean;
      /** Cut no further than where it marks dye on what was cut before, or on until it does; null where none is told of. */
      dye: "no further" | "until" | null;
    }
  | {
      do: "move";
      how: "go" | "down" | "feed" | "in";
      to: { x?: Mm; y?: Mm; z?: Mm };
      /** Slack that the figure has in it, by axis, with its sign; mm. */
      counted: { x?: Mm; y?: Mm; z?: Mm };
      /** Which way the last bit is to be moved, by axis. */
      approach: { x?: 1 | -1; y?: 1 | -1; z?: 1 | -1 };
      cuts: boolean;
      /** How near a place must be hit, mm. */
      exact: Mm;
      /** Most that comes off sideways and along the axis, as told; null where nothing is told of it. */
      limits: { across: Mm; along: Mm } | null;
      vf: MmPerMin | null;
      rpm: Rpm | null;
      /** Power the cut was told to take; null where nothing is told of it. */
      power: Kw | null;
      cutter: string;
      /** Told to be made once more at the same setting. */
      spring: boolean;
      minutes: number;
    }
  | { do: "read"; size: ToldSize; expected: Mm }
  | { do: "look"; face: Face }
  | { do: "by hand"; feature: string }
  | { do: "other" };

/** An instruction with where it stands. */
export type Told = Instruction & { op: string; step: string; setup: number };
