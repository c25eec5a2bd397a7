import { axisOf } from "../frame/index.ts";
import { gripCapacity, isGlued, liesOn } from "../holding/index.ts";
import { handlingTimes } from "../handbook/index.ts";
import {
  boxOfPrism,
  type Cutout,
  type Feature,
  limitsOf,
  type Part,
  rulesOf,
  type Site,
} from "../part/index.ts";
import { capital, done, type Outcome, type Phrase, type Refusal, say } from "../working/index.ts";
import type { Candidate, Chosen, Owned } from "./feature-candidate.ts";
import type { Group } from "./feature-groups.ts";
import { featureOfKey } from "./feature-key.ts";
import { datumsOf, type DatumUse, datumUses } from "./feature-order.ts";
import { holdForFeatures } from "./hold-for-features.ts";
import type { FeatureSeat } from "./hold-request.ts";
import { canStay, cutOf, mayComeBefore } from "./feature-hosts.ts";
import { faceOf, type FaceSetup, type FeatureSetup } from "./setup.ts";
import { operationsOf, ownedWorks } from "./feature-works.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import { recipePlace } from "./recipe-place.ts";
import { type Way, waysOfFeature } from "../recipes/index.ts";
import { depthsFrom } from "../recipes/index.ts";
import { fromFixedJaw } from "./cuts-in-seat.ts";
import { placingTime } from "./handling.ts";

/**
 * The setups of the batches, their operations with tools that stay in where they can. What cannot be made after all, because
 * others were cut before it or the part stays clamped, is refused with its reason.
 */
export function setupsOf(
  batches: readonly Chosen[][],
  groups: ReadonlyMap<string, Group>,
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
  names: ReadonlyMap<string, string>,
): { setups: FeatureSetup[]; dropped: (Refusal & { candidate: Candidate })[] } {
  const { site, faces, clampings } = asked;
  const setups: FeatureSetup[] = [];
  const dropped: (Refusal & { candidate: Candidate })[] = [];
  const cutouts: Cutout[] = [];
  for (const { wanted, host } of withHosts(batches, asked, byId)) {
    const planned = groups.get(wanted[0]!.option.approach)!.seat;
    // Held as the part is by then, not as it was drawn.
    const held = planned.ok ? heldNow(planned.value, wanted, cutouts, asked, byId) : planned;
    if (!held.ok) {
      dropped.push(...wanted.map(({ candidate }) => ({ candidate, ...held })));
      continue;
    }
    const seat = host
      ? {
          ...held.value,
          at: host.at,
          seat: host.seat,
          // Still clamped as the face was: its grip and its warnings, not those of a seat it never had.
          grip: gripCapacity(host.seat, asked.vise, asked.material.group),
          warnings: host.warnings,
        }
      : held.value;
    const placed = setups.filter((s) => s.entry === "placed").length;
    const batch: Chosen[] = [];
    const works: Owned[] = [];
    for (const chosen of wanted) {
      const { candidate, option } = chosen;
      const way = wayNow(candidate, option.way, cutouts, asked);
      const mine = ownedWorks(candidate, names.get(candidate.feature.id)!, way, asked, cutouts);
      const alone = operationsOf(mine, seat, asked);
      if (!alone.ok) {
        dropped.push({ candidate, ...alone });
        continue;
      }
      cutouts.push(candidate.cutout);
      batch.push(chosen);
      works.push(...mine);
    }
    const made = operationsOf(spotsTogether(works), seat, asked);
    if (batch.length === 0 || !made.ok) continue;
    const [firstOperation, ...others] = made.value;
    if (!firstOperation) continue;
    const operations = [firstOperation, ...others] as const;
    const uses = batch.flatMap((c) => datumUses(c.candidate.feature, byId));
    const times = (use: DatumUse) => uses.filter((u) => u.axis === use.axis && u.from === use.from).length;
    const datums = uses
      .filter((use, at) => uses.findIndex((u) => u.axis === use.axis && u.from === use.from) === at)
      .sort((a, b) => times(b) - times(a));
    const sum = (of: "cutting" | "handling") => operations.reduce((s, o) => s + o.minutes[of], 0);
    const first = batch.map((c) => names.get(c.candidate.feature.id)!);
    setups.push({
      number: (host?.number ?? faces) + setups.length + 1,
      clamping: host ? host.clamping : clampings + placed + 1,
      entry: host ? "stays" : "placed",
      stays: false,
      machine: begunOn(batch, asked) ?? asked.machine.id,
      carried: false,
      at: seat.at,
      seat: seat.seat,
      device: seat.device,
      title: titleOf(seat, host !== null, first, site.shaft !== null),
      features: batch.map((c) => c.candidate.feature.id),
      datums,
      section: batch.flatMap((c) => seenAlongJaws(c.candidate.cutout, seat.at, site)),
      lies: site.shaft ? "on both" : liesOn(asked.piece, seat.at, seat.seat),
      closest: closestPlace(
        batch.map((c) => c.candidate.feature),
        asked.part,
      ),
      operations,
      reasons: host
        ? [
            say`The part stays clamped as it was for the ${faceOf(host).face} face: this cut comes true to it, and a clamping is saved.`,
          ]
        : seat.reasons,
      warnings: seat.warnings,
      minutes: {
        cutting: sum("cutting"),
        handling:
          sum("handling") +
          handlingTimes.indicate +
          handlingTimes.deburr +
          (host ? 0 : placingTime("placed", seat.seat)),
      },
    });
  }
  return { setups, dropped };
}

