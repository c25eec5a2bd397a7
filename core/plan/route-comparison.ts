import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { checkDrawing, targetSizes } from "../part/index.ts";
import { quantity } from "../quantity/index.ts";
import {
  endsUpright,
  type EndsWay,
  faceOf,
  type FaceOperation,
  type FaceSetup,
  locatedIn,
  Moves,
  type PairError,
  planRoute,
  predictedErrors,
  referenceChain,
  routeRisk,
  searchSteps,
  worstShare,
} from "../route/index.ts";
import {
  onPoints,
  type OperationKey,
  type School,
  schoolApplies,
  schoolNames,
  schoolRule,
  schoolWords,
} from "../squaring/index.ts";
import type { Face } from "../frame/index.ts";
import { inUse, parallelsById, type Shop, squareError } from "../shop/index.ts";
import { nothingBegun } from "../steps/index.ts";
import type { Piece } from "../stock/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import { drawnPart, effectivePart, equipment, isPlainOverride, type Job } from "../job/index.ts";
import { featuresOn } from "./plan-setups.ts";
import { planStart } from "./plan-start.ts";
import { isGlued } from "../holding/index.ts";

/** One way of squaring the block, worked out whole. */
export interface RouteOption {
  school: School;
  /** How the ends are cut. */
  ends: EndsWay;
  name: string;
  /** What it is good for, in a line. */
  what: string;
  setups: { key: OperationKey; face: Face; kind: FaceOperation["cut"]["kind"]; entry: FaceSetup["entry"] }[];
  /** Its first setup, to be drawn; null where there is none. */
  first: FaceSetup | null;
  /** All of it, what is cut into the block too. */
  minutes: number;
  /** How many times the part is placed, for what is cut into it too. */
  clampings: number;
  /** Features for which it stays clamped after a face. */
  kept: number;
  /** What its risks count as, minutes: provisional and rocking seats, rods, tall and shallow grips. */
  risk: number;
  errors: PairError[];
  /** Worst pair over its tolerance; 0 where none is asked for. */
  share: number;
  cutters: string[];
  holding: string[];
  risks: Phrase[];
  /** Why it cannot be done to the end; null when it can. */
  refusal: Phrase | null;
  /** The plan stands on it. */
  chosen: boolean;
}

export interface RouteComparison {
  options: RouteOption[];
  /** Index of the one to take, and why. */
  recommended: number;
  why: Phrase;
  /** How the ends are cut when nothing is said. */
  usualEnds: EndsWay;
}

/** How far the comparison is: ways worked of all, and what is worked now. */
export interface ComparisonProgress {
  done: number;
  of: number;
  what: string;
}

interface Way {
  school: School;
  /** How its ends are cut; null for the usual way. Of several the cheapest that works is given. */
  endsWays: (EndsWay | null)[];
  name: string;
  what: string;
}

/** The ways to look at: every school that applies, with the ends the other way for the ordinary one. */
function waysFor(raw: Piece, other: EndsWay): Way[] {
  const hung = other === "hung";
  const otherEnds: Way = {
    school: "round",
    endsWays: [other],
    name: hung ? "Round the block, ends hung out" : "Round the block, ends upright",
    what: hung ? "ends cut with the side of the cutter" : "ends stood up against a square",
  };
  return schoolNames
    .filter((school) => schoolApplies(school, raw))
    .flatMap((school): Way[] =>
      school === "round"
        ? [{ school, endsWays: [null], ...schoolWords[school] }, otherEnds]
        : [{ school, endsWays: [null, other], ...schoolWords[school] }],
    );
}

/**
 * Works out every school that applies to the block as it was before the first cut, and the order a search finds, and says
 * which to take: the quickest, risks counted in, that meets the tolerances, else the most exact. Yields between the pieces of work, so that it
 * can be shown and stopped; returns null while drawing or shop are not complete, and for a shaft, which comes turned.
 */
