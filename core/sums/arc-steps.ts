import { cylinderStairs } from "../recipes/index.ts";
import { stairPlaces } from "../figure/index.ts";
import { count, mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A round along the part cut in steps with the side of an end mill. */
export const arcStepsSum: Sum = {
  id: "arc-steps",
  title: "Arc in steps",
  what: "Depths and places of the spindle for a crown or a round edge, in the fewest steps that leave no more than a cusp.",
  fields: [
    number("radius", "Radius of the round", "length", { mm: "10", in: "0.375" }),
    number("depth", "Cut down from its top by", "length", { mm: "10", in: "0.375" }),
    number("cutter", "Cutter diameter, as it cuts", "length", { mm: "12", in: "0.5" }),
    number("cusp", "Cusp that may stand, to be filed off", "length", { mm: "0.3", in: "0.012" }),
  ],
  work: ({ n }) => {
    const [radius, depth, cutter, cusp] = [n("radius"), n("depth"), n("cutter"), n("cusp")];
    const stairs = cylinderStairs(radius, cutter, depth, cusp);
    if (!stairs)
      return refused(
        words("Depth must be between zero and the radius, in at most two hundred steps."),
        words("Correct radius and depth, or let more stand out."),
      );
    return done({
      drawing: stairPlaces(stairs, radius, cutter),
      figures: [
        { label: "steps", value: count(stairs.length) },
        { label: "first step, axis from the center line", value: mm(stairs[0]!.axis), decimals: 3 },
      ],
      rows: {
        head: ["step", "depth below the top", "axis from the center line"],
        of: stairs.map((s, i) => [count(i + 1), mm(s.depth), mm(s.axis)]),
      },
      working: {
        lines: [
          line("half the width there", mm(stairs[0]!.half), {
            formula: "arc-step",
            terms: [
              ["R", mm(radius)],
              ["z", mm(stairs[0]!.depth)],
            ],
            decimals: 3,
          }),
          line("and half the cutter", mm(cutter / 2), { decimals: 3 }),
          line("axis from the center line", mm(stairs[0]!.axis), { decimals: 3, sum: true }),
        ],
        notes: [
          words(
            "Both sides at every depth before the next; the inner corners of the steps lie on the arc. File to a template.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
