import { type Face, opposite } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import type { Pickup } from "./pickup.ts";
import { positionOf, reads, type SetupFrame } from "./setup-frame.ts";
import { type PartStanding, Standing, type Swath } from "./standing.ts";

/** What of a part can be touched from the side in a setup. */
export interface Touchable extends PartStanding {
  frame: SetupFrame;
  /** How much of it stands above the jaws, mm. */
  above: Mm;
  /** Each side face as a zero of its own: taken where the usual touch is not to be had. */
  byFace: readonly Pickup[];
}

/**
 * The zero of an axis by what stands now: as it is usually touched, or by one face where cuts took what is usually touched away
 * above the jaws.
 * @param swaths what cutters went over in this setup so far
 */
export function pickupNow(pickup: Pickup, part: Touchable, swaths: readonly Swath[]): Pickup {
  const { axis, faces, datum } = pickup;
  if (axis === "z" || part.shaft || part.gone.length + swaths.length === 0) return pickup;
  const stands = (face: Face) => standsClear(face, axis, part, swaths);
  const gone = faces.find((face) => !stands(face));
  if (gone === undefined) return pickup;
  const instead = part.byFace
    .filter((p) => p.axis === axis)
    .sort((a, b) => Number(b.faces[0] === datum) - Number(a.faces[0] === datum))
    .find((p) => stands(p.faces[0]!));
  const made = instead ?? pickup;
  return { ...made, warnings: [cutAway(gone, instead?.faces[0] ?? null), ...made.warnings] };
}

/** So far inside a face it is asked whether it stands, and so far off the top and the jaws, mm. */
const skin = 0.2;
const rows = { along: 24, down: 8 } as const;

/** Whether anything of a face can be touched above the jaws. */
function standsClear(
  face: Face,
  axis: "x" | "y",
  { sizes, gone, frame, above }: Touchable,
  swaths: readonly Swath[],
): boolean {
  const standing = new Standing({ sizes, shaft: null, gone }, frame, 0, swaths);
  const inside = positionOf(face, sizes) === 0 ? skin : -skin;
  const other = axis === "x" ? "y" : "x";
  const depths = Array.from(
    { length: rows.down },
    (_, i) => skin + (Math.max(0, above - 2 * skin) * i) / (rows.down - 1),
  );
  const places = Array.from(
    { length: rows.along },
    (_, i) => (sizes[frame[other].axis] * (i + 0.5)) / rows.along,
  );
  return places.some((p) => {
    const [on, beside] = [reads(frame[axis], positionOf(face, sizes) + inside), reads(frame[other], p)];
    return depths.some((d) => standing.metalAt(axis === "x" ? [on, beside] : [beside, on], -d));
  });
}

/** What is said where a face cannot be touched any more. */
const cutAway = (gone: Face, face: Face | null): Warning =>
  face === null
    ? warn(
        rule(
          "locate.gone",
        )`Nothing is left of the ${gone} face above the jaws, nor of the one opposite: touch what is left of it below, or pick up a finished hole or wall and set its known place.`,
      )
    : note(
        rule("locate.gone")`The ${gone} face is cut away above the jaws: the ${face} face ${
          face === opposite(gone) ? "opposite " : ""
        }is touched instead, and the size between is counted.`,
      );
