import { type Measured } from "../recipes/index.ts";
import type { Shifts } from "../locate/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { FeatureKey, FeatureOperation, FeatureSetup } from "../route/index.ts";
import { note, precise, rule, say, stop, type Warning, warn } from "../working/index.ts";
import type { FeatureProgress } from "./feature-progress.ts";

export type States = ReadonlyMap<FeatureKey, FeatureProgress>;

/** How much is left for the last wall when it is reached, mm: what its cut was planned to take. */
const leftForWall = (operation: FeatureOperation): Mm =>
  operation.opensFrom !== null
    ? tidy(operation.diameter - operation.opensFrom)
    : operation.cut
      ? tidy(operation.cut.passes.at(-1)?.cumulative ?? 0)
      : 0;

/** What a size should read while its last wall is not cut yet, mm. */
export function expectedBefore(measured: Measured, last: FeatureOperation | undefined): Mm {
  const left = last ? leftForWall(last) : 0;
  return tidy(measured.grows ? measured.target - left : measured.target + left);
}

/** How much further out the last wall is cut than planned, by the readings before it, mm; 0 without any. */
function wallShift(operation: FeatureOperation, setup: FeatureSetup, states: States): Mm {
  const { measure } = operation;
  if (!measure || measure.before || operation.opensFrom !== null) return 0;
  const before = setup.operations.find(
    (o) => o.feature === operation.feature && o.measure?.before && o.measure.size === measure.size,
  );
  const read = before ? (states.get(before.key)?.readings.get(measure.size) ?? []).flat() : [];
  if (!before || read.length === 0) return 0;
  const middle = (Math.max(...read) + Math.min(...read)) / 2;
  const expected = expectedBefore(measure, operation);
  return tidy(measure.grows ? expected - middle : middle - expected);
}

/** The same for every wall of a setup that a reading moves. */
export function wallShifts(setup: FeatureSetup, states: States): Shifts {
  const shifts: Partial<Record<FeatureKey, Mm>> = {};
  for (const operation of setup.operations) {
    const shift = wallShift(operation, setup, states);
    if (shift !== 0) shifts[operation.key] = shift;
  }
  return shifts;
}

/** Whether a size is made by how deep a floor is cut, from whichever side it is measured. */
const isDepth = ({ size }: Measured): boolean => /depth/i.test(size);

/** More than was planned for a wall, or than a floor can well be short, a reading cannot be of this size, mm (guess). */
const doubtful = 1;
/** After so many rounds of cutting again something else is wrong. */
export const mostRounds = 3;

/** The most a cut may have left of its size, mm. */
const mostLeft = ({ cut }: FeatureOperation): Mm =>
  Math.max(doubtful, cut?.kind === "side" ? (cut.passes.at(-1)?.cumulative ?? 0) : 0);

/**
 * What a finished round of readings leaves to be cut once more, mm: where a point is short of its limits and none is past them;
 * 0 where nothing is, or where no cut of this operation could help.
 */
export function leftOver(operation: FeatureOperation, measured: Measured, readings: readonly Mm[]): Mm {
  const wall = operation.cut?.kind === "side";
  const cuttable =
    operation.opensFrom !== null ? !isDepth(measured) : operation.by === "mill" && wall !== isDepth(measured);
  if (measured.before || !cuttable || readings.length === 0) return 0;
  const { lower, upper } = measured.limits;
  const [smallest, largest] = [Math.min(...readings), Math.max(...readings)];
  const past = measured.grows ? largest - upper : lower - smallest;
  const short = measured.grows ? lower - smallest : largest - upper;
  if (past > 0 || short <= 0) return 0;
  const middle = (smallest + largest) / 2;
  const left = tidy(measured.grows ? measured.target - middle : middle - measured.target);
  return left > mostLeft(operation) ? 0 : left;
}

/**
 * What a reading says of a fit: what is left, or that it has gone too far.
 * @param again whether the walk cuts once more by it
 */
export function fitNotes(
  operation: FeatureOperation,
  measured: Measured,
  left: Mm | null,
  readings: readonly Mm[],
  again: boolean,
): Warning[] {
  if (left === null || readings.length === 0) return [];
  const { lower, upper } = measured.limits;
  const [smallest, largest] = [Math.min(...readings), Math.max(...readings)];
  if (measured.before)
    return left < 0
      ? [
          stop(
            rule(
              "fit.gone",
            )`It is already ${precise(mm(-left), 3)} past size: cut no more there. Measure again, and check the drawing before you go on.`,
          ),
        ]
      : [
          note(
            rule(
              "fit.left",
            )`${precise(mm(left), 3)} is left for the last wall: its stop moves by what you measured.`,
          ),
        ];
  if (smallest >= lower && largest <= upper) return [note(rule("fit.good")`Within its limits.`)];
  // The verdict goes by every point: one past its limit is not made good by another (M34).
  const past = measured.grows ? largest - upper : lower - smallest;
  if (past > 0)
    return [
      stop(
        rule(
          "fit.past",
        )`One reading is ${precise(mm(tidy(past)), 3)} past its limit: that metal cannot go back. Mark the part, and check what it must fit.${isDepth(measured) ? say` Zero Z anew before anything else is cut: it stood that much too deep.` : say``}`,
      ),
    ];
  const most = tidy(measured.grows ? measured.target - smallest : largest - measured.target);
  if (operation.by === "mill" && most > mostLeft(operation))
    return [
      stop(
        rule(
          "fit.doubt",
        )`${precise(mm(most), 3)} would still have to come off, more than this cut can have left: the wrong size was measured, or the cut was not made. Check, and measure again before you cut.`,
      ),
    ];
  return [
    warn(
      !again || leftOver(operation, measured, readings) === 0
        ? rule(
            "fit.short",
          )`${precise(mm(most), 3)} is still to come off. Go back to the cut that makes it, take that much more, then measure again.`
        : isDepth(measured)
          ? rule(
              "fit.deeper",
            )`${precise(mm(most), 3)} is still to come off the floor: it is recut that much deeper, then measured again.`
          : rule(
              "fit.more",
            )`${precise(mm(most), 3)} is still to come off the wall: it is recut that much further out, then measured again.`,
    ),
  ];
}
