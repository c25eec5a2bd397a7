import { slotForce } from "../handbook/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import { rule, type Warning, warn } from "../working/index.ts";
import { clampForFriction } from "./friction.ts";

/**
 * A strap as a lever: the bolt's force shared between work and heel, N.
 * @param toWork bolt to where it presses the work, mm
 * @param toHeel bolt to the packing at its heel, mm
 */
export function strapShare(bolt: number, toWork: Mm, toHeel: Mm): { onWork: number; onHeel: number } | null {
  if (!(bolt > 0) || !(toWork > 0) || !(toHeel > 0)) return null;
  const span = toWork + toHeel;
  return { onWork: (bolt * toHeel) / span, onHeel: (bolt * toWork) / span };
}

/** Straps that hold a cutting force by friction under the work; M15: one alone lets the part turn, so at least two. */
export function strapsNeeded(
  safety: number,
  cutting: number,
  mu: number,
  onWorkEach: number,
): { byFriction: number; advised: number } | null {
  const clamp = clampForFriction(safety, cutting, mu, 1);
  if (clamp === null || !(onWorkEach > 0)) return null;
  const byFriction = Math.max(1, Math.ceil(clamp / onWorkEach - 1e-9));
  return { byFriction, advised: Math.max(2, byFriction) };
}

/** M15: a part under one strap turns about it, unless a stop keeps it. */
export function oneStrapTurns(straps: number, stops: number): Warning[] {
  return straps === 1 && stops === 0
    ? [
        warn(
          rule(
            "M15.oneStrap",
          )`One strap holds at one point: the cut turns the part about it. Set a second strap, or a stop for the cut to push against.`,
        ),
      ]
    : [];
}

export interface StudStack {
  /** What the stud passes above the T-nut: slot lips, part, strap, washers; mm each. */
  passes: Mm[];
  /** Thickness of nut and T-nut, mm. */
  nut: Mm;
  tNut: Mm;
  diameter: Mm;
  length: Mm;
  /** Width of the table's slot and of the T-nut, and what lies free under the T-nut, mm. */
  slot: Mm;
  tNutWidth: Mm;
  underTNut: Mm;
}

/** Shortest stud that does: what it passes, the nut with two threads showing, and a full T-nut; mm. */
export const studLength = ({
  passes,
  nut,
  tNut,
  diameter,
}: Pick<StudStack, "passes" | "nut" | "tNut" | "diameter">): Mm =>
  passes.reduce((sum, p) => sum + p, 0) + nut + tNut + 0.3 * diameter;

/** M47: a stud too short, one that goes through the T-nut and jacks it off the slot's floor, a T-nut of another slot. */
export function studWarnings(stack: StudStack, preload: number): Warning[] {
  const found: Warning[] = [];
  const needed = studLength(stack);
  if (stack.length < needed - 1e-9)
    found.push(
      warn(
        rule(
          "M47.short",
        )`The stud is ${mm(stack.length)}; with nut and T-nut ${mm(needed)} is needed: too few threads engage.`,
      ),
    );
  else if (stack.length - needed > stack.underTNut + stack.nut)
    found.push(
      warn(
        rule(
          "M47.bottoms",
        )`The stud is ${mm(stack.length - needed)} longer than needed: screwed down, it can bottom in the slot and jack the T-nut against the lips. Use a shorter one, or peen the last thread of the T-nut.`,
      ),
    );
  if (stack.tNutWidth > stack.slot || stack.tNutWidth < stack.slot - 1)
    found.push(
      warn(
        rule(
          "M47.slot",
        )`A T-nut of ${mm(stack.tNutWidth)} does not fit a slot of ${mm(stack.slot)}: it turns or rocks and breaks the lips.`,
      ),
    );
  const most = slotForce * stack.slot;
  if (preload > most)
    found.push(
      warn(
        rule(
          "M47.preload",
        )`This torque gives ${quantity("force", preload)}; a slot of ${mm(stack.slot)} can take about ${quantity("force", most)} (guess).`,
      ),
    );
  return found;
}
