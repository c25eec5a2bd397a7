import { inchKeyFor, metricKeyDepthTolerance, metricKeyFor } from "../handbook/index.ts";
import {
  cutterRunOut,
  keyseatFromCrown,
  keyseatFromWall,
  type KeyseatDepth,
  overKey,
} from "../part/index.ts";
import { mm, mmPerInch } from "../quantity/index.ts";
import { done, line, type Outcome, refused, say, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

interface Key {
  name: string;
  width: number;
  height: number;
  depth: KeyseatDepth;
  /** In the hub, from its bore. */
  hub: number;
  plus: number;
  fromCrown: boolean;
  source: string;
}

/** The parallel key of a shaft in mm, by either standard; its depths from where the standard counts them. */
function keyOf(shaft: number, standard: string): Outcome<Key> {
  if (standard === "din") {
    const row = metricKeyFor(shaft);
    const depth = row && keyseatFromCrown(shaft, row.b, row.t1);
    return row && depth
      ? done({
          name: `${row.b} × ${row.h}`,
          width: row.b,
          height: row.h,
          depth,
          hub: row.t2,
          plus: metricKeyDepthTolerance(row.b),
          fromCrown: true,
          source: "DIN 6885-1, ISO 773",
        })
      : refused(
          say`The standard has keys for shafts over ${mm(6)} to ${mm(500)}.`,
          words("Correct the shaft, or take the other standard."),
        );
  }
  const row = inchKeyFor(shaft / mmPerInch);
  const size = row && (standard === "flat" ? row.flat : { w: row.square, h: row.square });
  if (!row || !size)
    return refused(
      standard === "flat" && row
        ? words("The standard has no flat key for a shaft this small.")
        : say`The standard has keys for shafts over ${mm((5 / 16) * mmPerInch)} to ${mm(6.5 * mmPerInch)}.`,
      words("Correct the shaft, or take another key."),
    );
  const [w, h] = [size.w * mmPerInch, size.h * mmPerInch];
  const depth = keyseatFromWall(shaft, w, h / 2);
  const over = overKey(shaft, w, h, 0.005 * mmPerInch);
  return depth && over
    ? done({
        name: `${size.w} × ${size.h} in`,
        width: w,
        height: h,
        depth,
        hub: over.t - shaft,
        plus: 0.005 * mmPerInch,
        fromCrown: false,
        source: "ASME B17.1",
      })
    : refused(words("The key is wider than the shaft."), words("Correct the shaft."));
}

/** Parallel key and keyseat of a shaft, depth from the crown and from the edge. */
export const keySum: Sum = {
  id: "key",
  title: "Parallel key",
  what: "The key of a shaft, and how deep its seat is: from the crown, from the edge, and as a caliper reads it.",
  fields: [
    choice(
      "standard",
      "Standard",
      [
        ["din", "metric, DIN 6885-1 and ISO 773"],
        ["square", "inch, ASME B17.1, square"],
        ["flat", "inch, ASME B17.1, flat"],
      ],
      "din",
    ),
    number("shaft", "Shaft diameter", "length", { mm: "28", in: "1 1/8" }),
    number("cutter", "Side-and-face cutter, for an open seat", "length", "", { mayBeEmpty: true }),
  ],
  work: ({ n, c }) => {
    const found = keyOf(n("shaft"), c("standard"));
    if (!found.ok) return found;
    const { width, height, depth, hub, plus, fromCrown, name, source } = found.value;
    const cutter = n("cutter");
    const runOut = Number.isNaN(cutter) ? null : cutterRunOut(cutter, depth.atWall);
    if (!Number.isNaN(cutter) && runOut === null)
      return refused(
        words("The cutter must be larger than the seat is deep."),
        words("Take a larger cutter, or leave it empty."),
      );
    return done({
      figures: [
        { label: "key width", value: mm(width) },
        { label: "key height", value: mm(height) },
        { label: "seat depth from the crown", value: mm(depth.fromCrown), decimals: 3 },
        { label: "from the edge of the seat", value: mm(depth.atWall), decimals: 3 },
        { label: "floor to the far side (S)", value: mm(depth.overOpposite), decimals: 3 },
        { label: "hub, bore to the far keyway (T)", value: mm(n("shaft") + hub), decimals: 3 },
        ...(runOut === null ? [] : [{ label: "the cutter runs on past the end by", value: mm(runOut) }]),
      ],
      working: {
        lines: [
          line(`key ${name}`, mm(width), { source }),
          line("crown over the edge (Y)", mm(depth.chord), {
            decimals: 3,
            formula: "chord-height",
            terms: [
              ["D", mm(n("shaft"))],
              ["W", mm(width)],
            ],
          }),
          line("depth by the standard", mm(fromCrown ? depth.fromCrown : depth.atWall), {
            decimals: 3,
            source: fromCrown ? "t1, from the crown" : "half the key, at the side wall",
          }),
          line(
            fromCrown ? "from the edge" : "from the crown",
            mm(fromCrown ? depth.atWall : depth.fromCrown),
            {
              decimals: 3,
              sum: true,
              formula: fromCrown ? "key-from-crown" : "key-from-wall",
            },
          ),
          line("may be deeper by", mm(plus), { decimals: 3 }),
          ...(runOut === null
            ? []
            : [line("runs on past the end", mm(runOut), { formula: "cutter-run-out" as const })]),
        ],
        notes: [
          words(
            "Metric tables count the depth from the crown, inch tables at the side wall: taken for one another a seat comes out wrong by the height of the crown over the edge.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
