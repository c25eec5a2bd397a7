import { axisOf, type Face } from "../frame/index.ts";
import { noRoomFor } from "../holding/index.ts";
import { sectionAt } from "../part/index.ts";
import { tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, reachOf } from "../shop/index.ts";
import { done, type Outcome } from "../working/index.ts";
import type { Owned } from "./feature-candidate.ts";
import { type FeatureOperation, operationOf } from "./feature-operation.ts";
import type { Placed } from "./feature-order.ts";
import type { FeatureSeat } from "./feature-seat.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import type { Way, Work } from "./recipes/index.ts";

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

/** The works of a way with the feature they are of, their depths from the crown that is cut. */
export function ownedWorks(placed: Placed, name: string, way: Way, asked: FeaturesAsked): Owned[] {
  const crown = crownOf(placed, way.up, asked);
  const of = { id: placed.feature.id, name, crown };
  return way.works.map((work) => ({ of, work: fromCrown(work, crown) }));
}

/** All works one after the other, a tool staying in where it can; refuses with the first that has no tool. */
export function operationsOf(
  works: readonly Owned[],
  seat: FeatureSeat,
  asked: FeaturesAsked,
): Outcome<FeatureOperation[]> {
  const place = placeFor(seat, asked);
  const made: FeatureOperation[] = [];
  for (const { of, work } of works) {
    const outcome = operationOf(of, work, made, place);
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
