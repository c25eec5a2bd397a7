/** What was entered, as the sum reads it: numbers in canonical units (NaN where left empty), choices as their value. */
export interface Entered {
  n: (key: string) => number;
  c: (key: string) => string;
}
