import type { OwnConditions } from "../cutting/index.ts";
import { axisOf, type Face, facesOf, opposite } from "../frame/index.ts";
import { handlingTimes, type Material } from "../handbook/index.ts";
import { noRoomFor } from "../holding/index.ts";
import {
  boxOfPrism,
  type Cutout,
  cutoutOf,
  type Feature,
  featureNames,
  limitsOf,
  type Part,
  rulesOf,
  sectionAt,
  type Site,
} from "../part/index.ts";
import { tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Machine, reachOf, type Shop, type Vise } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import {
  done,
  type Outcome,
  type Phrase,
  type Refusal,
  refused,
  rule,
  say,
  words,
} from "../working/index.ts";
import type { FeatureKey } from "./feature-key.ts";
import { type FeatureOperation, operationOf } from "./feature-operation.ts";
import { comesBefore, datumsOf, datumUses, type DatumUse, type Placed, usualPlace } from "./feature-order.ts";
import { type FeatureSeat, holdForFeatures } from "./feature-seat.ts";
import type { FeaturePlan, FeatureSetup, FeatureTold, OtherWay, RefusedFeature } from "./feature-setup.ts";
import { type Way, waysOfFeature, type Work } from "./recipes/index.ts";
import { depthsFrom } from "./recipes/recipe.ts";
import { noOwnSeat, type OwnSeat } from "./route-context.ts";
import type { Setup } from "./setup-facts.ts";

export interface FeaturesAsked {
  part: Part;
  site: Site;
  features: readonly Feature[];
  /** The squared block, or the turned shaft. */
  piece: Piece;
  machine: Machine;
  vise: Vise;
  material: Material;
  /** What is in use. */
  shop: Shop;
  own: Partial<Record<FeatureKey, OwnConditions>>;
  /** Ways the person chose, by feature. */
  ownWays: { [feature: string]: string | undefined };
  /** How the person wants a setup held, by its face up. */
  ownSeats: Partial<Record<Face, OwnSeat>>;
  /** Features wanted before all others, in this order. */
  first: readonly string[];
  /** Operations that were begun, in that order. */
  begun: readonly FeatureTold[];
  /** The last setup of a face: features on top of it can stay clamped. */
  last: Setup | null;
}

/** A feature with its ways worked in one approach. */
interface Option {
  approach: string;
  up: Face;
  way: Way;
  minutes: number;
}

/** A feature with all its ways. */
interface Drawn extends Placed {
  ways: readonly Way[];
}

interface Candidate extends Placed {
  options: Option[];
  others: OtherWay[];
}

const approachOf = ({ up, front }: Pick<Way, "up" | "front">): string => (front ? `${up} ${front}` : up);

/** A work with the feature it is of. */
interface Owned {
  of: { id: string; name: string; crown: number };
  work: Work;
}

/** How far the crown a feature is cut into lies below the thickest section of a shaft; 0 for a block and for its ends. */
function crownOf({ cutout }: Placed, up: Face, { site }: FeaturesAsked): number {
  if (!site.shaft || axisOf(up) === "length") return 0;
  const [low, high] = cutout.box.length;
  const here = sectionAt(site.shaft, (low + high) / 2);
  return here ? tidy((site.sizes[axisOf(up)] - here.diameter) / 2) : 0;
}

/** A work with its depths counted from the crown that is touched, not from the thickest section. */
function fromCrown(work: Work, crown: number): Work {
  if (crown === 0) return work;
  const { sweep } = work;
  return {
    ...work,
    top: tidy(work.top - crown),
    floor: tidy(work.floor - crown),
    sweep:
      sweep.kind === "tracks"
        ? {
            ...sweep,
            tracks: sweep.tracks.map((t) =>
              t.depth === undefined ? t : { ...t, depth: tidy(t.depth - crown) },
            ),
          }
        : sweep,
  };
}

/** All works one after the other, a tool staying in where it can; refuses with the first that has no tool. */
function operationsOf(
  works: readonly Owned[],
  seat: FeatureSeat,
  asked: FeaturesAsked,
): Outcome<FeatureOperation[]> {
  const place = placeFor(seat, asked);
  const made: FeatureOperation[] = [];
  for (const { of, work } of works) {
    const outcome = operationOf(of, work, made.at(-1) ?? null, place);
    if (!outcome.ok) return outcome;
    made.push(outcome.value);
  }
  return done(made);
}

