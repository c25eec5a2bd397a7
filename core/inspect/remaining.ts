import { notNegative, positive, tidy } from "../quantity/index.ts";

/**
 * What is still to come off by several readings (mm): highest, lowest and mean over the wanted size.
 * @returns null without readings, or for sizes that cannot be
 */
export function remaining(readings: number[], wanted: number, lowerLimit: number, minCut: number) {
  if (readings.length === 0 || !positive(...readings, wanted) || !notNegative(lowerLimit, minCut))
    return null;
  const mean = readings.reduce((sum, r) => sum + r, 0) / readings.length;
  const lowest = Math.min(...readings);
  return {
    atHighest: tidy(Math.max(...readings) - wanted),
    atLowest: tidy(lowest - wanted),
    mean: mean - wanted,
    undersize: lowest < lowerLimit,
    enough: tidy(lowest - wanted - minCut) >= 0,
  };
}

export interface CutWindow {
  /** Least and most to take off so that every reading ends inside the limits, mm. */
  least: number;
  most: number;
}

/** The window of the next cut; null when the readings spread wider than the limits: take out the taper first. */
export function cutWindow(readings: number[], lower: number, upper: number): CutWindow | null {
  const least = tidy(Math.max(...readings) - upper);
  const most = tidy(Math.min(...readings) - lower);
  return least > most ? null : { least, most };
}
