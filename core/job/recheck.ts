import { opposite } from "../frame/index.ts";
import { extentOf, hangingOn, type OperationKey, referenceChain, type Setup } from "../route/index.ts";
import { effective, type Record as JobRecord } from "../steps/index.ts";
import { rule, type Warning, warn } from "../working/index.ts";

/**
 * M39: a face that was cut again after others were cut from it. What hangs on it stood on another surface: it is to be checked
 * again. A face that moved in its clamping counts as cut anew only when a cut followed.
 */
export function recheckWarnings(
  setups: readonly Setup[],
  records: readonly JobRecord[],
  piece: number,
): Warning[] {
  const cuts = new Map<OperationKey, { first: number; last: number }>();
  for (const record of effective([...records])) {
    if (record.type !== "cut" || record.piece !== piece) continue;
    const known = cuts.get(record.op);
    cuts.set(record.op, { first: known?.first ?? record.seq, last: record.seq });
  }
  const links = referenceChain(setups);
  return setups.flatMap((setup) => {
    const again = cuts.get(setup.key);
    // What a first cut left standing held nothing: cutting it moves no reference.
    if (!again || extentOf(setup.key) === "rest") return [];
    const hanging = hangingOn(links, setup.face);
    const stale = setups.filter(
      (s) => hanging.includes(s.face) && (cuts.get(s.key)?.first ?? Infinity) < again.last,
    );
    if (stale.length === 0) return [];
    const number = (s: Setup) => s.after.faces[s.face].order ?? s.number;
    return [
      warn(
        rule(
          "M39.recut",
        )`Face ${number(setup)} was cut again after ${faces([...new Set(stale.map(number))])} were cut from it. Check them again: squareness to face ${number(setup)}, and the ${setup.axis} against the ${opposite(setup.face)} face.`,
      ),
    ];
  });
}

const faces = (numbers: readonly number[]): string =>
  numbers.length === 1 ? `face ${numbers[0]}` : `faces ${numbers.join(", ")}`;
