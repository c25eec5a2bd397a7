/** How much hangs on a feature: it is judged by its drawing; others hang on it; or only its looks count. */
export const matters = ["drawing", "critical", "looks"] as const;
export type Matters = (typeof matters)[number];

export const mattersWords: Record<Matters, string> = {
  drawing: "to its drawing",
  critical: "critical: others hang on it",
  looks: "looks only",
};
