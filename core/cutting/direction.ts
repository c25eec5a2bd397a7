import { type Mm, mm, quantity } from "../quantity/index.ts";
import { type Outcome, done, refused, rule, say } from "../working/index.ts";

/** Climb cuts with slack in the screw go no deeper than this, mm (domain.md 5). */
export const climbWithSlack = 0.1;

/**
 * Whether a side cut may climb. M17: with more slack in the screw than the chip of a turn the cutter pulls the table in by
 * it; then only cuts up to 0.1 mm may climb.
 * @param depth width of the cut across the cutter, mm
 * @param perTurn feed per turn, mm
 */
export function mayClimb(depth: Mm, backlash: Mm, perTurn: Mm): Outcome<true> {
  if (backlash <= perTurn || depth <= climbWithSlack + 1e-9) return done(true);
  return refused(
    rule(
      "M17.climb",
    )`The screw has ${mm(backlash)} of backlash and the cutter takes ${quantity("chip", perTurn)} per turn: climbing ${mm(depth)} deep, it would pull the table in.`,
    say`Cut conventional, or climb at most ${mm(climbWithSlack)} for the last pass.`,
  );
}