/** The shop's cutters that there is room for over a seat (M43). */
const rooms = new WeakMap<FeatureSeat, Cutter[]>();
function placeFor(seat: FeatureSeat, { machine, material, shop, own, vise }: FeaturesAsked) {
  const cutters =
    rooms.get(seat) ??
    shop.cutters.filter(
      (c) =>
        noRoomFor(machine, vise, seat.seat, reachOf(c, shop), seat.seat.along, cuttingDiameter(c), "x") ===
        null,
    );
  rooms.set(seat, cutters);
  return { machine, material, shop, cutters, grip: seat.grip, own };
}

/**
 * Plans every feature of a squared block or a turned shaft: its ways worked with the tools owned, the fewest and quickest
 * setups that show all of them, and the order in which no datum is cut away before it was used (M30). Every feature is in
 * exactly one setup, or refused with a reason and what would help.
 */
export function planFeatures(asked: FeaturesAsked): FeaturePlan {
  const { features, part, site, shop, machine } = asked;
  const byId = new Map(features.map((f) => [f.id, f]));
  const names = featureNames(features);
  const refusedOnes: RefusedFeature[] = [];
  const drawn: Drawn[] = [];
  for (const feature of features) {
    const cutout = cutoutOf(feature, site);
    const form = site.shaft ? "shaft" : "block";
    const { on } = rulesOf(feature.kind);
    if (!cutout || (on !== "both" && on !== form)) {
      refusedOnes.push({
        feature: feature.id,
        others: [],
        ...refused(
          say`The ${names.get(feature.id)!} is not whole, or cannot be as it is entered.`,
          words("The Drawing (1) says what is missing."),
        ),
      });
      continue;
    }
    const ways = waysOfFeature(feature, { part, site, sizes: site.sizes, shop, machine, cutout, before: [] });
    drawn.push({ feature, cutout, ways });
  }
  const seats = seatsFor(drawn, asked, byId);
  const candidates = drawn.flatMap((d): Candidate[] => {
    const { options, others } = worked(d, names.get(d.feature.id)!, seats, asked);
    if (options.length > 0) return [{ ...d, options, others }];
    const why = others.find((o) => o.refusal)?.refusal ?? noWay;
    refusedOnes.push({
      feature: d.feature.id,
      others,
      ...why,
      reason: say`${capital(names.get(d.feature.id)!)}: ${why.reason}`,
    });
    return [];
  });
  const chosen = chooseApproaches(candidates, asked);
  const { batches, late } = order(chosen, asked, byId);
  for (const { candidate, edge, by } of late)
    refusedOnes.push({
      feature: candidate.feature.id,
      others: candidate.others,
      ...refused(
        rule(
          "M30.gone",
        )`${capital(names.get(candidate.feature.id)!)} is dimensioned from the ${edge} edge, which the ${names.get(by)!} cuts away before it.`,
        say`Cut it before the ${names.get(by)!}, or dimension it from another face.`,
      ),
    });
  return {
    ...setupsOf(batches, seats, asked, byId, names),
    routes: batches.flat().map(({ candidate, option }) => ({
      feature: candidate.feature.id,
      way: option.way.name,
      why: option.way.why,
      others: candidate.others.filter((o) => o.name !== option.way.name || o.up !== option.way.up),
    })),
    refused: features.flatMap((f) => refusedOnes.filter((r) => r.feature === f.id)),
  };
}

const noWay: Refusal = refused(words("There is no way to make it here."), words("Draw it another way."));
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** A way all by hand needs no setup of its own. */
const byHand = (way: Way): boolean => way.works.every((w) => w.tool.by === "hand");

/** A seat, the features that can be cut in it together, and those that only a file works on. */
interface Group {
  seat: Outcome<FeatureSeat>;
  cut: Set<string>;
  filed: Set<string>;
}

/**
 * A seat for each approach, for all that can be cut from it together. What would stand in the way of the others (it comes out
 * over the parallels, or opens to the jaws too deep) gets a second seat of the same approach.
 */
