import { alongJaws, axisNames, axisOf, type Face, facesOf } from "../frame/index.ts";
import { leastGrip } from "../handbook/index.ts";
import { noDaylightFor, noTravelFor, runOut } from "../holding/index.ts";
import { boxOfPrism, type Cutout, sectionAt } from "../part/index.ts";
import { tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, reachOf } from "../shop/index.ts";
import { done, type Outcome } from "../working/index.ts";
import type { Owned } from "./feature-candidate.ts";
import { type FeatureOperation, operationOf, type OperationPlace } from "./feature-operation.ts";
import type { Placed } from "./feature-order.ts";
import type { FeatureSeat } from "./hold-request.ts";
import type { FeaturesAsked } from "./features-asked.ts";
import type { Way, Work } from "../recipes/index.ts";

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
export function ownedWorks(
  placed: Placed,
  name: string,
  way: Way,
  asked: FeaturesAsked,
  before: readonly Cutout[] = [],
): Owned[] {
  const crown = crownOf(placed, way.up, asked);
  const of = {
    id: placed.feature.id,
    name,
    crown,
    way: way.name,
    critical: placed.feature.matters === "critical",
  };
  return way.works.map((work) => ({
    of,
    work: fromCrown(work, crown),
    cutout: placed.cutout,
    interrupted: crosses(placed.cutout, work, way.up, before, asked),
  }));
}

/** Overlaps of less than this are two cuts that meet, mm. */
const meets = 0.2;

/** Whether something that is gone lies in what a work cuts, M19. */
function crosses(
  { box }: Cutout,
  { top, floor }: Work,
  up: Face,
  before: readonly Cutout[],
  { site: { sizes } }: FeaturesAsked,
): boolean {
  const axis = axisOf(up);
  const cut: Cutout["box"] = {
    ...box,
    [axis]: up === facesOf(axis)[1] ? [sizes[axis] - floor, sizes[axis] - top] : [top, floor],
  };
  return before.some(({ prisms }) =>
    prisms.some((prism) => {
      const gone = boxOfPrism(prism);
      return axisNames.every(
        (a) => Math.min(gone[a][1], cut[a][1]) - Math.max(gone[a][0], cut[a][0]) > meets,
      );
    }),
  );
}

/** All works one after the other, a tool staying in where it can; refuses with the first that has no tool. */
export function operationsOf(
  works: readonly Owned[],
  seat: FeatureSeat,
  asked: FeaturesAsked,
): Outcome<FeatureOperation[]> {
  const place = placeFor(seat, asked);
  const made: FeatureOperation[] = [];
  for (const { of, work, cutout, interrupted } of works) {
    const outcome = operationOf(of, work, made, { ...withTravel(place, cutout, seat, asked), interrupted });
    if (!outcome.ok) return outcome;
    made.push(outcome.value);
  }
  return done(made);
}

type Rooms = Pick<OperationPlace, "cutters" | "tooLong">;

/** The shop's cutters by whether there is room for them over a seat (M43). */
const rooms = new WeakMap<FeatureSeat, Rooms>();
function roomsOver(seat: FeatureSeat, { machine, shop, vise }: FeaturesAsked): Rooms {
  const known = rooms.get(seat);
  if (known) return known;
  const told = shop.cutters.map((cutter) => ({
    cutter,
    refusal: noDaylightFor(machine, vise, seat.seat, reachOf(cutter, shop)),
  }));
  const made = {
    cutters: told.flatMap(({ cutter, refusal }) => (refusal === null ? [cutter] : [])),
    tooLong: told.flatMap(({ cutter, refusal }) => (refusal === null ? [] : [{ cutter, refusal }])),
  };
  rooms.set(seat, made);
  return made;
}

/** The cutters of a place that the table can take all over a cutout: clear of it where it opens, inside its walls elsewhere. */
function withTravel<P extends Rooms>(
  place: P,
  { box, opens }: Cutout,
  { at }: FeatureSeat,
  { machine }: FeaturesAsked,
): P {
  const cutters: Cutter[] = [];
  const tooLong = [...place.tooLong];
  const axes = { x: alongJaws(at), y: axisOf(at.fixed) };
  for (const cutter of place.cutters) {
    const radius = cuttingDiameter(cutter) / 2;
    const refusal = (["x", "y"] as const)
      .map((which) => {
        const [low, high] = box[axes[which]];
        const ends = facesOf(axes[which]).map((face) => (opens.includes(face) ? radius + runOut : -radius));
        return noTravelFor(
          machine,
          ends.reduce((a, b) => a + b, high - low),
          which,
        );
      })
      .find((r) => r !== null);
    if (refusal) tooLong.push({ cutter, refusal });
    else cutters.push(cutter);
  }
  return { ...place, cutters, tooLong };
}

function placeFor(seat: FeatureSeat, asked: FeaturesAsked): Omit<OperationPlace, "interrupted"> {
  const { machine, material, shop, own } = asked;
  return {
    machine,
    material,
    shop,
    ...roomsOver(seat, asked),
    grip: seat.grip,
    standing: seat.seat.standing,
    heldDown: seat.seat.effectiveGrip >= leastGrip.side,
    own,
  };
}
