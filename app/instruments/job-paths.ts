import { mostPieces } from "../../core/job/index.ts";
import type { Station } from "../../core/plan/index.ts";
import { type AnyKey, keySlug } from "../../core/route/index.ts";

/** A station of a job: a view with its own address, drawer and key. */
export interface StationEntry {
  id: Station;
  name: string;
  key: string;
  /** One piece is looked at: its number stands in the address. */
  ofPiece: boolean;
}

/** The stations in their order, declared once: drawers, keys, skeleton, addresses and the missing page read this. */
export const stationList: readonly StationEntry[] = [
  { id: "drawing", name: "Drawing", key: "1", ofPiece: false },
  { id: "stock", name: "Stock", key: "2", ofPiece: false },
  { id: "setups", name: "Setups", key: "3", ofPiece: false },
  { id: "cuts", name: "Cuts", key: "4", ofPiece: false },
  { id: "machine", name: "Machine", key: "5", ofPiece: true },
  { id: "record", name: "Record", key: "6", ofPiece: true },
];

/** The station an address leads to. */
export const stationAt = (pathname: string, jobId: string): StationEntry =>
  stationList.find(({ id }) => pathname.startsWith(`/jobs/${jobId}/${id}`)) ?? stationList[0]!;

export const stationPath = (jobId: string, { id, ofPiece }: StationEntry, piece: number): string =>
  `/jobs/${jobId}/${id}${ofPiece ? `/${piece}` : ""}`;

export const machinePath = (jobId: string, piece: number, step?: { op: AnyKey; id: string }): string =>
  `/jobs/${jobId}/machine/${piece}${step ? `/${keySlug(step.op)}/${step.id}` : ""}`;

export const recordPath = (jobId: string, piece: number): string => `/jobs/${jobId}/record/${piece}`;

/** The piece an address names; null where it names none, or what is no piece. */
export function pieceOf(param: string | undefined): number | null {
  const asked = param !== undefined && /^\d{1,4}$/.test(param) ? Number(param) : 0;
  return asked >= 1 && asked <= 2 * mostPieces ? asked : null;
}
