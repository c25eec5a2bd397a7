import { vGrooveDrawing } from "../figure/index.ts";
import { pinInV, vGroove } from "../part/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Depth of a V, and what a pin in it stands over the surface. */
export const vGrooveSum: Sum = {
  id: "v-groove",
  title: "V-groove",
  what: "How deep a V of a width is, and what a pin laid in it stands over the surface.",
  fields: [
    number("width", "Width at the surface", "length", { mm: "12", in: "0.5" }),
    number("angle", "Angle between the walls", "angle", "90"),
    number("pin", "Pin", "length", { mm: "8", in: "0.375" }),
  ],
  work: ({ n }) => {
    const v = vGroove(n("width"), n("angle"));
    const pin = pinInV(n("width"), n("angle"), n("pin"));
    if (!v || !pin)
      return refused(
        words("Width and pin must be above zero, the angle between 0° and 180°."),
        words("Correct them."),
      );
    return done({
      figures: [
        { label: "depth to the sharp bottom", value: mm(v.depth), decimals: 3 },
        { label: "pin over the surface", value: mm(pin.over), decimals: 3 },
        { label: "length of a wall", value: mm(v.wall), decimals: 3 },
      ],
      drawing: vGrooveDrawing(n("width"), v.depth, n("pin"), pin.over),
      working: {
        lines: [
          line("width", mm(n("width"))),
          line("depth", mm(v.depth), {
            decimals: 3,
            formula: "v-depth",
            terms: [["angle", quantity("angle", n("angle"))]],
          }),
          line("pin over the surface", mm(pin.over), {
            decimals: 3,
            sum: true,
            formula: "v-pin",
            terms: [["d", mm(n("pin"))]],
          }),
        ],
        notes: [words("Cut the relief slot first. The same Z on both flanks makes it central.")],
      },
      warnings: pin.touches
        ? []
        : [note(words("The pin is too large: it rests on the edges, not on the walls. Use a smaller one."))],
    });
  },
};
