import { type Kw, type Mm, type MmPerMin, notNegative, positive } from "../quantity/index.ts";

/**
 * Specific cutting force in N/mm² at a mean chip thickness (Kienzle): kc = kc1.1 · hm^(−mc). NaN for a chip or a material that is none.
 * @param rake degrees positive: takes off 1 % a degree; 0 unless asked
 */
export const specificForce = (kc11: number, mc: number, hm: Mm, rake = 0): number =>
  positive(hm, kc11) && mc >= 0 && mc < 1 && Math.abs(rake) < 90 ? kc11 * hm ** -mc * (1 - rake / 100) : NaN;

/** Power at the cutter: P = ap ae vf kc / 60 000 000. NaN for anything below nothing. */
export const cuttingPower = (ap: Mm, ae: Mm, vf: MmPerMin, kc: number): Kw =>
  notNegative(ap, ae, vf, kc) ? (ap * ae * vf * kc) / 60e6 : NaN;

/** What a power at one end of a drive is at the motor, kW. NaN for a share that is none, or more than all. */
export const motorPower = (atCutter: Kw, efficiency: number): Kw =>
  notNegative(atCutter) && efficiency > 0 && efficiency <= 1 ? atCutter / efficiency : NaN;
