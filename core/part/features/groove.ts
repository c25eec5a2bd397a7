import { axesAcross, type Axis, type Face } from "../../frame/index.ts";
import { placeAlong, type Locate } from "./locate.ts";
import { acrossGroove } from "./cutout.ts";
import { placeFor } from "./base.ts";
import type { ChoiceField } from "./rules.ts";
import type { Site } from "./site.ts";

/** A feature that runs along one size of its face from end to end. */
export interface Groove {
  face: Face;
  along: Axis;
  first: Locate;
  second: Locate;
}

/** The size a groove runs along. */
export const runsAlong = ({ face }: { face: Face }): ChoiceField => ({
  key: "along",
  label: "Runs along the",
  options: axesAcross(face).map((a) => [a, a] as const),
});

/** Only the place across it is entered. */
export const acrossOnly = ({ face, along }: Groove) => [placeFor(face, acrossGroove(face, along))] as const;

/** Where its middle lies across; null while not entered, or while its run is no size of its face. */
export function middleAcross(groove: Groove, site: Site): number | null {
  const { face, along } = groove;
  if (!axesAcross(face).includes(along)) return null;
  const axis = acrossGroove(face, along);
  return placeAlong(groove[placeFor(face, axis)], axis, site);
}
