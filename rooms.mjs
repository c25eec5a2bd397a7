// The floors of the house and the order of rooms inside core: each room may import only from rooms above it in this list.
export const floors = ["core", "store", "app"];

export const coreRooms = [
  "quantity",
  "working",
  "frame",
  "handbook",
  "shop",
  "part",
  "measure",
  "stock",
  "holding",
  "cutting",
  "route",
  "locate",
  "steps",
  "figure",
  "rehearse",
  "job",
  "logbook",
  "exchange",
];

/** Views of the app, lowest first: routes → stations and other views → planner → instruments → theme. */
export const appRooms = {
  stations: ["drawing", "stock", "setups", "cuts", "machine", "record"],
  layers: ["theme", "planner", "instruments", "views", "routes"],
};
