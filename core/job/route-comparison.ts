import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { targetSizes } from "../part/index.ts";
import { quantity } from "../quantity/index.ts";
import {
  Moves,
  endsUpright,
  type EndsWay,
  type PairError,
  planRoute,
  predictedErrors,
  referenceChain,
  searchOrder,
  type Setup,
  worstShare,
} from "../route/index.ts";
import type { Face } from "../frame/index.ts";
import type { Shop } from "../shop/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import { equipment } from "./equipment.ts";
import type { Job } from "./job.ts";
import { effectivePart } from "./plan.ts";
import { planStart, schoolOf, schoolRule } from "./plan-start.ts";

export type School = ReturnType<typeof schoolOf>;

/** One way of squaring the block, worked out whole. */
export interface RouteOption {
  school: School;
  /** How the ends are cut. */
  ends: EndsWay;
  name: string;
  /** What it is good for, in a line. */
  what: string;
  setups: { face: Face; kind: Setup["cut"]["kind"] }[];
  minutes: number;
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

/**
 * Works out every school that applies to the block as it was before the first cut, and the order a search finds, and says
 * which to take: the quickest that meets the tolerances, else the most exact. Null while drawing or shop are not complete.
 */
export function compareRoutes(job: Job, shop: Shop, own: OwnHandbook = noOwnValues): RouteComparison | null {
  const part = effectivePart(job);
  const target = targetSizes(part);
  const { machine, vise, material } = equipment(job, shop, own);
  if (!target || !machine || !vise || !material) return null;
  const { raw, context } = planStart(job, part, target, { machine, vise, material }, shop);
  const chosen = schoolOf(job);
  const planned = (school: School, endsWay: EndsWay | null) =>
    planRoute(raw, [], { ...context, endsWay, next: schoolRule(school, context.ends) });
  const endsBy = (endsWay: EndsWay | null): EndsWay =>
    endsUpright({ ...context, endsWay }).upright ? "upright" : "hung";
  const usual = endsBy(null);
  const now = endsBy(context.endsWay);
  const other: EndsWay = usual === "hung" ? "upright" : "hung";
  // Where the usual way does not cut the ends at all, the others take the other way too.
  const works = planned("round", null).refusal && endsBy(other) === other ? other : null;
  const found = searchOrder(new Moves(raw, { ...context, endsWay: works }, part));
  const ways: { school: School; endsWay: EndsWay | null; name: string; what: string }[] = [
    {
      school: "round",
      endsWay: null,
      name: "Round the block",
      what: "six setups, the ordinary way for rough stock",
    },
    {
      school: "round",
      endsWay: other,
      name: other === "hung" ? "Round the block, ends hung out" : "Round the block, ends upright",
      what: other === "hung" ? "ends cut with the side of the cutter" : "ends stood up against a square",
    },
    {
      school: "widest",
      endsWay: works,
      name: "Widest first",
      what: "two parallel faces first, for squareness",
    },
    ...(found
      ? [
          {
            school: found.order,
            endsWay: works,
            name: "Found by search",
            what: "least time and risk within the tolerances",
          },
        ]
      : []),
  ];
  const options = ways.flatMap(({ school, endsWay, name, what }): RouteOption[] => {
    // Where there is no room for the other way, it is none.
    if (endsWay !== null && endsBy(endsWay) !== endsWay) return [];
    const route = planned(school, endsWay);
    const errors = predictedErrors(referenceChain(route.setups), { ...part, target, machine, vise });
    const cutters = new Set(route.setups.map((s) => s.cut.cutter));
    return [
      {
        school,
        ends: endsBy(endsWay),
        name,
        what,
        setups: route.setups.map((s) => ({ face: s.face, kind: s.cut.kind })),
        minutes: route.setups.reduce((sum, s) => sum + s.minutes.cutting + s.minutes.handling, 0),
        errors,
        share: worstShare(errors),
        cutters: [...cutters].map((id) => shop.cutters.find((c) => c.id === id)?.name ?? id),
        holding: holdingOf(route.setups, shop),
        risks: risksOf(route.setups),
        refusal: route.refusal ? say`Setup ${route.refusal.number}: ${route.refusal.reason}` : null,
        chosen: endsBy(endsWay) === now && JSON.stringify(school) === JSON.stringify(chosen),
      },
    ];
  });
  return { options, ...recommend(options), usualEnds: usual };
}

function holdingOf(setups: readonly Setup[], shop: Shop): string[] {
  const parallels = setups.flatMap((s) => s.seat.parallels?.id ?? []);
  const names = [...new Set(parallels)].map((id) => shop.parallels.find((p) => p.id === id)?.name ?? id);
  return [
    ...names,
    ...(setups.some((s) => s.seat.rod) ? ["round rod"] : []),
    ...(setups.some((s) => s.seat.square) ? ["square"] : []),
  ];
}

/** What speaks against a route: its warnings that want more than a note, each once. */
function risksOf(setups: readonly Setup[]): Phrase[] {
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
    return { recommended: 0, why: words("None can be done to the end with what is in the shop.") };
  if (good.length === 0) {
    const best = whole.reduce((a, b) => (b.o.share < a.o.share - 1e-9 ? b : a));
    const worst = best.o.errors.reduce((a, b) =>
      b.predicted / (b.tolerance ?? Infinity) > a.predicted / (a.tolerance ?? Infinity) ? b : a,
    );
    return {
      recommended: best.i,
      why: say`None is expected to meet the tolerances; ${best.o.name.toLowerCase()} comes nearest. Most of it is ${worst.largest?.name ?? words("unknown")}: indicate that first.`,
    };
  }
  const best = good.reduce((a, b) => (b.o.minutes < a.o.minutes - 0.05 ? b : a));
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
