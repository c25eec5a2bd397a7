import { ladderDrawing } from "../figure/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, say, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** What a smaller cutter finds in a corner is at most this share of its diameter, or it cuts full width there (guess). */
const share = 0.25;
/** A ladder is never longer than this. */
const mostRungs = 8;

/** Cutters one after the other into a corner or a V: what each leaves for the next. */
export const ladderSum: Sum = {
  id: "ladder",
  title: "Cutters into a corner",
  what: "What a cutter leaves in a corner of a smaller radius, and which cutters between keep the last one from cutting full width.",
  fields: [
    number("corner", "Radius wanted in the corner", "length", { mm: "3", in: "1/8" }),
    number("cutter", "First cutter", "length", { mm: "20", in: "3/4" }),
    number("angle", "Angle of the corner", "angle", "90"),
  ],
  work: ({ n }) => {
    const [corner, first, angle] = [n("corner"), n("cutter") / 2, n("angle")];
    if (!(corner > 0) || !(first > 0) || !(angle >= 10) || !(angle <= 170))
      return refused(
        words("Radius and cutter are above zero, the angle lies between 10 and 170 degrees."),
        words("Correct them."),
      );
    if (first < corner)
      return refused(
        say`A cutter of ${mm(2 * first)} already goes into a corner of ${mm(corner)}: it makes it in one way round.`,
        words("Take a larger first cutter to see what it leaves."),
      );
    // From the corner point to the nearest point of an arc of radius r in it: r (1 ÷ sin(α ÷ 2) − 1).
    const k = 1 / Math.sin((angle * Math.PI) / 360) - 1;
    const left = (r: number, next: number) => k * (r - next);
    const rungs = [first];
    while (rungs.at(-1)! > corner + 1e-9 && rungs.length < mostRungs) {
      const r = rungs.at(-1)!;
      // The smallest next that does not find more than its share: k (r − next) = share · 2 next.
      const next = (k * r) / (k + 2 * share);
      rungs.push(Math.max(corner, next));
    }
    const residue = left(first, corner);
    return done({
      drawing: ladderDrawing(angle, rungs),
      figures: [
        { label: "the first cutter leaves in the corner", value: mm(residue), decimals: 3 },
        { label: "largest cutter that makes the corner", value: mm(2 * corner), decimals: 3 },
        { label: "cutters one after the other", value: quantity("ratio", rungs.length), decimals: 0 },
      ],
      rows: {
        head: ["cutter, at least", "leaves for the next"],
        of: rungs.map((r, i) => [mm(2 * r), mm(left(r, rungs[i + 1] ?? corner))]),
      },
      working: {
        lines: [
          line("half the angle", quantity("angle", angle / 2)),
          line("1 ÷ sin − 1", quantity("ratio", k), { decimals: 4 }),
          line("times both radii apart", mm(first - corner), { decimals: 3 }),
          line("left in the corner", mm(residue), { decimals: 3, sum: true }),
        ],
        notes: [words(`A cutter should find no more than a quarter of its diameter in the corner (guess).`)],
      },
      warnings:
        residue > share * 2 * corner
          ? [
              note(
                say`A cutter of ${mm(2 * corner)} would meet ${mm(residue)} at once there, and be pulled into the corner: slow the feed, take it in passes, or use the cutters between.`,
              ),
            ]
          : [],
    });
  },
};
