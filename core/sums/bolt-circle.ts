import { boltCircleDrawing } from "../figure/index.ts";
import { onCircle } from "../part/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** More holes than anyone sets one by one. */
const mostHoles = 60;

/** Positions of holes on a circle. */
export const boltCircleSum: Sum = {
  id: "bolt-circle",
  title: "Bolt circle",
  what: "X and Y of every hole on a circle, from any zero, and the distance between neighbors to check.",
  fields: [
    number("holes", "Holes", "count", "6"),
    number("diameter", "Circle", "length", { mm: "60", in: "2.5" }),
    number("start", "First hole at", "angle", "0", { signed: true, help: "From X, to the left round." }),
    number("x", "Center X", "length", { mm: "50", in: "2" }, { signed: true }),
    number("y", "Center Y", "length", { mm: "30", in: "1.25" }, { signed: true }),
  ],
  work: ({ n }) => {
    const holes = n("holes");
    if (!Number.isInteger(holes) || holes < 1 || holes > mostHoles || !(n("diameter") > 0))
      return refused(
        words(`Holes must be a whole number from 1 to ${mostHoles}, the circle above zero.`),
        words("Correct them."),
      );
    const r = n("diameter") / 2;
    const at = onCircle(holes, r, n("start"), 360 / holes, [n("x"), n("y")]).map(([x, y], i) => ({
      i,
      angle: n("start") + (360 * i) / holes,
      x,
      y,
    }));
    const apart = holes > 1 ? n("diameter") * Math.sin(Math.PI / holes) : 0;
    return done({
      figures: [
        { label: "between neighbors, center to center", value: mm(apart), decimals: 3 },
        { label: "angle between them", value: quantity("angle", 360 / holes), decimals: 3 },
      ],
      drawing: boltCircleDrawing(at, [n("x"), n("y")], r),
      rows: {
        head: ["hole", "angle", "X", "Y"],
        of: at.map(({ i, angle, x, y }) => [count(i + 1), quantity("angle", angle), mm(x), mm(y)]),
      },
      working: {
        lines: [
          line("radius", mm(r)),
          line("first hole, X", mm(at[0]!.x), { decimals: 3, formula: "bolt-circle" }),
          line("between neighbors", mm(apart), { decimals: 3, sum: true, formula: "chord-of-angle" }),
        ],
        notes: [words("Measure between neighbors over pins: it proves circle and count at once.")],
      },
      warnings: [],
    });
  },
};
