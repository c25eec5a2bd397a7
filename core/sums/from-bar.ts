import { barDrawing } from "../figure/index.ts";
import { count, mm } from "../quantity/index.ts";
import { piecesFromBar } from "../stock/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Several alike from one bar: how long it must be, or how long each can be. */
export const fromBarSum: Sum = {
  id: "bar",
  title: "Pieces from a bar",
  what: "How long a bar must be for several alike, or how long each can be from a bar, with saw cuts and facing.",
  fields: [
    choice(
      "find",
      "Wanted",
      [
        ["bar", "how long the bar must be"],
        ["each", "how long each can be"],
      ],
      "bar",
    ),
    number("count", "Pieces", "count", "6"),
    number("each", "Finished length of each; for the bar", "length", { mm: "45", in: "1-3/4" }),
    number("bar", "Length of the bar; for each", "length", { mm: "300", in: "12" }),
    number("facing", "Left to mill at each end", "length", { mm: "1", in: "0.04" }),
    number("kerf", "The saw takes", "length", { mm: "2", in: "0.08" }),
    number("trim", "Sawn off the end of the bar first; may be left", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const trim = Number.isNaN(n("trim")) ? 0 : n("trim");
    const found = piecesFromBar({
      count: n("count"),
      facing: n("facing"),
      kerf: n("kerf"),
      trim,
      ...(c("find") === "each" ? { bar: n("bar") } : { finished: n("each") }),
    });
    if (!found || n("count") > 999)
      return refused(
        words(
          "Pieces are a whole number from 1 to 999, and each must have some length left between facing and saw cuts.",
        ),
        words("Take fewer, or a longer bar."),
      );
    return done({
      drawing: barDrawing({ bar: found.bar, count: n("count"), sawLength: found.sawLength, kerf: n("kerf") }),
      figures: [
        c("find") === "each"
          ? { label: "finished, each at most", value: mm(found.finished) }
          : { label: "bar, at least", value: mm(found.bar) },
        { label: "saw length: set the stop to", value: mm(found.sawLength) },
        { label: "from one cut to the next", value: mm(found.pitch) },
      ],
      working: {
        lines: [
          line("finished, each", mm(found.finished)),
          line("facing, both ends", mm(2 * n("facing"))),
          line("saw length", mm(found.sawLength), { sum: true }),
          line("saw cuts between", count(n("count") - 1)),
          line("the saw takes, each", mm(n("kerf"))),
          ...(trim > 0 ? [line("the end of the bar and its cut", mm(trim + n("kerf")))] : []),
          line("bar", mm(found.bar), { sum: true }),
        ],
        notes: [words("The last piece needs no cut where the bar ends with it.")],
      },
      warnings: [],
    });
  },
};