function seatsFor(
  drawn: readonly Drawn[],
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): Map<string, Group> {
  const groups = new Map<string, Group>();
  const { piece, site, vise, shop, material, ownSeats } = asked;
  const approaches = new Map(drawn.flatMap(({ ways }) => ways.map((way) => [approachOf(way), way] as const)));
  for (const [key, way] of approaches) {
    const told = asked.begun.find((b) => b.at.up === way.up);
    const own = ownSeats[way.up] ?? null;
    const hold = (of: readonly Drawn[]) =>
      holdForFeatures({
        up: way.up,
        front: way.front ?? null,
        cutouts: of.map((d) => d.cutout),
        datums: of.flatMap((d) => datumsOf(d.feature, byId)),
        piece,
        site,
        vise,
        shop,
        material,
        own: told ? { ...(own ?? noOwnSeat), fixed: told.at.fixed } : own,
      });
    const here = drawn.filter((d) => d.ways.some((w) => approachOf(w) === key));
    // What can be filed gives way to what cannot.
    let left = here
      .filter((d) => d.ways.some((w) => approachOf(w) === key && !byHand(w)))
      .sort((a, b) => Number(a.ways.some(byHand)) - Number(b.ways.some(byHand)));
    const filed = new Set(
      here.filter((d) => d.ways.some((w) => approachOf(w) === key && byHand(w))).map((d) => d.feature.id),
    );
    if (left.length === 0) groups.set(key, { seat: hold([]), cut: new Set(), filed });
    for (let n = 1; n <= mostGroups && left.length > 0; n++) {
      const together: Drawn[] = [];
      let seat: Outcome<FeatureSeat> | null = null;
      for (const d of left) {
        const tried = hold([...together, d]);
        if (!tried.ok) {
          seat ??= tried;
          continue;
        }
        together.push(d);
        seat = tried;
      }
      groups.set(n === 1 ? key : `${key} ${n}`, {
        seat: seat!,
        cut: new Set((together.length > 0 ? together : left).map((d) => d.feature.id)),
        filed: n === 1 ? filed : new Set(),
      });
      if (together.length === 0) break;
      left = left.filter((d) => !together.includes(d));
    }
  }
  return groups;
}

/** Seats tried for one approach. */
const mostGroups = 2;

/** The ways of a feature, each worked over the seat of its approach: the best of every approach, and what was said of all. */
function worked(
  { feature, cutout, ways }: Drawn,
  name: string,
  groups: ReadonlyMap<string, Group>,
  asked: FeaturesAsked,
): { options: Option[]; others: OtherWay[] } {
  const others: OtherWay[] = [];
  const best = new Map<string, Option>();
  const told = asked.begun.find((b) => b.key.startsWith(`${feature.id}/`));
  const wanted = told?.way ?? asked.ownWays[feature.id];
  for (const way of ways) {
    const key = approachOf(way);
    const held = [...groups].find(
      ([name, { cut, filed }]) =>
        name.replace(/ \d$/, "") === key && (byHand(way) ? filed : cut).has(feature.id),
    );
    const approach = held?.[0] ?? key;
    const seat = (held?.[1] ?? groups.get(key)!).seat;
    if (!held) {
      others.push({
        name: way.name,
        why: way.why,
        up: way.up,
        minutes: null,
        refusal: seat.ok
          ? refused(
              words("It cannot be held so together with the others, nor by itself."),
              words("Make it another way, or hold it by hand at the bench."),
            )
          : seat,
      });
      continue;
    }
    const crown = crownOf({ feature, cutout }, way.up, asked);
    const of = { id: feature.id, name, crown };
    const made = seat.ok
      ? operationsOf(
          way.works.map((work) => ({ of, work: fromCrown(work, crown) })),
          seat.value,
          asked,
        )
      : seat;
    const other = { name: way.name, why: way.why, up: way.up };
    if (!made.ok) {
      others.push({ ...other, minutes: null, refusal: made });
      continue;
    }
    const minutes = made.value.reduce((sum, o) => sum + o.minutes.cutting + o.minutes.handling, 0);
    others.push({ ...other, minutes, refusal: null });
    const known = best.get(approach);
    const likes = (name: string) => (name === wanted ? 1 : 0);
    if (
      !known ||
      likes(way.name) > likes(known.way.name) ||
      (likes(way.name) === likes(known.way.name) && minutes < known.minutes)
    )
      best.set(approach, { approach, up: way.up, way, minutes });
  }
  const options = [...best.values()];
  const asTold = told ? options.filter((o) => o.up === told.at.up) : options;
  const liked = wanted ? asTold.filter((o) => o.way.name === wanted) : asTold;
  return { options: liked.length > 0 ? liked : asTold.length > 0 ? asTold : options, others };
}

interface Chosen {
  candidate: Candidate;
  option: Option;
}

