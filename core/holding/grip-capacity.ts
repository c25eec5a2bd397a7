import { friction, holdingSafety, type MaterialGroup } from "../handbook/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";
import { type Phrase, say } from "../working/index.ts";
import { screwForce } from "./clamp-force.ts";
import { restBears } from "./rest.ts";
import type { Seat } from "./seat.ts";

/**
 * What a seat holds, at a safety of 1: the cutting room divides by the safety and by how its cutter pushes, lifts and tips.
 */
export interface GripCapacity {
  /** Clamp force, N. */
  clamp: number;
  /** Forces that friction holds along the jaws and against lift, N. */
  along: number;
  lift: number;
  /** Moment that the clamp force holds against tipping over the jaw, N·mm, and the arm of the cut above the jaw, mm. */
  tipping: number;
  arm: Mm;
  /** Side force that what stands out of the vise bears before it bends too far, N (M42). */
  rest: number;
  safety: number;
  name: Phrase;
  /** What would lift it. */
  lifts: Phrase;
  source: string;
}

/**
 * Grip of a plain vise (domain.md 5): μ F at each contact; a rod rolls, so against lift and tipping it counts none of its
 * own. Tipping about the top of the jaw at the middle of the grip.
 */
export function gripCapacity(seat: Seat, vise: Vise, group: MaterialGroup): GripCapacity {
  const clamp = screwForce(vise.pull, vise.screwLead) ?? 0;
  const mu = seat.paper ? friction.paper : friction.drySteel;
  const contact = mu * clamp;
  const aboveJaw = Math.max(0, (seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth);
  return {
    clamp,
    along: 2 * contact,
    lift: (seat.rod ? 1 : 2) * contact,
    tipping: clamp * Math.max(seat.effectiveGrip, 0) * 0.5,
    arm: aboveJaw,
    rest: restBears(seat, vise, group),
    safety: holdingSafety,
    name: say`grip of the ${vise.name}, ${quantity("force", clamp)} at ${mm(seat.effectiveGrip)}`,
    lifts: say`a harder pull${seat.paper ? "" : ", paper at the jaws"}, or lower parallels`,
    source: `η 0.25; μ ${mu}, safety ${holdingSafety} (guess)`,
  };
}
