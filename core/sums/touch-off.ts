import { touchAtEdge, touchAtTop } from "../figure/index.ts";
import { edgeSetting, topSetting } from "../locate/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** What the readout is set to when a tool touches an edge or a top through a medium. */
export const touchOffSum: Sum = {
  id: "touch-off",
  title: "Touch-off",
  what: "What to set the readout to when finder, pin or cutter touches, and the move that brings the axis over the edge.",
  fields: [
    choice(
      "at",
      "The tool touches",
      [
        ["minus", "an edge from its low side (left or front)"],
        ["plus", "an edge from its high side (right or back)"],
        ["top", "a top, coming down"],
      ],
      "minus",
      "Where the tool stands, seen from the part.",
    ),
    number("tool", "Tool diameter", "length", { mm: "10", in: "0.2" }),
    number("medium", "Paper, tape or gap", "length", { mm: "0.05", in: "0.002" }),
    number("face", "The face should read", "length", "0", { signed: true }),
  ],
  work: ({ n, c }) => {
    const [tool, medium, face] = [n("tool"), n("medium"), n("face")];
    const side = c("at");
    const set =
      medium < 0
        ? null
        : side === "top"
          ? topSetting(face, medium)
          : edgeSetting(face, tool, medium, side === "plus" ? "plus" : "minus");
    if (set === null)
      return refused(
        words("Enter a tool diameter above zero, and a paper or feeler of zero or more."),
        words("Correct the two figures."),
      );
    const top = side === "top";
    const away = top ? medium : tool / 2 + medium;
    return done({
      drawing: top ? touchAtTop() : touchAtEdge(side === "plus" ? "plus" : "minus"),
      figures: [
        {
          label: top ? "set Z at the touch to" : "set the readout at the touch to",
          value: mm(set),
          decimals: 3,
        },
        {
          label: top ? "the top lies below the tip by" : "the axis is beside the edge by",
          value: mm(away),
          decimals: 3,
        },
      ],
      working: {
        lines: [
          line("the face reads", mm(face), { decimals: 3 }),
          ...(top ? [] : [line("half the tool", mm(tool / 2), { decimals: 3 })]),
          line("between them", mm(medium), { decimals: 3 }),
          line(
            `set to: ${side === "minus" ? "face − half the tool − paper" : top ? "top + paper" : "face + half the tool + paper"}`,
            mm(set),
            {
              decimals: 3,
              sum: true,
            },
          ),
        ],
        notes: [
          words("Paper counts on every axis it was used on, Z too."),
          words("After the touch: back off, then move to depth, then come back. Never down beside the part."),
        ],
      },
      warnings: [],
    });
  },
};