export function* comparingRoutes(
  job: Job,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
): Generator<ComparisonProgress, RouteComparison | null> {
  const part = effectivePart(job);
  const target = targetSizes(part);
  const { machine, vise, material } = equipment(job, shop, own);
  if (!target || part.shaft || !machine || !vise || !material) return null;
  const { raw, context, school } = planStart(job, part, target, { machine, vise, material }, shop);
  const chosen = school.school;
  // The ways are compared as they were before the first cut.
  const progress = nothingBegun();
  const findings = checkDrawing(drawnPart(job), inUse(shop), own, machine);
  const overrides = job.overrides.order.flatMap((id) => job.overrides.byId[id] ?? []).filter(isPlainOverride);
  const planned = (school: School, endsWay: EndsWay | null) =>
    planRoute(raw, [], {
      ...context,
      endsWay,
      next: schoolRule(school, context.ends),
      points: onPoints(school),
    });
  const endsBy = (endsWay: EndsWay | null): EndsWay =>
    endsUpright({ ...context, endsWay }).upright ? "upright" : "hung";
  const usual = endsBy(null);
  const now = endsBy(context.endsWay);
  const other: EndsWay = usual === "hung" ? "upright" : "hung";
  // Where the usual way does not cut the ends at all, the others take the other way too.
  const works = planned("round", null).refusal && endsBy(other) === other ? other : null;
  const ways = waysFor(raw, other);
  const options: RouteOption[] = [];
  const optionOf = (school: School, endsWay: EndsWay | null, name: string, what: string): RouteOption => {
    const route = planned(school, endsWay);
    const errors = predictedErrors(referenceChain(locatedIn(route.setups), vise), {
      ...part,
      target,
      machine,
      vise,
      square: squareError(shop),
    });
    const features =
      route.refusal === null
        ? featuresOn(
            { part, findings, progress, equipped: { machine, vise, material }, shop, overrides },
            route.setups.at(-1)?.after ?? raw,
            route.setups,
          )
        : null;
    const cutIn = features?.setups ?? [];
    const cutters = new Set(route.setups.map((s) => faceOf(s).cut.cutter));
    return {
      school,
      ends: endsBy(endsWay),
      name,
      what,
      setups: route.setups.map((s) => {
        const { face, cut, key } = faceOf(s);
        return { face, kind: cut.kind, entry: s.entry, key };
      }),
      first: route.setups[0] ?? null,
      minutes: [...route.setups, ...cutIn].reduce(
        (sum, s) => sum + s.minutes.cutting + s.minutes.handling,
        0,
      ),
      clampings: Math.max(0, ...[...route.setups, ...cutIn].map((s) => s.clamping)),
      kept: cutIn.reduce((sum, s) => sum + (s.entry === "stays" ? s.features.length : 0), 0),
      risk: routeRisk(route.setups),
      errors,
      share: worstShare(errors),
      cutters: [...cutters].map((id) => shop.cutters.find((c) => c.id === id)?.name ?? id),
      holding: holdingOf(route.setups, shop),
      risks: warningsOf(route.setups),
      refusal: route.refusal ? say`Cut ${route.refusal.number}: ${route.refusal.reason}` : null,
      chosen: endsBy(endsWay) === now && JSON.stringify(school) === JSON.stringify(chosen),
    };
  };
  const workOut = ({ school, endsWays, name, what }: Way) => {
    // Where there is no room for the other way, it is none.
    const possible = endsWays.filter((way) => way === null || endsBy(way) === way);
    const worked = possible.map((way) => optionOf(school, way, name, what));
    const better = (a: RouteOption, b: RouteOption) =>
      (a.refusal === null) === (b.refusal === null)
        ? b.minutes + b.risk < a.minutes + a.risk - 0.05
        : b.refusal === null;
    if (worked.length > 0) options.push(worked.reduce((a, b) => (better(a, b) ? b : a)));
  };
  const of = ways.length + 1;
  for (const [done, way] of ways.entries()) {
    yield { done, of, what: way.name };
    workOut(way);
  }
  const searching: ComparisonProgress = { done: of - 1, of, what: "Search for an order" };
  yield searching;
  const search = searchSteps(new Moves(raw, { ...context, endsWay: works }, part));
  let step = search.next();
  for (; !step.done; step = search.next()) yield searching;
  if (step.value)
    workOut({
      school: step.value.order,
      endsWays: [works],
      name: "Found by search",
      what: "least time and risk within the tolerances",
    });
  return { options, ...recommend(options), usualEnds: usual };
}

