import { runDrawing, trialsDrawing, uprightDrawing } from "../../figure/index.ts";
import { mm, tidy } from "../../quantity/index.ts";
import { checkLasts, mountings, mountingWords } from "../../shop/index.ts";
import { done, line, note, refused, rule, say, warn, words } from "../../working/index.ts";
import { choice, number, type Sum } from "../sum.ts";
import { keeps } from "./keeps.ts";
import { meanOf, per100, rangeOf, trialsOf } from "./trials.ts";

const apartAbove = refused(words("The distance must be above zero."), words("Correct it."));

export const checkJawLine: Sum = {
  id: "check-jaw-line",
  title: "Fixed jaw along X",
  what: "Run an indicator along the fixed jaw: how far it is out of line with the table.",
  fields: [
    number("left", "Indicator at the left end", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("right", "At the right end", "chip", { mm: "0.02", in: "0.0008" }, { signed: true }),
    number("apart", "Distance between", "length", { mm: "100", in: "4" }),
  ],
  work: ({ n }) => {
    if (!(n("apart") > 0)) return apartAbove;
    const rise = n("right") - n("left");
    const found = per100(rise, n("apart"));
    return done({
      drawing: runDrawing(n("left"), n("right"), n("apart"), "fixed jaw"),
      figures: [
        { label: "out of line over 100 mm", value: mm(found), decimals: 3 },
        { label: "tap one end of the vise by", value: mm(Math.abs(rise)), decimals: 3 },
      ],
      working: {
        lines: [
          line("right less left", mm(rise), { decimals: 3 }),
          line("distance between", mm(n("apart"))),
          line("out of line over 100 mm", mm(found), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Bolts just snug: tap with a soft hammer, read again, tighten, and read once more."),
          words("Do it anew whenever the vise was off the table, and after a crash."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-jaw-line"],
    found: ({ n }) => per100(n("right") - n("left"), n("apart")),
    into: (vise, { n }) => ({ ...vise, jawLine: per100(n("right") - n("left"), n("apart")) }),
  }),
};

const upright = (bottom: number, top: number, height: number) => tidy(((top - bottom) / height) * 50);

export const checkJawUpright: Sum = {
  id: "check-jaw-upright",
  title: "Fixed jaw upright",
  what: "Run an indicator up a ground block held at the fixed jaw: how far the jaw leans.",
  fields: [
    number("bottom", "Indicator at the bottom", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("top", "At the top", "chip", { mm: "0.01", in: "0.0004" }, { signed: true }),
    number("height", "Height between", "length", { mm: "50", in: "2" }),
  ],
  work: ({ n }) => {
    if (!(n("height") > 0)) return apartAbove;
    const found = upright(n("bottom"), n("top"), n("height"));
    return done({
      drawing: uprightDrawing(n("bottom"), n("top"), n("height")),
      figures: [{ label: "out of square over 50 mm", value: mm(found), decimals: 3 }],
      working: {
        lines: [
          line("top less bottom", mm(n("top") - n("bottom")), { decimals: 3 }),
          line("height between", mm(n("height"))),
          line("out of square over 50 mm", mm(found), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Tighten as you do in work: the jaw leans more the harder it is pulled."),
          words("Plus means that the top leans away from the part."),
        ],
      },
      warnings: [],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-jaw-upright"],
    found: ({ n }) => upright(n("bottom"), n("top"), n("height")),
    into: (vise, { n }) => ({ ...vise, jawSquareness: upright(n("bottom"), n("top"), n("height")) }),
  }),
};

export const checkBed: Sum = {
  id: "check-bed",
  title: "Bed of the vise",
  what: "An indicator over the bed of the vise: how it lies against the table, along X and across.",
  fields: [
    number("left", "At the left", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("right", "At the right", "chip", { mm: "0.01", in: "0.0004" }, { signed: true }),
    number("along", "Distance between", "length", { mm: "100", in: "4" }),
    number("front", "At the front", "chip", { mm: "0", in: "0" }, { signed: true }),
    number("back", "At the back", "chip", { mm: "0.005", in: "0.0002" }, { signed: true }),
    number("across", "Distance between these", "length", { mm: "60", in: "2.4" }),
  ],
  work: ({ n }) => {
    if (!(n("along") > 0) || !(n("across") > 0)) return apartAbove;
    const along = per100(n("right") - n("left"), n("along"));
    const across = per100(n("back") - n("front"), n("across"));
    return done({
      drawing: runDrawing(n("left"), n("right"), n("along"), "bed of the vise"),
      figures: [
        { label: "rises to the right over 100 mm", value: mm(along), decimals: 3 },
        { label: "rises to the back over 100 mm", value: mm(across), decimals: 3 },
      ],
      working: {
        lines: [
          line("right less left", mm(n("right") - n("left")), { decimals: 3 }),
          line("rises to the right over 100 mm", mm(along), { decimals: 3, sum: true }),
          line("back less front", mm(n("back") - n("front")), { decimals: 3 }),
          line("rises to the back over 100 mm", mm(across), { decimals: 3, sum: true }),
        ],
        notes: [words("Wipe the bed and stone off burrs first. The knee and the table stay locked.")],
      },
      warnings: [],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-bed"],
    found: ({ n }) => per100(n("right") - n("left"), n("along")),
    into: (vise, { n }) => ({
      ...vise,
      bedAlong: per100(n("right") - n("left"), n("along")),
      bedAcross: per100(n("back") - n("front"), n("across")),
    }),
  }),
};

/** One division of an indicator: less says nothing, mm. */
const division = 0.01;

export const checkStretch: Sum = {
  id: "check-stretch",
  title: "Stretch of the vise",
  what: "Zero an indicator at the fixed jaw, tighten as you do in work, read; let go and read again.",
  fields: [
    choice(
      "mounting",
      "Held on the table by",
      mountings.map((m) => [m, mountingWords[m]] as const),
      "bolts",
    ),
    number("first", "Tightened, first pull", "chip", { mm: "0.02", in: "0.0008" }, { signed: true }),
    number("second", "second pull", "chip", { mm: "0.03", in: "0.0012" }, { signed: true, mayBeEmpty: true }),
    number("third", "third pull", "chip", { mm: "0.02", in: "0.0008" }, { signed: true, mayBeEmpty: true }),
    number("released", "After letting go", "chip", { mm: "0", in: "0" }, { signed: true }),
  ],
  work: ({ n }) => {
    const read = trialsOf(n);
    const mean = meanOf(read);
    const range = rangeOf(read);
    return done({
      drawing: trialsDrawing("How far the jaw gives, pull by pull.", read, mean),
      figures: [
        { label: "the jaw gives", value: mm(mean), decimals: 3 },
        { label: "from pull to pull", value: mm(range), decimals: 3 },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`pull ${i + 1}`, mm(v), { decimals: 3 })),
          line("their mean", mm(mean), { decimals: 3, sum: true }),
          line("largest less smallest", mm(range), { decimals: 3 }),
          line("left after letting go", mm(n("released")), { decimals: 3 }),
        ],
        notes: [words("Set zero after tightening, not before: then what the jaw gave does not count.")],
      },
      warnings: [
        ...(Math.abs(n("released")) > division
          ? [
              warn(
                rule(
                  "check.slipped",
                )`It did not come back by ${mm(n("released"))}: the vise slipped on the table, or the indicator moved. Tighten both and try again.`,
              ),
            ]
          : []),
        ...(range > Math.max(division, mean)
          ? [
              note(
                rule(
                  "check.pulls",
                )`The pulls differ as much as the jaw gives: a torque wrench at the handle makes them alike.`,
              ),
            ]
          : []),
      ],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-stretch"],
    found: ({ n }) => meanOf(trialsOf(n)),
    into: (vise, { n, c }) => {
      const stretch = Math.abs(meanOf(trialsOf(n)));
      const mounting = mountings.find((m) => m === c("mounting")) ?? vise.mounting;
      return { ...vise, mounting, stretch, stretchBy: { ...vise.stretchBy, [mounting]: stretch } };
    },
  }),
};
