import type { Kw, Mm, MmPerMin } from "../quantity/index.ts";

/**
 * Specific cutting force in N/mm² at a mean chip thickness (Kienzle): kc = kc1.1 · hm^(−mc). NaN for a chip that is none.
 * @param rake degrees positive: takes off 1 % a degree; 0 unless asked
 */
export const specificForce = (kc11: number, mc: number, hm: Mm, rake = 0): number =>
  hm > 0 ? kc11 * hm ** -mc * (1 - rake / 100) : NaN;

/** Power at the cutter: P = ap ae vf kc / 60 000 000. */
export const cuttingPower = (ap: Mm, ae: Mm, vf: MmPerMin, kc: number): Kw => (ap * ae * vf * kc) / 60e6;
