import { trialsDrawing } from "../figure/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, warn, words } from "../working/index.ts";
import { meanOf, rangeOf, trialsOf } from "./checks/trials.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Places of a fit that differ by more than this share of the play are a taper, not a feel (guess). */
const taperShare = 0.3;

/** A part tried in its mate: the play by feeler at three places, and the next cut. */
export const playSum: Sum = {
  id: "play",
  title: "Play of a fit",
  what: "Thickest feeler that goes at three places of a fit: its play, where it binds, and what still comes off.",
  fields: [
    number("first", "At one end", "chip", { mm: "0.02", in: "0.0008" }),
    number("second", "In the middle", "chip", { mm: "0.03", in: "0.0012" }, { mayBeEmpty: true }),
    number("third", "At the other end", "chip", { mm: "0.03", in: "0.0012" }, { mayBeEmpty: true }),
    number("wanted", "Play wanted", "chip", { mm: "0.05", in: "0.002" }),
    choice(
      "sides",
      "It comes off",
      [
        ["one", "one side"],
        ["both", "both sides alike"],
      ],
      "one",
    ),
  ],
  work: ({ n, c }) => {
    const read = trialsOf(n);
    if (!(n("wanted") >= 0) || read.some((v) => v < 0))
      return refused(words("A feeler and a play are not below zero."), words("Correct them."));
    const mean = meanOf(read);
    const tightest = Math.min(...read);
    const off = tidy(n("wanted") - tightest);
    const each = tidy(off / (c("sides") === "both" ? 2 : 1));
    const range = rangeOf(read);
    const places = ["at one end", "in the middle", "at the other end"];
    return done({
      drawing: trialsDrawing("Play along the fit, from the play wanted.", read, n("wanted")),
      figures: [
        { label: "play, mean", value: mm(mean), decimals: 3 },
        { label: "tightest place", value: mm(tightest), decimals: 3 },
        { label: off > 0 ? "to come off a side" : "too much by", value: mm(Math.abs(each)), decimals: 3 },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`${places[i]!}`, mm(v), { decimals: 3 })),
          line("their mean", mm(mean), { decimals: 3 }),
          line("wanted less the tightest", mm(off), { decimals: 3, sum: true }),
          line(c("sides") === "both" ? "half of it a side" : "all of it on one side", mm(each), {
            decimals: 3,
          }),
        ],
        notes: [
          words("Deburr and wipe both first: a burr feels like a tight fit."),
          words("A tight fit may be a worn cutter: measure the width before you cut the mate to it."),
        ],
      },
      warnings:
        range > Math.max(0.01, taperShare * Math.max(n("wanted"), mean))
          ? [
              warn(
                rule(
                  "play.taper",
                )`It binds ${places[read.indexOf(tightest)]!}: ${mm(range)} between the places. Take that out first, blue shows where.`,
              ),
            ]
          : off <= 0
            ? [note(rule("play.done")`Nothing more comes off: it goes as it should, or looser.`)]
            : [],
    });
  },
};
