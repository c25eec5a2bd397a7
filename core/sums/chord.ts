import { chordDrawing } from "../figure/index.ts";
import { chordHeight } from "../part/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A flat on a round: how deep it is for its width. */
export const chordSum: Sum = {
  id: "chord",
  title: "Flat on a round",
  what: "How deep a flat of a width goes into a round, what is left under it, and its angle.",
  fields: [
    number("diameter", "Round", "length", { mm: "30", in: "1.25" }),
    number("width", "Width of the flat", "length", { mm: "12", in: "0.5" }),
  ],
  work: ({ n }) => {
    const height = chordHeight(n("diameter"), n("width"));
    if (height === null)
      return refused(words("The flat is no wider than the round."), words("Take a smaller flat."));
    const angle = (2 * Math.asin(n("width") / n("diameter")) * 180) / Math.PI;
    return done({
      figures: [
        { label: "depth from the crown", value: mm(height), decimals: 3 },
        { label: "left to the far side", value: mm(n("diameter") - height), decimals: 3 },
        { label: "angle it spans", value: quantity("angle", angle), decimals: 2 },
      ],
      drawing: chordDrawing(n("diameter"), n("width"), height),
      working: {
        lines: [
          line("round", mm(n("diameter"))),
          line("flat", mm(n("width"))),
          line("depth from the crown", mm(height), { decimals: 3, sum: true, formula: "chord-height" }),
        ],
        notes: [words("A round milled flat is measured from the flat to its far side.")],
      },
      warnings: [],
    });
  },
};
