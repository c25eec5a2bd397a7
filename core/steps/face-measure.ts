import { cautions, handlingTimes } from "../handbook/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { extentOf } from "../squaring/index.ts";
import type { FaceOperation } from "../route/index.ts";
import { note, precise, rule, say, stop, warn, type Warning, words } from "../working/index.ts";
import type { FaceProgress } from "./face-progress.ts";
import { type MakeFaceStep, standsOn } from "./face-step.ts";
import type { FaceStep } from "./step.ts";

/** M01: a reading under the lower limit is not passed over: nothing puts the metal back. */
export function tooSmall({ sized, limits }: FaceOperation, state: FaceProgress | null): Warning[] {
  const read = state?.readings.get(state.cuts.length) ?? [];
  const smallest = Math.min(...read);
  if (!sized || read.length === 0 || smallest >= limits.lower) return [];
  return [
    stop(
      rule(
        "M01.under",
      )`You read ${precise(mm(smallest), 3)}, under the lower limit of ${precise(mm(limits.lower), 3)}: metal cannot be put back. Measure again; if it still reads that, mark the piece, and ask whether it can be used before you go on.`,
    ),
  ];
}

/** The size of a face is measured after so many passes: where that tells what came off. */
export function measureStep(
  op: FaceOperation,
  state: FaceProgress | null,
  after: number,
  final: boolean,
  expected: Mm,
  make: MakeFaceStep,
): FaceStep {
  const reached = (state?.cuts.length ?? 0) >= after;
  const above = op.looks !== null && extentOf(op.key) !== "face" ? op.cut.width : null;
  // What straps hold stands higher until they are moved: read there, nothing seems to have come off.
  const stands = standsOn(op);
  const on = stands === "left" && final ? null : stands;
  const where =
    above !== null
      ? say` above the jaws, where it is cut`
      : on === "cut"
        ? say` where it is cut, not over what the straps hold`
        : on === "left"
          ? say` over what was left standing`
          : say``;
  return make(
    "measure",
    final ? "measure" : `measure-${after}`,
    final ? say`Measure the ${op.axis}${where}` : say`Measure the ${op.axis}${where} before the next pass`,
    {
      measure: {
        of: op.axis,
        how: "outside",
        expected: reached && after > 0 ? (state?.cuts[after - 1]?.expected ?? expected) : expected,
        after,
        final,
        required: final && op.sized,
        readings: state?.readings.get(after) ?? [],
        above,
        ...(on ? { on } : {}),
        fit: null,
      },
      notes: [
        warn(words(cautions.measure)),
        ...tooSmall(op, state),
        note(
          words(
            final ? "Measure at four corners: all of them count." : "One reading is enough; more is better.",
          ),
        ),
      ],
      done: state?.measured.has(after) ?? false,
      minutes: handlingTimes.measure,
    },
  );
}
