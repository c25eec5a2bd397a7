import { sawKinds } from "../handbook/index.ts";
import { extent, gap } from "../quantity/index.ts";
import * as z from "../zod.ts";

export const sawSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  kind: z.enum(sawKinds),
  /** What its cut takes away, mm. */
  kerf: extent.max(10),
  /** Teeth an inch of the blades that are owned, and of the one that is fitted. */
  blades: z.array(z.number().min(1).max(60)).max(20),
  fitted: z.number().min(1).max(60).nullable(),
  /** Blade speeds it has, m/min, slow to fast; empty where it has but one nobody knows. */
  speeds: z.array(z.number().min(1).max(2000)).max(20),
  /** The thickest it takes, mm. */
  takes: extent,
  /** Opening of its table or vise that a small part could fall into, mm. */
  throat: gap,
  /** How far a cut runs out over 100 mm of section, mm; null while nobody measured one. */
  runsOut: z.number().min(0).max(50).nullable(),
});
/** A saw that is owned. */
export type Saw = z.infer<typeof sawSchema>;

/** How far a cut is taken to run out over 100 mm where this saw was never measured, mm (guess). */
export const usualRunOut = 1;

export const runOutOf = (saw: Pick<Saw, "runsOut"> | null): number => saw?.runsOut ?? usualRunOut;

/**
 * What a saw is taken to run out after one more of its cuts was measured: new cuts count more than old ones, since a blade wears.
 * @param out how far the sawn face was out over the section, mm
 * @param section mm across that was sawn through
 * @returns mm over 100; null where the section is none
 */
export function runOutLearned(known: number | null, out: number, section: number): number | null {
  if (!(section > 0) || !(out >= 0)) return null;
  const seen = (out / section) * 100;
  return known === null ? seen : known + (seen - known) / 2;
}
