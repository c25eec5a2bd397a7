import { cutterKindFacts, toolModulus } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Holder, type Machine, springOf } from "../shop/index.ts";
import { steppedBending } from "./bending.ts";

/** How much cutter, arbor and machine give under a force where it acts, mm/N. */
export interface ToolSpring {
  tool: number;
  machine: number;
  total: number;
  /** Free length the force bends, mm; 0 for what is too short to count. */
  lever: Mm;
}

/** Steel of an arbor, N/mm². */
const arborModulus = 210_000;

/**
 * Spring of a set-up cutter. End mill: flutes at 0.8 D plus its shank, the force at half of `ap` from the tip. Arbor: a
 * bar between nose and support, the cutter in the middle; without a support it hangs free, the cutter half way out. Shell, face and fly cutters are
 * too short to count. The machine's own spring is added.
 */
export function toolSpring(cutter: Cutter, holder: Holder | null, machine: Machine, ap: Mm): ToolSpring {
  const d = cuttingDiameter(cutter);
  const { mount } = cutterKindFacts[cutter.kind];
  const ofMachine = 1 / (springOf(machine) * 1000);
  let tool = 0;
  let lever = 0;
  if (mount === "shank") {
    const at = Math.min(ap, cutter.fluteLength) / 2;
    lever = Math.max(cutter.stickout - at, 1);
    const flutes = Math.min(Math.max(cutter.fluteLength - at, 1), lever);
    tool = steppedBending(1, flutes, lever - flutes, d, cutter.shank, toolModulus[cutter.material]) ?? 0;
  } else if (mount === "arbor" && holder?.span) {
    const inertia = (Math.PI * cutter.shank ** 4) / 64;
    lever = holder.supported ? holder.span : holder.span / 2;
    // Held in the taper and running in the support: 7 F L³ / (768 E I) in the middle; without one F L³ / (3 E I).
    tool = (lever ** 3 * (holder.supported ? 7 / 768 : 1 / 3)) / (arborModulus * inertia);
  }
  return { tool, machine: ofMachine, total: tool + ofMachine, lever };
}
