import { viseDrawing } from "../figure/index.ts";
import { holdingSafety, screwEfficiency } from "../handbook/index.ts";
import { pairInVise, screwForce, tipInJaws } from "../holding/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, say, warn, type Warning, words } from "../working/index.ts";
import { frictionField, frictionOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** What a vise holds against slipping and tipping. */
export const viseSum: Sum = {
  id: "vise",
  title: "Vise",
  what: "What the torque at the handle holds, against slipping and against tipping over the jaw.",
  fields: [
    number(
      "pull",
      "Torque at the handle",
      "torque",
      { mm: "40", in: "350" },
      {
        help: "Length of the handle times how hard it is pulled.",
      },
    ),
    number("lead", "Lead of the screw", "length", { mm: "5", in: "0.2" }),
    frictionField,
    number(
      "force",
      "Side force of the cut",
      "force",
      { mm: "600", in: "135" },
      {
        help: "Power and force works it out.",
      },
    ),
    number("grip", "Grip, without chamfers", "length", { mm: "25", in: "1" }),
    number("above", "Cut above the jaw", "length", { mm: "15", in: "0.6" }),
    number("other", "A second part beside it differs by", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const clamp = screwForce(n("pull"), n("lead"));
    const tip = clamp === null ? null : tipInJaws(clamp, n("force"), n("above"), n("grip"));
    if (clamp === null || !tip)
      return refused(
        words("Torque, lead, force, grip and height must be above zero."),
        words("Correct them."),
      );
    const mu = frictionOf(c("friction"));
    const slips = 2 * mu * clamp;
    const holds = slips / holdingSafety;
    const tips = (n("force") * tip.safety) / holdingSafety;
    const warnings: Warning[] = [];
    if (n("force") > holds)
      warnings.push(
        warn(
          rule(
            "M12.slips",
          )`${quantity("force", n("force"))} is more than the ${quantity("force", holds)} it holds with a safety of ${holdingSafety}: tighten more, put paper at the jaws, or cut lighter.`,
        ),
      );
    if (n("force") > tips)
      warnings.push(
        warn(
          rule(
            "M12.tips",
          )`It tips over the jaw from ${quantity("force", tips)} with a safety of ${holdingSafety}: grip deeper, or cut lighter.`,
        ),
      );
    if (!Number.isNaN(n("other"))) warnings.push(...pairInVise(0, n("other"), false));
    return done({
      drawing: viseDrawing(n("grip"), n("above"), quantity("force", clamp), quantity("force", n("force"))),
      figures: [
        { label: "side force it holds", value: quantity("force", Math.min(holds, tips)) },
        { label: "clamp force", value: quantity("force", clamp) },
        { label: "safety against slipping", value: quantity("ratio", slips / n("force")) },
        { label: "safety against tipping", value: quantity("ratio", tip.safety) },
      ],
      working: {
        lines: [
          line("clamp force", quantity("force", clamp), {
            formula: "screw-force",
            terms: [
              ["T", quantity("torque", n("pull"))],
              ["η", quantity("ratio", screwEfficiency)],
              ["lead", mm(n("lead"))],
            ],
          }),
          line("held against slipping", quantity("force", holds), {
            formula: "friction-holds",
            terms: [["μ", quantity("ratio", mu)]],
            source: "two jaws count two contacts; safety 2.5 (guess)",
          }),
          line("held against tipping", quantity("force", tips), {
            formula: "tipping",
            terms: [
              ["grip", mm(n("grip"))],
              ["height", mm(n("above"))],
            ],
            source: "about the top of the jaw, the clamp force at the center of the grip",
          }),
          line("the smaller of the two", quantity("force", Math.min(holds, tips)), { sum: true }),
        ],
        notes: [say`A rod at the moving jaw rolls: against lift and tipping it holds nothing of its own.`],
      },
      warnings,
    });
  },
};
