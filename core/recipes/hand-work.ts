import type { Mm } from "../quantity/index.ts";
import { type Phrase, words } from "../working/index.ts";
import type { Measured, Work } from "./recipe.ts";

/** Work with a file: part of the plan like any other, with its time and its check. */
export const fileWork = (
  task: string,
  title: Phrase,
  minutes: number,
  measure: Measured | null,
  depths: { top: Mm; floor: Mm },
  with_ = "a file",
): Work => ({
  task,
  title,
  sweep: { kind: "points", at: [] },
  ...depths,
  tool: { by: "hand", minutes, with: with_ },
  exact: 0.1,
  measure,
  notes: [
    {
      severity: "note",
      phrase: words(
        "Filed by hand, to a template or a scribed line; a file has a handle, and chips are brushed off.",
      ),
    },
  ],
});
