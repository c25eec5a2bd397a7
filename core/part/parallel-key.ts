import { inchKeyFor, metricKeyDepthTolerance, metricKeyFor } from "../handbook/index.ts";
import { type Mm, mm, mmPerInch } from "../quantity/index.ts";
import { done, line, type Outcome, refused, say, type WorkingLine, words } from "../working/index.ts";
import { keyseatFromCrown, keyseatFromWall, type KeyseatDepth, overKey } from "./keyseat.ts";

export interface ParallelKey {
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

/** Metric by DIN 6885-1 and ISO 773; inch by ASME B17.1, square or flat. */
export type KeyStandard = "din" | "square" | "flat";

/**
 * The parallel key of a shaft and its seat, its depths from where the standard counts them.
 * @param shaft diameter, mm
 * @returns a refusal outside the shafts the standard has keys for
 */
export function parallelKeyOf(shaft: Mm, standard: KeyStandard): Outcome<ParallelKey> {
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

/** How a keyseat's depth comes from its standard: the chord, then the depth from the crown or from the edge. */
export const keyseatLines = (
  shaft: Mm,
  width: Mm,
  depth: KeyseatDepth,
  fromCrown: boolean,
): WorkingLine[] => [
  line("crown over the edge (Y)", mm(depth.chord), {
    decimals: 3,
    formula: "chord-height",
    terms: [
      ["D", mm(shaft)],
      ["W", mm(width)],
    ],
  }),
  line("depth by the standard", mm(fromCrown ? depth.fromCrown : depth.atWall), {
    decimals: 3,
    source: fromCrown ? "t1, from the crown" : "half the key, at the side wall",
  }),
  line(fromCrown ? "from the edge" : "from the crown", mm(fromCrown ? depth.atWall : depth.fromCrown), {
    decimals: 3,
    sum: true,
    formula: fromCrown ? "key-from-crown" : "key-from-wall",
  }),
];
