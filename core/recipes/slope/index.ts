import { axesAcross, axisOf, facesOf } from "../../frame/index.ts";
import { mm, quantity, tidy } from "../../quantity/index.ts";
import { note, rule, say, warn, words } from "../../working/index.ts";
import { fileWork } from "../hand-work.ts";
import {
  aimOf,
  depthsFrom,
  type Measured,
  type OfKind,
  planeAxis,
  type Recipe,
  type Work,
} from "../recipe.ts";
import { type Flank, stairCusp, stairWork } from "../stairs.ts";
import type { Run } from "../sweep.ts";

/** A tilted cutter covers the slope with so much to spare, mm. */
const byEye = 1;
/** Minutes to file down stairs, for each 1000 mm² of slope (guess). */
const filing = 4;

/** A face at an angle: stairs first, then with the head tilted, or filed to the line. */
export const slopeRecipe: Recipe<OfKind<"slope">> = (feature, place) => {
  const { face, side } = feature;
  const { cutout, sizes } = place;
  const across = axisOf(side);
  const along = axesAcross(face).find((a) => a !== across)!;
  const [low, high] = cutout.box[across];
  const { top, floor } = depthsFrom(face, cutout.box[axisOf(face)], sizes);
  const width = high - low;
  const depth = floor - top;
  const atHigh = side === facesOf(across)[1];
  const run: Run = {
    along: planeAxis(face, "x") === along ? "x" : "y",
    from: 0,
    to: sizes[along],
    openLow: true,
    openHigh: true,
  };
  const flank: Flank = {
    from: atHigh ? low : high,
    to: atHigh ? high : low,
    depth,
    side: atHigh ? 1 : -1,
    until: atHigh ? high : low,
  };
  const angle = tidy((Math.atan2(depth, width) * 180) / Math.PI);
  const key = feature.sizes.width ? "width" : "depth";
  const measure: Measured = {
    size: key,
    name: words(key === "width" ? "the slope, in from the side" : "the slope, down at the side"),
    ...aimOf(feature, key, place.part)!,
    before: false,
    grows: true,
  };
  const rad = (angle * Math.PI) / 180;
  // What is left standing square to the slope after the stairs.
  const left = stairCusp;
  const slant = Math.hypot(width, depth);
  const flankWork: Work = {
    task: "slope",
    title: say`The slope with the head tilted ${quantity("angle", angle)}`,
    sweep: {
      kind: "tracks",
      run,
      tracks: [{ at: tidy((low + high) / 2), side: 0 }],
    },
    top: 0,
    floor: left,
    tool: {
      by: "mill",
      kind: "face",
      most: null,
      least: tidy(slant * 1.2),
      plunges: false,
      total: left,
      halfTolerance: null,
      tilt: angle,
    },
    // The head tilted, places of the readout hold no more: it is set over the stairs by eye.
    exact: byEye,
    measure,
    notes: [
      warn(
        rule(
          "M33.tilt",
        )`With the head at ${quantity("angle", angle)} a step s of the knee cuts s · cos θ square to the slope: for the last ${mm(left)} the knee rises ${mm(tidy(left / Math.cos(rad)))}.`,
      ),
      note(
        words(
          "Indicate the head by a sine bar or an angle block. Tilting moves the cutter aside: set it over the stairs by eye, touch them, and go down from there. Tram the head again afterwards.",
        ),
      ),
    ],
  };
  const stairs = stairWork(say`Stairs in front of the slope`, run, [flank], top, null);
  return [
    {
      name: "stairs, then the head tilted",
      why: words("Stairs take most of the metal off before the head is tilted for the last of it."),
      up: face,
      works: [stairs, flankWork],
    },
    {
      name: "stairs, then filed",
      why: words("If the head stays upright, the stairs are filed down to the line."),
      up: face,
      works: [
        stairs,
        fileWork(
          "file",
          say`File the stairs to the line`,
          2 + (filing * slant * sizes[along]) / 1000,
          measure,
          {
            top,
            floor,
          },
        ),
      ],
    },
  ];
};
