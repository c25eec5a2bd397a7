import * as Comlink from "comlink";
import type { DxfDrawing } from "../../core/exchange/index.ts";
import type { Figure } from "../../core/figure/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";
import { type Outcome, refused, words } from "../../core/working/index.ts";
import type { Dxf } from "./dxf-worker.ts";

/** A file that takes longer is given up, ms: a whole one of the largest size takes a tenth of it. */
const longest = 10_000;

let running: { worker: Worker; dxf: Comlink.Remote<Dxf> } | undefined;

function theDxf(): Comlink.Remote<Dxf> {
  if (!running) {
    const worker = new Worker(new URL("./dxf-worker.ts", import.meta.url), { type: "module" });
    running = { worker, dxf: Comlink.wrap<Dxf>(worker) };
  }
  return running.dxf;
}

/** Ends the worker, whatever it is busy with: the next file gets a new one. */
function giveUp() {
  running?.worker.terminate();
  running = undefined;
}

const tooLong = () =>
  refused(
    words("Reading this file takes too long: it is damaged, or holds far more than an outline."),
    words("Export only the outline as a text DXF, and read that."),
  );

/** The outlines of a DXF file, or why it cannot be read. */
export async function readDxfFile(text: string): Promise<Outcome<DxfDrawing>> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<Outcome<DxfDrawing>>((resolve) => {
    timer = setTimeout(() => {
      giveUp();
      resolve(tooLong());
    }, longest);
  });
  return Promise.race([theDxf().read(text), late]).finally(() => clearTimeout(timer));
}

/** A drawn figure as the text of a DXF file. */
export const figureAsDxf = (figure: Figure, unit: LengthUnit): Promise<string> =>
  theDxf().write(figure, unit);
