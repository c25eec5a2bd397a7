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

/** Feed per tooth for inserted and shell cutters, mm (square shoulder). */
const faceFeeds: Record<MaterialGroup, Range> = {
  steel: [0.08, 0.2],
  tough: [0.06, 0.15],
  aluminum: [0.1, 0.25],
  iron: [0.1, 0.25],
  brass: [0.1, 0.25],
  plastic: [0.1, 0.3],
};

export const feedSource = "feed-per-tooth bands where handbooks overlap";

/**
 * Feed per tooth band in mm.
 * @param diameter cutter diameter in mm; end mills are interpolated between table rows and held at its ends
 */
export function feedPerTooth(group: MaterialGroup, kind: CutterKind, diameter: number): Range {
  if (kind === "faceMill") return faceFeeds[group];
  if (kind === "shellMill") return faceFeeds[group].map((f) => f * 0.6) as Range; // HSS teeth
  if (kind === "flyCutter") return faceFeeds[group].map((f) => f * 0.5) as Range; // one tooth takes the whole blow
  const row = endMillFeeds[group];
  const above = diameters.findIndex((d) => d >= diameter);
  if (above === 0) return row[0]!;
  if (above === -1) return row.at(-1)!;
  const share = (diameter - diameters[above - 1]!) / (diameters[above]! - diameters[above - 1]!);
  const [a, b] = [row[above - 1]!, row[above]!];
  return [a[0] + share * (b[0] - a[0]), a[1] + share * (b[1] - a[1])];
}
