import { featureNames, featuresOf, type Part } from "../part/index.ts";
import { datumsOf, faceOf, type Setup } from "../route/index.ts";
import { effective, type ReadingOf, type Record as JobRecord, type RecordEvent } from "../steps/index.ts";
import type { Plan } from "./plan.ts";
import type { Requirement } from "./requirement.ts";
import { makerOf, reworkOf, sizedBy } from "./rework.ts";

/** What becomes of a size that is not good: a rework that can be planned, is planned already, or waits in the vise. */
export type ReworkOffer =
  | { state: "offered"; event: RecordEvent & { type: "rework" } }
  /** It is still clamped where it was cut: the walk goes on there. */
  | { state: "clamped"; setup: Setup }
  | { state: "planned"; setup: Setup; record: string; begun: boolean };

/**
 * Whether a size that has metal left can be cut once more. Null where none is left, no cut of the plan would help, or the
 * instruments do not tell.
 */
export function reworkOffer(
  r: Pick<Requirement, "of" | "verdict" | "how" | "gauge">,
  { setups, steps }: Pick<Plan, "setups" | "steps">,
  records: readonly JobRecord[],
  piece: number,
): ReworkOffer | null {
  if (r.of === "parallelism" || r.how === "form" || r.gauge) return null;
  const open = (setup: Setup) => steps.some((s) => s.setup === setup.number && !s.done);
  const wanted = effective([...records]).findLast(
    (w): w is JobRecord & { type: "rework" } => w.piece === piece && w.type === "rework" && w.of === r.of,
  );
  const planned = wanted && setups.find((s) => s.operations.some((o) => o.key === wanted.op));
  if (planned && open(planned))
    return {
      state: "planned",
      setup: planned,
      record: wanted.id,
      begun: steps.some((s) => s.setup === planned.number && s.done),
    };
  if (r.verdict?.verdict !== "rework") return null;
  const maker = sizedBy(r.of, setups) ?? makerOf(r.of, setups)?.setup;
  if (!maker) return null;
  if (open(maker)) return { state: "clamped", setup: maker };
  const op = reworkOf(r.of, setups);
  if (op === null) return null;
  const { largest, smallest, rework } = r.verdict;
  const from = r.how === "outside" ? largest : smallest;
  return { state: "offered", event: { type: "rework", of: r.of, op, from, left: rework } };
}

/** What is to be read again once a size was cut once more: features that count from its face, or stand in it. */
export function readAgainAfter(
  of: ReadingOf,
  { setups }: Pick<Plan, "setups">,
  part: Part,
): { id: string; name: string }[] {
  const last = sizedBy(of, setups);
  if (!last) return [];
  const { face } = faceOf(last);
  const all = featuresOf(part);
  const byId = new Map(all.map((f) => [f.id, f]));
  const names = featureNames(all);
  return all.flatMap((f) =>
    [f.face, ...datumsOf(f, byId)].includes(face) ? [{ id: f.id, name: names.get(f.id) ?? f.kind }] : [],
  );
}
