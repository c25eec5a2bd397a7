import { limitsOf, sectionsOf } from "../part/index.ts";
import { type Dimension, type Limits, type Mm, tidy } from "../quantity/index.ts";
import type { LengthEntry } from "../stock/index.ts";
import type { Job } from "./job.ts";

/** A section of a turned shaft as it came: drawn and measured. */
export interface TurnedSection {
  id: string;
  drawn: Dimension | null;
  limits: Limits | null;
  measured: LengthEntry | null;
  /** How far the measured diameter lies outside its limits, mm: above 0 too thick, below too thin; null while unknown. */
  outside: Mm | null;
}

/** The sections of a shaft against its drawing; empty for a block. A seat's depth counts from the diameter that is there. */
export function turnedSections(job: Job): TurnedSection[] {
  const { part, stock } = job;
  if (!part.shaft) return [];
  return sectionsOf(part.shaft).map(({ id, diameter }) => {
    const limits = diameter && limitsOf(diameter, part);
    const measured = stock.turned[id] ?? null;
    const outside =
      limits && measured
        ? tidy(Math.max(0, measured.value - limits.upper) + Math.min(0, measured.value - limits.lower))
        : null;
    return { id, drawn: diameter, limits, measured, outside };
  });
}
