import { axisOf, type Face, type Sizes } from "../frame/index.ts";
import { featureNames, featuresOf, formsOf, type Part } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { datumsOf, faceOf, type Setup } from "../route/index.ts";
import { nextRework } from "../squaring/index.ts";
import { effective, type Record as JobRecord, type RecordEvent } from "../steps/index.ts";
import { type Phrase, precise, say } from "../working/index.ts";
import type { Plan } from "./plan.ts";
import type { Requirement } from "./requirement.ts";
import { makerOf, reworkOf, sizedBy } from "./rework.ts";

/** What becomes of a size that is not good: a rework that can be planned, is planned already, or waits in the vise. */
export type ReworkOffer =
  | { state: "offered"; event: RecordEvent & { type: "rework" }; worked: Phrase | null }
  /** It is still clamped where it was cut: the walk goes on there. */
  | { state: "clamped"; setup: Setup }
  | { state: "planned"; setup: Setup; record: string; begun: boolean }
  /** Cut once more the size would be lost: why. */
  | { state: "short"; why: Phrase };

/** Two faces of which one is cut square or parallel to the other, or made flat. */
export interface FacePair {
  face: Face;
  to: Face | null;
}

/** A light cut over all of a face, below its lowest place, mm (guess). */
const skim: Mm = 0.05;

/** The faces that a requirement names: of an error of form by name, or those across a size that is out of parallel. */
export function pairOf(
  r: Pick<Requirement, "of">,
  part: Part,
  { setups, requirements }: Pick<Plan, "setups" | "requirements">,
): FacePair | null {
  if (r.of === "parallelism") {
    const [worst] = requirements
      .flatMap((q) => (q.of in part.sizes && q.verdict ? [{ of: q.of, spread: q.verdict.spread }] : []))
      .sort((a, b) => b.spread - a.spread);
    const setup = worst && worst.of !== "parallelism" ? sizedBy(worst.of, setups) : undefined;
    return setup ? { face: faceOf(setup).face, to: null } : null;
  }
  const form = formsOf(part).find((f) => `form/${f.id}` === r.of);
  return form && form.feature === null ? { face: form.face, to: form.to } : null;
}

/** How much comes off a face for its form, mm: all of the error over the whole of it, and a skim. */
function offFor({ face, to }: FacePair, error: Mm, sizes: Sizes): Mm {
  const squared = to !== null && axisOf(to) !== axisOf(face);
  return tidy((squared ? (error * sizes[axisOf(to)]) / 100 : error) + skim);
}

/** How that follows. */
function howMuch({ face, to }: FacePair, error: Mm, sizes: Sizes): Phrase {
  const below = precise(mm(skim), 2);
  if (to === null || axisOf(to) === axisOf(face))
    return say`${precise(mm(error), 3)} as it was read, and ${below} below it so that the face comes clean (guess).`;
  const over = sizes[axisOf(to)];
  return say`${precise(mm(error), 3)} over ${mm(100)} makes ${precise(mm((error * over) / 100), 3)} over ${mm(over)} of the ${axisOf(to)}, and ${below} below it so that the face comes clean (guess).`;
}

/** Whether a face whose form is not good can be cut once more and leave its size within limits. */
function formOffer(
  r: Pick<Requirement, "of" | "verdict">,
  pair: FacePair,
  { setups, requirements, target }: Pick<Plan, "setups" | "requirements" | "target">,
): ReworkOffer | null {
  const axis = axisOf(pair.face);
  const size = requirements.find((q) => q.of === axis);
  const keys = new Set<string>(setups.flatMap((s) => s.operations.map((o) => o.key)));
  const op = nextRework(pair.face, keys);
  if (!target || !size || !r.verdict || op === null || !sizedBy(axis, setups)) return null;
  const [from, least] = size.verdict
    ? [size.verdict.largest, size.verdict.smallest]
    : [target[axis], target[axis]];
  const left = offFor(pair, r.verdict.largest, target);
  const under = size.limits.lower - (least - left);
  if (under > 1e-9)
    return {
      state: "short",
      why: say`${precise(mm(left), 3)} would have to come off the ${pair.face}, and that leaves the ${axis} ${precise(mm(under), 3)} under its limit. Have it accepted, agree another ${axis}, or scrap the piece.`,
    };
  return {
    state: "offered",
    worked: howMuch(pair, r.verdict.largest, target),
    event: {
      type: "rework",
      of: r.of === "parallelism" ? axis : r.of,
      op,
      from,
      left,
      to: tidy(from - left),
      ...(pair.to && axisOf(pair.to) !== axis ? { against: pair.to } : {}),
    },
  };
}

/**
 * Whether a size that has metal left can be cut once more. Null where none is left, no cut of the plan would help, or the
 * instruments do not tell.
 */
export function reworkOffer(
  r: Pick<Requirement, "of" | "verdict" | "how" | "gauge">,
  plan: Pick<Plan, "setups" | "steps" | "requirements" | "target">,
  records: readonly JobRecord[],
  piece: number,
  /** Of an error of form: the faces it is between. */
  pair: FacePair | null = null,
): ReworkOffer | null {
  const { setups, steps } = plan;
  if (r.gauge) return null;
  const ofForm = r.of === "parallelism" || r.how === "form";
  const of = r.of === "parallelism" ? pair && axisOf(pair.face) : r.of;
  const open = (setup: Setup) => steps.some((s) => s.setup === setup.number && !s.done);
  const wanted = effective([...records]).findLast(
    (w): w is JobRecord & { type: "rework" } => w.piece === piece && w.type === "rework" && w.of === of,
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
  if (r.of === "parallelism" || ofForm) return pair && formOffer(r, pair, plan);
  const maker = sizedBy(r.of, setups) ?? makerOf(r.of, setups)?.setup;
  if (!maker) return null;
  if (open(maker)) return { state: "clamped", setup: maker };
  const op = reworkOf(r.of, setups);
  if (op === null) return null;
  const { largest, smallest, rework } = r.verdict;
  const from = r.how === "outside" ? largest : smallest;
  return { state: "offered", event: { type: "rework", of: r.of, op, from, left: rework }, worked: null };
}

/** The face that a rework of a size, or of a form between two faces, cuts; null where it cuts none of the block's. */
export function faceRecut(of: Requirement["of"], pair: FacePair | null, setups: Plan["setups"]): Face | null {
  const last = of === "parallelism" ? undefined : sizedBy(of, setups);
  return pair?.face ?? (last ? faceOf(last).face : null);
}

/** What is to be read again once a face was cut once more: features that count from it, or stand in it. */
export function readAgainAfter(face: Face | null, part: Part): { id: string; name: string }[] {
  if (face === null) return [];
  const all = featuresOf(part);
  const byId = new Map(all.map((f) => [f.id, f]));
  const names = featureNames(all);
  return all.flatMap((f) =>
    [f.face, ...datumsOf(f, byId)].includes(face) ? [{ id: f.id, name: names.get(f.id) ?? f.kind }] : [],
  );
}
