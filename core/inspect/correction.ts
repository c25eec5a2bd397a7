import { notNegative, positive } from "../quantity/index.ts";

/** Next cut to command (mm) when a commanded cut removed less or more than wanted. Offset suits spring and backlash. */
export const offsetModel = (commanded: number, measured: number, next: number) =>
  positive(commanded) && notNegative(measured, next) ? next + (commanded - measured) : NaN;

/** Factor model: suits a scale error; taken only when three cuts prove it. */
export const factorModel = (commanded: number, measured: number, next: number) =>
  positive(commanded, measured) && notNegative(next) ? (next * commanded) / measured : NaN;
