import { trialsDrawing } from "../../figure/index.ts";
import { holdingSafety } from "../../handbook/index.ts";
import { screwForce } from "../../holding/index.ts";
import { mm, quantity, tidy } from "../../quantity/index.ts";
import { capital, done, line, note, refused, rule, say, words } from "../../working/index.ts";
import { frictionField, frictionOf } from "../choices.ts";
import { number, type Sum } from "../sum.ts";

/** Pulls that are tried: a light one, the usual, a hard one. */
const pulls = [
  ["light", "A light pull", "15", "130", "0.004", "0.00016"],
  ["usual", "Your usual pull", "40", "350", "0.015", "0.0006"],
  ["hard", "A hard pull", "70", "620", "0.035", "0.0014"],
] as const;

/** How far the jaw moves by how hard it is pulled: the pull that holds the cut and moves the part least. */
export const visePull: Sum = {
  id: "vise-pull",
  title: "Tight enough",
  what: "The jaw's movement at three pulls of the handle against the force of the cut: the lightest pull that holds.",
  fields: [
    ...pulls.flatMap(([key, name, nm, lb, by, inch]) => [
      number(`${key}T`, name, "torque", { mm: nm, in: lb }),
      number(`${key}M`, `the jaw moves then`, "chip", { mm: by, in: inch }),
    ]),
    number("lead", "Lead of the screw", "length", { mm: "5", in: "0.2" }),
    number("force", "Side force of the cut", "force", { mm: "600", in: "135" }),
    frictionField,
  ],
  work: ({ n, c }) => {
    const tried = pulls.map(([key, name]) => ({
      name: name.toLowerCase(),
      torque: n(`${key}T`),
      moves: n(`${key}M`),
      clamp: screwForce(n(`${key}T`), n("lead")),
    }));
    if (tried.some((t) => t.clamp === null || t.clamp <= 0 || t.moves < 0) || !(n("force") > 0))
      return refused(words("Pulls, lead and force must be above zero."), words("Correct them."));
    const needed = (n("force") * holdingSafety) / (2 * frictionOf(c("friction")));
    const enough = tried.toSorted((a, b) => a.torque - b.torque).find((t) => t.clamp! >= needed);
    const hard = tried.reduce((a, b) => (b.torque > a.torque ? b : a));
    const pull = (needed / hard.clamp!) * hard.torque;
    return done({
      drawing: trialsDrawing(
        "How far the jaw moves, by the pull.",
        tried.map((t) => t.moves),
        0,
      ),
      figures: [
        { label: "the cut needs a pull of", value: quantity("torque", pull), decimals: 0 },
        {
          label: enough ? "the jaw moves at the pull that holds" : "the jaw moves at the hardest",
          value: mm((enough ?? hard).moves),
          decimals: 3,
        },
        {
          label: "saved against the hardest pull",
          value: mm(tidy(hard.moves - (enough ?? hard).moves)),
          decimals: 3,
        },
      ],
      working: {
        lines: [
          ...tried.map((t) => line(say`${t.name} clamps with`, quantity("force", t.clamp!))),
          line("the cut needs: force × safety ÷ (2 × friction)", quantity("force", needed), { sum: true }),
          line("pull that gives it", quantity("torque", pull), { sum: true }),
        ],
        notes: [
          words(
            "Zero after clamping, and before the last pass clamp anew with the lightest pull that holds.",
          ),
        ],
      },
      warnings: [
        enough
          ? note(rule("pull.enough")`${capital(enough.name)} is tight enough: harder only moves the jaw.`)
          : note(
              rule(
                "pull.short",
              )`None of these holds that cut with a safety of ${holdingSafety}: cut lighter, or grip deeper.`,
            ),
      ],
    });
  },
};
