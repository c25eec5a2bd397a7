import { type Mm, mm } from "../quantity/index.ts";
import { rule, type Warning, warn } from "../working/index.ts";

/** Soft packing evens this much between two parts in one vise, mm (guess). */
export const packingEvens: Mm = 0.15;
/** Two that differ by no more are both held, mm (guess). */
export const bothHeld: Mm = 0.005;

/** M46: of two parts side by side in one vise only the larger is held, unless packing evens the difference. */
export function pairInVise(first: Mm, second: Mm, packing: boolean): Warning[] {
  const differs = Math.abs(first - second);
  return differs > (packing ? packingEvens : bothHeld)
    ? [
        warn(
          rule(
            "M46.loose",
          )`The parts differ by ${mm(differs)}: the jaws hold only the larger, the other is loose. Hold one at a time${packing ? "" : ", or put card or soft wire at the jaw"}.`,
        ),
      ]
    : [];
}