/** More approaches than six do not come together but on shafts; sets of them are few enough to look at all. */
const mostApproaches = 10;

/** The set of approaches that shows every feature in the least time, setups counted in. */
function chooseApproaches(candidates: readonly Candidate[], { last }: FeaturesAsked): Chosen[] {
  const approaches = [...new Set(candidates.flatMap((c) => c.options.map((o) => o.approach)))].slice(
    0,
    mostApproaches,
  );
  let best: { cost: number; chosen: Chosen[] } | null = null;
  for (let set = 1; set < 1 << approaches.length; set++) {
    const open = new Set(approaches.filter((_, i) => set & (1 << i)));
    let cost = 0;
    const chosen: Chosen[] = [];
    const used = new Set<string>();
    for (const candidate of candidates) {
      const option = candidate.options
        .filter((o) => open.has(o.approach))
        .reduce<Option | null>((a, b) => (!a || b.minutes < a.minutes - 1e-9 ? b : a), null);
      if (!option) break;
      chosen.push({ candidate, option });
      used.add(option.approach);
      cost += option.minutes;
    }
    if (chosen.length < candidates.length || used.size < open.size) continue;
    for (const approach of used)
      cost +=
        approach === last?.at.up ? handlingTimes.indicate : handlingTimes.setup + handlingTimes.indicate;
    if (!best || cost < best.cost - 1e-9) best = { cost, chosen };
  }
  return best?.chosen ?? [];
}

interface Late {
  candidate: Candidate;
  edge: Face;
  by: string;
}

/**
 * Features gathered into setups, no datum cut away before it was used. Within one setup the zero is known, so there the order
 * only follows the rule where it can.
 */
function order(
  chosen: readonly Chosen[],
  { site, begun, first, last }: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): { batches: Chosen[][]; late: Late[] } {
  const before = (one: Chosen, other: Chosen): Face | null =>
    one.option.approach === other.option.approach && one.option.up !== other.candidate.feature.face
      ? null
      : comesBefore({ ...one.candidate, up: one.option.up }, other.candidate, byId, site.sizes);
  const batches: Chosen[][] = [];
  const late: Late[] = [];
  let left = [...chosen];
  const isBegun = (c: Chosen) => begun.some((b) => b.key.startsWith(`${c.candidate.feature.id}/`));
  // What was begun is a fact: it stays first, in the setup it was begun in.
  const begunAt = (c: Chosen) => begun.findIndex((b) => b.key.startsWith(`${c.candidate.feature.id}/`));
  const cut = left.filter(isBegun).sort((a, b) => begunAt(a) - begunAt(b));
  for (const c of cut) {
    const batch = batches.find((b) => b[0]!.option.approach === c.option.approach);
    if (batch) batch.push(c);
    else batches.push([c]);
  }
  left = left.filter((c) => !isBegun(c));
  const inBatch = (c: Chosen) => batches.find((b) => b[0]!.option.approach === c.option.approach);
  for (const c of [...left]) {
    const batch = inBatch(c);
    const gone = cut
      .filter((other) => other.option.approach !== c.option.approach)
      .map((other) => ({ other, edge: before(c, other) }))
      .find(({ edge }) => edge !== null);
    if (gone) {
      late.push({ candidate: c.candidate, edge: gone.edge!, by: gone.other.candidate.feature.id });
      left = left.filter((o) => o !== c);
    } else if (batch && batch === batches.at(-1)) {
      batch.push(c);
      left = left.filter((o) => o !== c);
    }
  }
  while (left.length > 0) {
    const readyIn = (approach: string): Chosen[] => {
      let ready = left.filter((c) => c.option.approach === approach);
      for (;;) {
        const kept = ready.filter((c) =>
          left.every((other) => ready.includes(other) || other === c || before(other, c) === null),
        );
        if (kept.length === ready.length) return kept;
        ready = kept;
      }
    };
    const approaches = [...new Set(left.map((c) => c.option.approach))];
    const wished = first.flatMap(
      (id) => left.find((c) => c.candidate.feature.id === id)?.option.approach ?? [],
    )[0];
    const ranked = approaches
      .map((approach) => ({ approach, ready: readyIn(approach) }))
      .filter(({ ready }) => ready.length > 0)
      .sort(
        (a, b) =>
          Number(b.approach === wished) - Number(a.approach === wished) ||
          Number(b.approach === last?.at.up && batches.length === 0) -
            Number(a.approach === last?.at.up && batches.length === 0) ||
          b.ready.length - a.ready.length,
      );
    const next = ranked[0];
    if (next) {
      batches.push(next.ready);
      left = left.filter((c) => !next.ready.includes(c));
      continue;
    }
    // Each waits for another: the one that would come too late is refused.
    const stuck = left.find((c) => left.some((other) => other !== c && before(c, other) !== null))!;
    const other = left.find((o) => o !== stuck && before(stuck, o) !== null)!;
    late.push({ candidate: stuck.candidate, edge: before(stuck, other)!, by: other.candidate.feature.id });
    left = left.filter((c) => c !== stuck);
  }
  return {
    batches: batches.map((batch) => [
      ...batch.filter(isBegun).sort((a, b) => begunAt(a) - begunAt(b)),
      ...inOrder(
        batch.filter((c) => !isBegun(c)),
        before,
        first,
      ),
    ]),
    late,
  };
}

