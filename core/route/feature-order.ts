import { type Axis, axesAcross, axisOf, type Face, facesOf } from "../frame/index.ts";
import { type Cutout, depthOf, type Feature, type Locate, rulesOf } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";

/** An edge cut away less deep than this can still be touched below it, mm (guess). */
const stillTouched = 3;
/** A face is gone where so much of its height is cut away along so much of its edge. */
const gone = 0.9;

/** A feature with what it takes out, as the order of cutting sees it. */
export interface Placed {
  feature: Feature;
  cutout: Cutout;
}

/** Faces a place counts from; those of the feature it counts from with it. */
function facesFrom(place: Locate, axis: Axis, byId: ReadonlyMap<string, Feature>, seen: Set<string>): Face[] {
  if (place.from === "center") return [...facesOf(axis)];
  if (place.from !== "feature") return [place.from];
  const of = place.of === null ? undefined : byId.get(place.of);
  if (!of || seen.has(of.id)) return [];
  seen.add(of.id);
  return placesOf(of)
    .filter(([, a]) => a === axis)
    .flatMap(([p]) => facesFrom(p, axis, byId, seen));
}

/** The places that are entered of a feature, with the size each counts along. */
function placesOf(feature: Feature): [Locate, Axis][] {
  const axes = axesAcross(feature.face);
  return rulesOf(feature.kind)
    .places(feature)
    .map((which): [Locate, Axis] => (which === "first" ? [feature.first, axes[0]] : [feature.second, axes[1]]));
}

/** The faces a feature is dimensioned from. */
export function datumsOf(feature: Feature, byId: ReadonlyMap<string, Feature>): Face[] {
  return [
    ...new Set(placesOf(feature).flatMap(([place, axis]) => facesFrom(place, axis, byId, new Set([feature.id])))),
  ];
}

/** The faces whose edge a feature cuts away, with how deep; `whole` where nothing of the face is left to touch. */
export function edgesGone({ feature, cutout }: Placed, sizes: Record<Axis, Mm>): { face: Face; whole: boolean }[] {
  const deep = depthOf(cutout);
  return cutout.opens.flatMap((face) => {
    if (axisOf(face) === axisOf(feature.face)) return [];
    const along = axesAcross(feature.face).find((a) => a !== axisOf(face))!;
    const run = cutout.box[along][1] - cutout.box[along][0];
    if (run < gone * sizes[along] || deep < stillTouched) return [];
    return [{ face, whole: deep >= gone * sizes[axisOf(feature.face)] }];
  });
}

/** M30: whether a feature must come before another, because that one cuts away the edge it is dimensioned from. */
export function comesBefore(
  one: Placed & { up: Face },
  other: Placed,
  byId: ReadonlyMap<string, Feature>,
  sizes: Record<Axis, Mm>,
): Face | null {
  if (one.feature.id === other.feature.id) return null;
  const from = datumsOf(one.feature, byId);
  const taken = edgesGone(other, sizes).find(
    ({ face, whole }) => from.includes(face) && (whole || one.up === other.feature.face),
  );
  return taken?.face ?? null;
}

/** The usual order within a setup: large areas before what lies in them, edges last. */
const usualOrder: readonly Feature["kind"][] = [
  "rebate",
  "step",
  "tShape",
  "arc",
  "outline",
  "pocket",
  "slot",
  "keyway",
  "vGroove",
  "dovetail",
  "tSlot",
  "hole",
  "woodruff",
  "cornerRadius",
  "slope",
  "chamfer",
];
export const usualPlace = (feature: Feature): number => usualOrder.indexOf(feature.kind);
