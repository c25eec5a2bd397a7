import { leastChip, type Material } from "../handbook/index.ts";
import type { Kw, Mm, MmPerMin, Rpm } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, forceBorne, type Machine } from "../shop/index.ts";
import { cuttingPower, specificForce } from "./power.ts";

/** Of what the machine has, a cutter that is buried may ask so much (guess). */
const buriedShare = 0.6;
/** Straight down an end mill is fed at this share of its feed at most (guess): its chips have to come up past the teeth. */
const downShare = 0.5;

/** A section of metal that the teeth go through all at once, mm, and the chip of a tooth by its feed, mm. */
export interface Buried {
  ap: Mm;
  ae: Mm;
  chipAt: (fz: Mm) => Mm;
}

/** Power by the feed: P = ap ae vf kc / 60·10⁶, kc by Kienzle at the chip there. */
const powerAt = ({ ap, ae, chipAt }: Buried, { teeth }: Cutter, material: Material, rpm: Rpm, vf: MmPerMin) =>
  cuttingPower(ap, ae, vf, specificForce(material.kc11, material.mc, chipAt(vf / (rpm * teeth))));

interface Place {
  machine: Machine;
  material: Material;
}

/** What it asks of the power and the force of the machine, as a share of them: F = 60·10⁶ P / (π d n). */
function shareAt(buried: Buried, cutter: Cutter, { machine, material }: Place, rpm: Rpm, vf: MmPerMin) {
  const power = powerAt(buried, cutter, material, rpm, vf);
  const force = (power * 60e6) / (Math.PI * cuttingDiameter(cutter) * rpm);
  return Math.max(power / (machine.motorPower * machine.efficiency), force / forceBorne(machine));
}

/** A feed slowed until a buried cutter asks no more than the machine may give. Not less than makes a chip. */
export function slowedFor(buried: Buried, cutter: Cutter, place: Place, rpm: Rpm, from: MmPerMin): MmPerMin {
  const least = leastChip(cutter.kind, cutter.material) * cutter.teeth * rpm;
  let vf = from;
  while (vf > least && shareAt(buried, cutter, place, rpm, vf) > buriedShare) vf *= 0.9;
  return Math.max(vf, least);
}

/** How an end mill is fed straight down, and what that takes. */
export interface Plunge {
  vf: MmPerMin;
  power: Kw;
  /** What it asks of the power and the force of the machine, as a share of them. */
  share: number;
}

/**
 * Straight down with all of its end in the metal: a section of π d² / 4, every tooth with its whole feed as the chip.
 * @param vf the feed sideways, mm/min
 */
export function plungeOf(cutter: Cutter, place: Place, rpm: Rpm, vf: MmPerMin): Plunge {
  const d = cuttingDiameter(cutter);
  const end: Buried = { ap: (Math.PI * d) / 4, ae: d, chipAt: (fz) => fz };
  const slow = Math.min(vf, slowedFor(end, cutter, place, rpm, vf * downShare));
  return {
    vf: slow,
    power: powerAt(end, cutter, place.material, rpm, slow),
    share: shareAt(end, cutter, place, rpm, slow),
  };
}
