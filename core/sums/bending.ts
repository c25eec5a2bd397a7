import { bendingDrawing } from "../figure/index.ts";
import { fluteShare, overhangForDeflection, rootStress, steppedBending } from "../cutting/index.ts";
import { classSpring, machineClasses, roughBending, toolModulus, wordsFor } from "../handbook/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, warn, type Warning, words } from "../working/index.ts";
import { toolField, toolOf } from "./choices.ts";
import { choice, number, type Sum } from "./sum.ts";

/** How far a cutter and the machine give under a force. */
export const bendingSum: Sum = {
  id: "bending",
  title: "Bending",
  what: "How far a cutter and the machine give under a force, and how long it may stand out.",
  fields: [
    number("force", "Force", "force", { mm: "200", in: "45" }),
    toolField,
    number("diameter", "Diameter", "length", { mm: "12", in: "1/2" }),
    number("flutes", "Flutes", "length", { mm: "26", in: "1" }),
    number("stickout", "Out of the holder", "length", { mm: "36", in: "1.5" }),
    number("shank", "Shank", "length", { mm: "12", in: "1/2" }),
    choice(
      "class",
      "Machine",
      machineClasses.map((m) => [m, wordsFor.machineClass[m]] as const),
      "knee",
    ),
    number("limit", "May bend", "length", { mm: "0.05", in: "0.002" }),
  ],
  work: ({ n, c }) => {
    const [force, diameter, stickout, shank, limit] = [
      n("force"),
      n("diameter"),
      n("stickout"),
      n("shank"),
      n("limit"),
    ];
    const e = toolModulus[toolOf(c("tool"))];
    const flutes = Math.min(n("flutes"), stickout);
    const tool = steppedBending(force, flutes, stickout - flutes, diameter, shank, e);
    if (tool === null || !(limit > 0))
      return refused(
        words("All sizes must be above zero."),
        words("Correct diameter, flutes, stickout, shank or what it may bend."),
      );
    const spring = classSpring[machineClasses.find((m) => m === c("class"))!];
    const machine = force / (spring * 1000);
    const both = tool + machine;
    const longest = overhangForDeflection(Math.max(limit - machine, 0), force, diameter, e);
    const ratio = stickout / diameter;
    const warnings: Warning[] = [];
    if (both > limit)
      warnings.push(
        warn(
          rule(
            "bending.over",
          )`It gives ${quantity("chip", both)}, more than ${quantity("chip", limit)}: cut lighter, set it shorter, or use a thicker or carbide one.`,
        ),
      );
    if (ratio > 4)
      warnings.push(
        warn(
          rule(
            "M20.stickout",
          )`It sticks out ${quantity("ratio", ratio)} times its diameter: ${ratio > 6 ? "it will chatter and bend" : "slow down speed and feed"}.`,
        ),
      );
    return done({
      drawing: bendingDrawing(diameter, stickout, quantity("force", force), both),
      figures: [
        { label: "gives in all", value: mm(both), decimals: 4 },
        { label: "the cutter", value: mm(tool), decimals: 4 },
        { label: "the machine", value: mm(machine), decimals: 4 },
        { label: "longest stickout within the limit", value: mm(longest ?? 0) },
        {
          label: "stress at the holder",
          value: quantity("stress", rootStress(force, stickout, fluteShare * diameter)),
        },
      ],
      working: {
        lines: [
          line("force at the tip", quantity("force", force)),
          line("cutter, flutes counted as 0.8 D", mm(tool), {
            decimals: 4,
            formula: "bending",
            terms: [
              ["L", mm(stickout)],
              ["d", mm(fluteShare * diameter)],
              ["E", quantity("stress", e)],
            ],
          }),
          line("machine", mm(machine), {
            decimals: 4,
            formula: "spring",
            source: "spring by class (guess); a pull test replaces it",
          }),
          line("together", mm(both), { decimals: 4, sum: true }),
        ],
        notes: [
          words(
            `Roughing may bend ${roughBending.mm} mm or a hundredth of the diameter, finishing a quarter of half the tolerance. Textbooks take 0.75 to 0.85 of D for the flutes; 0.8 is taken.`,
          ),
        ],
      },
      warnings,
    });
  },
};
