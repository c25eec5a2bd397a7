import { ridgesDrawing } from "../figure/index.ts";
import { cuspHeight, feedForRa, feedMarkRa, highestToothChip } from "../cutting/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, warn, type Warning, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** What a feed leaves on the surface. */
export const finishSum: Sum = {
  id: "finish",
  title: "Finish",
  what: "What a feed leaves on the surface, what run-out does to it, and the feed for a wanted Ra.",
  fields: [
    number("fz", "Feed per tooth", "chip", { mm: "0.08", in: "0.003" }),
    number("teeth", "Teeth", "count", "4"),
    number(
      "radius",
      "Radius that marks",
      "length",
      { mm: "8", in: "0.31" },
      {
        help: "Side cut: half the cutter's diameter. Face: the corner radius of the insert.",
      },
    ),
    number("runOut", "Run-out (TIR)", "length", { mm: "0.02", in: "0.0008" }),
    number("ra", "Ra wanted", "roughness", { mm: "1.6", in: "63" }, { mayBeEmpty: true }),
    number("stepover", "Stepover of a ball", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n }) => {
    const [fz, teeth, radius, runOut] = [n("fz"), n("teeth"), n("radius"), n("runOut")];
    const perTooth = feedMarkRa(fz, radius);
    const perTurn = feedMarkRa(fz * teeth, radius);
    if (perTooth === null || perTurn === null || !(fz > 0) || !(teeth >= 1))
      return refused(words("Feed, teeth and radius must be above zero."), words("Correct them."));
    const oneWorks = teeth > 1 && runOut >= fz;
    const feed = Number.isNaN(n("ra")) ? null : feedForRa(n("ra"), radius);
    const cusp = Number.isNaN(n("stepover")) ? null : cuspHeight(n("stepover"), radius);
    const warnings: Warning[] = [];
    if (oneWorks)
      warnings.push(
        warn(
          rule(
            "M38.oneTooth",
          )`It runs out ${quantity("chip", runOut)}, as much as a tooth feeds: one tooth does the work, and ridges stand ${quantity("chip", fz * teeth)} apart, once a turn. Clean and reseat it in its holder, or feed faster.`,
        ),
      );
    return done({
      drawing: ridgesDrawing(quantity("chip", oneWorks ? fz * teeth : fz), radius),
      figures: [
        { label: "Ra to expect", value: quantity("roughness", oneWorks ? perTurn : perTooth) },
        { label: "when all teeth cut alike", value: quantity("roughness", perTooth) },
        { label: "when one tooth leads", value: quantity("roughness", perTurn) },
        { label: "highest tooth carries", value: quantity("chip", highestToothChip(fz, teeth, runOut)) },
        ...(feed === null
          ? []
          : [
              { label: "feed per tooth for the Ra", value: quantity("chip", oneWorks ? feed / teeth : feed) },
            ]),
        ...(cusp === null ? [] : [{ label: "cusp of the stepover", value: mm(cusp), decimals: 4 }]),
      ],
      working: {
        lines: [
          line("all teeth alike", quantity("roughness", perTooth), {
            sum: !oneWorks,
            formula: "feed-marks",
            terms: [
              ["f", quantity("chip", fz)],
              ["r", mm(radius)],
            ],
          }),
          line("one mark a turn", quantity("roughness", perTurn), {
            sum: oneWorks,
            formula: "feed-marks",
            terms: [["f", quantity("chip", fz * teeth)]],
          }),
          ...(feed === null
            ? []
            : [line("feed for the Ra wanted", quantity("chip", feed), { formula: "feed-for-ra" as const })]),
          ...(cusp === null ? [] : [line("cusp", mm(cusp), { formula: "cusp" as const, decimals: 4 })]),
        ],
        notes: [words("Geometry only: built-up edge, chatter and a dull edge come on top.")],
      },
      warnings,
    });
  },
};
