import { type Face, opposite } from "../frame/index.ts";
import { featureNames, featuresOf, type Part } from "../part/index.ts";
import {
  datumsOf,
  faceOf,
  type FaceSetup,
  featureOfKey,
  hangingOn,
  isFaceKey,
  locatedIn,
  referenceChain,
} from "../route/index.ts";
import { makesFace, type OperationKey } from "../squaring/index.ts";
import { cutsMetal, effective, type Record as JobRecord } from "../steps/index.ts";
import { rule, warn, type Warning } from "../working/index.ts";

/**
 * M39: a face that was cut again after others were cut from it. What hangs on it stood on another surface: it is to be checked
 * again. A face that moved in its clamping counts as cut anew only when a cut followed.
 */
export function recheckWarnings(
  setups: readonly FaceSetup[],
  records: readonly JobRecord[],
  piece: number,
  part: Part,
): Warning[] {
  const cuts = new Map<OperationKey, { first: number; last: number }>();
  /** When a feature was cut first. */
  const begun = new Map<string, number>();
  for (const record of effective([...records])) {
    if (record.piece !== piece || !cutsMetal(record)) continue;
    if (record.type === "tick" && !isFaceKey(record.op)) {
      const feature = featureOfKey(record.op);
      begun.set(feature, begun.get(feature) ?? record.seq);
    }
    if (record.type !== "cut") continue;
    const known = cuts.get(record.op);
    cuts.set(record.op, { first: known?.first ?? record.seq, last: record.seq });
  }
  const names = featureNames(featuresOf(part));
  const byId = new Map(featuresOf(part).map((f) => [f.id, f]));
  const counting = (face: Face, before: number): string[] =>
    featuresOf(part).flatMap((f) =>
      (begun.get(f.id) ?? Infinity) < before && [f.face, ...datumsOf(f, byId)].includes(face)
        ? [names.get(f.id) ?? f.kind]
        : [],
    );
  const links = referenceChain(locatedIn(setups));
  return setups.flatMap((setup) => {
    const { key, face, axis } = faceOf(setup);
    const again = cuts.get(key);
    // What a first cut left standing held nothing: cutting it moves no reference.
    if (!again || !makesFace(key)) return [];
    const hanging = hangingOn(links, face);
    const stale = setups.filter(
      (s) => hanging.includes(faceOf(s).face) && (cuts.get(faceOf(s).key)?.first ?? Infinity) < again.last,
    );
    const number = (s: FaceSetup) => s.after.faces[faceOf(s).face].order ?? s.number;
    const moved = counting(face, again.last);
    const ofFeatures =
      moved.length === 0
        ? []
        : [
            warn(
              rule(
                "M39.feature",
              )`Face ${number(setup)} was recut after what counts from it: ${moved.join(", ")}. Measure its place and depth again.`,
            ),
          ];
    if (stale.length === 0) return ofFeatures;
    return [
      ...ofFeatures,
      warn(
        rule(
          "M39.recut",
        )`Face ${number(setup)} was recut after ${faces([...new Set(stale.map(number))])} had been cut from it. Check them again: squareness to face ${number(setup)}, and the ${axis} against the ${opposite(face)} face.`,
      ),
    ];
  });
}

const faces = (numbers: readonly number[]): string =>
  numbers.length === 1 ? `face ${numbers[0]}` : `faces ${numbers.join(", ")}`;
