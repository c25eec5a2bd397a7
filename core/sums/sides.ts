import { trialsDrawing } from "../figure/index.ts";
import { quantity } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

const places = ["a", "b", "c", "d", "e", "f"] as const;
/** A reading this many times the middle deviation away is a slip of the reading (guess). */
const slip = 4;
/** Less than this is no slip, degrees (guess). */
const least = 0.05;

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((x, y) => x - y);
  const half = sorted.length / 2;
  return (sorted[Math.floor(half - 0.5)]! + sorted[Math.floor(half)]!) / 2;
};

/** One angle read at several sides or places: the mean of those that agree, and which does not. */
export const sidesSum: Sum = {
  id: "sides",
  title: "Angle of several sides",
  what: "One angle read at up to six sides or places: the mean of those that agree, and which one is a slip.",
  fields: places.map((key, i) =>
    number(
      key,
      `Reading ${i + 1}`,
      "angle",
      ["30.02", "29.98", "30.01", "30.9", "", ""][i]!,
      i < 2 ? { signed: true } : { signed: true, mayBeEmpty: true },
    ),
  ),
  work: ({ n }) => {
    const read = places.map((key) => n(key)).filter((v) => !Number.isNaN(v));
    if (read.length < 2) return refused(words("Two readings are needed."), words("Read one more side."));
    const middle = median(read);
    const far = Math.max(least, slip * median(read.map((v) => Math.abs(v - middle))));
    const kept = read.filter((v) => Math.abs(v - middle) <= far);
    const left = read.filter((v) => Math.abs(v - middle) > far);
    const mean = kept.reduce((s, v) => s + v / kept.length, 0);
    const spread = Math.max(...kept) - Math.min(...kept);
    return done({
      drawing: trialsDrawing("The readings, from the mean of those that agree.", read, mean),
      figures: [
        { label: "mean of those that agree", value: quantity("angle", mean), decimals: 3 },
        { label: "they spread", value: quantity("angle", spread), decimals: 3 },
        {
          label: "over 100 mm that is",
          value: quantity("length", 100 * Math.tan((spread * Math.PI) / 180)),
          decimals: 3,
        },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`reading ${String(i + 1)}`, quantity("angle", v), { decimals: 3 })),
          line("the middle one", quantity("angle", middle), { decimals: 3 }),
          line("mean of those near it", quantity("angle", mean), { decimals: 3, sum: true }),
        ],
        notes: [
          words("Near is within four times the middle deviation, and never closer than 0.05° (guess)."),
        ],
      },
      warnings:
        left.length > 0
          ? [
              note(
                rule(
                  "sides.slip",
                )`${quantity("angle", left[0]!)} agrees with none of the others: read that side again. It is left out.`,
              ),
            ]
          : [],
    });
  },
};
