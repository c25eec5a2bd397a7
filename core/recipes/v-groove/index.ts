import { vGroove } from "../../part/index.ts";
import { mm, quantity, tidy } from "../../quantity/index.ts";
import { rule, say, warn, words } from "../../working/index.ts";
import { grooveRun } from "../groove-run.ts";
import { fileWork } from "../hand-work.ts";
import { aimOf, areaOfBox, type Measured, type OfKind, type Recipe, type Way, type Work } from "../recipe.ts";
import { type Flank, stairCusp, stairWork } from "../stairs.ts";
import type { Area } from "../sweep.ts";

/** A V: the relief slot first, stairs, then both flanks by a cutter of the angle or with the head tilted. */
export const vGrooveRecipe: Recipe<OfKind<"vGroove">> = (feature, place) => {
  const up = feature.face;
  const width = aimOf(feature, "width", place.part)!;
  const angle = feature.numbers.angle ?? 90;
  const v = vGroove(width.target, angle)!;
  const { run, middle, floor: deepest } = grooveRun(feature, place);
  const half = width.target / 2;
  const relief = feature.sizes.reliefWidth?.nominal ?? 0;
  const narrow = relief / 2;
  const measure: Measured = {
    size: "width",
    name: words(feature.sizes.pin ? "the V at the face, or over its pin" : "the V at the face"),
    ...width,
    before: false,
    grows: true,
  };
  const across = [tidy(middle - narrow), tidy(middle + narrow)] as const;
  const box = areaOfBox(up, place.cutout.box, place.sizes);
  const along = { ...box, boss: null, corner: 0 };
  const open = { xLow: false, xHigh: false, yLow: false, yHigh: false };
  const reliefArea: Area =
    run.along === "x"
      ? { ...along, y: across, walls: { ...open, yLow: true, yHigh: true } }
      : { ...along, x: across, walls: { ...open, xLow: true, xHigh: true } };
  const reliefWork: Work[] =
    narrow > 0
      ? [
          {
            task: "relief",
            title: say`Relief slot`,
            sweep: { kind: "clear", area: reliefArea, leave: 0 },
            top: 0,
            floor: deepest,
            tool: {
              by: "mill",
              kind: "slot",
              most: tidy(2 * narrow),
              least: null,
              plunges: false,
              total: null,
              halfTolerance: null,
              tilt: null,
            },
            exact: 0.1,
            measure: null,
            notes: [],
          },
        ]
      : [];
  // Stairs go no nearer to the bottom than where the relief begins; without one a cutter must still go in.
  const end = narrow > 0 ? narrow : half * 0.4;
  const down = tidy(v.depth * (1 - end / half));
  const flanks: Flank[] = [
    { from: middle - half, to: middle - end, depth: down, side: 1, until: middle },
    { from: middle + half, to: middle + end, depth: down, side: -1, until: middle },
  ];
  const stairs = stairWork(say`Stairs down both flanks`, run, flanks, 0, tidy(2 * end));
  const cutter = place.shop.cutters.find(
    (c) =>
      (c.kind === "chamfer" || c.kind === "countersink") &&
      Math.abs(2 * (90 - c.enteringAngle) - angle) < 1 &&
      c.diameter >= width.target,
  );
  const form: Work = {
    task: "flanks",
    title: say`Both flanks with a cutter of ${String(angle)}°`,
    sweep: { kind: "tracks", run, tracks: [{ at: tidy(middle), side: 0 }] },
    top: 0,
    floor: v.depth,
    tool: {
      by: "form",
      kinds: ["chamfer", "countersink", "angleCutter"],
      diameter: cutter?.diameter ?? width.target,
      over: 0.01,
      under: 0.01,
      angle: 90 - angle / 2,
      wanted: say`A cutter of ${String(angle)}° and at least ${mm(width.target)}`,
    },
    exact: 0.02,
    measure,
    notes: [],
  };
  // The side of the cutter lies along the flank: the head leans as far as the flank does from upright.
  const tilt = tidy(angle / 2);
  const perStep = Math.sin((tilt * Math.PI) / 180);
  const tilted = (["low", "high"] as const).map((which): Work => ({
    task: `flank-${which}`,
    title: say`The ${which} flank with the head tilted ${quantity("angle", tilt)}`,
    sweep: {
      kind: "tracks",
      run,
      tracks: [{ at: tidy(middle + ((which === "low" ? -1 : 1) * half) / 2), side: 0 }],
    },
    top: 0,
    floor: stairCusp,
    tool: {
      by: "mill",
      kind: "side",
      most: null,
      least: null,
      plunges: false,
      total: stairCusp,
      halfTolerance: null,
      tilt,
    },
    // The head tilted, places of the readout hold no more: each flank is touched and cut from there, by eye.
    exact: 0.5,
    measure: which === "high" ? measure : null,
    notes: [
      warn(
        rule(
          "M33.tilt",
        )`With the head at ${quantity("angle", tilt)} a step s of the knee cuts s · sin θ square to the flank: for the last ${mm(stairCusp)} the knee rises ${mm(tidy(stairCusp / perStep))}. Both flanks end at the same Z.`,
      ),
    ],
  }));
  const way = (name: string, why: string, works: Work[]): Way => ({
    name,
    why: words(why),
    up,
    works: [...reliefWork, stairs, ...works],
  });
  return [
    way("stairs, then a cutter of the angle", "One pass along the center makes both flanks alike.", [form]),
    way(
      "stairs, then the head tilted",
      "The side of an end mill cuts each flank; the same Z on both.",
      tilted,
    ),
    way("stairs, then filed", "With no cutter of the angle in the shop, the stairs are filed to the line.", [
      fileWork(
        "file",
        say`File both flanks to the line`,
        4 + (v.depth * (run.to - run.from)) / 150,
        measure,
        {
          top: 0,
          floor: v.depth,
        },
      ),
    ]),
  ];
};
