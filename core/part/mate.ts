import { daySchema, type Dimension, dimensionSchema, type Limits, mm, tidy } from "../quantity/index.ts";
import { note, precise, rule, type Warning, warn } from "../working/index.ts";
import * as z from "../zod.ts";

/** What two parts are to one another where they meet. */
export const mateKinds = ["fits", "drilled", "handed", "sum"] as const;
/** The gap wanted of a fit: between its least and its most, mm; below zero it presses. */
export const gaps = {
  slide: { text: "slides without shake", least: 0.01, most: 0.06 },
  loose: { text: "goes in loosely", least: 0.1, most: 0.3 },
  push: { text: "pushed in by hand", least: -0.01, most: 0.02 },
  press: { text: "pressed", least: -0.05, most: -0.01 },
  glue: { text: "glued", least: 0.05, most: 0.15 },
  solder: { text: "soldered", least: 0.03, most: 0.12 },
  own: { text: "a gap of its own, or a shim", least: 0, most: 0.1 },
} as const;
const gapNames = Object.keys(gaps) as (keyof typeof gaps)[];

export const mateSchema = z.object({
  id: z.string(),
  kind: z.enum(mateKinds),
  /** The size of this part it is about: `sizes/length`, or `<feature id>/<size key>`; empty while not chosen. */
  size: z.string(),
  /** The other part, in words. */
  other: z.string(),
  /** Its size there, nominal or measured; of halves what they sum to. */
  mate: dimensionSchema.nullable(),
  /** Measured: the other part is made, and its size has no limits but what was read. */
  measured: z.boolean(),
  /** Whether this part goes around the other (a slot over a tongue) or into it. */
  outer: z.boolean(),
  gap: z.enum(gapNames),
  /** The least and the most of a gap of its own, mm; of a shim both are its thickness and what play it may have. */
  own: z
    .object({ least: z.number().min(-5).max(50), most: z.number().min(-5).max(50) })
    .refine((own) => own.least <= own.most, "the least gap is more than the most")
    .nullable()
    .default(null),
  /** The job on this bench that is the other part, and its size there as `size` is named; empty where it is no job here. */
  job: z.string().default(""),
  path: z.string().default(""),
  /** Who measured it, and when, yyyy-mm-dd; empty where that is not known. */
  by: z.string().max(200).default(""),
  on: daySchema.default(""),
});
export type Mate = z.infer<typeof mateSchema>;

/** A mate of which nothing is known but what is given. */
export const newMate = (id: string, given: Partial<Mate> = {}): Mate => ({
  kind: "fits",
  size: "",
  other: "",
  mate: null,
  measured: false,
  outer: true,
  gap: "slide",
  own: null,
  job: "",
  path: "",
  by: "",
  on: "",
  ...given,
  id,
});

/** The gap that is wanted of a mate, mm, and how it is said. */
export const wantedGap = ({
  gap,
  own,
}: Pick<Mate, "gap" | "own">): { text: string; least: number; most: number } =>
  gap === "own" && own ? { ...gaps.own, ...own } : gaps[gap];

/** The gap a fit gives at its tightest and at its loosest, mm. */
export function gapOf(mate: Mate, own: Limits, other: Limits): { least: number; most: number } {
  const [hole, shaft] = mate.outer ? [own, other] : [other, own];
  return { least: tidy(hole.lower - shaft.upper), most: tidy(hole.upper - shaft.lower) };
}

/**
 * Whether the limits of a fit keep its gap, whatever is made within them.
 * @param own limits of the size of this part, null while it is missing
 */
export function checkMate(
  mate: Mate,
  what: string | null,
  own: Limits | null,
  otherLimits: (d: Dimension) => Limits,
): Warning[] {
  const name = mate.other.trim() || "the other part";
  if (mate.kind === "drilled")
    return [
      note(
        rule("mate.drilled")`Drill it together with ${name}, and mark both so that they go together again.`,
      ),
    ];
  if (mate.kind === "handed")
    return [
      note(
        rule(
          "mate.handed",
        )`${name} is its mirror: lay both drawings side by side before the first cut, one of each.`,
      ),
    ];
  if (what === null || !own || !mate.mate)
    return [warn(rule("mate.unfinished")`Say which size fits ${name}, and what the size is there.`)];
  const other = mate.measured
    ? { lower: mate.mate.nominal, upper: mate.mate.nominal }
    : otherLimits(mate.mate);
  if (mate.kind === "sum") {
    const [least, most] = [other.lower - own.upper, other.upper - own.lower];
    return [
      note(
        rule(
          "mate.sum",
        )`With ${name} the ${what} makes ${mm(mate.mate.nominal)}: the other half comes out between ${precise(mm(least), 3)} and ${precise(mm(most), 3)}. Measure the first before the second is finished.`,
      ),
    ];
  }
  const { least, most } = gapOf(mate, own, other);
  const wanted = wantedGap(mate);
  if (least >= wanted.least - 1e-9 && most <= wanted.most + 1e-9) return [];
  const tight = least < wanted.least;
  return [
    warn(
      rule(
        "mate.gap",
      )`The ${what} and ${name}: the gap comes out between ${precise(mm(least), 3)} and ${precise(mm(most), 3)}; ${precise(mm(wanted.least), 3)} to ${precise(mm(wanted.most), 3)} (${wanted.text}) is required. ${tight ? "At its tightest it is closer than that" : "At its loosest it is wider than that"}: narrow the limits, or make it to the measured mate.`,
    ),
  ];
}
