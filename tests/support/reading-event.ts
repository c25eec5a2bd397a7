import type { RecordEvent } from "../../core/steps/index.ts";

/** A reading in mm as it is taken at the inspection, by an instrument of the demo shop. */
export const readingEvent = (
  of: string,
  value: number,
  instrument: string,
  more: object = {},
): RecordEvent => ({
  type: "reading",
  op: null,
  of: of as `${string}/${string}`,
  value,
  written: { text: String(value), unit: "mm" },
  instrument,
  questioned: [],
  ...more,
});
