import { runDrawing } from "../figure/index.ts";
import { mm, quantity, tidy } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, warn, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** What a face is for, how true it is usually wanted over 100 mm, and how that is proved (guess). */
const purposes = [
  ["cover", "Cover, guard, bracket", 0.2, "a square and the light behind it"],
  ["bolted", "Bolted face", 0.05, "an indicator run, or a square with a feeler"],
  ["slide", "Slide or fit", 0.02, "an indicator on a plate"],
  ["tool", "Fixture, vise jaw, parallel", 0.01, "an indicator on a plate, read by reversal"],
  ["gauge", "Gauge, square, sine bar", 0.003, "a cylinder square or a second square, by reversal"],
] as const;

/** How true a face is, and whether that does for what it is wanted for. */
export const howTrueSum: Sum = {
  id: "how-true",
  title: "True enough?",
  what: "An error over a length against what the face is for: whether it does, by how many times it misses, what would prove it.",
  fields: [
    choice(
      "purpose",
      "What it is for",
      purposes.map(([id, name]) => [id, name] as const),
      "bolted",
    ),
    number("error", "Error that was read", "chip", { mm: "0.03", in: "0.0012" }),
    number("over", "Over", "length", { mm: "80", in: "3" }),
    number("own", "Or wanted over 100 mm", "chip", "", { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const [, name, usual, how] = purposes.find(([id]) => id === c("purpose")) ?? purposes[1];
    const wanted = Number.isNaN(n("own")) ? usual : n("own");
    if (!(n("over") > 0) || !(n("error") >= 0) || !(wanted > 0))
      return refused(words("The length and what is wanted must be above zero."), words("Correct them."));
    const found = tidy((n("error") / n("over")) * 100);
    const times = found / wanted;
    return done({
      drawing: runDrawing(0, n("error"), n("over"), name),
      figures: [
        { label: "over 100 mm", value: mm(found), decimals: 3 },
        { label: "wanted, over 100 mm", value: mm(wanted), decimals: 3 },
        { label: "times what is wanted", value: quantity("count", times), decimals: 2 },
        {
          label: "angle",
          value: quantity("angle", (Math.atan(n("error") / n("over")) * 180) / Math.PI),
          decimals: 3,
        },
      ],
      working: {
        lines: [
          line("error ÷ length × 100 mm", mm(found), { decimals: 3 }),
          line("wanted over 100 mm", mm(wanted), {
            decimals: 3,
            source: Number.isNaN(n("own")) ? "usual for it (guess)" : "as you want it",
          }),
          line("one by the other", quantity("count", times), { decimals: 2, sum: true }),
        ],
        notes: [say`It is proved by ${how}, good to an eighth of ${mm(wanted)}.`],
      },
      warnings: [
        times <= 1
          ? note(rule("true.enough")`It does for that.`)
          : warn(rule("true.misses")`It misses by ${quantity("count", times)} times: not for that.`),
      ],
    });
  },
};