/** The batches in the order they are cut: first those for which the part stays clamped after a face, then the others. */
function withHosts(
  batches: readonly Chosen[][],
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): { wanted: Chosen[]; host: FaceSetup | null }[] {
  const left = [...asked.hosts];
  const waiting: Chosen[][] = [];
  const hosted: { wanted: Chosen[]; host: FaceSetup }[] = [];
  for (const wanted of batches) {
    const free = mayComeBefore(wanted, waiting.flat(), byId, asked.site.sizes);
    const host = free ? left.find((h) => canStay(h, wanted, asked)) : undefined;
    if (!host) waiting.push(wanted);
    else {
      left.splice(left.indexOf(host), 1);
      hosted.push({ wanted, host: host.setup });
    }
  }
  hosted.sort((a, b) => a.host.number - b.host.number);
  return [...hosted, ...waiting.map((wanted) => ({ wanted, host: null }))];
}

/** The same way once more, with what is gone by then: a hole in a pocket begins at its floor. */
function wayNow(
  { feature, cutout }: Candidate,
  way: Way,
  before: readonly Cutout[],
  asked: FeaturesAsked,
): Way {
  if (feature.kind !== "hole" || before.length === 0) return way;
  const ways = waysOfFeature(feature, recipePlace(asked, cutout, { gone: before }));
  return ways.find((w) => w.name === way.name && w.up === way.up) ?? way;
}

/** What the pieces of a cutout show to one who looks along the jaws. */
function seenAlongJaws({ prisms }: Cutout, at: FeatureSeat["at"], { sizes }: Site): FeatureSetup["section"] {
  return prisms
    .filter((p) => !p.thread)
    .map((prism) => {
      const box = boxOfPrism(prism);
      const [from, to] = fromFixedJaw(box, at, sizes);
      return { from, to, depth: depthsFrom(at.up, box[axisOf(at.up)], sizes).floor };
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
  if (seat.device === "table")
    return isGlued(seat.seat)
      ? say`The ${seat.at.up} up, glued to a plate on the table. ${capital(what)}.`
      : say`The ${seat.at.up} up, strapped to the table. ${capital(what)}.`;
  return shaft
    ? seat.seat.square
      ? say`The shaft upright in a V-block, the ${seat.at.up} end up. ${capital(what)}.`
      : say`The shaft in V-blocks along X${seat.seat.table ? " on the table" : ""}, the ${seat.at.up} up. ${capital(what)}.`
    : say`The ${seat.at.up} up, the ${seat.at.fixed} face to the fixed jaw. ${capital(what)}.`;
}

/** The machine a batch was begun on; null where none of it was begun, or nobody noted it. */
const begunOn = (batch: readonly Chosen[], { begun }: FeaturesAsked): string | null =>
  begun.find((b) => batch.some((c) => c.candidate.feature.id === featureOfKey(b.key)))?.machine ?? null;

/** The seat of a batch once others are cut out; one that was begun is a fact. */
function heldNow(
  planned: FeatureSeat,
  batch: readonly Chosen[],
  before: readonly Cutout[],
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): Outcome<FeatureSeat> {
  const { piece, site, vise, shop, material, ownSeats, begun } = asked;
  const way = batch[0]!.option.way;
  const told = begun.some((b) => batch.some((c) => c.candidate.feature.id === featureOfKey(b.key)));
  if (before.length === 0 || site.shaft || told) return done(planned);
  return holdForFeatures({
    up: way.up,
    front: way.front ?? null,
    cuts: batch.map(cutOf),
    gone: before.flatMap((c) => c.prisms),
    datums: batch.flatMap((c) => datumsOf(c.candidate.feature, byId)),
    piece,
    site,
    vise,
    machine: asked.machine,
    shop,
    material,
    own: ownSeats[way.up] ?? null,
  });
}
