import { type Face, opposite } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import type { LocateRequest } from "./pickup.ts";
import { positionOf, type SetupFrame } from "./setup-frame.ts";
import { Standing } from "./standing.ts";

/** The face that is touched for a datum: itself, or the one opposite where nothing of it stands above the jaws; null where neither. */
export function touchedFor(
  datum: Face,
  axis: "x" | "y",
  frame: SetupFrame,
  request: LocateRequest,
): Face | null {
  if (request.shaft || request.gone.length === 0) return datum;
  return [datum, opposite(datum)].find((face) => standsClear(face, axis, frame, request)) ?? null;
}

/** So far inside a face it is asked whether it stands, and so far off the top and the jaws, mm. */
const skin = 0.2;
const rows = { along: 24, down: 8 } as const;

/** Whether anything of a face can be touched above the jaws, after what features took out of it. */
function standsClear(face: Face, axis: "x" | "y", frame: SetupFrame, request: LocateRequest): boolean {
  const { sizes, setup, gone, vise } = request;
  const standing = new Standing({ sizes, shaft: null, gone }, frame, 0);
  const { seat } = setup;
  const above = seat.table
    ? seat.standing
    : tidy((seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth);
  const inside = positionOf(face, sizes) === 0 ? skin : -skin;
  const other = axis === "x" ? "y" : "x";
  const at = (which: "x" | "y", place: Mm) => frame[which].sign * (place - frame[which].zero);
  const depths = Array.from(
    { length: rows.down },
    (_, i) => skin + (Math.max(0, above - 2 * skin) * i) / (rows.down - 1),
  );
  const places = Array.from(
    { length: rows.along },
    (_, i) => (sizes[frame[other].axis] * (i + 0.5)) / rows.along,
  );
  return places.some((p) => {
    const here = { [axis]: at(axis, positionOf(face, sizes) + inside), [other]: at(other, p) } as Record<
      "x" | "y",
      Mm
    >;
    return depths.some((d) => standing.metalAt([here.x, here.y], -d));
  });
}

/** What is said where a datum cannot be touched itself. */
export const cutAway = (datum: Face, face: Face | null): Warning[] => [
  face === null
    ? warn(
        rule(
          "locate.gone",
        )`Nothing is left of the ${datum} face above the jaws, nor of the one opposite: touch what is left of it below, or pick up a hole or wall that is cut and set its own place.`,
      )
    : note(
        rule(
          "locate.gone",
        )`Earlier cuts took the ${datum} face away above the jaws: the ${face} face opposite is touched, and the size between them is counted.`,
      ),
];
