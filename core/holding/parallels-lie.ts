import type { Mm } from "../quantity/index.ts";
import { tidy } from "../quantity/index.ts";
import * as z from "../zod.ts";

export const parallelsSchema = z.object({
  id: z.string(),
  height: z.number(),
  thickness: z.number(),
  /** How far in from its jaw each lies, mm; of a single one how far in from the fixed jaw. */
  inset: z.number().default(0),
  /** One of the pair alone, where two do not go between the jaws. */
  single: z.boolean().default(false),
  /** Height of the pair below, where one pair lies on another, mm; null for one pair. */
  lower: z.number().nullable().default(null),
});
/** The parallels under a part, and how they lie across the jaws. */
export type ParallelsUnder = z.infer<typeof parallelsSchema>;

/** What lies under a part, by height: a pair, or one on another with the lower one first. */
export const heightsUnder = ({ height, lower }: Pick<ParallelsUnder, "height" | "lower">): Mm[] =>
  lower === null ? [height] : [lower, tidy(height - lower)];

/** Where a parallel lies across the jaws: from the fixed jaw inward, mm. */
export interface ParallelSpan {
  at: "fixed" | "moving" | "middle";
  from: Mm;
  to: Mm;
}

/** Where each of them lies between jaws that stand so far apart. */
export function parallelSpans(
  { thickness, inset, single }: Pick<ParallelsUnder, "thickness" | "inset" | "single">,
  between: Mm,
): ParallelSpan[] {
  const span = (at: ParallelSpan["at"], from: Mm): ParallelSpan => ({ at, from, to: tidy(from + thickness) });
  return single
    ? [span("middle", inset)]
    : [span("fixed", inset), span("moving", tidy(between - inset - thickness))];
}

/** Two parallels stay at least this far apart, and a single one this far from each jaw, mm. */
const apart = 2;

/** Spans that overlap or touch as one, in their order: many holes in a row come out over a few of them. */
function together(spans: readonly (readonly [Mm, Mm])[]): [Mm, Mm][] {
  const whole: [Mm, Mm][] = [];
  for (const [low, high] of spans.toSorted((a, b) => a[0] - b[0])) {
    const last = whole.at(-1);
    if (last && low <= last[1]) last[1] = Math.max(last[1], high);
    else whole.push([low, high]);
  }
  return whole;
}

/**
 * How parallels of a thickness can lie clear of what comes out below: at the jaws first, then further in, then one alone.
 * @param comesOut what comes out, from the fixed jaw inward, mm
 * @param clear how far they keep from it, mm
 * @returns the first way that is clear; null when there is none
 */
export function clearPlace(
  thickness: Mm,
  between: Mm,
  comesOut: readonly (readonly [Mm, Mm])[],
  clear: Mm,
): Pick<ParallelsUnder, "inset" | "single"> | null {
  const spans = together(comesOut);
  const free = (place: Pick<ParallelsUnder, "inset" | "single">) =>
    parallelSpans({ thickness, ...place }, between).every(({ from, to }) =>
      spans.every(([low, high]) => to + clear <= low + 1e-9 || from - clear >= high - 1e-9),
    );
  const past = spans.flatMap(([low, high]) => [high + clear, between - low + clear]);
  const insets = [0, ...past.filter((i) => i > 0).sort((a, b) => a - b)].map((i) => tidy(i));
  const pair = insets
    .filter((inset) => 2 * (inset + thickness) + apart <= between + 1e-9)
    .map((inset) => ({ inset, single: false }))
    .find(free);
  if (pair) return pair;
  // A narrow one alone would let the part tip: it carries the middle third at least.
  const middle = tidy((between - thickness) / 2);
  const one = { inset: middle, single: true };
  return thickness >= between / 3 && thickness + apart <= between + 1e-9 && free(one) ? one : null;
}
