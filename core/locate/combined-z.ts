import { type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { done, type Outcome, refused, rule, words } from "../working/index.ts";

/**
 * M26: knee and quill both moved are one depth: what both moved toward each other, mm.
 * @param tilt of the head, degrees: with any the quill moves sideways too, and one Z does not hold
 */
export function combinedZ(knee: Mm, quill: Mm, tilt: number): Outcome<Mm> {
  if (tilt !== 0)
    return refused(
      rule(
        "M26.tilted",
      )`With the head at ${quantity("angle", tilt)} the quill also moves ${mm(tidy(quill * Math.sin((tilt * Math.PI) / 180)))} sideways, so one depth no longer holds.`,
      words("Set the head upright, or move the knee alone."),
    );
  return done(tidy(knee + quill));
}
