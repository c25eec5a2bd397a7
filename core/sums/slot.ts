import { drillMayMiss, slotStops } from "../recipes/index.ts";
import { slotPlaces } from "../figure/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, refused, rule, say, type Warning, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** Holes drilled at the ends of a slot stay so much under its width (domain.md 8). */
const underWidth = 1.5;

/** Where the spindle stops in a closed slot, and how far to its walls. */
export const slotSum: Sum = {
  id: "slot",
  title: "Closed slot",
  what: "Where the spindle stops at the ends of a slot, how far it goes to each wall, and what to drill first.",
  fields: [
    number("from", "Low end of the slot at", "length", { mm: "20", in: "0.75" }, { signed: true }),
    number("length", "Length over all", "length", { mm: "36", in: "1.5" }),
    number("width", "Width", "length", { mm: "8", in: "0.3125" }),
    number("center", "Center line at", "length", "0", { signed: true }),
    number("cutter", "Cutter diameter, as it cuts", "length", { mm: "7.5", in: "0.28" }),
    number("runOut", "Run-out of the cutter", "length", "0"),
  ],
  work: ({ n }) => {
    const [from, long, width, center, cutter, runOut] = [
      n("from"),
      n("length"),
      n("width"),
      n("center"),
      n("cutter"),
      n("runOut"),
    ];
    const stops = slotStops(from, long, width, cutter, runOut);
    if (!stops)
      return refused(
        say`A cutter of ${mm(cutter)} does not go into a slot ${mm(width)} wide and ${mm(long)} long, or the slot is shorter than it is wide.`,
        words("Use a smaller cutter, or correct the slot."),
      );
    const drill = Math.max(0, width - underWidth);
    const miss = drillMayMiss(width, drill);
    const warnings: Warning[] = [];
    if (stops.walls < stops.wider / 2 + 1e-9)
      warnings.push(
        warn(
          rule(
            "M28.width",
          )`A cutter as wide as the slot cuts it ${mm(cutter + runOut)} or wider, by its run-out and by what it pushes away. For a fit, use a smaller one and cut each wall separately.`,
        ),
      );
    return done({
      drawing: slotPlaces(stops, from, long, width, cutter),
      figures: [
        { label: "stop at the low end", value: mm(stops.low), decimals: 3 },
        { label: "stop at the high end, not past", value: mm(stops.high), decimals: 3 },
        { label: "low wall, axis at", value: mm(center - stops.walls), decimals: 3 },
        { label: "high wall, axis at", value: mm(center + stops.walls), decimals: 3 },
        ...(drill > 0 ? [{ label: "drill at both stops", value: mm(drill) }] : []),
        ...(miss === null ? [] : [{ label: "a hole may miss by", value: mm(miss) }]),
      ],
      working: {
        lines: [
          line("low end + half the cutter", mm(stops.low), { decimals: 3 }),
          line("high end − half the cutter", mm(stops.high), { decimals: 3 }),
          line("half of width − cutter", mm(stops.walls), { decimals: 3, sum: true }),
        ],
        notes: [words("Stops are spindle positions, never edges of the slot.")],
      },
      warnings,
    });
  },
};
