import { mostRings, pocketMoves } from "../recipes/index.ts";
import { pocketPlaces } from "../figure/index.ts";
import { count, mm } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, type Warning, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Rings of the spindle that clear a rectangular pocket, counted from its middle. */
export const pocketSum: Sum = {
  id: "pocket",
  title: "Pocket",
  what: "The rings of the spindle round the center of a pocket, from the inside out, and the last one along its walls.",
  fields: [
    number("x", "Along X", "length", { mm: "40", in: "1.5" }),
    number("y", "Along Y", "length", { mm: "30", in: "1" }),
    number("radius", "Corner radius wanted", "length", { mm: "5", in: "0.1875" }),
    number("cutter", "Cutter diameter, as it cuts", "length", { mm: "10", in: "0.375" }),
    number("leave", "Left on the walls for the last ring", "length", { mm: "0.25", in: "0.01" }),
  ],
  work: ({ n }) => {
    const [x, y, radius, cutter, leave] = [n("x"), n("y"), n("radius"), n("cutter"), n("leave")];
    const moves = pocketMoves({ x, y }, cutter, leave);
    if (!moves && cutter > 0 && cutter <= Math.min(x, y))
      return refused(
        say`A ${mm(cutter)} cutter takes more than ${mostRings} rings to clear ${mm(x)} by ${mm(y)}.`,
        words("Use a larger cutter to clear it, and a small one for the corners only."),
      );
    if (!moves)
      return refused(
        say`A cutter of ${mm(cutter)} does not go into a pocket of ${mm(x)} by ${mm(y)}.`,
        words("Use a smaller cutter, or correct the pocket."),
      );
    const warnings: Warning[] = [];
    if (moves.cornerRadius > radius + 1e-9)
      warnings.push(
        warn(
          rule(
            "M20.corner",
          )`The corners come out with ${mm(moves.cornerRadius)}, larger than ${mm(radius)}: use a cutter of ${mm(2 * radius)} or less for them.`,
        ),
      );
    else if (moves.cornerRadius < radius - 1e-9)
      warnings.push(
        note(
          say`The corners come out with ${mm(moves.cornerRadius)}, smaller than ${mm(radius)}: right only when the drawing says R max. Else finish with a cutter of ${mm(2 * radius)}.`,
        ),
      );
    const { rings, finish } = moves;
    return done({
      drawing: pocketPlaces(moves, { x, y }, cutter),
      figures: [
        { label: "rings to clear it", value: count(rings.length) },
        { label: "last ring, X to either side", value: mm(finish.x), decimals: 3 },
        { label: "last ring, Y to either side", value: mm(finish.y), decimals: 3 },
      ],
      rows: {
        head: ["ring", "X ±", "Y ±"],
        of: [...rings, finish].map((ring, i) => [count(i + 1), mm(ring.x), mm(ring.y)]),
      },
      working: {
        lines: [
          line("half of X − cutter", mm(finish.x), { decimals: 3 }),
          line("half of Y − cutter", mm(finish.y), { decimals: 3 }),
          line("left for the last ring", mm(leave), { decimals: 3 }),
          line(
            "each ring wider by, at most 0.6 of the cutter",
            mm(rings.length > 1 ? rings[1]!.x - rings[0]!.x : 0),
            {
              decimals: 3,
              sum: true,
            },
          ),
        ],
        notes: [
          words(
            "Start in a drilled hole or with a cutter that cuts over its center. Rough conventional, finish each wall at full depth.",
          ),
        ],
      },
      warnings,
    });
  },
};
