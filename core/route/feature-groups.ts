import type { Feature } from "../part/index.ts";
import type { Face } from "../frame/index.ts";
import { done, type Outcome } from "../working/index.ts";
import { approachOf, byHand, type Drawn } from "./feature-candidate.ts";
import { datumsOf } from "./feature-order.ts";
import { featureOfKey } from "./feature-key.ts";
import { floorOfWay, toldSeat } from "./feature-seat.ts";
import type { CutHere, FeatureSeat } from "./hold-request.ts";
import type { FeatureTold } from "./told.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import { noOwnSeat, type OwnSeat } from "./route-context.ts";
import { clearOfWhatHolds } from "./table-seat.ts";
import { holdForFeatures } from "./hold-for-features.ts";

/** A seat, the features that can be cut in it together, and those that only a file works on. */
export interface Group {
  /** The approach it is a seat of. */
  of: string;
  seat: Outcome<FeatureSeat>;
  cut: Set<string>;
  filed: Set<string>;
}

/**
 * A seat for each approach, for all that can be cut from it together. What would stand in the way of the others (it comes out
 * over the parallels, or opens to the jaws too deep) gets a second seat of the same approach.
 */
export function seatsFor(
  drawn: readonly Drawn[],
  asked: FeaturesAsked,
  byId: ReadonlyMap<string, Feature>,
): Map<string, Group> {
  const groups = new Map<string, Group>();
  const { piece, site, vise, shop, material, ownSeats } = asked;
  const approaches = new Map(drawn.flatMap(({ ways }) => ways.map((way) => [approachOf(way), way] as const)));
  for (const [key, way] of approaches) {
    const own = ownSeats[way.up] ?? null;
    const hold = (of: readonly Drawn[], wanted: OwnSeat | null = own) =>
      holdForFeatures({
        up: way.up,
        front: way.front ?? null,
        cuts: of.map((d) => cutOf(d, key)),
        gone: [],
        datums: of.flatMap((d) => datumsOf(d.feature, byId)),
        piece,
        site,
        vise,
        machine: asked.machine,
        shop,
        material,
        own: wanted,
      });
    const here = drawn.filter((d) => d.ways.some((w) => approachOf(w) === key));
    // What can be filed gives way to what cannot.
    let left = here
      .filter((d) => d.ways.some((w) => approachOf(w) === key && !byHand(w)))
      .sort((a, b) => Number(a.ways.some(byHand)) - Number(b.ways.some(byHand)));
    const filed = new Set(
      here.filter((d) => d.ways.some((w) => approachOf(w) === key && byHand(w))).map((d) => d.feature.id),
    );
    // Seats that were begun are facts. What is not begun joins the last of them where that would hold it too.
    const seats = toldSeats(here, way.up, asked);
    seats.forEach(({ told, of }, i) => {
      const { fixed } = told.at;
      const { parallels, paper, stop, table } = told.seat;
      const wanted = { ...noOwnSeat, fixed, parallels: parallels?.id ?? null, paper, stop };
      const goesToo = (d: Drawn) =>
        table ? clearOfWhatHolds(cutOf(d, key), told, site.sizes) : hold([...of, d], wanted).ok;
      const joins =
        i === seats.length - 1
          ? left.filter((d) => !seats.some((s) => s.of.includes(d))).filter(goesToo)
          : [];
      const cut = new Set([...of, ...joins].map((d) => d.feature.id));
      const cuts = here.filter((d) => cut.has(d.feature.id)).map((d) => cutOf(d, key));
      groups.set(`${key} begun ${i + 1}`, { of: key, seat: done(toldSeat(told, cuts, asked)), cut, filed });
      left = left.filter((d) => !cut.has(d.feature.id));
    });
    if (left.length === 0 && seats.length === 0)
      groups.set(key, { of: key, seat: hold([]), cut: new Set(), filed });
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
        of: key,
        seat: seat!,
        cut: new Set((together.length > 0 ? together : left).map((d) => d.feature.id)),
        filed: n === 1 ? filed : new Set(),
      });
      left = together.length === 0 ? [] : left.filter((d) => !together.includes(d));
    }
    // What is left over says why it cannot be held by itself, or that there were seats enough.
    for (const d of left)
      groups.set(`${key} ${d.feature.id}`, {
        of: key,
        seat: hold([d]),
        cut: new Set([d.feature.id]),
        filed: new Set(),
      });
  }
  return groups;
}

/** How deep a feature may be cut from an approach, by whichever of its ways. */
const cutOf = ({ cutout, ways }: Drawn, approach: string): CutHere => ({
  cutout,
  floor: Math.max(0, ...ways.filter((w) => approachOf(w) === approach).map(floorOfWay)),
});

/** The seats of an approach that were begun, with the features that were, in the order they were. */
function toldSeats(here: readonly Drawn[], up: Face, { begun }: FeaturesAsked) {
  const seats: { told: FeatureTold; of: Drawn[] }[] = [];
  for (const told of begun.filter((b) => b.at.up === up)) {
    const feature = here.find((d) => featureOfKey(told.key) === d.feature.id);
    if (!feature || seats.some((s) => s.of.includes(feature))) continue;
    const same = seats.find(
      (s) => JSON.stringify([s.told.at, s.told.seat]) === JSON.stringify([told.at, told.seat]),
    );
    if (same) same.of.push(feature);
    else seats.push({ told, of: [feature] });
  }
  return seats;
}

/** Seats tried for one approach. */
const mostGroups = 2;
