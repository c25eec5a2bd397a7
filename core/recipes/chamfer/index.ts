import { axesAcross, type Face, facesOf } from "../../frame/index.ts";
import { chamfer, chamferSides, takesAll } from "../../part/index.ts";
import { mm, tidy } from "../../quantity/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { say, words } from "../../working/index.ts";
import { fileWork } from "../hand-work.ts";
import {
  aimOf,
  type Measured,
  type OfKind,
  planeAxis,
  type Recipe,
  type RecipePlace,
  type Way,
  type Work,
} from "../recipe.ts";

/** A chamfer no longer than this is filed in reasonable time, mm (guess). */
const filedUpTo = 2;
/** Minutes to file an edge: to begin, and for each 100 mm (guess). */
const filing = { edge: 1, per100: 3 } as const;

/** An edge taken off by a chamfer cutter of its angle, or filed. */
export const chamferRecipe: Recipe<OfKind<"chamfer">> = (feature, place) => {
  const { face } = feature;
  const { sizes, part } = place;
  const legs = chamfer(feature.sizes.leg!.nominal, feature.numbers.angle ?? 45)!;
  const leg = feature.sizes.leg!.nominal;
  const all = chamferSides(feature);
  // An edge that another feature takes away is none.
  const there = all.filter((_, i) => !place.others.some((o) => takesAll(o, place.cutout.prisms[i]!)));
  const sides = there.length > 0 ? there : all;
  const measure: Measured = {
    size: "leg",
    name: words("the chamfer along the face"),
    ...aimOf(feature, "leg", part)!,
    before: false,
    grows: true,
  };
  const ways: Way[] = [...cutWay(feature, sides, legs.other, measure, place)];
  const lengths = sides.map((side) => sizes[axesAcross(face).find((a) => !facesOf(a).includes(side))!]);
  const minutes = lengths.reduce(
    (sum, l) => sum + filing.edge + (filing.per100 * l * Math.max(leg, legs.other)) / 100,
    0,
  );
  if (Math.max(leg, legs.other) <= filedUpTo || ways.length === 0)
    ways.push({
      name: "filed",
      why: words("A small edge is filed in the time it takes to set up a cutter."),
      up: face,
      works: [
        fileWork("file", say`File the chamfer ${mm(leg)}`, minutes, measure, { top: 0, floor: legs.other }),
      ],
    });
  return ways;
};

/** With a pointed cutter of the chamfer's angle: its flank cuts at half of its radius, clear of the weak tip. */
function cutWay(
  feature: OfKind<"chamfer">,
  sides: readonly Face[],
  other: number,
  measure: Measured,
  { shop, sizes }: RecipePlace,
): Way[] {
  const leg = feature.sizes.leg!.nominal;
  // The entering angle counts from the axis' normal: of a 45° cutter both legs are alike.
  const angle = 90 - (feature.numbers.angle ?? 45);
  const owned = shop.cutters.find(
    (c) =>
      (c.kind === "chamfer" || c.kind === "countersink") &&
      Math.abs(c.enteringAngle - angle) < 0.5 &&
      cuttingDiameter(c) / 4 + leg <= cuttingDiameter(c) / 2,
  );
  const diameter = owned ? cuttingDiameter(owned) : 4 * (leg + 1);
  const off = tidy(diameter / 4);
  const depth = tidy((off + leg) * Math.tan((angle * Math.PI) / 180));
  const works = sides.map((side): Work => {
    const inX = facesOf(planeAxis(feature.face, "x")).includes(side);
    const axis = planeAxis(feature.face, inX ? "x" : "y");
    const high = facesOf(axis)[1] === side;
    const along = inX ? ("y" as const) : ("x" as const);
    return {
      task: sides.length === 1 ? "chamfer" : `chamfer-${side}`,
      title: say`Chamfer ${mm(leg)} along the ${side}`,
      sweep: {
        kind: "tracks",
        run: { along, from: 0, to: sizes[planeAxis(feature.face, along)], openLow: true, openHigh: true },
        tracks: [{ at: tidy(high ? sizes[axis] + off : -off), side: 0 }],
      },
      top: 0,
      floor: depth,
      tool: {
        by: "form",
        kinds: ["chamfer", "countersink"],
        diameter,
        over: 0.01,
        under: 0.01,
        angle,
        wanted: say`A chamfer cutter of ${String(2 * angle)}° and at least ${mm(4 * leg)}`,
      },
      exact: 0.05,
      measure: { ...measure },
      notes: [
        {
          severity: "note",
          phrase: say`The depth counts as if the cutter came to a point. Cut short, measure the leg along the face (${mm(leg)}; ${mm(other)} down the side) and go on by what is left.`,
        },
      ],
    };
  });
  return [
    {
      name: "with a chamfer cutter",
      why: words("One pass along the edge, the flank clear of the tip."),
      up: feature.face,
      works,
    },
  ];
}
