/** Picking a spindle speed from a machine's steps. All rpm; the list need not be sorted. Undefined for an empty list, or no speed. */

const ascending = (steps: number[]) => [...steps].sort((a, b) => a - b);

/** The fastest step not above the wanted speed; the slowest step when all are faster. */
export function atOrBelow(steps: number[], wanted: number): number | undefined {
  if (!(wanted > 0)) return undefined;
  const sorted = ascending(steps);
  return sorted.findLast((n) => n <= wanted) ?? sorted[0];
}

function nearestBy(steps: number[], distance: (n: number) => number): number | undefined {
  return ascending(steps).reduce<number | undefined>(
    (best, n) => (best === undefined || distance(n) < distance(best) ? n : best),
    undefined,
  );
}

export const nearestByDifference = (steps: number[], wanted: number) =>
  nearestBy(steps, (n) => Math.abs(n - wanted));

export const nearestByRatio = (steps: number[], wanted: number) =>
  nearestBy(steps, (n) => Math.abs(Math.log(n / wanted)));

/** Whether the wanted speed lies outside the machine's steps. */
export const outsideSteps = (steps: number[], wanted: number) =>
  wanted < Math.min(...steps) || wanted > Math.max(...steps);
