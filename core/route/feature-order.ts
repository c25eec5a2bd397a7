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

/** What a feature counts from along one size: a face, or the middle of the part. */
export interface DatumUse {
  axis: Axis;
  from: Face | "center";
}

/** What a place counts from; what the feature it counts from counts from, in its turn. */
function origin(
  place: Locate,
  axis: Axis,
  byId: ReadonlyMap<string, Feature>,
  seen: ReadonlySet<string>,
): DatumUse[] {
  if (place.from === "center") return [{ axis, from: "center" }];
  if (place.from !== "feature") return [{ axis, from: place.from }];
  const of = place.of === null ? undefined : byId.get(place.of);
  if (!of || seen.has(of.id)) return [];
  return usesOf(of, byId, new Set([...seen, of.id])).filter((use) => use.axis === axis);
}

function usesOf(feature: Feature, byId: ReadonlyMap<string, Feature>, seen: ReadonlySet<string>): DatumUse[] {
  const axes = axesAcross(feature.face);
  const places = rulesOf(feature.kind)
    .places(feature)
    .flatMap((which) =>
      which === "first"
        ? origin(feature.first, axes[0], byId, seen)
        : origin(feature.second, axes[1], byId, seen),
    );
  // A step or a slope is as wide as it reaches in from its side.
  return "side" in feature ? [...places, { axis: axisOf(feature.side), from: feature.side }] : places;
}

/** What a feature is dimensioned from. */
export const datumUses = (feature: Feature, byId: ReadonlyMap<string, Feature>): DatumUse[] =>
  usesOf(feature, byId, new Set([feature.id]));

/** The faces a feature is dimensioned from; both of a size for what counts from its middle. */
export const datumsOf = (feature: Feature, byId: ReadonlyMap<string, Feature>): Face[] => [
  ...new Set(
    datumUses(feature, byId).flatMap(({ axis, from }) => (from === "center" ? facesOf(axis) : [from])),
  ),
];

/** The faces whose edge a feature cuts away, with how deep; `whole` where nothing of the face is left to touch. */
export function edgesGone(
  { feature, cutout }: Placed,
  sizes: Record<Axis, Mm>,
): { face: Face; whole: boolean }[] {
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
