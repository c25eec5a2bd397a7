import { type Limits, type Mm, mm } from "../quantity/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import { capital, note, precise, rule, type Warning, warn } from "../working/index.ts";

/** An instrument good to this share of the whole tolerance band proves a size (domain.md 10). */
export const criticalShare = 1 / 8;

/**
 * Whether the instruments of the shop can prove a size (M35). Half of its zone or more in doubt is told.
 * @param what the size, as in a sentence: "the length", "the width of slot 1"
 * @param critical it is called good only by an instrument good to an eighth of its zone
 */
export function provable(what: string, nominal: Mm, limits: Limits, shop: Shop, critical = false): Warning[] {
  const able = shop.instruments.filter((i) => i.from <= nominal && nominal <= i.to);
  const best = able.reduce((u, i) => Math.min(u, i.uncertainty), Infinity);
  const width = limits.upper - limits.lower;
  if (able.length === 0)
    return [
      warn(
        rule(
          "M35.range",
        )`No instrument in the shop reaches ${mm(nominal)}. Borrow one before the last cuts of ${what}.`,
      ),
    ];
  if (best * 2 >= width)
    return [
      warn(
        rule(
          "M35.prove",
        )`The tolerance band of ${what} is ${precise(mm(width), 3)}; your best instrument (±${precise(mm(best), 3)}) cannot inspect it.`,
      ),
    ];
  if (critical && best > width * criticalShare)
    return [
      warn(
        rule(
          "M35.critical",
        )`${capital(what)} is critical: it takes an instrument good to ±${precise(mm(width * criticalShare), 3)}, an eighth of its tolerance band. Your best is good to ±${precise(mm(best), 3)}.`,
      ),
    ];
  return best * 4 > width
    ? [
        note(
          rule(
            "M35.half",
          )`For ${what}, with U ${precise(mm(best), 3)} on limits ${precise(mm(width), 3)} apart, much of the tolerance band cannot be called good or bad.`,
        ),
      ]
    : [];
}

/**
 * How well a table axis is placed, mm either way: twice a readout's step and a little, else one division of the dial (guess), and
 * what the readout or dial was found to show too much on the way there.
 * @param way how far from the edge it counts from, mm
 */
export const placing = ({ axes, checks }: Machine, way: Mm): Mm =>
  Math.max(
    ...[axes.x, axes.y].map(({ readout, division }) =>
      readout === null ? division : Math.max(0.01, 2 * readout),
    ),
  ) +
  (Math.abs(checks?.["check-readout"]?.found ?? 0) * Math.abs(way)) / 100;

/** A place drawn closer than the machine's table goes. */
export function placeable(what: string, limits: Limits, machine: Machine | null): Warning[] {
  if (!machine) return [];
  const within = placing(machine, (limits.upper + limits.lower) / 2);
  return limits.upper - limits.lower < 2 * within - 1e-9
    ? [
        warn(
          rule(
            "drawing.placing",
          )`The place of ${what} has limits ${precise(mm(limits.upper - limits.lower), 3)} apart; this machine places to about ±${precise(mm(within), 3)}. Bore it after measuring, or ask for a wider limit.`,
        ),
      ]
    : [];
}
