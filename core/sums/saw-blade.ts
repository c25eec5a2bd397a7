import { bladeDrawing } from "../figure/index.ts";
import { sawFactsOf, teethInSection } from "../handbook/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { leastTeeth, teethIn } from "../stock/index.ts";
import { done, line, note, say, stop, warn, words } from "../working/index.ts";
import { materialField, materialOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** A blade for a section: teeth in it, and the speed for the material. */
export const sawBladeSum: Sum = {
  id: "saw-blade",
  title: "Saw blade and speed",
  what: "How many teeth a blade has in a section, which blade it needs, and how fast it may run in a material.",
  fields: [
    number("section", "Thinnest metal it goes through", "length", { mm: "6", in: "1/4" }),
    number("teeth", "Blade fitted, teeth an inch", "count", "14"),
    materialField,
  ],
  work: ({ n, c }) => {
    const material = materialOf(c("material"));
    const { speed } = sawFactsOf(material);
    const inIt = teethIn(n("section"), n("teeth"));
    const least = leastTeeth(n("section"));
    return done({
      drawing: bladeDrawing(n("section"), n("teeth")),
      figures: [
        { label: "teeth in the section", value: quantity("ratio", inIt), decimals: 1 },
        { label: "teeth an inch for two, at least", value: quantity("ratio", least.two), decimals: 1 },
        { label: "for three, better", value: quantity("ratio", least.three), decimals: 1 },
        { label: "blade speed, at least", value: quantity("cuttingSpeed", speed[0]) },
        { label: "blade speed, at most", value: quantity("cuttingSpeed", speed[1]) },
      ],
      working: {
        lines: [
          line("section", mm(n("section"))),
          line("teeth an inch", count(n("teeth"))),
          line("teeth in the section: section × teeth an inch ÷ 25.4", quantity("ratio", inIt), {
            sum: true,
            decimals: 1,
          }),
        ],
        notes: [words("Speeds are guesses of the trade for a bimetal band; a carbon band runs at half.")],
      },
      warnings:
        inIt < teethInSection.least
          ? [
              stop(
                say`Fewer than two teeth are in the section: they catch and strip. Fit a blade of ${Math.ceil(least.two)} teeth an inch or finer.`,
              ),
            ]
          : inIt < teethInSection.better
            ? [note(words("Two teeth are enough for thin metal fed lightly; three cut smoother."))]
            : inIt > teethInSection.most
              ? [warn(words("So many teeth fill with chips and rub: a coarser blade cuts faster and truer."))]
              : [],
    });
  },
};
