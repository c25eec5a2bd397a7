import * as Comlink from "comlink";
import { readDxf, writeDxf } from "../../core/exchange/index.ts";

/** Reading and writing of DXF, away from what a person looks at: a file may hold a hundred thousand lines. */
const dxf = { read: readDxf, write: writeDxf };
export type Dxf = typeof dxf;
Comlink.expose(dxf);
