/** Parallel keys: DIN 6885-1 / ISO 773 in mm, ASME B17.1 in inch. Shaft diameters over the first and up to the second figure. */

/** One row of DIN 6885-1, all mm: key width and height, depth in the shaft from its crown, depth in the hub. */
export interface MetricKey {
  over: number;
  to: number;
  b: number;
  h: number;
  t1: number;
  t2: number;
}

const metricRows: readonly (readonly [
  over: number,
  to: number,
  b: number,
  h: number,
  t1: number,
  t2: number,
])[] = [
  [6, 8, 2, 2, 1.2, 1],
  [8, 10, 3, 3, 1.8, 1.4],
  [10, 12, 4, 4, 2.5, 1.8],
  [12, 17, 5, 5, 3, 2.3],
  [17, 22, 6, 6, 3.5, 2.8],
  [22, 30, 8, 7, 4, 3.3],
  [30, 38, 10, 8, 5, 3.3],
  [38, 44, 12, 8, 5, 3.3],
  [44, 50, 14, 9, 5.5, 3.8],
  [50, 58, 16, 10, 6, 4.3],
  [58, 65, 18, 11, 7, 4.4],
  [65, 75, 20, 12, 7.5, 4.9],
  [75, 85, 22, 14, 9, 5.4],
  [85, 95, 25, 14, 9, 5.4],
  [95, 110, 28, 16, 10, 6.4],
  [110, 130, 32, 18, 11, 7.4],
  [130, 150, 36, 20, 12, 8.4],
  [150, 170, 40, 22, 13, 9.4],
  [170, 200, 45, 25, 15, 10.4],
  [200, 230, 50, 28, 17, 11.4],
  [230, 260, 56, 32, 20, 12.4],
  [260, 290, 63, 32, 20, 12.4],
  [290, 330, 70, 36, 22, 14.4],
  [330, 380, 80, 40, 25, 15.4],
  [380, 440, 90, 45, 28, 17.4],
  [440, 500, 100, 50, 31, 19.5],
];

export const metricKeys: readonly MetricKey[] = metricRows.map(([over, to, b, h, t1, t2]) => ({
  over,
  to,
  b,
  h,
  t1,
  t2,
}));

/** Lengths parallel keys come in, mm (DIN 6885-1). */
export const metricKeyLengths = [
  6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 32, 36, 40, 45, 50, 56, 63, 70, 80, 90, 100, 110, 125, 140, 160,
  180, 200, 220, 250, 280, 320, 360, 400,
] as const;

/** The key of a shaft by DIN 6885-1; null outside 6 to 500 mm. */
export const metricKeyFor = (shaft: number): MetricKey | null =>
  metricKeys.find((row) => shaft > row.over && shaft <= row.to) ?? null;

/** How much deeper than t1 and t2 a keyseat may be, mm (DIN 6885-1). */
export const metricKeyDepthTolerance = (b: number): number => (b <= 6 ? 0.1 : b <= 32 ? 0.2 : 0.3);

/** One row of ASME B17.1, all inch: square key, and the flat one where the standard has it. */
export interface InchKey {
  over: number;
  to: number;
  square: number;
  flat: { w: number; h: number } | null;
}

const inchRows: readonly (readonly [over: number, to: number, w: number, flat: number | null])[] = [
  [5 / 16, 7 / 16, 3 / 32, null],
  [7 / 16, 9 / 16, 1 / 8, 3 / 32],
  [9 / 16, 7 / 8, 3 / 16, 1 / 8],
  [7 / 8, 1.25, 1 / 4, 3 / 16],
  [1.25, 1.375, 5 / 16, 1 / 4],
  [1.375, 1.75, 3 / 8, 1 / 4],
  [1.75, 2.25, 1 / 2, 3 / 8],
  [2.25, 2.75, 5 / 8, 7 / 16],
  [2.75, 3.25, 3 / 4, 1 / 2],
  [3.25, 3.75, 7 / 8, 5 / 8],
  [3.75, 4.5, 1, 3 / 4],
  [4.5, 5.5, 1.25, 7 / 8],
  [5.5, 6.5, 1.5, 1],
];

export const inchKeys: readonly InchKey[] = inchRows.map(([over, to, w, flat]) => ({
  over,
  to,
  square: w,
  flat: flat === null ? null : { w, h: flat },
}));

/** The key of a shaft by ASME B17.1, inch; null outside 5/16 to 6 1/2. */
export const inchKeyFor = (shaft: number): InchKey | null =>
  inchKeys.find((row) => shaft > row.over && shaft <= row.to) ?? null;
