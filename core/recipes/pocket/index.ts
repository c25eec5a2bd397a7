import { axisOf, opposite } from "../../frame/index.ts";
import { type Mm, tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import { type AreaAsked, bossWork, clearWork, startHoles, wallWorks } from "../mill-area.ts";
import {
  aimOf,
  areaOfBox,
  depthsFrom,
  type Measured,
  type OfKind,
  type Recipe,
  type Way,
  type Work,
} from "../recipe.ts";
import { depthAim, throughBy } from "../slot/index.ts";
import type { Area } from "../sweep.ts";

/** How far a corner may be off a radius that is to be had, mm. */
const radiusWithin = 0.05;
/** What stairs of plunges leave in a corner, mm. */
const cornerCusp = 0.05;

/** A pocket: started by plunging or in a hole, ringed out, then its walls at full depth and what stands in it. */
export const pocketRecipe: Recipe<OfKind<"pocket">> = (feature, place) => {
  const through = feature.sizes.depth === null;
  const ups = through ? [feature.face, opposite(feature.face)] : [feature.face];
  return ups.flatMap((up) => {
    const { part, sizes, cutout } = place;
    const plain = areaOfBox(up, cutout.box, sizes);
    const first = aimOf(feature, "first", part)!;
    const second = aimOf(feature, "second", part)!;
    const about = ([low, high]: readonly [Mm, Mm], target: Mm): [Mm, Mm] => [
      tidy((low + high - target) / 2),
      tidy((low + high + target) / 2),
    ];
    const middle: [Mm, Mm] = [(plain.x[0] + plain.x[1]) / 2, (plain.y[0] + plain.y[1]) / 2];
    const bossX = aimOf(feature, "bossFirst", part);
    const bossY = feature.boss === "square" ? aimOf(feature, "bossSecond", part) : bossX;
    const boss: Area["boss"] =
      feature.boss !== "none" && bossX && bossY
        ? { x: about(plain.x, bossX.target), y: about(plain.y, bossY.target) }
        : null;
    const area: Area = {
      ...plain,
      x: about(plain.x, first.target),
      y: about(plain.y, second.target),
      boss,
      corner: feature.corner === "exact" ? (feature.sizes.radius?.nominal ?? 0) : 0,
    };
    const { top, floor } = depthsFrom(up, cutout.box[axisOf(up)], sizes);
    const radius = feature.sizes.radius?.nominal ?? null;
    const measure: Measured = {
      size: "first",
      name: say`the pocket along the ${boss ? "first size" : "longer way"}`,
      target: first.target,
      limits: first.limits,
      before: false,
      grows: true,
    };
    const asked: AreaAsked = {
      up,
      area,
      what: "pocket",
      corner: radius,
      top,
      floor: through ? tidy(floor + throughBy) : depthAim(feature, place, top, floor),
      measure: null,
      halfTolerance: Math.min(...[first, second].map((a) => (a.limits.upper - a.limits.lower) / 2)),
      exact: 0.02,
    };
    const walls = wallWorks(asked).map((w) => ({ ...w, measure }));
    const ownRadius = walls.map((w): Work => ({
      ...w,
      tool:
        radius !== null && w.tool.by === "mill"
          ? { ...w.tool, most: tidy(2 * radius + 1e-9), least: tidy(2 * (radius - radiusWithin)) }
          : w.tool,
    }));
    const exact = feature.corner === "exact" && radius !== null;
    const sides = boss
      ? bossWork(asked, {
          size: "bossFirst",
          name: words("the boss"),
          ...bossX!,
          before: false,
          grows: false,
        })
      : null;
    const tail: Work[] = sides
      ? [sides, ...(feature.boss === "round" ? [roundBoss(sides, middle, bossX!.target / 2)] : [])]
      : [];
    const stepped: Work[] = exact ? [...walls.map((w) => w), cornerWork(asked, radius)] : walls;
    const finishes: [string, Way["why"], Work[]][] = exact
      ? [
          [
            "corners by a cutter of their radius",
            words(
              "On a manual mill the corner is the cutter's radius: finish the walls with a cutter of exactly that.",
            ),
            ownRadius,
          ],
          [
            "corners stepped tangent by a smaller cutter",
            words(
              "No cutter of the exact radius is needed: a smaller one is stepped down tangent to it, and the cusps are filed.",
            ),
            stepped,
          ],
        ]
      : [["", words("Any corner up to the given radius will do."), walls]];
    const gap = boss
      ? Math.min(boss.x[0] - area.x[0], boss.y[0] - area.y[0])
      : Math.min(area.x[1] - area.x[0], area.y[1] - area.y[0]);
    const startAt: [Mm, Mm] = boss ? [(area.x[0] + boss.x[0]) / 2, (area.y[0] + boss.y[0]) / 2] : middle;
    return finishes.flatMap(([name, why, after]): Way[] => [
      {
        name: `plunged${name && `, ${name}`}`,
        why,
        up,
        works: [clearWork(asked), ...after, ...tail],
      },
      // Above a floor the drill's point leaves metal in the middle: only where it goes through need nothing cut there.
      ...(through
        ? [
            {
              name: `from a start hole${name && `, ${name}`}`,
              why,
              up,
              works: [
                startHoles([startAt], gap, { ...asked, through }, "pocket"),
                clearWork({ ...asked, drilled: true, ...(boss ? { start: startAt } : {}) }),
                ...after,
                ...tail,
              ],
            },
          ]
        : []),
    ]);
  });
};

/** Corners of a radius larger than the cutter's: plunges tangent to it. */
function cornerWork(asked: AreaAsked, radius: Mm): Work {
  const { x, y } = asked.area;
  return {
    task: "corners",
    title: say`Corners of the pocket`,
    sweep: {
      kind: "contour",
      outline: roundedRect(x, y, radius),
      metal: "outside",
      cusp: cornerCusp,
      ways: [1, 3, 5, 7],
    },
    top: asked.top,
    floor: asked.floor,
    tool: {
      by: "mill",
      kind: "side",
      most: tidy(2 * radius),
      least: null,
      plunges: false,
      total: tidy(radius * (Math.SQRT2 - 1)),
      halfTolerance: null,
      tilt: null,
    },
    exact: 0.02,
    measure: null,
    notes: [],
  };
}

/** A round boss between the four sides of its square: plunges tangent to it, with a cutter that goes in where its sides are cut. */
function roundBoss(sides: Work, [x, y]: readonly [Mm, Mm], radius: Mm): Work {
  return {
    ...sides,
    task: "round-boss",
    measure: null,
    exact: 0.02,
    tool: { ...sides.tool, halfTolerance: null, total: tidy(radius * (Math.SQRT2 - 1)) } as Work["tool"],
    title: say`The boss round`,
    sweep: {
      kind: "contour",
      outline: [
        { x: x + radius, y, bulge: 1 },
        { x: x - radius, y, bulge: 1 },
      ],
      metal: "inside",
      cusp: cornerCusp,
      ways: null,
    },
  };
}

/** Four straight ways and four arcs, the arcs at odd places. */
function roundedRect([left, right]: readonly [Mm, Mm], [low, high]: readonly [Mm, Mm], r: Mm) {
  const bulge = Math.tan(Math.PI / 8);
  return [
    { x: left + r, y: low, bulge: 0 },
    { x: right - r, y: low, bulge },
    { x: right, y: low + r, bulge: 0 },
    { x: right, y: high - r, bulge },
    { x: right - r, y: high, bulge: 0 },
    { x: left + r, y: high, bulge },
    { x: left, y: high - r, bulge: 0 },
    { x: left, y: low + r, bulge },
  ];
}