/** The comparison in one go. */
export function compareRoutes(job: Job, shop: Shop, own: OwnHandbook = noOwnValues): RouteComparison | null {
  const work = comparingRoutes(job, shop, own);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

function holdingOf(setups: readonly FaceSetup[], shop: Shop): string[] {
  const parallels = setups.flatMap((s) => s.seat.parallels?.id ?? []);
  const names = [...new Set(parallels)].map((id) => parallelsById(shop.parallels, id)?.name ?? id);
  return [
    ...names,
    ...(setups.some((s) => s.seat.rod) ? ["round rod"] : []),
    ...(setups.some((s) => s.seat.square) ? ["square"] : []),
    ...(setups.some((s) => s.seat.table && !isGlued(s.seat)) ? ["straps on packing"] : []),
    ...(setups.some((s) => isGlued(s.seat)) ? ["glue on a plate"] : []),
    ...(setups.some((s) => s.seat.points) ? ["three points"] : []),
  ];
}

/** What speaks against a route: its warnings that want more than a note, each once. */
function warningsOf(setups: readonly FaceSetup[]): Phrase[] {
  const seen = new Set<string>();
  return setups
    .flatMap((s) => s.warnings)
    .filter((w) => w.severity !== "note" && w.phrase.id !== undefined)
    .flatMap(({ phrase }) => {
      if (seen.has(phrase.id!)) return [];
      seen.add(phrase.id!);
      return [phrase];
    });
}

function recommend(options: readonly RouteOption[]): { recommended: number; why: Phrase } {
  const whole = options.map((o, i) => ({ o, i })).filter(({ o }) => o.refusal === null);
  const good = whole.filter(({ o }) => o.share <= 1);
  if (whole.length === 0)
    return { recommended: 0, why: words("None can be finished with what is in the shop.") };
  if (good.length === 0) {
    const best = whole.reduce((a, b) => (b.o.share < a.o.share - 1e-9 ? b : a));
    const worst = best.o.errors.reduce((a, b) =>
      b.predicted / (b.tolerance ?? Infinity) > a.predicted / (a.tolerance ?? Infinity) ? b : a,
    );
    return {
      recommended: best.i,
      why: say`None is expected to meet the tolerances; ${best.o.name.toLowerCase()} comes nearest. The largest error is ${worst.largest?.name ?? words("unknown")}: indicate that first.`,
    };
  }
  const cost = ({ o }: { o: RouteOption }) => o.minutes + o.risk;
  const best = good.reduce((a, b) => (cost(b) < cost(a) - 0.05 ? b : a));
  const other = whole.find(({ i }) => i !== best.i);
  const tolerances = best.o.errors.some((e) => e.tolerance !== null)
    ? say`It is expected to meet the tolerances`
    : say`No squareness or parallelism is asked for`;
  if (!other) return { recommended: best.i, why: say`${tolerances}.` };
  const more = other.o.minutes - best.o.minutes;
  const time =
    Math.abs(more) < 0.05
      ? say`takes as long`
      : say`would take ${quantity("time", Math.abs(more))} ${more > 0 ? "more" : "less"}`;
  return {
    recommended: best.i,
    why: say`${tolerances}; ${other.o.name.toLowerCase()} ${time}${other.o.share > 1 ? ", and is expected to miss them" : ""}.`,
  };
}

/** Largest predicted error of a kind, mm; null where no such pair is cut. */
export const largestError = (errors: readonly PairError[], kind: PairError["kind"]): PairError | null =>
  errors
    .filter((e) => e.kind === kind)
    .reduce<PairError | null>((most, e) => (!most || e.predicted > most.predicted ? e : most), null);
