import { type Material } from "../handbook/index.ts";
import type { Kw, Mm, MmPerMin, Rpm } from "../quantity/index.ts";
import { type Cutter, forceBorne, type Machine, springOf } from "../shop/index.ts";

/** Chips thinner than about the edge's own radius are not cut but rubbed, mm (domain.md 6). */
const edgeRadius: Record<Cutter["material"], Mm> = {
  hss: 0.005,
  coatedHss: 0.006,
  cobalt: 0.005,
  carbide: 0.02,
  coatedCarbide: 0.02,
};
/** A ground end mill of carbide is sharper than a honed insert, mm. */
const groundCarbide = 0.01;

/** The thinnest chip a cutter can take, mm. */
export const leastChipOf = ({ material, inserts }: Cutter): Mm =>
  inserts === "none" && edgeRadius[material] > groundCarbide ? groundCarbide : edgeRadius[material];

/**
 * What a stroke really takes: along the cutter's axis, across it, and how fast. Straight down what is taken across the axis counts
 * as it is seen from above: along is the area there over its width.
 */
export interface Taken {
  ap: Mm;
  ae: Mm;
  /** Straight down: the part of a turn that a tooth is in metal; null sideways. */
  down: number | null;
  vf: MmPerMin;
  rpm: Rpm;
}

/** Power in kW and the force over a turn in N; nothing where nothing is cut. Straight shoulder, Kienzle at the mean chip. */
function powerAndForce(
  { ap, ae, down, vf, rpm }: Taken,
  cutter: Cutter,
  material: Material,
): { power: number; force: number } {
  const wide = Math.min(ae, cutter.diameter);
  const fz = vf / Math.max(1, rpm * cutter.teeth);
  if (!(ap > 0 && wide > 0 && fz > 0)) return { power: 0, force: 0 };
  const arc = Math.acos(Math.max(-1, 1 - (2 * wide) / cutter.diameter));
  // Straight down every tooth takes the whole feed all the way.
  const mean = Math.max(0.002, down !== null ? fz : (fz * (1 - Math.cos(arc))) / arc);
  const kc = material.kc11 * mean ** -material.mc;
  const power = (ap * wide * vf * kc) / 60e6;
  return { power, force: (power * 60e6) / (Math.PI * cutter.diameter * rpm) };
}

/** What a stroke really takes: its power, and as a share of what the machine has; 1 is just as much as there is. */
export function loadOf(
  taken: Taken,
  cutter: Cutter,
  material: Material,
  machine: Machine,
): { power: Kw; share: number } {
  const { power, force } = powerAndForce(taken, cutter, material);
  if (power === 0) return { power, share: 0 };
  const { ap, ae, down } = taken;
  const arc = Math.acos(Math.max(-1, 1 - (2 * Math.min(ae, cutter.diameter)) / cutter.diameter));
  // While no tooth is in the metal all the time the force is as much higher as they are out of it.
  const twist = (ap * Math.tan((cutter.helix * Math.PI) / 180)) / (cutter.diameter / 2);
  const turn = down !== null ? 2 * Math.PI * down : arc + twist;
  const peak = force / Math.min(1, (cutter.teeth * turn) / (2 * Math.PI));
  const ofPower = power / (machine.motorPower * machine.efficiency);
  // All round the end the teeth push against each other.
  const share = down === 1 ? ofPower : Math.max(ofPower, peak / forceBorne(machine));
  return { power, share };
}

/** How far a cutter is pushed off a wall it cuts, by the spring of the machine and its own, mm. */
export function bendOf(taken: Taken, cutter: Cutter, material: Material, machine: Machine): Mm {
  const { force } = powerAndForce(taken, cutter, material);
  const young = cutter.material === "carbide" || cutter.material === "coatedCarbide" ? 600_000 : 210_000;
  const inertia = (Math.PI * (0.8 * cutter.diameter) ** 4) / 64;
  const own = (force * cutter.stickout ** 3) / (3 * young * inertia);
  // Radial force is about 0.4 of the tangential one.
  return 0.4 * (force / (springOf(machine) * 1000) + own);
}
