/** What friction holds. Forces in N; null for what cannot be. */

/** Clamp force that holds a cutting force by friction alone: S F / (μ n). Two jaw faces count two surfaces. */
export const clampForFriction = (
  safety: number,
  cutting: number,
  mu: number,
  surfaces: number,
): number | null =>
  safety > 0 && cutting >= 0 && mu > 0 && surfaces > 0 ? (safety * cutting) / (mu * surfaces) : null;

/** Safety reached: μ n F / cutting force. */
export const frictionSafety = (
  clamp: number,
  cutting: number,
  mu: number,
  surfaces: number,
): number | null =>
  clamp >= 0 && cutting > 0 && mu > 0 && surfaces > 0 ? (mu * surfaces * clamp) / cutting : null;

/** Straps on one surface, with a lift that takes from what presses: S (side / μ + lift). */
export const clampForSideAndLift = (safety: number, side: number, lift: number, mu: number): number | null =>
  safety > 0 && side >= 0 && lift >= 0 && mu > 0 ? safety * (side / mu + lift) : null;
