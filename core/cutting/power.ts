import type { Kw, Mm, MmPerMin } from "../quantity/index.ts";

/** Specific cutting force in N/mm² at a mean chip thickness (Kienzle): kc = kc1.1 · hm^(−mc). */
export const specificForce = (kc11: number, mc: number, hm: Mm): number => kc11 * hm ** -mc;

/** Power at the cutter: P = ap ae vf kc / 60 000 000. */
export const cuttingPower = (ap: Mm, ae: Mm, vf: MmPerMin, kc: number): Kw => (ap * ae * vf * kc) / 60e6;

/** Depth along the axis that a power bears: the cutting-power formula solved for ap. */
export const depthByPower = (power: Kw, ae: Mm, vf: MmPerMin, kc: number): Mm =>
  (power * 60e6) / (ae * vf * kc);
