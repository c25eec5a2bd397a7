import type { FaceCondition, StockForm } from "./word-lists.ts";

export interface ConditionFacts {
  /** How deep the skin reaches, mm: the first pass goes under it (domain.md 3). */
  skin: number;
  /** Scale, sand or a burnt edge: kills a sharp edge in one pass (M19). */
  hardSkin: boolean;
  /** How flat such a face usually is, mm over 100 mm (guess): ranks provisional seats. */
  flatness: number;
  /** Fit to be a reference as it is. */
  machined: boolean;
}

/** Defaults of domain.md section 3; all but the standards' values are shop judgement (guess). */
export const conditionFacts: Record<FaceCondition, ConditionFacts> = {
  ground: { skin: 0, hardSkin: false, flatness: 0.005, machined: true },
  milled: { skin: 0, hardSkin: false, flatness: 0.02, machined: true },
  drawn: { skin: 0, hardSkin: false, flatness: 0.1, machined: false },
  hotRolled: { skin: 0.5, hardSkin: true, flatness: 0.4, machined: false },
  sawn: { skin: 0.5, hardSkin: false, flatness: 0.6, machined: false },
  flameCut: { skin: 1.5, hardSkin: true, flatness: 1, machined: false },
  cast: { skin: 1.5, hardSkin: true, flatness: 1.2, machined: false },
};

/** The condition faces of a form usually have: along the bar, and at its sawn or cast ends. */
export const usualConditions: Record<StockForm, { sides: FaceCondition; ends: FaceCondition }> = {
  coldDrawn: { sides: "drawn", ends: "sawn" },
  hotRolled: { sides: "hotRolled", ends: "sawn" },
  flameCut: { sides: "flameCut", ends: "flameCut" },
  sawn: { sides: "sawn", ends: "sawn" },
  plate: { sides: "hotRolled", ends: "sawn" },
  cast: { sides: "cast", ends: "cast" },
  ground: { sides: "ground", ends: "sawn" },
  milled: { sides: "milled", ends: "milled" },
};

/** What a material has on faces of its own: a skin of hot-rolled bars, mm; null for none besides the scale. */
export interface SkinOf {
  softSkin: number | null;
}

/** The facts of a face in a material: hot-rolled tool steel has lost its carbon deeper than its scale reaches. */
export function skinOf(condition: FaceCondition, material?: SkinOf): ConditionFacts {
  const facts = conditionFacts[condition];
  return condition === "hotRolled" && material?.softSkin
    ? { ...facts, skin: Math.max(facts.skin, material.softSkin) }
    : facts;
}
