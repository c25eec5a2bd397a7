import { axisNames, axisOf, faceNames, opposite } from "../frame/index.ts";
import { boxOfPrism, type Cutout, type Feature, type Prism, type Site } from "../part/index.ts";
import { parallelsById, type Shop, type Vise } from "../shop/index.ts";
import type { Chosen } from "./feature-candidate.ts";
import { featureOfKey } from "./feature-key.ts";
import { comesBefore } from "./feature-order.ts";
import { fitsSeat, floorOfWay } from "./feature-seat.ts";
import type { CutHere } from "./hold-request.ts";
import type { FeatureHost, FeaturesAsked } from "./features-asked.ts";
import { contactIn, leastSupport } from "./seat-contact.ts";
import type { FaceSetup } from "./setup.ts";

/**
 * Setups of faces after which the part can stay for features: the last cut of each clamping, in the jaws, once the four faces beside
 * the one that is up are cut: every edge that a place can count from is there.
 * @param begun whether a face was begun
 */
export function featureHosts(
  setups: readonly FaceSetup[],
  begun: (setup: FaceSetup) => boolean,
): FeatureHost[] {
  return setups.flatMap((setup, i) => {
    if (setups[i + 1]?.clamping === setup.clamping) return [];
    const { after, at, seat } = setup;
    const beside = faceNames.filter((f) => axisOf(f) !== axisOf(at.up));
    const known = [...beside, at.up].every((f) => after.faces[f].order !== null);
    if (!known || seat.table || seat.overhang !== null || seat.together) return [];
    const later = setups.slice(i + 1);
    return [{ setup, later, open: !later.some(begun) }];
  });
}

/** Least share of what carries the part in a later clamping that must still be there (guess). */
const stillCarried = 0.6;

/** Whether the later clampings still grip and carry the part once this is gone of it. */
function carriesStill(
  { later }: FeatureHost,
  gone: readonly Prism[],
  { sizes }: Site,
  vise: Vise,
  { parallels }: Pick<Shop, "parallels">,
): boolean {
  return later.every(({ seat, at }) => {
    if (seat.table) return false;
    const long = parallelsById(parallels, seat.parallels?.id)?.length ?? vise.jawWidth;
    const whole = contactIn({ seat, at }, [], sizes, vise, long);
    const now = contactIn({ seat, at }, gone, sizes, vise, long);
    return (
      now.fixed >= whole.fixed - 1e-6 &&
      now.moving >= whole.moving - 1e-6 &&
      now.supports.every(
        ({ area }, i) => area >= Math.max(leastSupport, stillCarried * whole.supports[i]!.area),
      )
    );
  });
}

/** Cutouts nearer to each other than this are one place, mm. */
const apart = 0.5;

const meets = (a: Cutout, b: Cutout): boolean =>
  a.prisms.some((p) =>
    b.prisms.some((q) => {
      const [one, other] = [boxOfPrism(p), boxOfPrism(q)];
      return axisNames.every(
        (axis) => Math.min(one[axis][1], other[axis][1]) - Math.max(one[axis][0], other[axis][0]) > -apart,
      );
    }),
  );

/** Whether a batch may come before others that were to be cut first: nothing they need is in it, and they do not meet. */
export const mayComeBefore = (
  batch: readonly Chosen[],
  others: readonly Chosen[],
  byId: ReadonlyMap<string, Feature>,
  sizes: Site["sizes"],
): boolean =>
  others.every((other) =>
    batch.every(
      (c) =>
        !meets(c.candidate.cutout, other.candidate.cutout) &&
        comesBefore({ ...other.candidate, up: other.option.up }, c.candidate, byId, sizes) === null,
    ),
  );

/** Whether a batch can be cut as the part is clamped for a face: same face up, all it opens to free of the jaws. */
export function canStay(
  host: FeatureHost,
  batch: readonly Chosen[],
  { site, vise, shop, begun, ownSeats }: FeaturesAsked,
): boolean {
  const { at, seat } = host.setup;
  if (batch[0]!.option.up !== at.up || ownSeats[at.up]) return false;
  const front = batch[0]!.option.way.front;
  if (front && at.fixed !== opposite(front)) return false;
  const ids = new Set(batch.map((c) => c.candidate.feature.id));
  const mine = begun.filter((b) => ids.has(featureOfKey(b.key)));
  // What was begun in another seat was placed anew; what was begun in this one is not asked whether there is still a time for it.
  if (mine.some((b) => JSON.stringify(b.seat) !== JSON.stringify(seat))) return false;
  if (mine.length === 0 && !host.open) return false;
  const gone = batch.flatMap((c) => c.candidate.cutout.prisms);
  return fitsSeat(batch.map(cutOf), seat, at, site.sizes) && carriesStill(host, gone, site, vise, shop);
}

export const cutOf = ({ candidate, option }: Chosen): CutHere => ({
  cutout: candidate.cutout,
  floor: floorOfWay(option.way),
});
