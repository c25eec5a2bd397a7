import * as Comlink from "comlink";
import type { DxfDrawing } from "../../core/exchange/index.ts";
import type { Figure } from "../../core/figure/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";
import type { Outcome } from "../../core/working/index.ts";
import type { Dxf } from "./dxf-worker.ts";

let dxf: Comlink.Remote<Dxf> | undefined;

function theDxf(): Comlink.Remote<Dxf> {
  dxf ??= Comlink.wrap<Dxf>(new Worker(new URL("./dxf-worker.ts", import.meta.url), { type: "module" }));
  return dxf;
}

/** The outlines of a DXF file, or why it cannot be read. */
export const readDxfFile = (text: string): Promise<Outcome<DxfDrawing>> => theDxf().read(text);

/** A drawn figure as the text of a DXF file. */
export const figureAsDxf = (figure: Figure, unit: LengthUnit): Promise<string> =>
  theDxf().write(figure, unit);
