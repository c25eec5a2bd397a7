import { runDrawing, trialsDrawing } from "../../figure/index.ts";
import { mm, quantity, tidy } from "../../quantity/index.ts";
import { checkLasts } from "../../shop/index.ts";
import { done, line, note, refused, rule, say, warn, words } from "../../working/index.ts";
import { number, type Sum } from "../sum.ts";
import { keeps } from "./keeps.ts";
import { meanOf, rangeOf, trialsOf } from "./trials.ts";

export const checkRunOut: Sum = {
  id: "check-run-out",
  title: "Run-out",
  what: "Indicator on the shank near the holder, then at its end, spindle turned by hand: what a cutter cuts wider by.",
  fields: [
    number("near", "Near the holder, high less low", "chip", { mm: "0.01", in: "0.0004" }),
    number("far", "At the end, high less low", "chip", { mm: "0.02", in: "0.0008" }),
    number("apart", "Distance between", "length", { mm: "40", in: "1.6" }),
  ],
  work: ({ n }) => {
    if (!(n("apart") > 0)) return refused(words("The distance must be above zero."), words("Correct it."));
    const lean = Math.atan((n("far") - n("near")) / 2 / n("apart"));
    const bent = Math.abs(n("far") - n("near")) > Math.max(n("near"), 0.01);
    return done({
      drawing: runDrawing(n("near"), n("far"), n("apart"), "shank"),
      figures: [
        { label: "a slot comes wider by", value: mm(n("far")), decimals: 3 },
        { label: "a wall gets, of it", value: mm(n("far") / 2), decimals: 3 },
        { label: "it leans", value: quantity("angle", (lean * 180) / Math.PI), decimals: 3 },
      ],
      working: {
        lines: [
          line("near the holder", mm(n("near")), { decimals: 3 }),
          line("at the end", mm(n("far")), { decimals: 3 }),
          line("the slot comes wider by what the end runs out", mm(n("far")), { decimals: 3, sum: true }),
          line("half of it to each side", mm(n("far") / 2), { decimals: 3 }),
        ],
        notes: [
          bent
            ? words("It grows toward the end: it stands askew. Clean taper, collet and shank, and try again.")
            : words("Alike at both heights: taper or holder runs out, not the seat of the cutter."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("cutters", {
    lasts: checkLasts["check-run-out"],
    found: ({ n }) => n("far"),
    into: (cutter, { n }) => ({ ...cutter, runOut: n("far") }),
  }),
};

export const checkWidth: Sum = {
  id: "check-width",
  title: "Cutter width",
  what: "Cut a slot in scrap in one pass and measure it: the cutter is that wide, less what it runs out.",
  fields: [
    number("slot", "Slot measures", "length", { mm: "9.98", in: "0.3745" }),
    number("runOut", "It runs out by", "chip", { mm: "0.01", in: "0.0004" }),
  ],
  work: ({ n }) => {
    const wide = tidy(n("slot") - n("runOut"));
    if (!(wide > 0))
      return refused(
        words("The slot must be wider than what the cutter runs out."),
        words("Correct one of them."),
      );
    return done({
      drawing: trialsDrawing("The slot, and the cutter in it.", [n("slot"), wide], wide),
      figures: [
        { label: "the cutter measures", value: mm(wide), decimals: 3 },
        { label: "a slot in one pass comes", value: mm(n("slot")), decimals: 3 },
      ],
      working: {
        lines: [
          line("slot", mm(n("slot")), { decimals: 3 }),
          line("less its run-out", mm(n("runOut")), { decimals: 3 }),
          line("the cutter", mm(wide), { decimals: 3, sum: true }),
        ],
        notes: [
          words("In the holder and at the speed it works with; a light feed, so that it does not bend."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("cutters", {
    lasts: checkLasts["check-width"],
    found: ({ n }) => tidy(n("slot") - n("runOut")),
    into: (cutter, { n }) => ({ ...cutter, measured: tidy(n("slot") - n("runOut")), runOut: n("runOut") }),
  }),
};

const four = (n: (key: string) => number) =>
  ["aLeft", "aRight", "bLeft", "bRight"].map((key) => n(key)) as [number, number, number, number];

/** How much one parallel is higher than the other at the end where they differ most, mm. */
function unlikeOf(n: (key: string) => number): number {
  const [aLeft, aRight, bLeft, bRight] = four(n);
  return tidy(Math.max(Math.abs(aLeft - bLeft), Math.abs(aRight - bRight)));
}

export const checkParallels: Sum = {
  id: "check-parallels",
  title: "Parallels alike",
  what: "Measure both parallels at both ends with one micrometer: how much a part on them lies askew.",
  fields: [
    number("aLeft", "First, left end", "length", { mm: "22.005", in: "0.8663" }),
    number("aRight", "First, right end", "length", { mm: "22.006", in: "0.8664" }),
    number("bLeft", "Second, left end", "length", { mm: "22.003", in: "0.8662" }),
    number("bRight", "Second, right end", "length", { mm: "22.004", in: "0.8663" }),
  ],
  work: ({ n }) => {
    const all = four(n);
    const unlike = unlikeOf(n);
    const taper = tidy(Math.max(Math.abs(all[0] - all[1]), Math.abs(all[2] - all[3])));
    return done({
      drawing: trialsDrawing("Both parallels, at both ends.", all, Math.min(...all)),
      figures: [
        { label: "one is higher by", value: mm(unlike), decimals: 3 },
        { label: "from end to end", value: mm(taper), decimals: 3 },
      ],
      working: {
        lines: [
          line("left ends differ by", mm(Math.abs(all[0] - all[2])), { decimals: 3 }),
          line("right ends differ by", mm(Math.abs(all[1] - all[3])), { decimals: 3 }),
          line("the larger", mm(unlike), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Stone off nicks first. A part across them leans by this over the distance between them."),
        ],
      },
      warnings:
        unlike > 0.01
          ? [
              warn(
                rule(
                  "check.parallels",
                )`They are no pair: use them one at a time, or have them ground together.`,
              ),
            ]
          : [],
    });
  },
  keeps: keeps("parallels", {
    lasts: checkLasts["check-parallels"],
    found: ({ n }) => unlikeOf(n),
    into: (pair, { n }) => ({ ...pair, unlike: unlikeOf(n) }),
  }),
};

const errorOf = (n: (key: string) => number) => tidy(meanOf(trialsOf(n)) - n("block"));

export const checkInstrument: Sum = {
  id: "check-instrument",
  title: "Instrument and block",
  what: "Read a gauge block three times: the error of the instrument there, and how well it repeats.",
  fields: [
    number("block", "Gauge block", "length", { mm: "25", in: "1" }),
    number("first", "It reads", "length", { mm: "25.002", in: "1.0001" }),
    number("second", "once more", "length", { mm: "25.003", in: "1.0001" }, { mayBeEmpty: true }),
    number("third", "and once more", "length", { mm: "25.002", in: "1.0001" }, { mayBeEmpty: true }),
  ],
  work: ({ n }) => {
    const read = trialsOf(n);
    const error = errorOf(n);
    const repeats = rangeOf(read);
    return done({
      drawing: trialsDrawing("What it reads of one block.", read, n("block")),
      figures: [
        { label: "it shows too much by", value: mm(error), decimals: 4 },
        { label: "repeats within", value: mm(repeats), decimals: 4 },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`reading ${i + 1}`, mm(v), { decimals: 3 })),
          line("their mean less the block", mm(error), { decimals: 4, sum: true }),
        ],
        notes: [
          words(
            "Let block and instrument lie together for an hour; wipe both. Taken off every reading from here.",
          ),
        ],
      },
      warnings:
        Math.abs(error) > 0.05
          ? [note(rule("check.block")`That much is no error of an instrument: is it the right block?`)]
          : [],
    });
  },
  keeps: keeps("instruments", {
    lasts: checkLasts["check-instrument"],
    fits: (i) =>
      ["caliper", "micrometer", "depthCaliper", "depthMicrometer", "telescopicGauge"].includes(i.kind),
    found: ({ n }) => errorOf(n),
    into: (instrument, { n }, on) => ({ ...instrument, error: errorOf(n), lastCheck: on }),
  }),
};
