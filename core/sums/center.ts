import { centerDrawing } from "../figure/index.ts";
import { centerOfTwo } from "../locate/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** The middle between two faces, touched from both sides. */
export const centerSum: Sum = {
  id: "centre",
  title: "Center of two touches",
  what: "The middle and the width from two touches on opposite faces: a slot, a bore, a block.",
  fields: [
    choice(
      "touch",
      "Touched",
      [
        ["outside", "outside: a block, a shaft"],
        ["inside", "inside: a slot, a bore"],
      ],
      "outside",
    ),
    number("first", "First reading", "length", { mm: "-5.05", in: "-0.102" }, { signed: true }),
    number("second", "Second reading", "length", { mm: "65.05", in: "2.602" }, { signed: true }),
    number("tool", "Tool diameter", "length", { mm: "10", in: "0.2" }),
    number("medium", "Paper, tape or gap", "length", { mm: "0.05", in: "0.002" }),
  ],
  work: ({ n, c }) => {
    const [a, b, tool, medium] = [n("first"), n("second"), n("tool"), n("medium")];
    const touch = c("touch") === "inside" ? "inside" : "outside";
    const found = medium < 0 ? null : centerOfTwo(a, b, tool, medium, touch);
    if (!found)
      return refused(
        words("The tool does not fit between these readings, or it has no diameter."),
        words("Check the readings, and whether they were taken inside or outside."),
      );
    return done({
      drawing: centerDrawing(touch === "inside", tool, found.width),
      figures: [
        { label: "center", value: mm(found.center), decimals: 3 },
        { label: "width", value: mm(found.width), decimals: 3 },
        { label: "move from the second touch", value: mm(found.center - b), decimals: 3 },
      ],
      working: {
        lines: [
          line("first reading", mm(a), { decimals: 3 }),
          line("second reading", mm(b), { decimals: 3 }),
          line("half their sum", mm(found.center), { decimals: 3, sum: true }),
          line(
            touch === "outside"
              ? "apart, less tool and twice the paper"
              : "apart, with tool and twice the paper",
            mm(found.width),
            {
              decimals: 3,
            },
          ),
        ],
        notes: [
          words("The tool's diameter and the paper cancel out of the center: only the width needs them."),
        ],
      },
      warnings: [],
    });
  },
};
