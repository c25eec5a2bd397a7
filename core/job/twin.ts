import { axesAcross, type Axis, axisNames, axisOf, type Face, faceNames, opposite } from "../frame/index.ts";
import {
  drawnSite,
  featuresOf,
  type Mate,
  mirrorFeature,
  middleOn,
  newMate,
  type Part,
} from "../part/index.ts";
import { tidy, type Mm } from "../quantity/index.ts";
import { newStock } from "../stock/index.ts";
import type { Job } from "./job.ts";

/** The part seen in a mirror across a size: what is at one face of it is at the other. A shaft turns end for end along its length. */
export function mirroredPart(part: Part, axis: Axis): Part {
  const flip = (face: Face): Face => (axisOf(face) === axis ? opposite(face) : face);
  const site = drawnSite(part);
  const byId = Object.fromEntries(
    featuresOf(part).map((feature) => [feature.id, mirrorFeature(feature, axis, site, true)]),
  );
  const form = Object.fromEntries(
    Object.entries(part.form.byId).map(([id, f]) => [
      id,
      { ...f, face: flip(f.face), to: f.to && flip(f.to) },
    ]),
  );
  return {
    ...part,
    faces: Object.fromEntries(faceNames.map((face) => [face, part.faces[flip(face)]])) as Part["faces"],
    features: { ...part.features, byId },
    form: { ...part.form, byId: form },
    shaft:
      part.shaft && axis === "length" ? { ...part.shaft, order: part.shaft.order.toReversed() } : part.shaft,
  };
}

/** The mate that links the two of a mirrored pair. */
const handedMate = (id: string, other: Pick<Job, "id" | "name">): Mate =>
  newMate(id, { kind: "handed", other: other.name, job: other.id });

/**
 * The mirrored twin of a job, planned from the first: its part in the mirror, its stock as nothing was measured of it yet, machine and
 * vise the same. Own choices of cuts are left out: they name cuts by sides that have changed places.
 * @param ids of the twin, and of the two mates that link them
 */
export function twinOf(
  job: Job,
  axis: Axis,
  ids: { job: string; here: string; there: string },
): { twin: Job; mate: Mate } {
  const part = mirroredPart(job.part, axis);
  const name = `${job.name || "Unnamed job"}, mirrored`;
  const twin: Job = {
    ...job,
    id: ids.job,
    name,
    added: 0,
    part: {
      ...part,
      mates: {
        byId: { ...part.mates.byId, [ids.there]: handedMate(ids.there, job) },
        order: [...part.mates.order, ids.there],
      },
    },
    stock: newStock(job.stock.form),
    retargets: { length: null, width: null, height: null },
    overrides: { byId: {}, order: [] },
    notes: "",
  };
  return { twin, mate: handedMate(ids.here, { id: ids.job, name }) };
}

/** Where the middle of a feature lies in both of a pair, from the middle of the part: the sign that is turned is the slip to expect. */
export interface TurnedPlace {
  id: string;
  axis: Axis;
  here: Mm;
  there: Mm;
}

/** Places along the mirrored size that differ in sign between a part and its mirror; what lies in the middle has none. */
export function turnedPlaces(part: Part, axis: Axis): TurnedPlace[] {
  const site = drawnSite(part);
  const half = site.sizes[axis] / 2;
  return featuresOf(part).flatMap((feature): TurnedPlace[] => {
    const [first] = axesAcross(feature.face);
    if (!axesAcross(feature.face).includes(axis)) return [];
    const middle = middleOn(feature, site);
    if (!middle) return [];
    const here = tidy((first === axis ? middle[0] : middle[1]) - half);
    return Math.abs(here) < 1e-6 ? [] : [{ id: feature.id, axis, here, there: -here }];
  });
}

/** Along which size two parts are mirrors of one another; null where they are not any more. */
export function mirroredAlong(part: Part, other: Part): Axis | null {
  const shape = (p: Part) =>
    JSON.stringify([
      p.sizes,
      featuresOf(p).map((f) => ({ ...f, id: "" })),
      p.shaft && p.shaft.order.map((id) => p.shaft!.byId[id]),
    ]);
  return axisNames.find((axis) => shape(mirroredPart(part, axis)) === shape(other)) ?? null;
}
