/** Counterbores for socket head screws (ISO 4762) after DIN 974-1, row 1, mm: diameter, and depth with the head just under. */
export interface Counterbore {
  thread: string;
  diameter: number;
  depth: number;
}

type Row = readonly [thread: string, diameter: number, depth: number];
const rows: readonly Row[] = [
  ["M3", 6.5, 3.4],
  ["M4", 8, 4.4],
  ["M5", 10, 5.4],
  ["M6", 11, 6.4],
  ["M8", 15, 8.6],
  ["M10", 18, 10.6],
  ["M12", 20, 12.6],
  ["M14", 24, 14.6],
  ["M16", 26, 16.6],
  ["M18", 30, 18.6],
  ["M20", 33, 20.6],
  ["M22", 36, 22.6],
  ["M24", 40, 24.8],
];
export const counterbores: readonly Counterbore[] = rows.map(([thread, diameter, depth]) => ({
  thread,
  diameter,
  depth,
}));
