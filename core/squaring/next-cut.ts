import type { Face, Orientation } from "../frame/index.ts";
import type { Extent } from "./face-key.ts";

/** Held in the vise as deep as it goes, by the lowest quarter so that all sides stand free, strapped to the table, or glued to a plate. */
export type HoldWay = "vise" | "quarter" | "table" | "plate";

/** What a school wants cut next. Cuts that want the same orientation, way and straps are made in one clamping. */
export interface NextCut {
  at: Orientation;
  face: Face;
  extent: Extent;
  hold: HoldWay;
  /** Edge that the straps reach over; null in the vise. */
  over: Face | null;
}

/** The face that is up, all of it, in the vise. */
export const faceUp = (at: Orientation | null): NextCut | null =>
  at && { at, face: at.up, extent: "face", hold: "vise", over: null };
