import type { Kw, Mm, Rpm } from "../quantity/index.ts";
import { engagementAngle, meanChipSide, sideChip } from "./chip.ts";
import { cuttingPower, specificForce } from "./power.ts";
import { cuttingSpeed } from "./speed.ts";

/** Forces of one cut (Kienzle). N, N·m, mm, degrees; null where the inputs cannot be. */

/** Torque at the spindle: M = P · 30 000 / (π n), N·m. */
export const torque = (power: Kw, n: Rpm): number => (power * 30_000) / (Math.PI * n);

/** Metal removed: Q = ap ae vf / 1000, cm³/min. */
export const removalRate = (ap: Mm, ae: Mm, vf: number): number => (ap * ae * vf) / 1000;

/** Mean tangential force over a turn: Ft = 60 000 P / vc, N. */
export const meanForce = (power: Kw, vc: number): number => (60_000 * power) / vc;

/** Mean force of one tooth while it cuts: kc · ap · hm (square shoulder), N. */
export const toothForce = (kc: number, ap: Mm, hm: Mm): number => kc * ap * hm;

/** Teeth in the cut on average: z · φ / 360. */
export const teethEngaged = (teeth: number, engagement: number): number => (teeth * engagement) / 360;

export interface SideCut {
  diameter: Mm;
  teeth: number;
  ap: Mm;
  ae: Mm;
  fz: Mm;
  n: Rpm;
  kc11: number;
  mc: number;
}

/** The whole chain from cutter and engagement to force and power, engagement counted from the edge of the work. */
export function cutChain(c: SideCut) {
  const chip = meanChipSide(c.fz, c.ae, c.diameter);
  const largest = sideChip(c.fz, c.ae, c.diameter);
  if (!chip || !largest || !(c.n > 0) || !(c.ap > 0)) return null;
  const kc = specificForce(c.kc11, c.mc, chip.hm);
  const vf = c.fz * c.teeth * c.n;
  const power = cuttingPower(c.ap, c.ae, vf, kc);
  return {
    hm: chip.hm,
    kc,
    vf,
    removal: removalRate(c.ap, c.ae, vf),
    power,
    torque: torque(power, c.n),
    meanForce: meanForce(power, cuttingSpeed(c.n, c.diameter)),
    hex: largest.hex,
    peakTooth: specificForce(c.kc11, c.mc, largest.hex) * c.ap * largest.hex,
  };
}

/**
 * Power by kc at the mean chip over the power by integrating kc along the arc, as a ratio: how far the short way is off.
 * Independent of kc1.1, depth and speed.
 */
export function meanChipPowerRatio(mc: number, fz: Mm, aeOverD: number): number | null {
  const chip = meanChipSide(fz, aeOverD, 1);
  if (!chip) return null;
  const end = (engagementAngle(aeOverD, 1) * Math.PI) / 180;
  // Midpoint rule; h^(1−mc) is smooth but for its foot, where it is nothing.
  const steps = 20_000;
  let work = 0;
  for (let i = 0; i < steps; i++) work += (fz * Math.sin(((i + 0.5) * end) / steps)) ** (1 - mc);
  const integral = (work * end) / steps;
  return (chip.hm ** (1 - mc) * end) / integral;
}

interface PeakCut extends Omit<SideCut, "n" | "ae"> {
  /** Angles of rotation where the work begins and ends, degrees. */
  from: number;
  to: number;
  /** Helix angle in degrees; 0 for straight teeth. */
  helix: number;
}

/**
 * Largest and mean tangential force over a turn, the edge cut into slices along its helix: N.
 * A straight tooth gives the primitive kc · ap · h at the thickest place.
 */
export function forceOverTurn(c: PeakCut): { peak: number; mean: number } {
  const slices = c.helix > 0 ? 8 : 1;
  const steps = 30;
  const pitch = 360 / c.teeth;
  const lag = (z: Mm) => ((2 * z * Math.tan((c.helix * Math.PI) / 180)) / c.diameter) * (180 / Math.PI);
  let peak = 0;
  let sum = 0;
  for (let step = 0; step < steps; step++) {
    let force = 0;
    for (let tooth = 0; tooth < c.teeth; tooth++) {
      for (let slice = 0; slice < slices; slice++) {
        const z = ((slice + 0.5) / slices) * c.ap;
        const angle = ((((step / steps) * pitch + tooth * pitch - lag(z)) % 360) + 360) % 360;
        if (angle <= c.from || angle >= c.to) continue;
        const h = c.fz * Math.sin((angle * Math.PI) / 180);
        force += c.kc11 * h ** (1 - c.mc) * (c.ap / slices);
      }
    }
    peak = Math.max(peak, force);
    sum += force;
  }
  return { peak, mean: sum / steps };
}
