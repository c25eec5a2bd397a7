import { slopeDrawing } from "../figure/index.ts";
import { mm, quantity, tidy } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A burr, a chip or a shim under one end tilts the part; a part that rocks wants one as thick as it rocks. */
export const liftedSum: Sum = {
  id: "lifted",
  title: "Burr, chip or rock",
  what: "What a burr or chip under one end tilts a part by; or, from the gap where it rocks, the shim that stops it.",
  fields: [
    number("gap", "Burr under it, or feeler that goes where it rocks", "chip", { mm: "0.05", in: "0.002" }),
    number("contact", "From there to where it rests", "length", { mm: "60", in: "2.5" }),
    number("shim", "From the shim to where it rests", "length", { mm: "50", in: "2" }),
    number("height", "Height of the part", "length", { mm: "40", in: "1.5" }),
  ],
  work: ({ n }) => {
    if (!(n("contact") > 0) || !(n("shim") > 0) || !(n("gap") >= 0) || !(n("height") >= 0))
      return refused(words("Both distances must be above zero."), words("Correct them."));
    const slope = n("gap") / n("contact");
    const shim = tidy(slope * n("shim"));
    return done({
      drawing: slopeDrawing(0, n("gap"), n("contact"), shim),
      figures: [
        { label: "out of square over its height", value: mm(tidy(slope * n("height"))), decimals: 3 },
        { label: "out of level over 100 mm", value: mm(tidy(slope * 100)), decimals: 3 },
        { label: "shim that stops the rock", value: mm(shim), decimals: 3 },
        { label: "angle", value: quantity("angle", (Math.atan(slope) * 180) / Math.PI), decimals: 3 },
      ],
      working: {
        lines: [
          line("burr, chip or gap", mm(n("gap")), { decimals: 3 }),
          line("to where it rests", mm(n("contact"))),
          line("out of square over its height: burr ÷ that × height", mm(tidy(slope * n("height"))), {
            decimals: 3,
          }),
          line("shim: gap ÷ that × its own distance", mm(shim), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Deburr and wipe first, and feel both faces with a finger: a shim over a chip hides it."),
          words("A part with a shim is tried again by hand once it is tight: it may not rock any more."),
        ],
      },
      warnings: [],
    });
  },
};
