import type { Mm } from "../quantity/index.ts";
import type { Phrase } from "../working/index.ts";

/**
 * The size detective: deviations of one part are matched against what can have made them. A suspect says how much of each reading
 * it would explain; how well it does, by size, sign and pattern over all readings, ranks it.
 */

/** A reading as the detective sees it. All lengths in mm. */
export interface Seen {
  id: string;
  /** A size over two faces, a width or depth cut into the part, a place, or how far a face leans over 100. */
  kind: "size" | "width" | "depth" | "place" | "square";
  /** Measured less what was meant. */
  off: Mm;
  /** Standard uncertainty of the reading. */
  sigma: Mm;
  nominal: Mm;
  /** Axis of the machine that set it. */
  axis: "x" | "y" | "z";
  setup: string;
  op: string;
  cutter: string | null;
  /** Where on the face it was read, −1 to 1 along X and Y of the machine; null where nobody said. */
  at: { x: number; y: number } | null;
  /** How many cuts this cutter had made before. */
  after: number;
  /** The stop was come to against the way its axis was zeroed. */
  against: boolean;
  /** What it would read counted from the opposite edge, less what was meant; null where it counts from none. */
  mirrored: Mm | null;
  /** How thin what was left standing beside the cut is, height over thickness; 0 for what does not spring. */
  slender: number;
}

/** Something that can have made a deviation. */
export interface Suspect {
  id: string;
  says: Phrase;
  /** The one thing to try that would tell it from the others. */
  test: Phrase;
  /** How much of its amount shows in a reading; 0 where it cannot show. */
  shows: (reading: Seen) => number;
  /** Amounts it can have, mm: a few, or anything between two. */
  amount: { of: readonly Mm[] } | { from: Mm; to: Mm };
}

export interface Accused {
  suspect: Suspect;
  /** Amount that fits best, mm. */
  amount: Mm;
  /** Share of what is seen that it explains, 0 to 1. */
  explains: number;
  /** Natural logarithm of how much likelier the readings are with it than without. */
  weight: number;
  /** The readings it shows in: how far each is off, and how much of that it makes; mm. */
  fits: { reading: Seen; makes: Mm }[];
}

/** Scatter of any cut beside the uncertainty of its reading, mm (guess). */
const scatter = 0.006;

/** How far a reading may lie off by its own uncertainty and by the scatter of any cut, mm. */
export const spreadOf = (reading: Seen): Mm => Math.hypot(reading.sigma, scatter);

/**
 * The suspects that make the readings likelier than mere scatter does, the likeliest first.
 * Fixed amounts and free ones are compared by their marginal likelihood: an amount that may be anything is believed less than one
 * that had to be just this.
 */
export function accuse(readings: readonly Seen[], suspects: readonly Suspect[]): Accused[] {
  if (readings.length === 0) return [];
  const weigh = readings.map((r) => 1 / spreadOf(r) ** 2);
  const chi = (left: (i: number) => Mm) => readings.reduce((sum, _, i) => sum + left(i) ** 2 * weigh[i]!, 0);
  const without = chi((i) => readings[i]!.off);
  return suspects
    .flatMap((suspect): Accused[] => {
      const shows = readings.map((r) => suspect.shows(r));
      const information = shows.reduce((sum, d, i) => sum + d * d * weigh[i]!, 0);
      if (information < 1e-9) return [];
      const best = shows.reduce((sum, d, i) => sum + d * readings[i]!.off * weigh[i]!, 0) / information;
      const { amount, belief } = fitted(suspect.amount, best, information);
      // It cannot be as much as is seen: whatever little it would explain, it did not do this.
      if (Math.abs(best - amount) > Math.max(3 / Math.sqrt(information), 3 * scatter * alike(shows)))
        return [];
      const with_ = chi((i) => readings[i]!.off - amount * shows[i]!);
      const weight = (without - with_) / 2 + belief;
      return weight > 0
        ? [
            {
              suspect,
              amount,
              explains: without > 0 ? Math.max(0, 1 - with_ / without) : 0,
              weight,
              fits: readings.flatMap((reading, i) =>
                shows[i] === 0 ? [] : [{ reading, makes: amount * shows[i]! }],
              ),
            },
          ]
        : [];
    })
    .sort((a, b) => b.weight - a.weight);
}

/** How much an amount moves where it shows as a whole: what shows a thousandfold is known a thousand times better. */
const alike = (shows: readonly number[]): number => 1 / Math.max(...shows.map(Math.abs), 1e-9);

/** The amount that fits best of those a suspect can have, and how much is believed of one that was free to fit. */
function fitted(can: Suspect["amount"], best: Mm, information: number): { amount: Mm; belief: number } {
  if ("of" in can) {
    const amount = can.of.reduce((a, b) => (Math.abs(b - best) < Math.abs(a - best) ? b : a));
    return { amount, belief: -Math.log(can.of.length) };
  }
  const amount = Math.min(can.to, Math.max(can.from, best));
  const width = Math.sqrt((2 * Math.PI) / information);
  return { amount, belief: Math.log(Math.min(1, width / Math.max(can.to - can.from, 1e-9))) };
}
