import type { Corner, Outline } from "../frame/index.ts";
import { type LengthUnit, toMm } from "../quantity/index.ts";

/** Larger files are refused before they are read, bytes. */
export const largestDxf = 20_000_000;

/** What a DXF file holds for a flat part, in the file's own unit. */
export interface DxfDrawing {
  /** As the file says; null when it is silent. */
  unit: LengthUnit | null;
  closed: Outline[];
  /** Ways of lines and arcs that do not close. */
  open: number;
  /** What is in the file and is not read, by its name there. */
  ignored: { name: string; count: number }[];
}

/** The outline in mm, for a file in a unit. */
export const outlineInMm = (outline: Outline, unit: LengthUnit): Outline =>
  outline.map(({ x, y, bulge }): Corner => ({ x: toMm(x, unit), y: toMm(y, unit), bulge }));
