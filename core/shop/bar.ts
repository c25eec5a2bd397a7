import { stockFormSchema } from "../handbook/index.ts";
import { extent, mm, smallestSize } from "../quantity/index.ts";
import { say } from "../working/index.ts";
import * as z from "../zod.ts";

export const barSections = ["flat", "round", "hex"] as const;
export type BarSection = (typeof barSections)[number];

export const sectionWords: Record<BarSection, string> = {
  flat: "flat or square",
  round: "round",
  hex: "hexagon",
};

/** Blanks of a job that are to be sawn from a bar and are not yet. */
export const claimSchema = z.object({
  id: z.string().min(1),
  jobId: z.string().min(1),
  jobName: z.string().max(200),
  /** Length of each, and what the saw takes with it, mm. */
  each: extent,
  kerf: z.number().min(0).max(10),
  count: z.number().int().min(1).max(999),
});
export type Claim = z.infer<typeof claimSchema>;

export const barSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  /** Id in the handbook. */
  material: z.string().min(1),
  form: stockFormSchema,
  section: z.enum(barSections),
  /** Width of a flat, diameter of a round, across the flats of a hexagon, mm. */
  across: extent,
  /** Thickness of a flat, mm; of others what is across. */
  thick: extent,
  /** What is left of it, mm. */
  length: extent,
  /** Where it lies. */
  where: z.string().max(200),
  /** An off-cut: what was left of a bar after sawing. */
  offcut: z.boolean(),
  /** What a meter of it costs today, in the shop's money; null where nobody knows. */
  price: z.number().min(0).max(1e6).nullable(),
  claims: z.array(claimSchema).max(200),
  /** Blanks that were sawn from it: a job that has its blanks wants no more, and its material stays in its costs. */
  sawn: z.array(claimSchema).max(400).default([]),
});
/** A bar of the rack, or what is left of one. */
export type Bar = z.infer<typeof barSchema>;

/** What blanks take off a bar: each with its saw cut. mm */
export const claimedLength = ({ each, kerf, count }: Pick<Claim, "each" | "kerf" | "count">): number =>
  count * (each + kerf);

/** What of a bar nobody has reserved, mm; below zero where more is reserved than there is. */
export const freeLength = (bar: Pick<Bar, "length" | "claims">): number =>
  bar.length - bar.claims.reduce((sum, claim) => sum + claimedLength(claim), 0);

/** Below this much of a bar is not worth keeping, mm (guess). */
export const leastOffcut = 20;

/**
 * The same bar after the blanks of a claim were sawn off; null where there is no such claim. `left` is null where nothing is left to
 * saw from. `kept` is what is kept of it in either case: used up, it is retired, so that what was sawn from it is still known.
 */
export function afterSawing(bar: Bar, claimId: string): { left: Bar | null; kept: Bar; took: number } | null {
  const claim = bar.claims.find((c) => c.id === claimId);
  if (!claim) return null;
  // The last cut of a bar that is used up is none: the blank is what was left.
  const took = Math.min(bar.length, claimedLength(claim));
  const length = Math.round((bar.length - took) * 1e4) / 1e4;
  const claims = bar.claims.filter((c) => c.id !== claimId);
  const cut = {
    ...bar,
    length: Math.max(smallestSize, length),
    offcut: true,
    claims,
    sawn: [...bar.sawn, claim],
  };
  const worth = length >= leastOffcut || claims.length > 0;
  return { left: length > 0 ? cut : null, kept: worth ? cut : { ...cut, retired: true }, took };
}

/** How a section is written on a label. */
export const sectionText = ({ section, across, thick }: Pick<Bar, "section" | "across" | "thick">) =>
  section === "flat"
    ? say`${mm(across)} × ${mm(thick)}`
    : section === "round"
      ? say`⌀ ${mm(across)}`
      : say`${mm(across)} across flats`;
