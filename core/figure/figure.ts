import type { Outline } from "../frame/index.ts";
import type { FaceCondition } from "../handbook/index.ts";
import type { Quantity } from "../quantity/index.ts";

/** How a drawn thing is filled and outlined; whoever renders it knows the hatches. Never by color alone. */
export type Ink =
  | "part"
  | "remove"
  | "fixedJaw"
  | "movingJaw"
  | "bed"
  | "parallel"
  | "rod"
  | "cutter"
  | "edge"
  | "thin"
  | "accent"
  /** Cut away, with its edge seen; the bare ground behind the part; lines of what is hidden; center lines. */
  | "void"
  | "ground"
  /** Clears a line that is no longer there; cut through by a section; felt but not seen. */
  | "erase"
  | "section"
  | "touch"
  | "hidden"
  | "center"
  | "dimension"
  /** A ring that numbers what it stands beside, nothing drawn within it. */
  | "balloon"
  | `face-${FaceCondition}`;

export type Shape = (
  | { kind: "rect"; x: number; y: number; w: number; h: number; ink: Ink; strong?: boolean; round?: number }
  | { kind: "circle"; x: number; y: number; r: number; ink: Ink }
  | { kind: "line"; points: [number, number][]; ink: Ink; arrow?: boolean }
  | {
      kind: "text";
      x: number;
      y: number;
      text: string;
      size: number;
      anchor: "start" | "middle" | "end";
      ink: Ink;
      bold?: boolean;
    }
  /** A closed outline, and what is left out of it. */
  | { kind: "path"; outlines: Outline[]; ink: Ink }
  /** A dimension between two points, its text beside it. */
  | {
      kind: "dimension";
      from: [number, number];
      to: [number, number];
      value: Quantity;
      label: string;
      size: number;
      side: "left" | "right" | "below";
      /** Only the figure: what it measures is too thin for a line between arrows. */
      bare?: boolean;
    }
) & {
  /** The feature it is drawn for, by id. */
  of?: string;
};

/** A drawing in mm, y pointing down. */
export interface Figure {
  /** What a person who cannot see it is told. */
  title: string;
  width: number;
  height: number;
  shapes: Shape[];
}
