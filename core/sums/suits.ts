import { ringsDrawing } from "../figure/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, say, warn, words } from "../working/index.ts";
import { materialField, materialOf, toolField, toolOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** The diameter a spindle speed suits: which cutter to take where the speed cannot be changed. */
export const suitsSum: Sum = {
  id: "suits",
  title: "Diameter for a spindle speed",
  what: "Which diameters a spindle speed suits in a material, and how the cutter that is fitted stands to that.",
  fields: [
    number("rpm", "Spindle speed", "spindleSpeed", "660"),
    materialField,
    toolField,
    number("fitted", "Cutter fitted", "length", { mm: "12", in: "1/2" }),
  ],
  work: ({ n, c }) => {
    const [low, high] = materialOf(c("material")).speeds[toolOf(c("tool"))];
    const at = (vc: number) => (vc * 1000) / (Math.PI * n("rpm"));
    if (!(n("rpm") > 0) || !(n("fitted") > 0))
      return refused(words("Speed and cutter are above zero."), words("Correct them."));
    const runs = (Math.PI * n("fitted") * n("rpm")) / 1000;
    return done({
      drawing: ringsDrawing(
        at(high),
        at(low),
        "Diameters the speed suits, from the smallest to the largest.",
        "span",
      ),
      figures: [
        { label: "from", value: mm(at(low)), decimals: 1 },
        { label: "to", value: mm(at(high)), decimals: 1 },
        { label: "the cutter fitted runs at", value: quantity("cuttingSpeed", runs) },
      ],
      working: {
        lines: [
          line("cutting speed, low", quantity("cuttingSpeed", low)),
          line("cutting speed, high", quantity("cuttingSpeed", high)),
          line("diameter: speed ÷ (π × turns a minute), low", mm(at(low)), { sum: true, decimals: 1 }),
          line("the same, high", mm(at(high)), { sum: true, decimals: 1 }),
          line("the one fitted: π × diameter × turns a minute", quantity("cuttingSpeed", runs)),
        ],
        notes: [],
      },
      warnings:
        runs > high
          ? [
              warn(
                say`It runs too fast: ${mm(at(high))} is the largest for this speed. Take a smaller cutter, or a slower speed.`,
              ),
            ]
          : runs < low
            ? [note(words("It runs slower than it might: that spares the edge and costs time."))]
            : [],
    });
  },
};
