import { type Axis, clampingAxes, type Face, opposite, type Orientation } from "../frame/index.ts";
import { partsOfFace, type Spot, spotWords } from "../inspect/index.ts";
import { cutoutOf, featureNames, featuresOf, type Part, siteOfPart } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import { faceOf, faceSetupsOf, featureSetupsOf, type Setup } from "../route/index.ts";
import type { OperationKey } from "../squaring/index.ts";
import type { FaceProgress, Step } from "../steps/index.ts";
import { note, rule, warn, type Warning } from "../working/index.ts";

/** A part of a face that stayed raw: how far along each size of the part it lies, from 0 at the low face to 1. */
interface RawSpot {
  spot: Spot;
  at: Partial<Record<Axis, number>>;
}

/** How much of a face is clean, of the nine parts looked at, in percent. */
export const cleanShare = (raw: readonly Spot[]): number =>
  Math.round(100 * (1 - raw.length / partsOfFace.length));

/** Where a spot seen from above lies along the sizes of the part. @param front the fixed jaw stands in front */
function inPart(spot: Spot, at: Orientation, front: boolean): RawSpot {
  const { x, y } = clampingAxes(at);
  const turned = front ? -1 : 1;
  return {
    spot,
    at: {
      [x.axis]: 0.5 + (turned * x.sign * spot.x) / 3,
      [y.axis]: 0.5 + (turned * y.sign * spot.y) / 3,
    },
  };
}

const listed = (spots: readonly RawSpot[]): string => spots.map(({ spot }) => spotWords(spot)).join(", ");

/**
 * M10: faces that were left with raw spots, no further pass being planned. Which of them a feature still cuts away, which stay, and
 * where a later setup that is not done would hold or rest the part on one.
 */
export function rawSpotWarnings(
  setups: readonly Setup[],
  faces: ReadonlyMap<OperationKey, FaceProgress>,
  part: Part,
  vise: { fixedJaw: "back" | "front"; jawDepth: Mm },
  steps: readonly Step[],
): Warning[] {
  const open = new Set(steps.flatMap((s) => (s.done ? [] : [s.setup])));
  return faceSetupsOf(setups).flatMap((setup) => {
    const { key, face } = faceOf(setup);
    const found = faces.get(key)?.cleanups.at(-1);
    if (!found || found.clean || found.raw.length === 0) return [];
    if (!steps.some((s) => s.op === key && s.kind === "cleanup" && s.done)) return [];
    const raw = found.raw.map((spot) => inPart(spot, setup.at, vise.fixedJaw === "front"));
    const later = featureSetupsOf(setups).filter((s) => s.number >= setup.number);
    const planned = new Set(later.flatMap((s) => s.features));
    const by = raw.map((spot) => cutAwayBy(spot, face, part, planned));
    const stay = raw.filter((_, i) => by[i] === null);
    const gone = raw.flatMap((spot, i) => (by[i] === null ? [] : [`${spotWords(spot.spot)} by ${by[i]}`]));
    const number = setup.after.faces[face].order ?? setup.number;
    const then = [
      ...(gone.length > 0 ? [`Cut away later: ${gone.join(", ")}.`] : []),
      ...(stay.length > 0 ? [`Raw for good: ${listed(stay)}.`] : []),
    ];
    const told = rule(
      "M10.rawSpot",
    )`Face ${number} is clean to about ${cleanShare(found.raw)} %, as it was looked at when it was cut. ${then.join(" ")}`;
    return [
      part.faces[face].mayStayRaw || stay.length === 0 ? note(told) : warn(told),
      ...setups
        .filter((s) => s.number > setup.number && open.has(s.number))
        .flatMap((s) => restsOn(s, face, number, raw, vise)),
    ];
  });
}

/** The feature that cuts a raw spot away, by name; null where none that is planned does. */
function cutAwayBy({ at }: RawSpot, face: Face, part: Part, planned: ReadonlySet<string>): string | null {
  const site = siteOfPart(part);
  if (!site) return null;
  const names = featureNames(featuresOf(part));
  const by = featuresOf(part).find((feature) => {
    const here = feature.face === face && planned.has(feature.id);
    const box = here ? cutoutOf(feature, site)?.box : undefined;
    return (
      box !== undefined &&
      (Object.entries(at) as [Axis, number][]).every(([axis, share]) => {
        const third = site.sizes[axis] / 6;
        const middle = share * site.sizes[axis];
        return box[axis][0] <= middle - third + 1e-6 && box[axis][1] >= middle + third - 1e-6;
      })
    );
  });
  return by ? (names.get(by.id) ?? by.kind) : null;
}

/** A later setup that holds a face with raw spots at its fixed jaw, or rests the part on it. */
function restsOn(
  setup: Setup,
  face: Face,
  number: number,
  raw: readonly RawSpot[],
  { jawDepth }: { jawDepth: Mm },
): Warning[] {
  const { at, seat } = setup;
  const up = clampingAxes(at).z;
  if (at.fixed === face && setup.device === "vise") {
    // Of the face only what lies below the top of the jaw touches it.
    const low = seat.parallels?.height ?? 0;
    const touched = raw.filter((spot) => {
      const share = spot.at[up.axis] ?? 0.5;
      const height = (up.sign > 0 ? share : 1 - share) - 1 / 6;
      return low + height * seat.standing < jawDepth;
    });
    return touched.length === 0
      ? []
      : [
          warn(
            rule(
              "M10.rawAtJaw",
            )`Setup ${setup.number}: face ${number} goes to the fixed jaw with a raw spot on it (${listed(touched)} as it was cut). Try it with a square once clamped; light under the blade, and the part leans on that spot.`,
          ),
        ];
  }
  if (at.up !== opposite(face)) return [];
  return [
    warn(
      rule(
        "M10.rawBelow",
      )`Setup ${setup.number}: the part rests on face ${number}, which is raw in places (${listed(raw)} as it was cut). Feel for rocking there, and see that no packing or parallel lies under a raw spot.`,
    ),
  ];
}
