import { type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { done, type Outcome, refused, rule, say, words } from "../working/index.ts";

/**
 * M26: knee and quill both moved are one depth: what both moved toward each other, mm.
 * @param tilt of the head, degrees: with any the quill moves sideways too, and one Z does not hold
 */
export function combinedZ(knee: Mm, quill: Mm, tilt: number): Outcome<Mm> {
  if (tilt !== 0)
    return refused(
      rule(
        "M26.tilted",
      )`With the head at ${quantity("angle", tilt)} the quill also moves ${mm(tidy(quill * Math.sin((tilt * Math.PI) / 180)))} sideways: one depth does not hold.`,
      words("Set the head upright, or move the knee alone."),
    );
  return done(tidy(knee + quill));
}

/** M33: what a step of the knee cuts with the head tilted: square to the face under the end of the cutter, and sideways. */
export const underTilt = (step: Mm, tilt: number): { depth: Mm; aside: Mm } => ({
  depth: tidy(step * Math.cos((tilt * Math.PI) / 180)),
  aside: tidy(step * Math.sin((tilt * Math.PI) / 180)),
});

/** Said of a step of the knee that is no depth (M33); null with the head upright. */
export const tiltedStep = (step: Mm, tilt: number) =>
  tilt === 0
    ? null
    : rule(
        "M33.step",
      )`The knee moves ${mm(step)}; square to the face that is ${mm(underTilt(step, tilt).depth)}, not ${mm(step)}. ${say`It also goes ${mm(underTilt(step, tilt).aside)} along it.`}`;
