import type { AnyKey } from "../route/index.ts";
import { cutsMetal, effective, type Record as JobRecord, type Step, unseen } from "../steps/index.ts";
import { type Phrase, rule, warn, type Warning } from "../working/index.ts";

/** A cut that two devices have recorded, neither knowing of the other's. */
export interface CutTwice {
  op: AnyKey;
  title: Phrase;
  /** Each by its record: the first one, and those that were written without knowing it. */
  records: { id: string; at: string; by: string }[];
}

/** The id of the step a record says was cut. */
const stepCut = (record: JobRecord): string =>
  record.type === "cut" ? `cut-${record.pass}` : record.type === "tick" ? record.tick : "";

/** Cuts of a piece that were recorded twice after records of two devices were put together. Both count until one is taken back. */
export function cutTwice(records: readonly JobRecord[], piece: number, steps: readonly Step[]): CutTwice[] {
  const byId = new Map(records.map((r) => [r.id, r]));
  const cuts = effective([...records]).filter((r) => r.piece === piece && cutsMetal(r) && "op" in r && r.op);
  const groups = new Map<string, JobRecord[]>();
  for (const cut of cuts) {
    const of = `${"op" in cut ? cut.op : ""} ${stepCut(cut)}`;
    groups.set(of, [...(groups.get(of) ?? []), cut]);
  }
  return [...groups.values()].flatMap(([first, ...others]): CutTwice[] => {
    const apart = others.filter((r) => unseen(first!, r, byId));
    if (apart.length === 0 || !("op" in first!) || first.op === null) return [];
    const { op } = first;
    const step = steps.find((s) => s.op === op && s.id === stepCut(first));
    const told = [first, ...apart].map(({ id, at, by }) => ({ id, at, by }));
    return [{ op, title: step?.title ?? { parts: [stepCut(first)] }, records: told }];
  });
}

/** Says of each that it is to be measured before anything is cut after it. */
export const cutTwiceWarnings = (twice: readonly CutTwice[]): Warning[] =>
  twice.map(({ title }) =>
    warn(
      rule(
        "records.twice",
      )`Two devices each recorded this cut: ${title}. If it was cut once, remove one of them at the Record; measure before you cut on.`,
    ),
  );
