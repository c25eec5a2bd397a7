/** Whether all are numbers above nothing. */
export const positive = (...values: number[]): boolean => values.every((v) => v > 0 && Number.isFinite(v));

/** Whether all are numbers not below nothing. */
export const notNegative = (...values: number[]): boolean =>
  values.every((v) => v >= 0 && Number.isFinite(v));

/** Whether a cutter can have so many teeth. */
export const wholeTeeth = (teeth: number): boolean => Number.isInteger(teeth) && teeth >= 1;
