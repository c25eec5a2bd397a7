import { wallsDrawing } from "../figure/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, stop, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

const sides = ["left", "right", "front", "back"] as const;

/** Walls of a box or casting read at four sides: how far the inside lies off, and what a rebate leaves of them. */
export const wallsSum: Sum = {
  id: "walls",
  title: "Opposite walls",
  what: "How far an inside lies off the outside by the thickness of its walls, where to put the middle, and what a rebate leaves.",
  fields: [
    ...sides.map((side, i) =>
      number(side, `Wall at the ${side}`, "length", {
        mm: ["6.2", "5.4", "5.9", "5.7"][i]!,
        in: ["0.244", "0.213", "0.232", "0.224"][i]!,
      }),
    ),
    number(
      "rebate",
      "A rebate goes into them by; may be left",
      "length",
      { mm: "2", in: "0.08" },
      { mayBeEmpty: true },
    ),
  ],
  work: ({ n }) => {
    const read = sides.map((side) => n(side));
    if (read.some((v) => !(v > 0)))
      return refused(words("A wall has some thickness."), words("Read all four."));
    const mean = read.reduce((s, v) => s + v / 4, 0);
    const along = (n("left") - n("right")) / 2;
    const across = (n("front") - n("back")) / 2;
    const rebate = Number.isNaN(n("rebate")) ? 0 : n("rebate");
    const thinnest = Math.min(...read);
    const left = thinnest - rebate;
    const even = mean - rebate;
    return done({
      drawing: wallsDrawing({ left: n("left"), right: n("right"), front: n("front"), back: n("back") }),
      figures: [
        { label: "shift to the right for even walls", value: mm(-along), decimals: 3 },
        { label: "shift to the back for even walls", value: mm(across), decimals: 3 },
        { label: "walls, mean", value: mm(mean), decimals: 3 },
        { label: "walls, range", value: mm(Math.max(...read) - thinnest), decimals: 3 },
        ...(rebate > 0 ? [{ label: "left of the thinnest, not shifted", value: mm(left), decimals: 3 }] : []),
      ],
      working: {
        lines: [
          line("left less right, halved", mm(along), { decimals: 3 }),
          line("front less back, halved", mm(across), { decimals: 3 }),
          line("mean of all four", mm(mean), { decimals: 3, sum: true }),
          ...(rebate > 0
            ? [
                line("thinnest less the rebate", mm(left), { decimals: 3 }),
                line("mean less the rebate: with even walls", mm(even), { decimals: 3 }),
              ]
            : []),
        ],
        notes: [
          words(
            "Half the difference of two opposite walls is how far the inside lies off the outside: shift the datum by it, and both are even.",
          ),
        ],
      },
      warnings:
        rebate === 0
          ? []
          : left <= 0
            ? [
                stop(
                  words("The rebate goes through the thinnest wall. Shift the datum, or make it less deep."),
                ),
              ]
            : left < rebate / 2
              ? [
                  warn(
                    words(
                      "Little is left of the thinnest wall. Shift the datum first, take light cuts, and back the wall.",
                    ),
                  ),
                ]
              : [],
    });
  },
};
