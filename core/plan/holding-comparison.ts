import { noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { gripCapacity, tableGrip } from "../holding/index.ts";
import { equipment, type Job, type Override } from "../job/index.ts";
import { type Minutes, type Mm, mm, quantity } from "../quantity/index.ts";
import {
  type AnyKey,
  type FeatureSetup,
  featureSetupsOf,
  heldOn,
  type HoldingWay,
  holdingWays,
  holdingWayWords,
  keyOfSetup,
} from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import { line, type Phrase, say, type Warning, words, type Working } from "../working/index.ts";
import { plan } from "./make-plan.ts";
import type { Plan } from "./plan.ts";
import { heldWorking } from "./grip-working.ts";

/** A setup of features held one way, with what the whole job then takes. */
export interface HoldingOption {
  way: HoldingWay;
  /** The plan holds it so. */
  chosen: boolean;
  /** The setup held so; null where it cannot be. */
  setup: FeatureSetup | null;
  /** Why it cannot be held so; null where it can. */
  cannot: Phrase | null;
  /** What it holds along, with safety, N. */
  holds: number;
  /** How force, places and minutes come about; null where it cannot be held so. */
  working: Working | null;
  /** How far a place may be off in it, both axes together, mm. */
  error: Mm;
  /** Of the whole job. */
  minutes: Minutes;
  clampings: number;
  /** What stands against it, notes left out. */
  against: Warning[];
}

export interface HoldingComparison {
  options: HoldingOption[];
  /** Half of the tightest tolerance of a place in the setup, mm; null where none is asked. */
  closest: Mm | null;
  /** The one to take; null where none can. */
  best: HoldingWay | null;
}

/** Minutes that a warning counts as (guess). */
const warned = 10;

/** The setup that an operation lies in. */
const setupOf = ({ setups }: Plan, key: AnyKey): FeatureSetup | undefined =>
  featureSetupsOf(setups).find((s) => s.operations.some((o) => o.key === key));

/** The job with a setup held one way, whatever was set of it before. */
function heldBy(job: Job, at: AnyKey, way: HoldingWay): Job {
  const id = `held-${way}`;
  const others = job.overrides.order.filter((o) => {
    const set = job.overrides.byId[o];
    return set?.what !== "on" || set.at !== at;
  });
  const wanted: Override = { id, at, what: "on", value: way, reason: "", since: "" };
  return { ...job, overrides: { byId: { ...job.overrides.byId, [id]: wanted }, order: [...others, id] } };
}

/** How the figures of a way come about: what holds, how the zero is known, what the whole job takes. */
function workingOf(
  way: HoldingWay,
  setup: FeatureSetup,
  { zeros, minutes }: Plan,
  by: Parameters<typeof heldWorking>[1],
): Working {
  const held = heldWorking(setup.seat, by);
  const locating = zeros[keyOfSetup(setup)];
  return {
    key: `held/${way}`,
    title: say`Working: held by ${holdingWayWords[way]}`,
    limits: [],
    notes: held.notes ?? [],
    lines: [
      ...held.lines,
      ...(locating?.pickups ?? []).map((p) =>
        line(`zero in ${p.axis.toUpperCase()} known within`, mm(p.error), { decimals: 3 }),
      ),
      line("both axes together", mm(locating?.error ?? 0), { decimals: 3, sum: true }),
      line("cutting, of the whole job", quantity("time", minutes.cutting)),
      line("handling", quantity("time", minutes.handling)),
      line("whole job", quantity("time", minutes.total), { sum: true }),
    ],
  };
}

/**
 * A setup of features held in every way there is: planned whole each time, so that each stands with what it does to the rest of the job.
 * The best can be held, has nothing that stops it, puts its places within what is asked, and takes the least time, a warning counted in.
 * @param key an operation of the setup
 * @returns null where it is none of a block, or nothing can be planned
 */
export function compareHoldings(
  made: Plan,
  job: Job,
  shop: Shop,
  key: AnyKey,
  own: OwnHandbook = noOwnValues,
): HoldingComparison | null {
  const setup = setupOf(made, key);
  const { vise, material } = equipment(job, shop, own);
  if (!setup || setup.device === "vBlocks" || !vise || !material) return null;
  const at = keyOfSetup(setup);
  const now = heldOn(setup.seat);
  const options = holdingWays.map((way): HoldingOption => {
    const tried = plan({ job: heldBy(job, at, way), records: [], shop, piece: 1, own });
    const held = setupOf(tried, at);
    const report = tried.overrides.find((r) => r.override.id === `held-${way}`);
    const can = held !== undefined && heldOn(held.seat) === way;
    const grip = can
      ? held.seat.table
        ? tableGrip(held.seat)
        : gripCapacity(held.seat, vise, material.group)
      : null;
    return {
      way,
      chosen: way === now,
      setup: can ? held : null,
      cannot: can ? null : (report?.why ?? words("It cannot be held so.")),
      working: can ? workingOf(way, held, tried, { shop, material }) : null,
      holds: grip ? grip.along / grip.safety : 0,
      error: can ? (tried.zeros[keyOfSetup(held)]?.error ?? 0) : 0,
      minutes: tried.minutes.total,
      clampings: Math.max(0, ...tried.setups.map((s) => s.clamping)),
      against: can ? held.warnings.filter((w) => w.severity !== "note") : [],
    };
  });
  const { closest } = setup;
  const stops = (o: HoldingOption) => o.against.filter((w) => w.severity === "stop").length;
  const cost = (o: HoldingOption) => o.minutes + warned * o.against.length;
  const off = (o: HoldingOption) => (closest !== null && o.error > closest ? 1 : 0);
  const [best] = options
    .filter((o) => o.setup !== null)
    .sort((a, b) => stops(a) - stops(b) || off(a) - off(b) || cost(a) - cost(b));
  return { options, closest, best: best?.way ?? null };
}
