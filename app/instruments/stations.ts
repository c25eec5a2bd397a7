import type { Station } from "../../core/plan/index.ts";

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
