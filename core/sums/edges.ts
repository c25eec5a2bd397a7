import { edgesDrawing } from "../figure/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, say, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A line off the middle of a width: how far both edges are from it, and how a widening on one side moves the middle. */
export const edgesSum: Sum = {
  id: "edges",
  title: "Center line to edges",
  what: "How far both edges lie from a line that is off the middle, and how far the middle moves when one side is widened.",
  fields: [
    number("width", "Width", "length", { mm: "60", in: "2-3/8" }),
    number("off", "The line lies off the middle by", "length", { mm: "4", in: "0.16" }),
    number(
      "wider",
      "One side made wider by; may be left",
      "length",
      { mm: "0.3", in: "0.012" },
      { mayBeEmpty: true, signed: true },
    ),
  ],
  work: ({ n }) => {
    const [width, off] = [n("width"), n("off")];
    const wider = Number.isNaN(n("wider")) ? 0 : n("wider");
    if (!(width > 0) || !(off >= 0) || off > width / 2 || width + wider <= 0)
      return refused(
        words("The line lies within the width."),
        words("Count it from the middle: at most half the width."),
      );
    const near = width / 2 - off;
    return done({
      drawing: edgesDrawing(width, near),
      figures: [
        { label: "to the near edge", value: mm(near), decimals: 3 },
        { label: "to the far edge", value: mm(width - near), decimals: 3 },
        ...(wider === 0 ? [] : [{ label: "the middle moves by", value: mm(wider / 2), decimals: 3 }]),
      ],
      working: {
        lines: [
          line("half the width", mm(width / 2), { decimals: 3 }),
          line("less what it lies off", mm(off), { decimals: 3 }),
          line("near edge", mm(near), { sum: true, decimals: 3 }),
          line("width less that: far edge", mm(width - near), { sum: true, decimals: 3 }),
        ],
        notes:
          wider === 0
            ? []
            : [
                say`Cut ${mm(Math.abs(wider))} ${wider > 0 ? "wider" : "narrower"} on one side alone, the middle moves ${mm(Math.abs(wider) / 2)} toward ${wider > 0 ? "that side" : "the other"}. A place that is out by ${mm(Math.abs(wider))} is not explained by it.`,
              ],
      },
      warnings: [],
    });
  },
};
