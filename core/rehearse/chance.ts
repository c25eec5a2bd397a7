/** Draws that come out the same for the same seed: errors of machine, vise and hand. */
export interface Chance {
  /** Evenly between 0 and 1. */
  next: () => number;
  /** About nothing, most within this and hardly any beyond twice as much. */
  about: (within: number) => number;
}

/** A small, well-mixed generator (mulberry32). */
export function chance(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  // Three even draws are near enough to a bell, and never far out.
  const about = (within: number) => ((next() + next() + next()) * 2 - 3) * within;
  return { next, about };
}

/** No error at all: what is told is judged by itself. */
export const noChance: Chance = { next: () => 0.5, about: () => 0 };
