import { inchClearances, metricClearances } from "./clearance-holes.ts";
import { counterbores } from "./counterbores.ts";
import { linearPlusMinus } from "./general-tolerances.ts";
import { fitDeviations } from "./iso286.ts";
import { inchKeys, metricKeyDepthTolerance, metricKeyLengths, metricKeys } from "./parallel-keys.ts";
import { tSlots } from "./t-slots.ts";
import { inchThreads, metricThreads } from "./threads.ts";
import { din6888, inchWoodruffDepths, inchWoodruffs, iso3912, oldWoodruffNumbers } from "./woodruff-keys.ts";

/** A cell: text, a number in the table's own unit, limits one over the other, a range, or sizes over one figure and up to another; null where there is none. */
export type TableCell =
  | string
  | number
  | { upper: number; lower: number }
  | { from: number; to: number }
  | { over: number; to: number }
  | null;

/** A table as it is published, in its own unit. */
export interface HandbookTable {
  id: string;
  title: string;
  what: string;
  source: string;
  unit: "mm" | "in" | "µm";
  head: readonly string[];
  rows: readonly (readonly TableCell[])[];
  notes: readonly string[];
}

/** Sizes over the first and up to the second figure. */
const over = (from: number, to: number): TableCell => ({ over: from, to });

const fitEnds = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250];
const shownFits = [
  "H7",
  "H8",
  "H9",
  "H11",
  "D10",
  "F8",
  "JS9",
  "N9",
  "P9",
  "h6",
  "h7",
  "h9",
  "g6",
  "f7",
  "k6",
  "m6",
  "n6",
  "p6",
];
const micrometers = (fit: string, size: number): TableCell => {
  const limits = fitDeviations(fit, size);
  return limits && { upper: Math.round(limits.upper * 1e4) / 10, lower: Math.round(limits.lower * 1e4) / 10 };
};

const generalEnds = [3, 6, 30, 120, 400, 1000, 2000];

