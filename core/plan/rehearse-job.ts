import { type Axis, axisNames, axisOf, type Face, faceNames } from "../frame/index.ts";
import { conditionFacts, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { featuresOf, type Part, partSizes, siteOfPart } from "../part/index.ts";
import type { Limits, Mm } from "../quantity/index.ts";
import { leavesRadius } from "../recipes/index.ts";
import {
  type Chance,
  chance,
  type Finding,
  type HoldingErrors,
  judgePart,
  LiteralMachine,
  rawBlock,
  type SolidKit,
  type Told,
  type ToldSize,
  turnedShaft,
  type Workpart,
} from "../rehearse/index.ts";
import {
  faceOf,
  type FaceSetup,
  faceSetupsOf,
  featureOfKey,
  featureSetupsOf,
  isFaceKey,
  missingBefore,
  setupWith,
} from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import { extentOf } from "../squaring/index.ts";
import { conditionAt, readingsAlong } from "../stock/index.ts";
import {
  appended,
  beginningOf,
  eventsToFinish,
  type Found,
  type Record as JobRecord,
  type RecordEvent,
  type StaleCause,
  type Step,
} from "../steps/index.ts";
import { effectivePart, equipment, type Job, keptOverrides, machineOf } from "../job/index.ts";
import { plan } from "./make-plan.ts";
import type { Plan } from "./plan.ts";
import type { Requirement } from "./requirement.ts";
import { toldStep } from "./told-step.ts";

/** A size as the part really has it, beside what the application says of it. */
export interface TruthOfSize {
  of: string;
  limits: Limits;
  is: Mm;
  verdict: NonNullable<Requirement["verdict"]>["verdict"] | null;
  /** Within its limits, in truth. */
  good: boolean;
}

export interface Rehearsal {
  findings: Finding[];
  truths: TruthOfSize[];
  /** Steps that were done, and whether that was the whole part: all of them, and none refused. */
  done: number;
  finished: boolean;
  records: JobRecord[];
}

export interface RehearsalProgress {
  done: number;
  of: number;
  setup: number;
}

export interface RehearsalAsked {
  job: Job;
  shop: Shop;
  own?: OwnHandbook;
  kit: SolidKit;
  /** Draws the lump, the errors of machine and vise, and those of every reading. */
  seed: number;
  /** What goes wrong before a step, as a person tells it with "Something is wrong"; null for nothing. */
  upsets?: (step: Step, draws: Chance) => StaleCause | null;
  /** Draws nothing: every size comes as it was read, every thing is true. */
  chance?: Chance;
  /** What a person does instead of what is told: a slip, to see whether it is found. */
  mishears?: (told: Told, step: Step) => Told;
  /** How far out certain things that hold are; the rest is drawn. */
  planted?: Partial<HoldingErrors>;
  /** Once the part is finished: what is decided and recorded then, such as a size that is wanted smaller now and cut once more. */
  later?: (
    made: Plan,
    really: (of: Requirement) => Mm | null,
    part: Workpart,
  ) => { job: Job; events: RecordEvent[] } | null;
}

/** More steps than any plan has. */
const mostSteps = 4000;
/** A face that is never clean is left at this many looks; one that straps cover in part sooner, since all of it is looked at. */
const mostLooks = { whole: 40, part: 3 } as const;

const rounded = (value: Mm): Mm => Math.round(value * 1000) / 1000;

/**
 * Follows a job to its end as a person would who knows only what the steps say. Readings that a step asks for are taken from the
 * metal and put in as records, and the plan goes on from them. Yields after every step, so that others can be let in and it can
 * be stopped.
 */
export function* rehearsing(asked: RehearsalAsked): Generator<RehearsalProgress, Rehearsal> {
  const { shop, kit, own = noOwnValues } = asked;
  let job = alone(asked.job);
  let { later } = asked;
  const draws = asked.chance ?? chance(asked.seed);
  let drawing = effectivePart(job);
  const { machine, vise, material } = equipment(job, shop, own);
  const target = partSizes(drawing);
  let records: JobRecord[] = [];
  const planned = () => plan({ job, records, shop, piece: 1, own });
  let made = planned();
  const nothing: Rehearsal = { findings: [], truths: [], done: 0, finished: false, records };
  if (!machine || !vise || !material || !target || made.steps.length === 0) return nothing;
  const part = kit.scope(() => {
    const site = siteOfPart(drawing);
    const lump = site?.shaft
      ? turnedShaft(site.shaft, kit, draws)
      : rawBlock(
          {
            readings: Object.fromEntries(axisNames.map((a) => [a, readingsAlong(job.stock, a)])) as Record<
              Axis,
              Mm[]
            >,
            conditions: Object.fromEntries(
              faceNames.map((f) => [f, conditionAt(job.stock, f)]),
            ) as Parameters<typeof rawBlock>[0]["conditions"],
            target,
            u: 0.03,
          },
          kit,
          draws,
        );
    lump.solid.keep();
    return lump;
  });
  const literal = new LiteralMachine({
    kit,
    shop,
    machine,
    vise,
    material,
    drawing,
    part,
    chance: draws,
    ...(asked.planted ? { planted: asked.planted } : {}),
  });
  let done = 0;
  let at = machine;
  const looks = new Map<string, number>();
  const atEnds: Finding[] = [];
  try {
    while (made.current < made.steps.length && done < mostSteps && !literal.lost) {
      const step = made.steps[made.current]!;
      const setup = setupWith(made.setups, step.op);
      // What the application says must be measured first is measured first: here nobody can.
      if (step.kind === "place" && setup && missingBefore(setup)) break;
      const upset = asked.upsets?.(step, draws) ?? null;
      if (upset && records.some((r) => "op" in r && r.op === step.op)) {
        literal.upset(upset);
        records = appended(records, { type: "stale", op: step.op, cause: upset });
        made = planned();
        continue;
      }
      const on = (setup && machineOf(setup, shop)) ?? machine;
      if (on !== at) literal.carriedTo((at = on));
      const found: Found = {};
      for (const told of toldStep(step, made, { machine: on, vise, shop })) {
        const answer = literal.obey(asked.mishears?.(told, step) ?? told);
        if (answer && "reading" in answer) found.reading = rounded(answer.reading);
        if (answer && "clean" in answer) {
          const times = (looks.get(step.op) ?? 0) + 1;
          looks.set(step.op, times);
          const whole = isFaceKey(step.op) && extentOf(step.op) === "face";
          found.clean = answer.clean || times > mostLooks[whole ? "whole" : "part"];
        }
      }
      const events = eventsToFinish(step, found);
      if (events.length === 0) break;
      if (step.kind === "takeOut") atEnds.push(...judgedAfter(step, made, records, literal, drawing, kit));
      records = appended(records, ...beginningOf(made.setups, step.op, records), ...events);
      done++;
      made = advanced(made, step, planned);
      const more: ReturnType<NonNullable<typeof later>> =
        made.current >= made.steps.length && later
          ? later(
              made,
              (r) => {
                const size = toldSizeOf(r);
                return size && literal.trueSize(size);
              },
              literal.part,
            )
          : null;
      if (more) {
        later = undefined;
        job = more.job;
        drawing = effectivePart(job);
        records = appended(records, ...more.events);
        made = planned();
      }
      yield { done, of: made.steps.length, setup: step.setup };
    }
    const finished = made.current >= made.steps.length && made.refusal === null;
    return {
      findings: [...literal.findings.filter((f) => !saidOfCut(f, made)), ...eachOnce(atEnds)],
      truths: finished ? truthsOf(made, literal) : [],
      done,
      finished,
      records,
    };
  } finally {
    literal.drop();
  }
}

/** One piece is followed: what is wanted for two in the vise at once is left out. */
const alone = (job: Job): Job => ({
  ...job,
  overrides: keptOverrides(job.overrides, (o) => o.what !== "together"),
});

/** What the part is against its drawing once a setup is taken out: sizes that are to be reached, features that are to be there. */
function judgedAfter(
  step: Step,
  made: Plan,
  records: readonly JobRecord[],
  literal: LiteralMachine,
  drawing: Part,
  kit: SolidKit,
): Finding[] {
  const behind = new Set(made.steps.slice(0, made.current + 1).map((s) => s.op));
  const all = faceSetupsOf(made.setups);
  const faces = all.filter((s) => behind.has(faceOf(s).key));
  const squared = faces.length === all.length && made.refusal === null;
  const cut = new Set(
    featureSetupsOf(made.setups).flatMap((s) =>
      s.operations.every((o) => behind.has(o.key)) ? s.features : [],
    ),
  );
  const begun = new Set(
    records.flatMap((r) => (r.type === "begun" && !isFaceKey(r.op) ? [featureOfKey(r.op)] : [])),
  );
  const without = (done: (id: string) => boolean) =>
    new Set(featuresOf(drawing).flatMap(({ id }) => (done(id) ? [] : [id])));
  return kit
    .scope(() =>
      judgePart({
        part: literal.part,
        drawing,
        untouched: without((id) => cut.has(id) || begun.has(id)),
        unfinished: without((id) => cut.has(id)),
        raw: rawFaces(made),
        corners: cornersIn(made),
        form: Math.max(0, ...made.errors.map((e) => e.worst)),
        axes: squared ? axisNames : axisNames.filter((axis) => reached(axis, faces)),
        squared,
        strokes: literal.strokes,
        kit,
        end: { op: step.op, step: "end", setup: step.setup },
      }),
    )
    .filter((finding) => !admitted(finding, made));
}

/** The radius that stays in sharp corners of features, by the cutter of their walls. */
const cornersIn = ({ setups }: Plan): Map<string, Mm> =>
  new Map(
    featureSetupsOf(setups).flatMap((s) =>
      s.operations.flatMap((o) => (leavesRadius(o.sweep) ? [[o.feature, o.diameter / 2] as const] : [])),
    ),
  );

/** Whether the application says itself that a cut asks more than the machine gives: a person wanted it so. */
const saidOfCut = ({ sort, op }: Finding, { setups }: Plan): boolean =>
  sort === "tooHard" &&
  faceSetupsOf(setups).some(
    (s) => faceOf(s).key === op && faceOf(s).cut.warnings.some((w) => w.phrase.id?.startsWith("M21.")),
  );

/** Whether the application says itself that a size is not good. */
function admitted({ sort, what }: Finding, { requirements }: Plan): boolean {
  const axis = axisNames.find((a) => a === what);
  return (
    (sort === "left" || sort === "below") &&
    axis !== undefined &&
    requirements.some((r) => r.of === axis && r.verdict && r.verdict.verdict !== "good")
  );
}

/** Faces that stay with the skin they were bought with, or were answered not to be clean: what a person is told of them. */
function rawFaces({ setups, spares }: Plan): Face[] {
  const { after } = faceSetupsOf(setups).at(-1) ?? { after: null };
  if (!after) return [];
  return faceNames.filter((face) => {
    const { condition, clean } = after.faces[face];
    // Of a size nobody measured the application plans no cut, and says so as a stop.
    const unmeasured = spares?.[axisOf(face)].verdict === "unmeasured";
    return unmeasured || !clean || !conditionFacts[condition].machined;
  });
}

/** Whether a size was to be reached by the faces cut so far: both of its faces, and no ledge is left beside them. */
const reached = (axis: Axis, faces: readonly FaceSetup[]): boolean => {
  const now = faces.at(-1)?.after;
  return (
    faces.some((s) => faceOf(s).axis === axis && faceOf(s).sized) &&
    now !== undefined &&
    faceNames.every((face) => now.faces[face].rest === null)
  );
};

/** What stands at the end of one setup stands at the end of the next: told where it was first seen. */
function eachOnce(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return findings.filter(({ sort, what, size }) => {
    const key = `${sort} ${what} ${size.toFixed(1)}`;
    return !seen.has(key) && seen.add(key);
  });
}

/** From one move of an operation to the next nothing is planned anew: a tick changes no decision. */
function advanced(made: Plan, step: Step, planned: () => Plan): Plan {
  const next = made.steps[made.current + 1];
  const goesOn = step.move && next?.move && next.op === step.op && !next.done && !step.id.startsWith("back-");
  return goesOn ? { ...made, current: made.current + 1 } : planned();
}

/** What each requirement really is, against what it was judged. */
function truthsOf(made: Plan, literal: LiteralMachine): TruthOfSize[] {
  return made.requirements.flatMap((r): TruthOfSize[] => {
    const size = toldSizeOf(r);
    const is = size && literal.trueSize(size);
    if (is === null) return [];
    return [
      {
        of: r.of,
        limits: r.limits,
        is,
        verdict: r.verdict?.verdict ?? null,
        good: is >= r.limits.lower - 5e-4 && is <= r.limits.upper + 5e-4,
      },
    ];
  });
}

function toldSizeOf({ of, drawn, limits }: Requirement): ToldSize | null {
  if (of === "length" || of === "width" || of === "height") return { of };
  const [feature, size] = of.split("/");
  if (!feature || !size) return null;
  // A depth judged over the far side has limits far from the depth that is drawn.
  const over = drawn !== null && Math.abs((limits.lower + limits.upper) / 2 - drawn.nominal) > 2;
  return { of: "feature", feature, size, over };
}

/** Runs a rehearsal to its end. */
export function rehearse(asked: RehearsalAsked): Rehearsal {
  const work = rehearsing(asked);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
