import { axisOf, opposite, rectangle } from "../../frame/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { type Mm, mm, tidy } from "../../quantity/index.ts";
import { say, words } from "../../working/index.ts";
import {
  asWideAs,
  type AreaAsked,
  clearWork,
  startHoles,
  underWidth,
  wallAllowance,
  wallWorks,
} from "../mill-area.ts";
import {
  aimOf,
  areaOfBox,
  depthsFrom,
  type Measured,
  type OfKind,
  type Recipe,
  type RecipePlace,
  type Way,
  type Work,
} from "../recipe.ts";
import { type Area, lanesAlong } from "../sweep.ts";

/** Run-out of a cutter nobody indicated, mm (guess). */
const usualRunOut = 0.03;
/** A through slot is cut so far out of the far side, mm. */
export const throughBy = 0.5;

/** The area of a slot with its width at what is aimed at; closed ends are round. */
export function atWidth(area: Area, target: Mm): Area {
  const { along } = lanesAlong(area);
  const across = along === "x" ? "y" : "x";
  const middle = (area[across][0] + area[across][1]) / 2;
  return { ...area, corner: target / 2, [across]: [tidy(middle - target / 2), tidy(middle + target / 2)] };
}

/** Ends of a closed slot, where the axis of a cutter of its width stands. */
export function endsOf(area: Area, width: Mm): [Mm, Mm][] {
  const { along } = lanesAlong(area);
  const [low, high] = along === "x" ? area.x : area.y;
  const across = along === "x" ? area.y : area.x;
  const middle = (across[0] + across[1]) / 2;
  const ends = [low + width / 2, high - width / 2];
  const points = ends.map((e): [Mm, Mm] => (along === "x" ? [e, middle] : [middle, e]));
  return Math.abs(ends[0]! - ends[1]!) < 0.5 ? [points[0]!] : points;
}

/**
 * The ways of a slot: a cutter under its width with each wall by itself, started by plunging or in drilled ends; a cutter of
 * its width in one go where the tolerance bears its run-out.
 * @param through whether it goes all the way: then drilled ends leave nothing under the middle of the cutter
 */
export function slotWays(
  asked: AreaAsked,
  width: { target: Mm; upper: Mm; lower: Mm },
  place: RecipePlace,
  through = false,
): Way[] {
  const { area, up, what } = asked;
  const closed = Object.values(area.walls).every(Boolean);
  const walls = [...wallWorks(asked), ...endWorks(asked)];
  const name = closed ? "plunged at an end, each wall by itself" : "under width, each wall by itself";
  const ways: Way[] = [
    {
      name,
      why: words("A cutter narrower than the slot cuts the width you set, not its own."),
      up,
      works: [clearWork(asked), ...walls],
    },
  ];
  // Above a floor the drill's point leaves metal in the middle, which such a cutter does not cut.
  if (closed && through)
    ways.push({
      name: "ends drilled, each wall by itself",
      why: words("Drilled ends let a cutter in that is not center-cutting."),
      up,
      works: [
        startHoles(endsOf(area, width.target), width.target, { ...asked, through }, what),
        clearWork({ ...asked, drilled: true }),
        ...walls,
      ],
    });
  // M28: a cutter of the slot's width cuts its run-out wider; one not indicated gets the usual run-out.
  const fits = place.shop.cutters.some((c) => {
    const cuts = cuttingDiameter(c) + (c.runOut ?? usualRunOut);
    return c.kind === "endMill" && cuts <= width.upper + 1e-9 && cuttingDiameter(c) >= width.lower - 1e-9;
  });
  if (fits) ways.push(oneGo(asked, width, closed));
  return ways;
}

/** What stairs of plunges leave in a round end, mm. */
const endCusp = 0.05;

/** The round ends of a slot cut under its width: plunges tangent to the drawn arc. */
function endWorks(asked: AreaAsked): Work[] {
  const { area, what } = asked;
  const { along } = lanesAlong(area);
  const outline = rectangle(area.x, area.y, area.corner);
  const middle = along === "x" ? (area.x[0] + area.x[1]) / 2 : (area.y[0] + area.y[1]) / 2;
  const [low, high] = along === "x" ? (["xLow", "xHigh"] as const) : (["yLow", "yHigh"] as const);
  const ways = outline.flatMap((corner, i) => {
    const next = outline[(i + 1) % outline.length]!;
    const at = along === "x" ? (corner.x + next.x) / 2 : (corner.y + next.y) / 2;
    return corner.bulge !== 0 && area.walls[at < middle ? low : high] ? [i] : [];
  });
  if (ways.length === 0) return [];
  return [
    {
      task: "ends",
      title: say`Round ends of the ${what}`,
      sweep: { kind: "contour", outline, metal: "outside", cusp: endCusp, ways },
      top: asked.top,
      floor: asked.floor,
      tool: {
        by: "mill",
        kind: "side",
        most: tidy(2 * area.corner - underWidth),
        least: null,
        plunges: false,
        total: wallAllowance,
        halfTolerance: null,
        tilt: null,
      },
      exact: 0.05,
      measure: null,
      notes: [],
    },
  ];
}

function oneGo(asked: AreaAsked, width: { target: Mm; upper: Mm; lower: Mm }, closed: boolean): Way {
  const rough = clearWork(asked);
  const work: Work = {
    ...rough,
    task: "cut",
    title: say`Cut the ${asked.what} in one width`,
    sweep: { kind: "clear", area: asked.area, leave: 0 },
    tool: {
      ...rough.tool,
      kind: "slot",
      most: tidy(width.upper - usualRunOut),
      least: width.lower,
      plunges: closed,
    } as Work["tool"],
    exact: asked.exact,
    measure: asked.measure,
    notes: [asWideAs(width.target)],
  };
  return {
    name: "a cutter of the slot's width",
    why: say`One pass cuts full width: ${mm(width.target)} plus run-out.`,
    up: asked.up,
    works: [work],
  };
}

/** A straight slot from its face, or a through one from either. */
export const slotRecipe: Recipe<OfKind<"slot">> = (feature, place) => {
  const aim = aimOf(feature, "width", place.part)!;
  const through = feature.sizes.depth === null;
  const ups = through ? [feature.face, opposite(feature.face)] : [feature.face];
  const measure: Measured = {
    size: "width",
    name: words("the slot width"),
    target: aim.target,
    limits: aim.limits,
    before: false,
    grows: true,
  };
  return ups.flatMap((up) => {
    const area = atWidth(areaOfBox(up, place.cutout.box, place.sizes), aim.target);
    const { top, floor } = depthsFrom(up, place.cutout.box[axisOf(up)], place.sizes);
    const asked: AreaAsked = {
      up,
      area,
      what: "slot",
      corner: null,
      top,
      floor: through ? tidy(floor + throughBy) : depthAim(feature, place, top, floor),
      each: true,
      measure,
      halfTolerance: (aim.limits.upper - aim.limits.lower) / 2,
      exact: 0.02,
    };
    return slotWays(asked, { target: aim.target, ...aim.limits }, place, through);
  });
};

/** The floor at the middle of the limits of a depth. */
export function depthAim(
  feature: Parameters<typeof aimOf>[0],
  { part }: RecipePlace,
  top: Mm,
  floor: Mm,
  key = "depth",
): Mm {
  const aim = aimOf(feature, key, part);
  return aim ? tidy(top + aim.target) : floor;
}