/** Every published table with its source. */
export const handbookTables: readonly HandbookTable[] = [
  {
    id: "parallel-keys-metric",
    title: "Parallel keys, metric",
    what: "Key and keyseat by shaft diameter.",
    source: "DIN 6885-1, ISO 773",
    unit: "mm",
    head: ["shaft", "b", "h", "t1 in the shaft", "t2 in the hub", "deeper by up to"],
    rows: metricKeys.map((k) => [over(k.over, k.to), k.b, k.h, k.t1, k.t2, metricKeyDepthTolerance(k.b)]),
    notes: [
      "t1 counts from the crown of the shaft, t2 from the bore.",
      "Width: shaft N9 (tight P9, sliding H9), hub JS9 (tight P9, sliding D10).",
      `Lengths: ${metricKeyLengths.join(", ")}.`,
    ],
  },
  {
    id: "parallel-keys-inch",
    title: "Parallel keys, inch",
    what: "Square and flat keys by shaft diameter.",
    source: "ASME B17.1",
    unit: "in",
    head: ["shaft", "square", "flat, width", "flat, height"],
    rows: inchKeys.map((k) => [over(k.over, k.to), k.square, k.flat?.w ?? null, k.flat?.h ?? null]),
    notes: ["Depth in the shaft is half the key's height, counted at the side wall, not at the crown."],
  },
  {
    id: "woodruff-inch",
    title: "Woodruff keys, inch",
    what: "Key, cutter and depths by number.",
    source: "ASME B17.2",
    unit: "in",
    head: ["number", "older number", "width", "cutter", "height C", "shaft B", "hub"],
    rows: inchWoodruffs.map((k) => {
      const depths = inchWoodruffDepths(k);
      const old = Object.entries(oldWoodruffNumbers).find(([, now]) => now === k.number)?.[0];
      return [k.number, old ?? null, k.width, k.diameter, k.height, depths.shaft, depths.hub];
    }),
    notes: [
      "Depth B counts from the side wall of the seat; +0.005. From the crown add the height of the crown over the wall.",
      "Depths by the rule C − W/2 − 0.005; printed tables cut off the last digit now and then.",
    ],
  },
  {
    id: "woodruff-metric",
    title: "Woodruff keys, metric",
    what: "Key, cutter and depths by the shaft they drive.",
    source: "ISO 3912, series 1",
    unit: "mm",
    head: ["shaft", "b", "h", "cutter", "t1 in the shaft", "t2 in the hub"],
    rows: iso3912.map((k) => [over(k.over, k.to), k.b, k.h, k.diameter, k.t1, k.t2]),
    notes: ["t1 counts from the crown of the shaft: add nothing."],
  },
  {
    id: "woodruff-older-metric",
    title: "Woodruff keys, older metric",
    what: "For drawings before ISO 3912.",
    source: "DIN 6888, row A",
    unit: "mm",
    head: ["b", "h", "cutter", "t1 in the shaft", "t2 in the hub"],
    rows: din6888.map((k) => [k.b, k.h, k.diameter, k.t1, k.t2]),
    notes: ["It differs from ISO 3912 in rows and by 0.1 to 0.2 in depths: see which one the drawing names."],
  },
  {
    id: "threads-metric",
    title: "Threads, metric",
    what: "Pitch and tapping drill, coarse and fine.",
    source: "ISO 261, drills after DIN 336",
    unit: "mm",
    head: ["thread", "series", "pitch", "tapping drill"],
    rows: metricThreads.map((t) => [t.name, t.series, t.pitch, t.drill]),
    notes: ["About 70 to 80 % of a full thread; a larger drill taps easier and holds nearly as much."],
  },
  {
    id: "threads-inch",
    title: "Threads, inch",
    what: "UNC and UNF with their tapping drills.",
    source: "ASME B1.1, usual chart drills",
    unit: "in",
    head: ["thread", "series", "diameter", "threads an inch", "drill", "drill size"],
    rows: inchThreads.map((t) => [t.name, t.series, t.diameter, t.tpi, t.drill.name, t.drill.size]),
    notes: [],
  },
  {
    id: "clearance-metric",
    title: "Clearance holes, metric",
    what: "Close, usual and wide.",
    source: "ISO 273",
    unit: "mm",
    head: ["thread", "fine", "medium", "coarse"],
    rows: metricClearances.map((c) => [c.thread, c.fine, c.medium, c.coarse]),
    notes: ["A hole of the screw's own size is no clearance hole: the screw will not go through."],
  },
  {
    id: "clearance-inch",
    title: "Clearance holes, inch",
    what: "Close, normal and loose.",
    source: "ASME B18.2.8",
    unit: "in",
    head: ["thread", "close", "normal", "loose"],
    rows: inchClearances.map((c) => [c.thread, c.fine, c.medium, c.coarse]),
    notes: [],
  },
  {
    id: "counterbores",
    title: "Counterbores",
    what: "For socket head screws.",
    source: "DIN 974-1, row 1, for ISO 4762",
    unit: "mm",
    head: ["thread", "diameter", "depth"],
    rows: counterbores.map((c) => [c.thread, c.diameter, c.depth]),
    notes: ["The head stands just under the surface."],
  },
  {
    id: "t-slots",
    title: "T-slots",
    what: "Slots of tables and the bolts they take.",
    source: "ISO 299",
    unit: "mm",
    head: ["slot", "bolt", "foot, width", "foot, height", "depth"],
    rows: tSlots.map((t) => [
      t.width,
      t.bolt,
      ...[t.footWidth, t.footHeight, t.depth].map(([from, to]): TableCell => ({ from, to })),
    ]),
    notes: ["Measure your own table: older ones follow no standard."],
  },
  {
    id: "fits",
    title: "Fits",
    what: "Limits of the usual hole and shaft classes, in micrometers.",
    source: "ISO 286-1 and -2",
    unit: "µm",
    head: ["size in mm", ...shownFits],
    rows: fitEnds.map((end, i) => [
      over(fitEnds[i - 1] ?? 0, end),
      ...shownFits.map((fit) => micrometers(fit, end)),
    ]),
    notes: [],
  },
  {
    id: "general-tolerances",
    title: "General tolerances",
    what: "What sizes without their own tolerance may be off, either way.",
    source: "ISO 2768-1",
    unit: "mm",
    head: ["size", "fine", "medium", "coarse"],
    rows: generalEnds.map((end, i) => [
      over(generalEnds[i - 1] ?? 0.5, end),
      ...(["f", "m", "c"] as const).map((grade) => linearPlusMinus(end, grade) ?? null),
    ]),
    notes: [],
  },
];

export const handbookTable = (id: string | undefined): HandbookTable | undefined =>
  handbookTables.find((t) => t.id === id);
