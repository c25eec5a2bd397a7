import { landDrawing } from "../figure/index.ts";
import { mm, notNegative, quantity } from "../quantity/index.ts";
import { done, line, refused, say, stop, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A land that has to go between two obstacles: how wide it may be, and how much weaker that makes it. */
export const landSum: Sum = {
  id: "land",
  title: "Land between obstacles",
  what: "How wide a land may be between two obstacles, and how it then stands against the one that was drawn.",
  fields: [
    number("room", "Room between them", "length", { mm: "20", in: "0.8" }),
    number("clear", "To stay clear of each", "length", { mm: "1.5", in: "0.06" }),
    number("drawn", "Width as drawn", "length", { mm: "18", in: "0.7" }),
  ],
  work: ({ n }) => {
    const [room, clear, drawn] = [n("room"), n("clear"), n("drawn")];
    const land = room - 2 * clear;
    if (!notNegative(room, clear, drawn) || !(land > 0) || !(drawn > 0))
      return refused(
        words("Nothing is left between the clearances."),
        words("Stay less clear, or move an obstacle."),
      );
    const width = Math.min(land, drawn);
    const share = (100 * width) / drawn;
    const bends = 100 * (width / drawn) ** 3;
    return done({
      drawing: landDrawing(room, width),
      figures: [
        { label: "land, at most", value: mm(land), decimals: 2 },
        { label: "percent of the section drawn", value: quantity("ratio", share), decimals: 0 },
        { label: "percent of its stiffness sideways", value: quantity("ratio", bends), decimals: 0 },
      ],
      working: {
        lines: [
          line("room", mm(room)),
          line("clear of both", mm(2 * clear)),
          line("land, at most", mm(land), { sum: true }),
          line("width over the width drawn", quantity("ratio", share / 100), { decimals: 2 }),
          line("to the third: stiffness sideways", quantity("ratio", bends / 100), { decimals: 2 }),
        ],
        notes: [words("Pull and shear go with the section, bending sideways with its third power.")],
      },
      warnings:
        land >= drawn
          ? []
          : share < 50
            ? [stop(words("Less than half the section is left. Ask whoever drew it."))]
            : [warn(say`It is ${mm(drawn - land)} narrower than drawn: a deviation, to be agreed.`)],
    });
  },
};
