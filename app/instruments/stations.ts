import type { Station } from "../../core/plan/index.ts";

/** One of the views of a station: a tab with its own address. */
export interface StationView {
  /** Last word of its address; empty for the one a station opens with. */
  id: string;
  name: string;
}

/** A station of a job: views with their own addresses, a drawer and a key. */
export interface StationEntry {
  id: Station;
  name: string;
  key: string;
  /** One piece is looked at: its number stands in the address. */
  ofPiece: boolean;
  /** Its views in the order of their tabs; one that has but one has no tabs. */
  views: readonly StationView[];
}

const view = (id: string, name: string): StationView => ({ id, name });

/** The stations in their order, declared once: drawers, keys, tabs, skeleton, addresses and the missing page read this. */
export const stationList: readonly StationEntry[] = [
  {
    id: "drawing",
    name: "Drawing",
    key: "1",
    ofPiece: false,
    views: [
      view("", "Sheet"),
      view("faces", "Faces and finish"),
      view("fits", "Fits with"),
      view("cost", "What it costs"),
      view("template", "Template"),
      view("check", "Check"),
    ],
  },
  {
    id: "stock",
    name: "Stock",
    key: "2",
    ofPiece: false,
    views: [view("", "Blank"), view("bar", "From the rack"), view("balance", "Balance")],
  },
  {
    id: "setups",
    name: "Setups",
    key: "3",
    ofPiece: false,
    views: [
      view("", "This setup"),
      view("order", "Order of work"),
      view("page", "One page"),
      view("ways", "Ways to square it"),
      view("held", "Ways to hold it"),
      view("machines", "Machines"),
      view("rehearse", "Rehearse"),
      view("true", "How true"),
    ],
  },
  {
    id: "cuts",
    name: "Cuts",
    key: "4",
    ofPiece: false,
    views: [
      view("", "This cut"),
      view("moves", "Passes and moves"),
      view("limits", "Limits"),
      view("cutters", "Cutters"),
      view("all", "All cuts"),
    ],
  },
  { id: "machine", name: "Machine", key: "5", ofPiece: true, views: [view("", "Step")] },
  {
    id: "record",
    name: "Record",
    key: "6",
    ofPiece: true,
    views: [
      view("", "This piece"),
      view("pieces", "All pieces"),
      view("batch", "Batch"),
      view("built", "As built"),
      view("log", "What happened"),
      view("money", "Money"),
      view("files", "Time and files"),
    ],
  },
];

export const stationOf = (id: Station): StationEntry => stationList.find((s) => s.id === id)!;

/** The view an address names; the one the station opens with where it names none there is. */
export const viewAt = (station: Station, named: string | undefined): StationView => {
  const { views } = stationOf(station);
  return views.find((v) => v.id === named) ?? views[0]!;
};

/** The station an address leads to. */
export const stationAt = (pathname: string, jobId: string): StationEntry =>
  stationList.find(({ id }) => pathname.startsWith(`/jobs/${jobId}/${id}`)) ?? stationList[0]!;

export const stationPath = (jobId: string, { id, ofPiece }: StationEntry, piece: number): string =>
  `/jobs/${jobId}/${id}${ofPiece ? `/${piece}` : ""}`;
