import { tiltDrawing } from "../figure/index.ts";
import { type TiltCase, tiltedStep, tiltFromRidge, tramMarks } from "../cutting/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** What a step is worth under a tilted head or part, and what a head out of tram leaves. */
export const tiltSum: Sum = {
  id: "tilt",
  title: "Tilt and tram",
  what: "How deep a step really goes with head or part tilted, and what a head out of tram leaves on a face.",
  fields: [
    choice(
      "case",
      "What is tilted and moved",
      [
        ["headKnee", "head tilted, knee or headstock moved"],
        ["headQuill", "head tilted, quill moved"],
        ["part", "part tilted"],
      ],
      "headKnee",
    ),
    number("step", "Moved by", "length", { mm: "2", in: "0.1" }),
    number("angle", "Tilt", "angle", "30"),
    number("diameter", "Cutter of the face", "length", { mm: "50", in: "2" }),
    number("width", "Lane width", "length", { mm: "35", in: "1.4" }),
    number("rise", "Tram: rise", "length", { mm: "0.02", in: "0.0008" }),
    number("sweep", "over a sweep of", "length", { mm: "200", in: "8" }),
    number(
      "ridge",
      "Ridge between two lanes, as felt or read",
      "length",
      { mm: "", in: "" },
      { mayBeEmpty: true },
    ),
  ],
  work: ({ n, c }) => {
    const tilted = tiltedStep(c("case") as TiltCase, n("step"), n("angle"));
    if (!tilted)
      return refused(
        words("A tilt lies between 0° and 89°; a tilted part needs some tilt."),
        words("Correct the angle."),
      );
    const tilt = (Math.asin(Math.min(1, n("rise") / n("sweep"))) * 180) / Math.PI;
    const marks = tramMarks(n("diameter"), n("width"), tilt, tilt);
    if (!marks || !(n("sweep") > 0))
      return refused(
        words("The lane can be no wider than the cutter, and the sweep must be above zero."),
        words("Correct lane, cutter or sweep."),
      );
    const ridge = n("ridge");
    const from = Number.isNaN(ridge) ? null : tiltFromRidge(ridge, n("width"));
    if (from === null && !Number.isNaN(ridge))
      return refused(
        words("A ridge is lower than the lanes lie apart."),
        words("Correct the ridge or the lane width."),
      );
    const shows = from === null ? null : mm(n("sweep") * Math.sin((from * Math.PI) / 180));
    const part = c("case") === "part";
    return done({
      drawing: tiltDrawing(n("angle"), n("step"), part),
      figures: [
        { label: "true depth", value: mm(tilted.depth), decimals: 3 },
        {
          label: part ? "the edge goes back" : c("case") === "headQuill" ? "and sideways" : "off the side",
          value: mm(tilted.across),
          decimals: 3,
        },
        { label: "trough across a lane", value: mm(marks.trough), decimals: 4 },
        { label: "step between lanes", value: mm(marks.step), decimals: 4 },
        ...(from === null
          ? []
          : [
              { label: "tilt that left the ridge", value: quantity("angle", from), decimals: 3 },
              { label: "the indicator shows, side to side", value: shows!, decimals: 3 },
            ]),
      ],
      working: {
        lines: [
          line("moved by", mm(n("step"))),
          line("tilt", quantity("angle", n("angle"))),
          line("true depth", mm(tilted.depth), {
            sum: true,
            decimals: 3,
            formula: part ? "tilt-part" : "tilt-depth",
          }),
          line("tram of the head", quantity("angle", tilt), {
            terms: [
              ["rise", mm(n("rise"))],
              ["over", mm(n("sweep"))],
            ],
          }),
          line("trough when tilted along the feed", mm(marks.trough), {
            decimals: 4,
            formula: "tram-trough",
          }),
          line("step when tilted across it", mm(marks.step), { decimals: 4, formula: "tram-step" }),
          ...(from === null
            ? []
            : [
                line("tilt from the ridge", quantity("angle", from), {
                  formula: "tilt-from-ridge",
                  terms: [
                    ["ridge", mm(ridge)],
                    ["lanes apart", mm(n("width"))],
                  ],
                }),
                line("swing of the indicator to correct", shows!, { decimals: 3, sum: true }),
              ]),
        ],
        notes: [
          words("After tilting a head nothing measured before holds: indicate it back, and touch off again."),
        ],
      },
      warnings: tilted.warnings,
    });
  },
};
