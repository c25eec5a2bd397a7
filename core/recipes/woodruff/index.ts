import { axisOf, faceNames } from "../../frame/index.ts";
import { woodruffOf } from "../../part/index.ts";
import { mm, tidy } from "../../quantity/index.ts";
import { note, rule, say, words } from "../../working/index.ts";
import type { OfKind, Recipe } from "../recipe.ts";
import { depthPlus } from "../seat-depth.ts";

/** A Woodruff seat: a disc cutter of the key's size fed straight into the side of the shaft, on its center. */
export const woodruffRecipe: Recipe<OfKind<"woodruff">> = (feature, place) => {
  const seat = woodruffOf(feature, place.site)!;
  const { key, depth, shaft, at } = seat;
  // The cutter stands upright: the seat looks to the front, so one of the faces beside it is up.
  const up = faceNames.find((f) => axisOf(f) !== axisOf(feature.face) && axisOf(f) !== "length")!;
  const deep = tidy(depth.fromCrown + depthPlus / 2);
  const crown = (place.sizes[axisOf(feature.face)] - shaft) / 2;
  return [
    {
      name: "from the side",
      why: words("The spindle upright, the shaft in V-blocks along X: the cutter is fed into its side."),
      up,
      front: feature.face,
      works: [
        {
          task: "seat",
          title: say`Feed into the shaft for key ${key.text}`,
          sweep: { kind: "disc", along: at, radius: shaft / 2, depth: deep, width: key.width },
          top: tidy(crown),
          floor: tidy(crown + deep),
          tool: {
            by: "form",
            kinds: ["woodruff"],
            diameter: key.diameter,
            over: 0.3,
            under: 0.1,
            width: key.width,
            wanted: say`A Woodruff cutter of ${mm(key.diameter)}, ${mm(key.width)} wide`,
          },
          exact: 0.02,
          measure: {
            size: "depth",
            name: words("floor of the seat over the far side"),
            target: tidy(depth.overOpposite - depthPlus / 2),
            limits: { lower: tidy(depth.overOpposite - depthPlus), upper: depth.overOpposite },
            before: false,
            grows: false,
          },
          notes: [
            note(
              rule(
                "M29.depth",
              )`The depth counts from the crown, ${mm(depth.fromCrown)} and up to ${mm(depthPlus)} more; from the edge of the seat it is ${mm(depth.atWall)}.`,
            ),
            note(
              words(
                "The whole cut is buried: light feed by hand, oil, the table locked along and the knee locked.",
              ),
            ),
          ],
        },
      ],
    },
  ];
};
