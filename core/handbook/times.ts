/** Handling times per event in minutes (guess; domain.md 12). Records replace them later. */
export const handlingTimes = {
  setup: 8,
  measure: 1,
  deburr: 1,
  /** Glue to set, and the part warmed off the plate again. */
  glue: 15,
  cutterChange: 2,
  indicate: 4,
  touchOff: 1,
  /** A boring head opened by its dial and locked. */
  openHead: 0.5,
  /** To a place by hand and clear again, and down to the work there. */
  goTo: 0.2,
  down: 0.05,
} as const;
