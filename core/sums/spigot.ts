import { spigotDrawing } from "../figure/index.ts";
import { mm, notNegative } from "../quantity/index.ts";
import { done, line, refused, stop, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A spigot for a recess: both its sizes, how high, and its corners. */
export const spigotSum: Sum = {
  id: "spigot",
  title: "Spigot for a recess",
  what: "How large and how high a spigot is for a recess as it was measured, with a gap at its sides and below.",
  fields: [
    number("length", "Recess, one way", "length", { mm: "60.04", in: "2.364" }),
    number("width", "Recess, the other way", "length", { mm: "40.02", in: "1.576" }),
    number("depth", "How deep it is", "length", { mm: "5", in: "0.2" }),
    number("corner", "Radius of its corners", "length", { mm: "4", in: "0.16" }),
    number("gap", "Gap at each side", "length", { mm: "0.03", in: "0.0012" }),
    number("below", "Gap below", "length", { mm: "0.2", in: "0.008" }),
  ],
  work: ({ n }) => {
    const [length, width, depth, corner, gap, below] = (
      ["length", "width", "depth", "corner", "gap", "below"] as const
    ).map((key) => n(key)) as [number, number, number, number, number, number];
    if (!notNegative(length, width, depth, corner, gap, below))
      return refused(words("Nothing of it is below zero."), words("Correct it."));
    const [long, wide, high] = [length - 2 * gap, width - 2 * gap, depth - below];
    if (!(long > 0) || !(wide > 0) || !(high > 0))
      return refused(words("The gaps leave nothing of the spigot."), words("Take smaller gaps."));
    const round = Math.max(0, corner - gap);
    return done({
      drawing: spigotDrawing(length, long, depth),
      figures: [
        { label: "spigot, one way", value: mm(long), decimals: 3 },
        { label: "the other way", value: mm(wide), decimals: 3 },
        { label: "how high, at most", value: mm(high), decimals: 3 },
        { label: "its corners, at least", value: mm(round), decimals: 2 },
      ],
      working: {
        lines: [
          line("recess, one way", mm(length), { decimals: 3 }),
          line("a gap at both sides", mm(2 * gap), { decimals: 3 }),
          line("spigot, one way", mm(long), { sum: true, decimals: 3 }),
          line("spigot, the other way", mm(wide), { sum: true, decimals: 3 }),
          line("recess deep, less the gap below", mm(high), { sum: true, decimals: 3 }),
          line("corner of the recess less the gap", mm(round), { decimals: 3 }),
        ],
        notes: [words("It seats on its shoulder, not on its end: that is what the gap below is for.")],
      },
      warnings: [
        ...(gap < 0.005
          ? [warn(words("With no gap it has to be pressed: try it before it is finished."))]
          : []),
        ...(2 * corner > Math.min(length, width)
          ? [stop(words("The corners are larger than the recess."))]
          : []),
      ],
    });
  },
};
