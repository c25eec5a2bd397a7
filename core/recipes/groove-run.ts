import { axesAcross, type Axis, axisOf } from "../frame/index.ts";
import { middleAcross } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import { depthsFrom, planeAxis, type RecipePlace } from "./recipe.ts";
import type { Run } from "./sweep.ts";

/** Where a groove along the whole of a part lies: its run, its middle across, how deep. */
export function grooveRun(
  groove: Parameters<typeof middleAcross>[0],
  { cutout, sizes, site }: RecipePlace,
): { run: Run; across: Axis; middle: Mm; top: Mm; floor: Mm } {
  const { face, along } = groove;
  const across = axesAcross(face).find((a) => a !== along)!;
  return {
    run: {
      along: planeAxis(face, "x") === along ? "x" : "y",
      from: 0,
      to: sizes[along],
      openLow: true,
      openHigh: true,
    },
    across,
    middle: middleAcross(groove, site)!,
    ...depthsFrom(face, cutout.box[axisOf(face)], sizes),
  };
}
