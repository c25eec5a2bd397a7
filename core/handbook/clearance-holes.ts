/** Clearance holes: ISO 273 in mm, ASME B18.2.8 in inch. */

export interface ClearanceHole {
  thread: string;
  diameter: number;
  /** Close, usual and wide. */
  fine: number;
  medium: number;
  coarse: number;
}

type Row = readonly [thread: string, diameter: number, fine: number, medium: number, coarse: number];
const read = (rows: readonly Row[]): readonly ClearanceHole[] =>
  rows.map(([thread, diameter, fine, medium, coarse]) => ({ thread, diameter, fine, medium, coarse }));

/** ISO 273, mm. */
export const metricClearances = read([
  ["M1.6", 1.6, 1.7, 1.8, 2],
  ["M2", 2, 2.2, 2.4, 2.6],
  ["M2.5", 2.5, 2.7, 2.9, 3.1],
  ["M3", 3, 3.2, 3.4, 3.6],
  ["M3.5", 3.5, 3.7, 3.9, 4.2],
  ["M4", 4, 4.3, 4.5, 4.8],
  ["M5", 5, 5.3, 5.5, 5.8],
  ["M6", 6, 6.4, 6.6, 7],
  ["M7", 7, 7.4, 7.6, 8],
  ["M8", 8, 8.4, 9, 10],
  ["M10", 10, 10.5, 11, 12],
  ["M12", 12, 13, 13.5, 14.5],
  ["M14", 14, 15, 15.5, 16.5],
  ["M16", 16, 17, 17.5, 18.5],
  ["M18", 18, 19, 20, 21],
  ["M20", 20, 21, 22, 24],
  ["M22", 22, 23, 24, 26],
  ["M24", 24, 25, 26, 28],
]);

/** ASME B18.2.8 (close, normal, loose), inch. */
export const inchClearances = read([
  ["#0", 0.06, 0.067, 0.076, 0.094],
  ["#1", 0.073, 0.081, 0.089, 0.104],
  ["#2", 0.086, 0.094, 0.102, 0.116],
  ["#3", 0.099, 0.106, 0.116, 0.128],
  ["#4", 0.112, 0.12, 0.128, 0.144],
  ["#5", 0.125, 0.141, 0.156, 0.172],
  ["#6", 0.138, 0.154, 0.17, 0.185],
  ["#8", 0.164, 0.18, 0.196, 0.213],
  ["#10", 0.19, 0.206, 0.221, 0.238],
  ["1/4", 0.25, 0.266, 0.281, 0.297],
  ["5/16", 0.3125, 0.328, 0.344, 0.359],
  ["3/8", 0.375, 0.391, 0.406, 0.422],
  ["7/16", 0.4375, 0.453, 0.469, 0.484],
  ["1/2", 0.5, 0.531, 0.562, 0.609],
  ["5/8", 0.625, 0.656, 0.688, 0.734],
  ["3/4", 0.75, 0.781, 0.812, 0.906],
  ["7/8", 0.875, 0.906, 0.938, 1.031],
  ["1", 1, 1.031, 1.094, 1.156],
]);

export const clearanceOf = (thread: string): ClearanceHole | null =>
  [...metricClearances, ...inchClearances].find((c) => c.thread === thread.trim()) ?? null;
