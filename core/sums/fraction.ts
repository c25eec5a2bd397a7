import { ruleDrawing } from "../figure/index.ts";
import { mm, mmPerInch, nearest64, tidy } from "../quantity/index.ts";
import { count } from "../quantity/index.ts";
import { done, line, precise, rule, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A length in both units and as the nearest sixty-fourth. */
export const fractionSum: Sum = {
  id: "fraction",
  title: "Fraction and decimal",
  what: "A length in mm, in inches, and as the nearest sixty-fourth with what that is off.",
  fields: [
    number("length", "Length", "length", { mm: "8.2", in: "3 33/64" }),
    number("within", "Its tolerance, either way; may be left", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n }) => {
    const near = nearest64(n("length") / mmPerInch);
    const fraction = (near.sixtyfourths / 64) * mmPerInch;
    return done({
      drawing: ruleDrawing(n("length")),
      figures: [
        { label: "length", value: mm(n("length")), decimals: 4 },
        { label: `nearest sixty-fourth: ${near.text} in`, value: mm(fraction), decimals: 4 },
        { label: "it is off by", value: mm(tidy(n("length") - fraction)), decimals: 4 },
      ],
      working: {
        lines: [
          line("length", mm(n("length")), { decimals: 4 }),
          line("sixty-fourths", count(near.sixtyfourths), { formula: "fraction" }),
          line(`${near.text} in`, mm(fraction), { decimals: 4, sum: true }),
        ],
        notes: [words("An inch is 25.4 mm exactly.")],
      },
      warnings:
        Math.abs(n("length") - fraction) > n("within")
          ? [
              warn(
                rule(
                  "fraction.off",
                )`${near.text} in is off by ${precise(mm(Math.abs(tidy(n("length") - fraction))), 4)}, more than its tolerance: work to the decimal.`,
              ),
            ]
          : [],
    });
  },
};
