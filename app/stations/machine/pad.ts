import { faceOf, isFaceSetup, type Setup } from "../../../core/route/index.ts";
import type { MeasuredHow } from "../../../core/shop/index.ts";
import type { Phrase } from "../../../core/working/index.ts";
import type { FaceProgress, FeatureProgress, LivePass, ReadingOf, Step } from "../../../core/steps/index.ts";

/** What the reading pad of a step asks for. */
export interface Pad {
  /** Another pad where this changes. */
  key: string;
  of: ReadingOf;
  /** What it is called, where that is more than `of`. */
  name?: Phrase | undefined;
  how: MeasuredHow;
  /** mm */
  expected: number;
  /** Smallest earlier reading or the size before, mm; null where nothing is known. */
  before: number | null;
  readings: number[];
}

/**
 * The pad of a step: for the size it measures, else for the one that can be read any time in its operation. Null where there is
 * nothing to read.
 * @param mine the steps of its operation
 * @param passes of the face, where it is one
 */
export function padOf(
  step: Step,
  {
    setup,
    mine,
    state,
    passes,
  }: {
    setup: Setup;
    mine: readonly Step[];
    state: FaceProgress | FeatureProgress | undefined;
    passes: readonly LivePass[];
  },
): Pad | null {
  if (isFaceSetup(setup)) {
    const { axis, from } = faceOf(setup);
    const face = state && "cuts" in state ? state : null;
    const done = passes.filter((p) => p.done);
    const after = step.measure?.after ?? done.length;
    return {
      key: `${step.op}-${after}`,
      of: axis,
      how: "outside",
      expected: step.measure?.expected ?? done.at(-1)?.sizeAfter ?? from,
      before: smallestBefore(face, after) ?? from,
      readings: face?.readings.get(after) ?? [],
    };
  }
  const measure =
    step.measure ?? (mine.find((s) => s.measure && !s.done) ?? mine.findLast((s) => s.measure))?.measure;
  if (!measure) return null;
  const { of, how, expected, readings, fit } = measure;
  return {
    key: `${of}-${readings.length}`,
    of,
    name: fit?.measured.name,
    how,
    expected,
    before: null,
    readings: [...readings],
  };
}

/** Smallest reading before these passes; null without one. */
function smallestBefore(state: FaceProgress | null, after: number): number | null {
  const earlier = [...(state?.readings ?? [])].flatMap(([passes, values]) => (passes < after ? values : []));
  return earlier.length > 0 ? Math.min(...earlier) : null;
}
