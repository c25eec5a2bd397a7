/** Usual cautions, shown where they matter. The app advises; the machine's manual and local rules decide. */
export const cautions = {
  eyes: "Eye protection on. No gloves, rings or loose sleeves near a turning spindle.",
  chips: "Chips with a brush, never by hand, spindle stopped.",
  measure: "Spindle stopped before you measure or reach in.",
  manual: "The machine's manual, the workshop's rules and a qualified instructor come first.",
} as const;
