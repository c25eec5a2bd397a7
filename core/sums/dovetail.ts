import { dovetailDrawing } from "../figure/index.ts";
import { betweenPins, narrowWidth, overPins } from "../part/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A dovetail over and between pins. */
export const dovetailSum: Sum = {
  id: "dovetail",
  title: "Dovetail",
  what: "Both widths of a dovetail, and what two pins read in the slot and over the tongue.",
  fields: [
    number("wide", "Wide width, sharp corners", "length", { mm: "50", in: "2" }),
    number("depth", "Depth", "length", { mm: "10", in: "0.4" }),
    number("angle", "Angle of the flank", "angle", "60"),
    number("pin", "Pins", "length", { mm: "6", in: "0.25" }),
  ],
  work: ({ n }) => {
    const narrow = narrowWidth(n("wide"), n("depth"), n("angle"));
    const between = betweenPins(n("wide"), n("angle"), n("pin"));
    const over = narrow === null ? null : overPins(narrow, n("angle"), n("pin"));
    if (narrow === null || between === null || over === null)
      return refused(
        words(
          "The pins do not fit, or the flanks meet: widths, depth and pins must be above zero, the angle under 90°.",
        ),
        words("Take smaller pins, less depth, or a steeper flank."),
      );
    return done({
      figures: [
        { label: "between pins, in the slot", value: mm(between), decimals: 3 },
        { label: "over pins, on the tongue", value: mm(over), decimals: 3 },
        { label: "narrow width", value: mm(narrow), decimals: 3 },
      ],
      drawing: dovetailDrawing(n("wide"), narrow, n("depth"), n("pin"), between),
      working: {
        lines: [
          line("wide width", mm(n("wide"))),
          line("narrow width", mm(narrow), {
            decimals: 3,
            formula: "dovetail-widths",
            terms: [
              ["depth", mm(n("depth"))],
              ["a", quantity("angle", n("angle"))],
            ],
          }),
          line("between pins", mm(between), {
            decimals: 3,
            sum: true,
            formula: "dovetail-pins",
            terms: [["d", mm(n("pin"))]],
          }),
          line("over pins", mm(over), { decimals: 3 }),
        ],
        notes: [
          words("Widths count to the sharp corners; take off what a relief or a rounded corner hides."),
        ],
      },
      warnings: [],
    });
  },
};
