import type { Feature } from "../part/index.ts";
import type { Outcome } from "../working/index.ts";
import { approachOf, byHand, type Drawn } from "./feature-candidate.ts";
import { datumsOf } from "./feature-order.ts";
import { type FeatureSeat, holdForFeatures } from "./feature-seat.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import { noOwnSeat } from "./route-context.ts";

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
    if (left.length === 0) groups.set(key, { of: key, seat: hold([]), cut: new Set(), filed });
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
      if (together.length === 0) break;
      left = left.filter((d) => !together.includes(d));
    }
  }
  return groups;
}

/** Seats tried for one approach. */
const mostGroups = 2;
