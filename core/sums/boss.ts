import { bossPlaces, roundBossDrawing } from "../figure/index.ts";
import { roundPath, sideReadings } from "../locate/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Where the spindle stands round a boss, or a finished rebate: rectangular or round. */
export const bossSum: Sum = {
  id: "boss",
  title: "Boss and rebate",
  what: "Where the spindle goes for the four sides of what is left standing, or the radius round a round one.",
  fields: [
    choice(
      "shape",
      "Left standing",
      [
        ["square", "a rectangle"],
        ["round", "a round boss, on a rotary table"],
      ],
      "square",
    ),
    number("x", "Along X, or its diameter", "length", { mm: "30", in: "1.25" }),
    number("y", "Along Y", "length", { mm: "20", in: "0.75" }, { mayBeEmpty: true }),
    number("cutter", "Cutter diameter, as it cuts", "length", { mm: "12", in: "0.5" }),
    number("left", "Left for a later cut", "length", "0"),
    choice(
      "datum",
      "Zero lies at",
      [
        ["center", "its center"],
        ["corner", "its low corner"],
      ],
      "center",
    ),
  ],
  work: ({ n, c }) => {
    const [x, cutter, left] = [n("x"), n("cutter"), n("left")];
    const y = Number.isNaN(n("y")) ? x : n("y");
    const none = () => refused(words("Boss and cutter sizes must be above zero."), words("Correct them."));
    if (c("shape") === "round") {
      const radius = roundPath(x, cutter, left, "boss");
      if (radius === null) return none();
      return done({
        drawing: roundBossDrawing(x, cutter, radius),
        figures: [{ label: "axis to axis of the boss", value: mm(radius), decimals: 3 }],
        working: {
          lines: [
            line("half the boss", mm(x / 2), { decimals: 3 }),
            line("half the cutter", mm(cutter / 2), { decimals: 3 }),
            line("left", mm(left), { decimals: 3 }),
            line("together", mm(radius), { decimals: 3, sum: true }),
          ],
        },
        warnings: [],
      });
    }
    const at = sideReadings({ x, y }, cutter, left, c("datum") === "corner" ? "corner" : "center", "outside");
    if (!at) return none();
    return done({
      drawing: bossPlaces(at, { x, y }, cutter),
      figures: [
        { label: "left side, X", value: mm(at.xMinus), decimals: 3 },
        { label: "right side, X", value: mm(at.xPlus), decimals: 3 },
        { label: "front, Y", value: mm(at.yMinus), decimals: 3 },
        { label: "back, Y", value: mm(at.yPlus), decimals: 3 },
      ],
      working: {
        lines: [
          line("half the cutter and what is left", mm(cutter / 2 + left), { decimals: 3 }),
          line("from side to side of the axis, X", mm(at.xPlus - at.xMinus), { decimals: 3 }),
          line("from side to side of the axis, Y", mm(at.yPlus - at.yMinus), { decimals: 3, sum: true }),
        ],
        notes: [
          words("From the center both sides are ± half of boss and cutter: it comes out central by itself."),
        ],
      },
      warnings: [],
    });
  },
};
