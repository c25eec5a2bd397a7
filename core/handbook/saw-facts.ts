import type { Material, MaterialGroup, Range } from "./materials.ts";

/** How a saw cuts by hand pressure or by its own weight: share of a band saw's rate (guess, of the trade). */
export const sawKinds = ["band", "uprightBand", "hacksaw", "disc", "hand"] as const;
export type SawKind = (typeof sawKinds)[number];

export const sawWords: Record<SawKind, string> = {
  band: "horizontal band saw",
  uprightBand: "vertical band saw, fed by hand",
  hacksaw: "power hacksaw",
  disc: "cold saw with a disc",
  hand: "hacksaw by hand",
};

export const sawShare: Record<SawKind, number> = {
  band: 1,
  uprightBand: 0.5,
  hacksaw: 0.45,
  disc: 1.5,
  hand: 0.08,
};

/** Blade speed in m/min and square centimetres a minute of a small band saw with a sharp blade (both guesses, of the trade). */
export interface SawFacts {
  speed: Range;
  rate: Range;
}

const groupFacts: Record<MaterialGroup, SawFacts> = {
  steel: { speed: [50, 75], rate: [14, 24] },
  tough: { speed: [20, 35], rate: [4, 9] },
  aluminum: { speed: [150, 500], rate: [40, 90] },
  iron: { speed: [30, 45], rate: [9, 16] },
  brass: { speed: [80, 150], rate: [25, 50] },
  plastic: { speed: [150, 500], rate: [60, 120] },
};

/** What a saw does in a material. Harder steels than plain low carbon go slower by as much as a cutter does in them. */
export function sawFactsOf(material: Pick<Material, "group" | "speeds">): SawFacts {
  const { speed, rate } = groupFacts[material.group];
  if (material.group !== "steel") return { speed, rate };
  const share = Math.min(1, Math.max(0.4, material.speeds.hss[1] / usualSteelSpeed));
  const slower = ([low, high]: Range): Range => [Math.round(low * share), Math.round(high * share)];
  return { speed: slower(speed), rate: slower(rate) };
}

/** High end of high-speed steel in plain low-carbon steel, m/min. */
const usualSteelSpeed = 35;

/** Teeth in the section: below two they catch and strip, three is better, above this many the gullets fill (domain.md 3). */
export const teethInSection = { least: 2, better: 3, most: 24 } as const;

/** What a saw cut takes and what is left to mill at each end where nothing else is known, mm (domain.md 3). */
export const usualKerf = 2;
export const usualFacing = 1;
