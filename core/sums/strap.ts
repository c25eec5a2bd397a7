import { strapDrawing } from "../figure/index.ts";
import { holdingSafety } from "../handbook/index.ts";
import {
  boltForce,
  oneStrapTurns,
  strapShare,
  strapsNeeded,
  studLength,
  type StudStack,
  studWarnings,
} from "../holding/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, warn, type Warning, words } from "../working/index.ts";
import { frictionField, frictionOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** Straps on the table: what they press, how many, and the stud they want. */
export const strapSum: Sum = {
  id: "strap",
  title: "Straps",
  what: "What a strap presses on the work, how many hold the cut, and how long its stud must be.",
  fields: [
    number("force", "Side force of the cut", "force", { mm: "600", in: "135" }),
    frictionField,
    number("diameter", "Stud", "length", { mm: "12", in: "1/2" }),
    number("torque", "Torque at the nut", "torque", { mm: "25", in: "220" }),
    number("toWork", "Stud to where it presses", "length", { mm: "30", in: "1.2" }),
    number("toHeel", "Stud to the packing at its heel", "length", { mm: "60", in: "2.4" }),
    number("straps", "Straps", "count", "2"),
    number("stops", "Stops", "count", "0"),
    number("passes", "Stud passes lips, part and strap", "length", { mm: "58", in: "2.3" }),
    number("nut", "Nut", "length", { mm: "10", in: "7/16" }),
    number("tNut", "T-nut", "length", { mm: "12", in: "1/2" }),
    number("length", "Length of the stud", "length", { mm: "90", in: "3 1/2" }),
    number("slot", "Slot of the table", "length", { mm: "14", in: "0.55" }),
    number("tNutWidth", "T-nut is wide", "length", { mm: "13.8", in: "0.54" }),
  ],
  work: ({ n, c }) => {
    const bolt = boltForce(n("torque"), n("diameter"));
    const share = bolt === null ? null : strapShare(bolt, n("toWork"), n("toHeel"));
    const mu = frictionOf(c("friction"));
    const needed = share ? strapsNeeded(holdingSafety, n("force"), mu, share.onWork) : null;
    const whole = Number.isInteger(n("straps")) && n("straps") >= 1 && Number.isInteger(n("stops"));
    const stack: StudStack = {
      passes: [n("passes")],
      nut: n("nut"),
      tNut: n("tNut"),
      diameter: n("diameter"),
      length: n("length"),
      slot: n("slot"),
      tNutWidth: n("tNutWidth"),
      underTNut: 0.3 * n("diameter"),
    };
    const stud = studLength(stack);
    if (bolt === null || !share || !needed || !whole || !(n("slot") > 0))
      return refused(
        words("Stud, torque, distances and slot must be above zero; straps and stops are whole numbers."),
        words("Correct them."),
      );
    const warnings: Warning[] = [...oneStrapTurns(n("straps"), n("stops")), ...studWarnings(stack, bolt)];
    if (n("straps") < needed.byFriction)
      warnings.push(
        warn(
          rule(
            "M15.tooFew",
          )`${n("straps")} straps will not hold this cut: it takes ${needed.byFriction}, at a safety of ${holdingSafety}.`,
        ),
      );
    return done({
      drawing: strapDrawing(n("toWork"), n("toHeel"), quantity("force", share.onWork)),
      figures: [
        { label: "straps", value: count(needed.advised) },
        { label: "each presses on the work", value: quantity("force", share.onWork) },
        { label: "and on its packing", value: quantity("force", share.onHeel) },
        { label: "pull in the stud", value: quantity("force", bolt) },
        { label: "shortest stud", value: mm(stud) },
      ],
      working: {
        lines: [
          line("pull in the stud", quantity("force", bolt), {
            formula: "bolt-force",
            terms: [
              ["T", quantity("torque", n("torque"))],
              ["d", mm(n("diameter"))],
            ],
          }),
          line("on the work", quantity("force", share.onWork), {
            formula: "strap-share",
            terms: [
              ["to work", mm(n("toWork"))],
              ["to heel", mm(n("toHeel"))],
            ],
          }),
          line("one strap holds", quantity("force", (mu * share.onWork) / holdingSafety), {
            formula: "friction-holds",
            terms: [["μ", quantity("ratio", mu)]],
            source: "one surface under the work; safety 2.5 (guess)",
          }),
          line("straps", count(needed.advised), { sum: true }),
          line("shortest stud", mm(stud), { formula: "stud-length" }),
        ],
        notes: [
          words(
            "Every strap over a support, its packing level or slightly high, the stud near the work. One alone lets the part turn: two, or one and a stop.",
          ),
        ],
      },
      warnings,
    });
  },
};
