import type { MaterialGroup, Range } from "./materials.ts";
import type { CutterKind } from "./word-lists.ts";

/** Feed per tooth for end mills in mm at 3, 6, 12, 16, 20 and 25 mm diameter (HSS and carbide; ae D/4 to D, ap to D/2). */
const diameters = [3, 6, 12, 16, 20, 25];
const endMillFeeds: Record<MaterialGroup, Range[]> = {
  steel: [
    [0.008, 0.02],
    [0.016, 0.042],
    [0.035, 0.085],
    [0.048, 0.11],
    [0.06, 0.135],
    [0.07, 0.16],
  ],
  tough: [
    [0.005, 0.015],
    [0.012, 0.035],
    [0.027, 0.065],
    [0.037, 0.085],
    [0.045, 0.105],
    [0.05, 0.12],
  ],
  aluminum: [
    [0.012, 0.03],
    [0.026, 0.065],
    [0.055, 0.125],
    [0.075, 0.165],
    [0.09, 0.2],
    [0.1, 0.23],
  ],
  iron: [
    [0.01, 0.025],
    [0.02, 0.05],
    [0.04, 0.095],
    [0.055, 0.125],
    [0.068, 0.15],
    [0.08, 0.18],
  ],
  brass: [
    [0.01, 0.026],
    [0.022, 0.055],
    [0.045, 0.105],
    [0.06, 0.13],
    [0.07, 0.16],
    [0.085, 0.19],
  ],
  plastic: [
    [0.02, 0.05],
    [0.04, 0.09],
    [0.07, 0.15],
    [0.09, 0.2],
    [0.11, 0.24],
    [0.12, 0.28],
  ],
};

/** Feed per tooth for inserted cutters, mm (square shoulder). */
const faceFeeds: Record<MaterialGroup, Range> = {
  steel: [0.08, 0.2],
  tough: [0.06, 0.15],
  aluminum: [0.1, 0.25],
  iron: [0.1, 0.25],
  brass: [0.1, 0.25],
  plastic: [0.1, 0.3],
};

/** How a group compares with steel where a table is kept for steel only. */
const againstSteel: Record<MaterialGroup, number> = {
  steel: 1,
  tough: 0.7,
  aluminum: 1.3,
  iron: 1.25,
  brass: 1.25,
  plastic: 1.4,
};

/** Feed per tooth in steel, mm, for kinds whose feed hardly goes with the diameter. */
const steelFeeds: Partial<Record<CutterKind, Range>> = {
  shellMill: [0.05, 0.12],
  flyCutter: [0.05, 0.15],
  sideAndFace: [0.04, 0.1],
  slabMill: [0.05, 0.13],
  slittingSaw: [0.008, 0.025],
  woodruff: [0.015, 0.04],
  tSlot: [0.015, 0.04],
  dovetail: [0.01, 0.03],
  angleCutter: [0.02, 0.06],
  chamfer: [0.02, 0.06],
  countersink: [0.03, 0.08],
  counterbore: [0.03, 0.08],
  boringHead: [0.04, 0.12],
};

/** Feed per turn in steel, mm, by diameter: tools of the hole. */
const turnFeeds: Partial<Record<CutterKind, [diameter: number, low: number, high: number][]>> = {
  twistDrill: [
    [1, 0.015, 0.03],
    [3, 0.04, 0.08],
    [6, 0.08, 0.15],
    [10, 0.12, 0.22],
    [16, 0.18, 0.32],
    [25, 0.25, 0.45],
  ],
  spotDrill: [
    [3, 0.03, 0.06],
    [6, 0.06, 0.1],
    [12, 0.1, 0.16],
    [20, 0.12, 0.2],
  ],
  reamer: [
    [5, 0.1, 0.2],
    [10, 0.15, 0.35],
    [20, 0.25, 0.5],
    [32, 0.3, 0.6],
  ],
};

export const feedSource = "feed-per-tooth bands where handbooks overlap";

/** Band at a diameter, interpolated between rows and held at the ends. */
function atDiameter(rows: readonly (readonly [number, number, number])[], diameter: number): Range {
  const above = rows.findIndex(([d]) => d >= diameter);
  if (above === 0) return [rows[0]![1], rows[0]![2]];
  if (above === -1) return [rows.at(-1)![1], rows.at(-1)![2]];
  const [a, b] = [rows[above - 1]!, rows[above]!];
  const share = (diameter - a[0]) / (b[0] - a[0]);
  return [a[1] + share * (b[1] - a[1]), a[2] + share * (b[2] - a[2])];
}

const times = ([low, high]: Range, factor: number): Range => [low * factor, high * factor];

/**
 * Feed per turn band in mm of a tool of the hole.
 * @returns null for a kind whose feed is told per tooth; taps feed by their pitch
 */
export function feedPerTurn(group: MaterialGroup, kind: CutterKind, diameter: number): Range | null {
  const rows = turnFeeds[kind];
  return rows ? times(atDiameter(rows, diameter), againstSteel[group]) : null;
}

/**
 * Feed per tooth band in mm.
 * @param diameter cutter diameter in mm; end mills are interpolated between table rows and held at its ends
 * @param teeth of a tool of the hole, whose feed is kept per turn
 * @returns NaN for an end mill without a diameter
 */
export function feedPerTooth(group: MaterialGroup, kind: CutterKind, diameter: number, teeth = 2): Range {
  if (kind === "faceMill") return faceFeeds[group];
  const perTurn = feedPerTurn(group, kind, diameter);
  if (perTurn) return times(perTurn, 1 / teeth);
  const inSteel = steelFeeds[kind];
  if (inSteel) return times(inSteel, againstSteel[group]);
  if (!(diameter > 0)) return [NaN, NaN];
  return atDiameter(
    endMillFeeds[group].map(([low, high], i) => [diameters[i]!, low, high] as const),
    diameter,
  );
}
