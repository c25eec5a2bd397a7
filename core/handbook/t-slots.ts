/** T-slots of tables and their bolts after ISO 299, mm: width of the slot, then its foot and depth, least and largest. */
export interface TSlot {
  width: number;
  bolt: string;
  footWidth: readonly [least: number, largest: number];
  footHeight: readonly [least: number, largest: number];
  depth: readonly [least: number, largest: number];
}

type Row = readonly [
  width: number,
  bolt: string,
  foot: readonly [number, number],
  high: readonly [number, number],
  depth: readonly [number, number],
];
const rows: readonly Row[] = [
  [5, "M4", [10, 11], [3.5, 4.5], [8, 10]],
  [6, "M5", [11, 12.5], [5, 6], [11, 13]],
  [8, "M6", [14.5, 16], [7, 8], [15, 18]],
  [10, "M8", [16, 18], [7, 8], [17, 21]],
  [12, "M10", [19, 21], [8, 9], [20, 25]],
  [14, "M12", [23, 25], [9, 11], [23, 28]],
  [18, "M16", [30, 32], [12, 14], [30, 36]],
  [22, "M20", [37, 40], [16, 18], [38, 45]],
  [28, "M24", [46, 50], [20, 22], [48, 56]],
  [36, "M30", [56, 60], [25, 28], [61, 71]],
];
export const tSlots: readonly TSlot[] = rows.map(([width, bolt, footWidth, footHeight, depth]) => ({
  width,
  bolt,
  footWidth,
  footHeight,
  depth,
}));
