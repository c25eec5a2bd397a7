import { narrowWidth } from "../../part/index.ts";
import { mm, tidy } from "../../quantity/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { note, say, words } from "../../working/index.ts";
import { grooveRun } from "../groove-run.ts";
import { clearWork } from "../mill-area.ts";
import { aimOf, type Measured, type OfKind, type Recipe, type Work } from "../recipe.ts";
import type { Area } from "../sweep.ts";

/** Left on the floor for the dovetail cutter, which makes floor and flank together, mm. */
const floorLeft = 0.2;

/** The neck, or the shoulders beside a tongue, square first; then each flank with a dovetail cutter, both in one setup. */
export const dovetailRecipe: Recipe<OfKind<"dovetail">> = (feature, place) => {
  const up = feature.face;
  const wide = aimOf(feature, "wide", place.part)!;
  const depth = aimOf(feature, "depth", place.part)!;
  const angle = feature.numbers.angle ?? 60;
  const narrow = narrowWidth(wide.target, depth.target, angle)!;
  const { run, across, middle } = grooveRun(feature, place);
  const whole = place.sizes[across];
  const inSlot = feature.form === "slot";
  const cross = run.along === "x" ? "y" : "x";
  const open = { xLow: false, xHigh: false, yLow: false, yHigh: false };
  const area = (span: readonly [number, number], walls: Partial<Area["walls"]>): Area => ({
    x: [run.from, run.to],
    y: [run.from, run.to],
    walls: { ...open, ...walls },
    boss: null,
    corner: 0,
    [cross]: [tidy(span[0]), tidy(span[1])],
  });
  const asked = (of: Area, what: string, prefix: string) => ({
    up,
    area: of,
    what,
    corner: null,
    top: 0,
    floor: tidy(depth.target - floorLeft),
    measure: null,
    halfTolerance: null,
    exact: 0.1,
    prefix,
  });
  const rough: Work[] = inSlot
    ? [
        clearWork(
          asked(
            area([middle - narrow / 2, middle + narrow / 2], {
              [`${cross}Low`]: true,
              [`${cross}High`]: true,
            }),
            "neck",
            "",
          ),
        ),
      ]
    : [
        ...(middle - wide.target / 2 > 1e-6
          ? [
              clearWork(
                asked(
                  area([0, middle - wide.target / 2], { [`${cross}High`]: true }),
                  "low shoulder",
                  "low-",
                ),
              ),
            ]
          : []),
        ...(middle + wide.target / 2 < whole - 1e-6
          ? [
              clearWork(
                asked(
                  area([middle + wide.target / 2, whole], { [`${cross}Low`]: true }),
                  "high shoulder",
                  "high-",
                ),
              ),
            ]
          : []),
      ];
  const owned = place.shop.cutters.find(
    (c) =>
      c.kind === "dovetail" &&
      Math.abs(c.enteringAngle - angle) < 0.5 &&
      c.fluteLength >= depth.target &&
      (!inSlot || cuttingDiameter(c) < narrow),
  );
  const diameter = owned ? cuttingDiameter(owned) : Math.max(10, depth.target * 2);
  // At the floor the teeth are widest: of a slot the wide edge, of a tongue the narrow foot.
  const half = inSlot ? wide.target / 2 : narrow / 2;
  const measure: Measured = {
    size: "wide",
    name: words(feature.sizes.pin ? "the dovetail, over its pins" : "the dovetail over its sharp corners"),
    target: wide.target,
    limits: wide.limits,
    before: false,
    grows: inSlot,
  };
  const flank = (which: "low" | "high", last: boolean): Work => {
    const sign = which === "low" ? -1 : 1;
    return {
      task: `flank-${which}`,
      title: say`The ${which} flank with a dovetail cutter`,
      sweep: {
        kind: "tracks",
        run,
        tracks: [{ at: tidy(middle + sign * half), side: (inSlot ? -sign : sign) as -1 | 1 }],
      },
      top: 0,
      floor: depth.target,
      tool: {
        by: "form",
        kinds: ["dovetail"],
        diameter,
        over: 0.01,
        under: 0.01,
        angle,
        wanted: say`A dovetail cutter of ${String(angle)}°, ${mm(depth.target)} high or more`,
      },
      exact: 0.02,
      measure: last ? measure : { ...measure, before: true },
      notes: [
        note(
          words(
            "Its teeth are weak: light cuts, conventional, all at full depth, and measure before the last.",
          ),
        ),
      ],
    };
  };
  return [
    {
      name: inSlot ? "neck first, then both flanks" : "shoulders first, then both flanks",
      why: words(
        "The end mill takes most of the metal; the weak teeth of the dovetail cutter only make the flanks.",
      ),
      up,
      works: [...rough, flank("low", false), flank("high", true)],
    },
  ];
};
