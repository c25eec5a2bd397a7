import type { Sizes } from "../frame/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import type { Seat } from "./seat.ts";

/** Longest over thinnest from which locked-in stress shows (guess). */
const slender = 10;
/** Bow for each mm² of length over each mm of thickness when one side of drawn or rolled stock is cut (guess). */
const bowFactor = 1e-5;
/** Width between the jaws over height from which a plate springs up under the grip (guess). */
const springs = 6;

/** How far a thin part bows when one side is cut, mm (guess): rises with the square of its length. */
export const expectedBow = (length: Mm, thickness: Mm): Mm => (bowFactor * length ** 2) / thickness;

/**
 * M37: a thin part bows when one side is cut: sides in turn, light cuts, turned over before the last of each.
 * @param halfTolerance of the thickness, mm; null when it has none
 */
export function thinBows(sizes: Sizes, halfTolerance: Mm | null): Warning[] {
  const all = Object.values(sizes);
  const [length, thickness] = [Math.max(...all), Math.min(...all)];
  const bow = expectedBow(length, thickness);
  if (length / thickness < slender && !(halfTolerance !== null && bow > halfTolerance)) return [];
  return [
    note(
      rule(
        "M37.bow",
      )`${mm(thickness)} thick and ${mm(length)} long: stress in the stock bows it about ${quantity("chip", bow)} (guess) when one side is cut. Cut the sides in turn, and turn it over before the last pass of each.`,
    ),
  ];
}

/** M41: a plate gripped at its edges springs up between the jaws: flat while clamped, bowed when free. */
export function sprungByJaws(seat: Seat): Warning[] {
  return seat.between / seat.standing > springs
    ? [
        warn(
          rule(
            "M41.sprung",
          )`A plate ${mm(seat.standing)} thick bows up when squeezed across ${mm(seat.between)}: ease the grip before the last pass, and measure it clamped and again released.`,
        ),
      ]
    : [];
}
