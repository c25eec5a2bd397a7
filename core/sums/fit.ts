import { zonesDrawing } from "../figure/index.ts";
import { fitClearance, fitDeviations } from "../handbook/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, note, refused, say, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

const holes = ["H6", "H7", "H8", "H9", "H11", "D10", "E9", "F8", "G7", "JS9", "N9", "P9"];
const shafts = ["h6", "h7", "h9", "h11", "g6", "f7", "e8", "d9", "js6", "k6", "m6", "n6", "p6"];
const options = (classes: readonly string[]) => classes.map((c) => [c, c] as const);

/** Limits of a hole and a shaft class, and what lies between them. */
export const fitSum: Sum = {
  id: "fit",
  title: "Fit",
  what: "Limits of an ISO 286 hole and shaft class on a size, and the clearance or interference between them.",
  fields: [
    number("size", "Size", "length", { mm: "20", in: "0.75" }),
    choice("hole", "Hole", options(holes), "H7"),
    choice("shaft", "Shaft", options(shafts), "g6"),
  ],
  work: ({ n, c }) => {
    const [size, hole, shaft] = [
      n("size"),
      fitDeviations(c("hole"), n("size")),
      fitDeviations(c("shaft"), n("size")),
    ];
    const fit = fitClearance(size, c("hole"), c("shaft"));
    if (!hole || !shaft || !fit)
      return refused(say`The tables cover sizes above zero up to ${mm(250)}.`, words("Correct the size."));
    return done({
      drawing: zonesDrawing(hole, shaft, { hole: c("hole"), shaft: c("shaft") }),
      figures: [
        {
          label: fit.smallest < 0 ? "least clearance (below 0: interference)" : "least clearance",
          value: mm(fit.smallest),
          decimals: 3,
        },
        { label: "most clearance", value: mm(fit.largest), decimals: 3 },
        { label: "hole, least", value: mm(size + hole.lower), decimals: 3 },
        { label: "hole, most", value: mm(size + hole.upper), decimals: 3 },
        { label: "shaft, least", value: mm(size + shaft.lower), decimals: 3 },
        { label: "shaft, most", value: mm(size + shaft.upper), decimals: 3 },
      ],
      working: {
        lines: [
          line(`hole ${c("hole")}, upper`, mm(hole.upper), { decimals: 3, source: "ISO 286-1" }),
          line("lower", mm(hole.lower), { decimals: 3 }),
          line(`shaft ${c("shaft")}, upper`, mm(shaft.upper), { decimals: 3, source: "ISO 286-1" }),
          line("lower", mm(shaft.lower), { decimals: 3 }),
          line("least clearance", mm(fit.smallest), { decimals: 3, sum: true, formula: "fit-clearance" }),
        ],
        notes: [],
      },
      warnings:
        fit.smallest < 0 && fit.largest > 0
          ? [note(words("It may come out either loose or tight: measure one, and make the other to it."))]
          : [],
    });
  },
};
