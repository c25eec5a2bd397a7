import { friction, holdingSafety, type MaterialGroup, strapHold } from "../handbook/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";
import { type Phrase, say } from "../working/index.ts";
import { boltForce, screwForce } from "./clamp-force.ts";
import { restBears } from "./rest.ts";
import type { Seat } from "./seat.ts";
import { strapShare } from "./strap.ts";

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

/** What one strap presses on the work at an ordinary pull, N (guess). */
const strapPresses = (): number => {
  const { pull, stud, toWork, toHeel } = strapHold;
  return strapShare(boltForce(pull, stud) ?? 0, toWork, toHeel)?.onWork ?? 0;
};

/** Grip of a part strapped to the table: the straps' friction under the work; a stop takes the push along. */
export function strapCapacity(seat: Seat): GripCapacity {
  const straps = seat.table?.straps ?? 0;
  const clamp = straps * strapPresses();
  const mu = seat.paper ? friction.paper : friction.drySteel;
  return {
    clamp,
    along: mu * clamp * (seat.stop ? 2 : 1),
    lift: clamp,
    tipping: (clamp * Math.min(seat.between, seat.along)) / 2,
    arm: (seat.table?.packing ?? 0) + seat.standing,
    rest: Infinity,
    safety: holdingSafety,
    name: say`grip of ${straps} straps, ${quantity("force", clamp)}`,
    lifts: say`one more strap${seat.paper ? "" : ", paper under the part"}${seat.stop ? "" : ", or a stop"}`,
    source: `F = T / (0.2 d), M12 at 25 N·m, two thirds on the work; μ ${mu}, safety ${holdingSafety} (guess)`,
  };
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
    along: (seat.stop ? 3 : 2) * contact,
    lift: (seat.rod ? 1 : 2) * contact,
    tipping: clamp * Math.max(seat.effectiveGrip, 0) * 0.5,
    arm: aboveJaw,
    rest: restBears(seat, vise, group),
    safety: holdingSafety,
    name: say`grip of the ${vise.name}, ${quantity("force", clamp)} at ${mm(seat.effectiveGrip)}`,
    lifts: say`more torque${seat.paper ? "" : ", paper at the jaws"}${seat.stop ? "" : ", a stop"}, or lower parallels`,
    source: `η 0.25; μ ${mu}, safety ${holdingSafety} (guess)`,
  };
}
