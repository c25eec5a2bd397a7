/** Threads with their usual tapping drills: ISO metric coarse and fine to M24 (drills after DIN 336), UNC and UNF to 1 in. */

export interface MetricThread {
  name: string;
  diameter: number;
  pitch: number;
  series: "coarse" | "fine";
  /** Usual tapping drill, mm. */
  drill: number;
}

const coarse: readonly (readonly [diameter: number, pitch: number, drill: number])[] = [
  [1.6, 0.35, 1.25],
  [2, 0.4, 1.6],
  [2.5, 0.45, 2.05],
  [3, 0.5, 2.5],
  [3.5, 0.6, 2.9],
  [4, 0.7, 3.3],
  [5, 0.8, 4.2],
  [6, 1, 5],
  [7, 1, 6],
  [8, 1.25, 6.8],
  [10, 1.5, 8.5],
  [12, 1.75, 10.2],
  [14, 2, 12],
  [16, 2, 14],
  [18, 2.5, 15.5],
  [20, 2.5, 17.5],
  [22, 2.5, 19.5],
  [24, 3, 21],
];
const fine: readonly (readonly [diameter: number, pitch: number, drill: number])[] = [
  [4, 0.5, 3.5],
  [5, 0.5, 4.5],
  [6, 0.75, 5.2],
  [8, 0.75, 7.2],
  [8, 1, 7],
  [10, 0.75, 9.2],
  [10, 1, 9],
  [10, 1.25, 8.8],
  [12, 1, 11],
  [12, 1.25, 10.8],
  [12, 1.5, 10.5],
  [14, 1, 13],
  [14, 1.5, 12.5],
  [16, 1, 15],
  [16, 1.5, 14.5],
  [18, 1.5, 16.5],
  [18, 2, 16],
  [20, 1, 19],
  [20, 1.5, 18.5],
  [20, 2, 18],
  [22, 1.5, 20.5],
  [22, 2, 20],
  [24, 1.5, 22.5],
  [24, 2, 22],
];

export const metricThreads: readonly MetricThread[] = [
  ...coarse.map(([diameter, pitch, drill]) => ({
    name: `M${diameter}`,
    diameter,
    pitch,
    series: "coarse" as const,
    drill,
  })),
  ...fine.map(([diameter, pitch, drill]) => ({
    name: `M${diameter}×${pitch}`,
    diameter,
    pitch,
    series: "fine" as const,
    drill,
  })),
];

export interface InchThread {
  name: string;
  /** Inch. */
  diameter: number;
  tpi: number;
  series: "UNC" | "UNF";
  /** Usual tapping drill: what it is called, and inch. */
  drill: { name: string; size: number };
}

type InchRow = readonly [size: string, diameter: number, tpi: number, drill: string, size: number];
const unc: readonly InchRow[] = [
  ["#1", 0.073, 64, "53", 0.0595],
  ["#2", 0.086, 56, "50", 0.07],
  ["#3", 0.099, 48, "47", 0.0785],
  ["#4", 0.112, 40, "43", 0.089],
  ["#5", 0.125, 40, "38", 0.1015],
  ["#6", 0.138, 32, "36", 0.1065],
  ["#8", 0.164, 32, "29", 0.136],
  ["#10", 0.19, 24, "25", 0.1495],
  ["#12", 0.216, 24, "16", 0.177],
  ["1/4", 0.25, 20, "7", 0.201],
  ["5/16", 0.3125, 18, "F", 0.257],
  ["3/8", 0.375, 16, "5/16", 0.3125],
  ["7/16", 0.4375, 14, "U", 0.368],
  ["1/2", 0.5, 13, "27/64", 27 / 64],
  ["9/16", 0.5625, 12, "31/64", 31 / 64],
  ["5/8", 0.625, 11, "17/32", 17 / 32],
  ["3/4", 0.75, 10, "21/32", 21 / 32],
  ["7/8", 0.875, 9, "49/64", 49 / 64],
  ["1", 1, 8, "7/8", 0.875],
];
const unf: readonly InchRow[] = [
  ["#0", 0.06, 80, "3/64", 3 / 64],
  ["#1", 0.073, 72, "53", 0.0595],
  ["#2", 0.086, 64, "50", 0.07],
  ["#3", 0.099, 56, "45", 0.082],
  ["#4", 0.112, 48, "42", 0.0935],
  ["#5", 0.125, 44, "37", 0.104],
  ["#6", 0.138, 40, "33", 0.113],
  ["#8", 0.164, 36, "29", 0.136],
  ["#10", 0.19, 32, "21", 0.159],
  ["#12", 0.216, 28, "14", 0.182],
  ["1/4", 0.25, 28, "3", 0.213],
  ["5/16", 0.3125, 24, "I", 0.272],
  ["3/8", 0.375, 24, "Q", 0.332],
  ["7/16", 0.4375, 20, "25/64", 25 / 64],
  ["1/2", 0.5, 20, "29/64", 29 / 64],
  ["9/16", 0.5625, 18, "33/64", 33 / 64],
  ["5/8", 0.625, 18, "37/64", 37 / 64],
  ["3/4", 0.75, 16, "11/16", 11 / 16],
  ["7/8", 0.875, 14, "13/16", 13 / 16],
  ["1", 1, 12, "59/64", 59 / 64],
];

const named =
  (series: InchThread["series"]) =>
  ([size, diameter, tpi, drill, drillSize]: InchRow): InchThread => ({
    name: `${size}-${tpi}`,
    diameter,
    tpi,
    series,
    drill: { name: drill, size: drillSize },
  });
export const inchThreads: readonly InchThread[] = [...unc.map(named("UNC")), ...unf.map(named("UNF"))];

export const inchThread = (name: string): InchThread | null =>
  inchThreads.find((t) => t.name === name.trim()) ?? null;