/** Within a setup: what was wished first, what another's cut would take the edge of, then the usual order. */
function inOrder(
  batch: readonly Chosen[],
  before: (one: Chosen, other: Chosen) => Face | null,
  first: readonly string[],
): Chosen[] {
  const wish = (c: Chosen) => {
    const at = first.indexOf(c.candidate.feature.id);
    return at === -1 ? first.length : at;
  };
  const left = [...batch].sort(
    (a, b) => wish(a) - wish(b) || usualPlace(a.candidate.feature) - usualPlace(b.candidate.feature),
  );
  const made: Chosen[] = [];
  while (left.length > 0) {
    const free = left.find((c) => left.every((other) => other === c || before(other, c) === null));
    const next = free ?? left[0]!;
    made.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return made;
}

/** The setups of the batches, their operations with tools that stay in where they can. */
function setupsOf(
  batches: readonly Chosen[][],
  groups: ReadonlyMap<string, Group>,
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
  names: ReadonlyMap<string, string>,
): Pick<FeaturePlan, "setups"> {
  const { last, site } = asked;
  const setups: FeatureSetup[] = [];
  const cutouts: Cutout[] = [];
  batches.forEach((batch, i) => {
    const held = groups.get(batch[0]!.option.approach)!.seat;
    if (!held.ok) return;
    const stays = i === 0 && canStay(last, held.value, batch, asked);
    const seat = stays
      ? { ...held.value, at: last!.at, seat: last!.seat, grip: held.value.grip }
      : held.value;
    const works = batch.flatMap(({ candidate, option }): Owned[] => {
      const way = wayNow(candidate, option.way, cutouts, asked);
      cutouts.push(candidate.cutout);
      const crown = crownOf(candidate, way.up, asked);
      const of = { id: candidate.feature.id, name: names.get(candidate.feature.id)!, crown };
      return way.works.map((work) => ({ of, work: fromCrown(work, crown) }));
    });
    const made = operationsOf(spotsTogether(works), seat, asked);
    // Each way was tried over this seat before.
    const operations = made.ok ? made.value : [];
    const uses = batch.flatMap((c) => datumUses(c.candidate.feature, byId));
    const times = (use: DatumUse) => uses.filter((u) => u.axis === use.axis && u.from === use.from).length;
    const datums = uses
      .filter((use, at) => uses.findIndex((u) => u.axis === use.axis && u.from === use.from) === at)
      .sort((a, b) => times(b) - times(a));
    const sum = (of: "cutting" | "handling") => operations.reduce((s, o) => s + o.minutes[of], 0);
    const first = batch.map((c) => names.get(c.candidate.feature.id)!);
    setups.push({
      number: (last?.number ?? 0) + i + 1,
      clamping: (last?.clamping ?? 0) + i + (stays || setups[0]?.entry === "stays" ? 0 : 1),
      entry: stays ? "stays" : "placed",
      at: seat.at,
      seat: seat.seat,
      device: seat.device,
      title: titleOf(seat, stays, first, site.shaft !== null),
      features: batch.map((c) => c.candidate.feature.id),
      datums,
      section: batch.flatMap((c) => seenAlongJaws(c.candidate.cutout, seat.at, site)),
      closest: closestPlace(
        batch.map((c) => c.candidate.feature),
        asked.part,
      ),
      operations,
      reasons: stays
        ? [words("The part stays clamped as it was for its last face: what is cut now is true to it.")]
        : seat.reasons,
      warnings: seat.warnings,
      minutes: {
        cutting: sum("cutting"),
        handling:
          sum("handling") + handlingTimes.indicate + handlingTimes.deburr + (stays ? 0 : handlingTimes.setup),
      },
    });
  });
  return { setups };
}

/** The same way once more, with what is gone by then: a hole in a pocket begins at its floor. */
function wayNow(
  { feature, cutout }: Candidate,
  way: Way,
  before: readonly Cutout[],
  asked: FeaturesAsked,
): Way {
  if (feature.kind !== "hole" || before.length === 0) return way;
  const { part, site, shop, machine } = asked;
  const ways = waysOfFeature(feature, { part, site, sizes: site.sizes, shop, machine, cutout, before });
  return ways.find((w) => w.name === way.name && w.up === way.up) ?? way;
}

/** What the pieces of a cutout show to one who looks along the jaws. */
function seenAlongJaws({ prisms }: Cutout, at: FeatureSeat["at"], { sizes }: Site): FeatureSetup["section"] {
  const across = axisOf(at.fixed);
  const whole = sizes[across];
  const fixedHigh = facesOf(across)[1] === at.fixed;
  return prisms
    .filter((p) => !p.thread)
    .map((prism) => {
      const box = boxOfPrism(prism);
      const [low, high] = box[across];
      const { floor } = depthsFrom(at.up, box[axisOf(at.up)], sizes);
      return fixedHigh
        ? { from: tidy(whole - high), to: tidy(whole - low), depth: floor }
        : { from: tidy(low), to: tidy(high), depth: floor };
    });
}

/** Holes that follow one another are all spotted before the first is drilled: one change of the tool less for each. */
function spotsTogether(works: readonly Owned[]): Owned[] {
  const left = [...works];
  const made: Owned[] = [];
  while (left.length > 0) {
    const next = left.shift()!;
    made.push(next);
    if (next.work.task !== "spot") continue;
    // Up to the first work that is not of the same run of holes.
    const run = left.findIndex(({ work }) => work.tool.by !== "hole");
    const within = left.slice(0, run === -1 ? left.length : run).filter(({ work }) => work.task === "spot");
    for (const spot of within) left.splice(left.indexOf(spot), 1);
    made.push(...within);
  }
  return made;
}

/** Half of the tightest tolerance among the places of features, mm. */
function closestPlace(features: readonly Feature[], part: Part): number | null {
  const halves = features.flatMap((feature) =>
    rulesOf(feature.kind)
      .places(feature)
      .flatMap((which) => {
        const { at } = feature[which];
        if (!at) return [];
        const { lower, upper } = limitsOf(at, part);
        return [(upper - lower) / 2];
      }),
  );
  return halves.length > 0 ? Math.min(...halves) : null;
}

function titleOf(seat: FeatureSeat, stays: boolean, features: readonly string[], shaft: boolean): Phrase {
  const what =
    features.length > 3
      ? `${features.slice(0, 3).join(", ")} and ${features.length - 3} more`
      : features.join(", ");
  if (stays) return say`Still clamped, the ${seat.at.up} up. ${capital(what)}.`;
  return shaft
    ? seat.seat.square
      ? say`The shaft upright in a V-block, the ${seat.at.up} end up. ${capital(what)}.`
      : say`The shaft in V-blocks along X, the ${seat.at.up} up. ${capital(what)}.`
    : say`The ${seat.at.up} up, the ${seat.at.fixed} face to the fixed jaw. ${capital(what)}.`;
}

/** Whether features can be cut as the part is clamped for its last face: same face up, all they open to free of the jaws. */
function canStay(
  last: Setup | null,
  held: FeatureSeat,
  batch: readonly Chosen[],
  asked: FeaturesAsked,
): boolean {
  if (
    !last ||
    last.at.up !== held.at.up ||
    last.cut.kind === "side" ||
    last.seat.table ||
    asked.ownSeats[held.at.up]
  )
    return false;
  if (asked.begun.some((b) => b.at.up === held.at.up && b.at.fixed !== last.at.fixed)) return false;
  const down = last.seat.projection;
  return batch.every(({ candidate: { cutout } }) => {
    const through = cutout.opens.includes(opposite(last.at.up));
    const jaws = [last.at.fixed, opposite(last.at.fixed)];
    const deep = cutout.box[axisOf(last.at.up)][1] - cutout.box[axisOf(last.at.up)][0];
    return !through && (!cutout.opens.some((f) => jaws.includes(f)) || deep + 2 <= down);
  });
}
