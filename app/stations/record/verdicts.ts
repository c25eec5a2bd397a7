import type { Verdict } from "../../../core/inspect/index.ts";

/** How a verdict is shown: a shape, a word and a color. */
export const verdicts: Record<Verdict, { shape: string; words: string; color: string }> = {
  good: { shape: "✓", words: "good", color: "good" },
  withinU: { shape: "▲", words: "good, but near a limit", color: "warn" },
  rework: { shape: "▲", words: "rework", color: "warn" },
  under: { shape: "■", words: "under size", color: "stop" },
  over: { shape: "■", words: "over size", color: "stop" },
  cannotTell: { shape: "○", words: "cannot tell with this instrument", color: "warn" },
};
