import { collarDrawing, runDrawing, trialsDrawing } from "../../figure/index.ts";
import { mm, quantity, tidy } from "../../quantity/index.ts";
import { checkLasts } from "../../shop/index.ts";
import { done, line, refused, say, words } from "../../working/index.ts";
import { choice, number, type Sum } from "../sum.ts";
import { keeps } from "./keeps.ts";
import { meanOf, per100, rangeOf, trialsOf } from "./trials.ts";

const mustBeAbove = (what: string) => refused(words(`${what} must be above zero.`), words("Correct it."));

export const checkTram: Sum = {
  id: "check-tram",
  title: "Tram of the head",
  what: "Sweep an indicator in the spindle over the table: how far the head is out, along X and across.",
  fields: [
    number("left", "Indicator at the left", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("right", "At the right", "chip", { mm: "0.03", in: "0.0012" }, { signed: true }),
    number("front", "At the front", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("back", "At the back", "chip", { mm: "0.01", in: "0.0004" }, { signed: true }),
    number("sweep", "Diameter of the sweep", "length", { mm: "200", in: "8" }),
  ],
  work: ({ n }) => {
    if (!(n("sweep") > 0)) return mustBeAbove("The sweep");
    const [along, across] = [n("right") - n("left"), n("back") - n("front")];
    return done({
      drawing: runDrawing(n("left"), n("right"), n("sweep"), "table"),
      figures: [
        { label: "out along X over the sweep", value: mm(along), decimals: 3 },
        { label: "out across over the sweep", value: mm(across), decimals: 3 },
        { label: "bring the indicator back by", value: mm(Math.abs(along) / 2), decimals: 3 },
      ],
      working: {
        lines: [
          line("right less left", mm(along), { decimals: 3, sum: true }),
          line("back less front", mm(across), { decimals: 3, sum: true }),
          line("tilt along X", quantity("angle", (Math.atan(along / n("sweep")) * 180) / Math.PI), {
            decimals: 4,
          }),
          line("half of it at each side", mm(Math.abs(along) / 2), { decimals: 3 }),
        ],
        notes: [
          words("Spindle in neutral and the power off; turn it by hand. The quill locked where it works."),
          words("Sweep a second time half a turn of the indicator on: what changes is the indicator."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("machines", {
    lasts: checkLasts["check-tram"],
    fits: (machine) => machine.kind !== "horizontal",
    found: ({ n }) => tidy(n("right") - n("left")),
    into: (machine, { n }) => ({
      ...machine,
      tramAlong: tidy(n("right") - n("left")),
      tramAcross: tidy(n("back") - n("front")),
      tramSweep: n("sweep"),
    }),
  }),
};

const axes = [
  ["x", "X"],
  ["y", "Y"],
  ["z", "Z"],
] as const;

const slackOf = (n: (key: string) => number) => Math.abs(meanOf(trialsOf(n)));

export const checkSlack: Sum = {
  id: "check-slack",
  title: "Slack of an axis",
  what: "Indicator against the table: turn one way until it moves, set the collar to 0, turn back until it moves again; read the collar.",
  fields: [
    choice("axis", "Axis", axes, "x"),
    number("first", "Collar when it moves again", "length", { mm: "0.12", in: "0.005" }),
    number("second", "once more", "length", { mm: "0.14", in: "0.0055" }, { mayBeEmpty: true }),
    number("third", "and elsewhere on the table", "length", { mm: "0.1", in: "0.004" }, { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const read = trialsOf(n);
    const mean = slackOf(n);
    const range = rangeOf(read);
    return done({
      drawing: trialsDrawing("How far the handle turns before the table follows.", read, mean),
      figures: [
        { label: `slack of ${c("axis").toUpperCase()}`, value: mm(mean), decimals: 3 },
        { label: "from place to place", value: mm(range), decimals: 3 },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`reading ${i + 1}`, mm(v), { decimals: 3 })),
          line("their mean", mm(mean), { decimals: 3, sum: true }),
          line("largest less smallest", mm(range), { decimals: 3 }),
        ],
        notes: [
          words("Most where the screw is worn, near the middle of the table: try there and at one end."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("machines", {
    lasts: checkLasts["check-slack"],
    found: ({ n }) => slackOf(n),
    into: (machine, { n, c }) => {
      const axis = c("axis") as "x" | "y" | "z";
      const { axes } = machine;
      return { ...machine, axes: { ...axes, [axis]: { ...axes[axis], backlash: slackOf(n) } } };
    },
  }),
};

const springOf = (n: (key: string) => number) => n("pull") / (Math.abs(n("gives")) * 1000);

export const checkPull: Sum = {
  id: "check-pull",
  title: "Pull test",
  what: "Pull between spindle and table with a spring balance, read how far the spindle gives: its spring.",
  fields: [
    number("pull", "Pull", "force", "200"),
    number("gives", "It gives", "chip", { mm: "0.02", in: "0.0008" }),
  ],
  work: ({ n }) => {
    if (!(n("pull") > 0) || !(n("gives") > 0)) return mustBeAbove("Pull and give");
    const spring = springOf(n);
    const at100 = tidy((100 / n("pull")) * n("gives"));
    return done({
      drawing: trialsDrawing("What the spindle gives.", [n("gives")], n("gives")),
      figures: [
        { label: "gives at 100 N", value: mm(at100), decimals: 4 },
        { label: "spring, N for each µm", value: quantity("count", spring), decimals: 1 },
      ],
      working: {
        lines: [
          line("pull", quantity("force", n("pull"))),
          line("it gives", mm(n("gives")), { decimals: 3 }),
          line("pull for each µm", quantity("count", spring), { decimals: 2, sum: true }),
        ],
        notes: [
          words("Across the table, quill out as far as it works, all locks as in work, spindle stopped."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("machines", {
    lasts: checkLasts["check-pull"],
    found: ({ n }) => n("gives"),
    into: (machine, { n }) => ({ ...machine, ownSpring: Math.min(10_000, Math.max(0.01, springOf(n))) }),
  }),
};

const over100 = (n: (key: string) => number) => per100(n("shows") - n("block"), n("block"));

export const checkReadout: Sum = {
  id: "check-readout",
  title: "Readout and block",
  what: "Touch an indicator to 0, put a gauge block in between, move until it is 0 again: what the readout or dial shows against the block.",
  fields: [
    choice("axis", "Axis", axes, "x"),
    number("block", "Gauge block", "length", { mm: "50", in: "2" }),
    number("shows", "Readout or dial shows", "length", { mm: "50.01", in: "2.0004" }),
  ],
  work: ({ n, c }) => {
    if (!(n("block") > 0)) return mustBeAbove("The block");
    const off = n("shows") - n("block");
    return done({
      drawing: collarDrawing(100, ((off * 1000) % 100) + 1, 0),
      figures: [
        { label: `${c("axis").toUpperCase()} shows too much by`, value: mm(off), decimals: 3 },
        { label: "over 100 mm", value: mm(over100(n)), decimals: 3 },
      ],
      working: {
        lines: [
          line("shown", mm(n("shows")), { decimals: 3 }),
          line("the block", mm(n("block")), { decimals: 3 }),
          line("too much", mm(off), { decimals: 3, sum: true }),
          line("over 100 mm", mm(over100(n)), { decimals: 3 }),
        ],
        notes: [
          words("Come to both places from the same side, so that the slack does not count."),
          words("A readout set for another screw or scale is off in proportion to the length."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("machines", {
    lasts: checkLasts["check-readout"],
    found: ({ n }) => over100(n),
    into: (machine) => machine,
  }),
};
