import type { MaterialGroup } from "./materials.ts";

/** Values of domain.md section 5; marked ones are shop judgement. */

/** Friction of steel on what holds it. */
export const friction = { drySteel: 0.15, oilySteel: 0.1, softJaws: 0.2, paper: 0.25 } as const;

/** What holds must hold this many times the cutting force (guess). */
export const holdingSafety = 2.5;

/** Share of the pull at a vise screw that becomes force, collar and thread together. */
export const screwEfficiency = 0.25;

/** Nut factor of a dry stud: F = T / (K d). */
export const nutFactor = 0.2;

/** Least effective grip in mm: at all, for roughing, for side cuts (guess). */
export const leastGrip = { any: 3, roughing: 5, side: 8 } as const;

/** An ordinary strap (guess): pull at its nut in N·m, stud, and from the stud to where it presses and to its heel, mm. */
export const strapHold = {
  pull: 25,
  stud: 12,
  toWork: 30,
  toHeel: 60,
  /** How far its tip reaches in over the part, and how thick it is with its washer, mm. */
  reach: 25,
  thick: 20,
  /** How wide it is, mm. */
  wide: 25,
  /** Packing that lifts the part off the table, and what the stud passes in the slot, mm. */
  packing: 10,
  lips: 12,
} as const;

/** Instant glue between clean metal (guess): what it bears along and against lift, N/mm², and how much of a raw face touches. */
export const glueHold = { shear: 2, pull: 1, rawShare: 1 / 3 } as const;

/** A T-nut may press the lips of its slot with this much for each mm of slot width, N (guess: cast-iron table). */
export const slotForce = 1500;

/** Young's modulus by group of materials, kN/mm². */
export const youngs: Record<MaterialGroup, number> = {
  steel: 210,
  tough: 200,
  iron: 110,
  brass: 105,
  aluminum: 70,
  plastic: 2.5,
};
