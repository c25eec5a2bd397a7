/**
 * How far out machines, vises and squares usually are (domain.md 4, all guess): biases keep their sign from setup to setup,
 * random ones differ every time. mm over a length in mm.
 */
export const usualBias = {
  jawSquare: { rise: 0.01, over: 50 },
  jawLine: { rise: 0.02, over: 100 },
  bedAcross: { rise: 0.01, over: 100 },
  bedAlong: { rise: 0.01, over: 100 },
  tramAlong: { rise: 0.02, over: 150 },
  tramAcross: { rise: 0.02, over: 150 },
  tableSquare: { rise: 0.01, over: 100 },
  square: { rise: 0.01, over: 50 },
} as const;
export type BiasName = keyof typeof usualBias;

export const biasWords: Record<BiasName, string> = {
  jawSquare: "fixed jaw out of square to the table",
  jawLine: "fixed jaw out of line with X",
  bedAcross: "bed of the vise against the table, across",
  bedAlong: "bed of the vise against the table, along",
  tramAlong: "head out of tram along X",
  tramAcross: "head out of tram across",
  tableSquare: "table travel X to Y",
  square: "the square the end was set with",
};

/** The step where two cuts of one face meet, usual and largest, mm (domain.md 4, guess). */
export const witnessStep = { usual: 0.05, largest: 0.08 } as const;

/** The moving jaw lifts what it grips high: mm for each mm that the grip's middle is above the jaw's (domain.md 4, guess). */
export const jawLift = 0.02 / 10;

/** A part gripped at one side of the jaws lets the moving jaw twist, mm over what is gripped (domain.md 4, guess). */
export const offCenterTwist = 0.03;

/** A seat never comes twice the same: with a rod or tapped, and by the mismatch of parallels, mm. */
export const seatScatter = 0.005;
