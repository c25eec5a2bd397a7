import { type Measured } from "../recipes/index.ts";
import type { Shifts } from "../locate/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { FeatureKey, FeatureOperation, FeatureSetup } from "../route/index.ts";
import { note, precise, rule, stop, type Warning, warn } from "../working/index.ts";
import type { FeatureProgress } from "./feature-progress.ts";
import { howMeasured } from "./feature-step.ts";

export type States = ReadonlyMap<FeatureKey, FeatureProgress>;

/** How much is left for the last wall when it is reached, mm: what its cut was planned to take. */
const leftForWall = (operation: FeatureOperation): Mm =>
  operation.cut ? tidy(operation.cut.passes.at(-1)?.cumulative ?? 0) : 0;

/** What a size should read while its last wall is not cut yet, mm. */
export function expectedBefore(measured: Measured, last: FeatureOperation | undefined): Mm {
  const left = last ? leftForWall(last) : 0;
  return tidy(measured.grows ? measured.target - left : measured.target + left);
}

/** How much further out the last wall is cut than planned, by the readings before it, mm; 0 without any. */
function wallShift(operation: FeatureOperation, setup: FeatureSetup, states: States): Mm {
  const { measure } = operation;
  if (!measure || measure.before) return 0;
  const before = setup.operations.find(
    (o) => o.feature === operation.feature && o.measure?.before && o.measure.size === measure.size,
  );
  const read = before ? (states.get(before.key)?.readings.get(measure.size) ?? []) : [];
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

/** What a reading says of a fit: what is left, or that it has gone too far. */
export function fitNotes(measured: Measured, left: Mm | null, readings: readonly Mm[]): Warning[] {
  if (left === null || readings.length === 0) return [];
  const { lower, upper } = measured.limits;
  const [smallest, largest] = [Math.min(...readings), Math.max(...readings)];
  if (measured.before)
    return left < 0
      ? [
          stop(
            rule(
              "fit.gone",
            )`It is ${precise(mm(-left), 3)} past what is wanted already: cut nothing more there. Measure again, and look at the drawing before going on.`,
          ),
        ]
      : [
          note(
            rule(
              "fit.left",
            )`${precise(mm(left), 3)} is left for the last wall: its place is moved by what you read.`,
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
        )`One reading is ${precise(mm(tidy(past)), 3)} past its limit: that metal cannot go back. Mark the part, and check what it must fit.`,
      ),
    ];
  const most = tidy(measured.grows ? measured.target - smallest : largest - measured.target);
  return [
    warn(
      howMeasured(measured) === "depth"
        ? rule(
            "fit.deeper",
          )`${precise(mm(most), 3)} is still to come off. Go over the floor again that much deeper, then measure again.`
        : rule(
            "fit.more",
          )`${precise(mm(most), 3)} is still to come off. Go back to the last wall and cut it that much further out, then measure again.`,
    ),
  ];
}
