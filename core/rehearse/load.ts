import { type Material } from "../handbook/index.ts";
import type { Mm, MmPerMin, Rpm } from "../quantity/index.ts";
import { type Cutter, forceBorne, type Machine } from "../shop/index.ts";

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

/** How far what a stroke really takes goes over what the machine has: 1 is just as much as there is. */
export function loadOf(
  { ap, ae, vf, rpm }: { ap: Mm; ae: Mm; vf: MmPerMin; rpm: Rpm },
  cutter: Cutter,
  material: Material,
  machine: Machine,
): number {
  const wide = Math.min(ae, cutter.diameter);
  const fz = vf / Math.max(1, rpm * cutter.teeth);
  if (!(ap > 0 && wide > 0 && fz > 0)) return 0;
  const arc = Math.acos(Math.max(-1, 1 - (2 * wide) / cutter.diameter));
  // Mean chip over the arc, straight teeth, square shoulder.
  const mean = Math.max(0.002, (fz * (1 - Math.cos(arc))) / arc);
  const kc = material.kc11 * mean ** -material.mc;
  const power = (ap * wide * vf * kc) / 60e6;
  // The force over a turn; while no tooth is in the metal all the time it is as much higher as they are out of it.
  const overTurn = (power * 60e6) / (Math.PI * cutter.diameter * rpm);
  const turn = arc + (ap * Math.tan((cutter.helix * Math.PI) / 180)) / (cutter.diameter / 2);
  const force = overTurn / Math.min(1, (cutter.teeth * turn) / (2 * Math.PI));
  return Math.max(power / (machine.motorPower * machine.efficiency), force / forceBorne(machine));
}
