import { axisOf, faceNames } from "../../frame/index.ts";
import { woodruffOf } from "../../part/index.ts";
import { inchWoodruffDepths, metricKeyDepthTolerance } from "../../handbook/index.ts";
import { mm, mmPerInch, tidy } from "../../quantity/index.ts";
import { note, rule, say, words } from "../../working/index.ts";
import type { OfKind, Recipe } from "../recipe.ts";
import { seatDepthLimits } from "../seat-depth.ts";

/** How much deeper the standard lets a seat be, mm: 0.005 in for inch keys, by its width for metric ones. */
const plusOf = ({ t1, width }: { t1: number | null; width: number }): number =>
  t1 === null ? inchWoodruffDepths({ width, height: 0 }).plus * mmPerInch : metricKeyDepthTolerance(width);

/** A Woodruff seat: a disc cutter of the key's size fed straight into the side of the shaft, on its center. */
export const woodruffRecipe: Recipe<OfKind<"woodruff">> = (feature, place) => {
  const seat = woodruffOf(feature, place.site)!;
  const { key, depth, shaft, at } = seat;
  // The cutter stands upright: the seat looks to the front, so one of the faces beside it is up.
  const up = faceNames.find((f) => axisOf(f) !== axisOf(feature.face) && axisOf(f) !== "length")!;
  const limits = seatDepthLimits(feature.sizes.depth, plusOf(key));
  const aimed = tidy((limits.lower + limits.upper) / 2);
  const deep = tidy(depth.fromCrown + aimed);
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
            target: tidy(depth.overOpposite - aimed),
            limits: {
              lower: tidy(depth.overOpposite - limits.upper),
              upper: tidy(depth.overOpposite - limits.lower),
            },
            before: false,
            grows: false,
          },
          notes: [
            note(
              rule(
                "M29.depth",
              )`The depth counts from the crown, ${mm(depth.fromCrown)} and up to ${mm(limits.upper)} more; from the edge of the seat it is ${mm(depth.atWall)}.`,
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
