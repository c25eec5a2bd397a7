// The floors of the house and the order of rooms inside core: each room may import only from rooms above it in this list.
// Floors: core, store, app; imports go downwards only.

export const coreRooms = [
  "quantity",
  "working",
  "frame",
  "handbook",
  "shop",
  "part",
  "inspect",
  "stock",
  "holding",
  "cutting",
  "recipes",
  "squaring",
  "route",
  "locate",
  "steps",
  "figure",
  "rehearse",
  "sums",
  "job",
  "plan",
  "logbook",
  "exchange",
];

/** The stations of a job: views that do not import each other. */
export const stations = ["drawing", "stock", "setups", "cuts", "machine", "record"];
