import { keyDrawing } from "../figure/index.ts";
import { cutterRunOut, type KeyStandard, keyseatLines, parallelKeyOf } from "../part/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Parallel key and keyseat of a shaft, depth from the crown and from the edge. */
export const keySum: Sum = {
  id: "key",
  title: "Parallel key",
  what: "The key of a shaft, and how deep its seat is: from the crown, from the edge, and as a caliper reads it.",
  fields: [
    choice(
      "standard",
      "Standard",
      [
        ["din", "metric, DIN 6885-1 and ISO 773"],
        ["square", "inch, ASME B17.1, square"],
        ["flat", "inch, ASME B17.1, flat"],
      ],
      "din",
    ),
    number("shaft", "Shaft diameter", "length", { mm: "28", in: "1 1/8" }),
    number("cutter", "Side-and-face cutter, for an open seat", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const found = parallelKeyOf(n("shaft"), c("standard") as KeyStandard);
    if (!found.ok) return found;
    const { width, height, depth, hub, plus, fromCrown, name, source } = found.value;
    const cutter = n("cutter");
    const runOut = Number.isNaN(cutter) ? null : cutterRunOut(cutter, depth.atWall);
    if (!Number.isNaN(cutter) && runOut === null)
      return refused(
        words("The cutter must be larger than the seat is deep."),
        words("Take a larger cutter, or leave it empty."),
      );
    return done({
      drawing: keyDrawing(n("shaft"), width, height, depth.fromCrown),
      figures: [
        { label: "key width", value: mm(width) },
        { label: "key height", value: mm(height) },
        { label: "seat depth from the crown", value: mm(depth.fromCrown), decimals: 3 },
        { label: "from the edge of the seat", value: mm(depth.atWall), decimals: 3 },
        { label: "floor to the far side (S)", value: mm(depth.overOpposite), decimals: 3 },
        { label: "hub, bore to the far keyway (T)", value: mm(n("shaft") + hub), decimals: 3 },
        ...(runOut === null ? [] : [{ label: "the cutter runs on past the end by", value: mm(runOut) }]),
      ],
      working: {
        lines: [
          line(`key ${name}`, mm(width), { source }),
          ...keyseatLines(n("shaft"), width, depth, fromCrown),
          line("may be deeper by", mm(plus), { decimals: 3 }),
          ...(runOut === null
            ? []
            : [line("runs on past the end", mm(runOut), { formula: "cutter-run-out" as const })]),
        ],
        notes: [
          words(
            "Metric tables count the depth from the crown, inch tables at the side wall: taken for one another a seat comes out wrong by the height of the crown over the edge.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
