import { mm, tidy } from "../../quantity/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { note, say, words } from "../../working/index.ts";
import { grooveRun } from "../groove-run.ts";
import { aimOf, areaOfBox, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";
import { atWidth, slotWays } from "../slot/index.ts";
import type { Area } from "../sweep.ts";

/** The neck as a slot, then the foot with a T-slot cutter down the same middle. */
export const tSlotRecipe: Recipe<OfKind<"tSlot">> = (feature, place) => {
  const up = feature.face;
  const { part, shop } = place;
  const neck = aimOf(feature, "neck", part)!;
  const neckDepth = aimOf(feature, "neckDepth", part)!;
  const foot = aimOf(feature, "foot", part)!;
  const height = aimOf(feature, "footHeight", part)!;
  const { run, middle } = grooveRun(feature, place);
  const floor = tidy(neckDepth.target + height.target);
  const box = areaOfBox(up, place.cutout.box, place.sizes);
  const walls = { xLow: false, xHigh: false, yLow: false, yHigh: false };
  const open: Area =
    run.along === "x"
      ? { ...box, walls: { ...walls, yLow: true, yHigh: true }, boss: null }
      : { ...box, walls: { ...walls, xLow: true, xHigh: true }, boss: null };
  const measure: Measured = {
    size: "neck",
    name: words("the neck"),
    target: neck.target,
    limits: neck.limits,
    before: false,
    grows: true,
  };
  // A foot wider than any owned cutter is cut on both sides; one that goes through the neck must still be wider than it.
  const owned = shop.cutters
    .filter(
      (c) =>
        c.kind === "tSlot" &&
        cuttingDiameter(c) <= foot.target + 0.02 &&
        cuttingDiameter(c) > neck.target &&
        c.fluteLength <= height.target + 0.05,
    )
    .sort((a, b) => cuttingDiameter(b) - cuttingDiameter(a))[0];
  const diameter = owned ? cuttingDiameter(owned) : foot.target;
  const off = Math.max(0, (foot.target - diameter) / 2);
  const footWork: Work = {
    task: "foot",
    title: say`The foot with a T-slot cutter`,
    sweep: {
      kind: "tracks",
      run,
      tracks: (off > 0.01 ? [-off, off] : [0]).map((o) => ({ at: tidy(middle + o), side: 0 as const })),
    },
    top: neckDepth.target,
    floor,
    tool: {
      by: "form",
      kinds: ["tSlot"],
      diameter,
      over: 0.01,
      under: 0.01,
      width: height.target,
      wanted: say`A T-slot cutter of ${mm(foot.target)}, ${mm(height.target)} high, its neck under ${mm(neck.target)}`,
    },
    exact: 0.05,
    measure: {
      size: "foot",
      name: words("the foot"),
      target: foot.target,
      limits: foot.limits,
      before: false,
      grows: true,
    },
    notes: [
      note(
        words(
          "The cutter is buried: chips leave badly. Stop and brush them out, oil, and feed out of the open end, never lift.",
        ),
      ),
    ],
  };
  return slotWays(
    {
      up,
      area: atWidth(open, neck.target),
      what: "neck",
      corner: null,
      top: 0,
      floor: neckDepth.target,
      each: true,
      measure,
      halfTolerance: (neck.limits.upper - neck.limits.lower) / 2,
      exact: 0.02,
    },
    { target: neck.target, ...neck.limits },
    place,
  ).map((way) => ({ ...way, name: `neck ${way.name}`, works: [...way.works, footWork] }));
};
