import { type Axis, axisNames, faceNames, type Sizes } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import { limitsOf, longestAxis, type Part } from "../part/index.ts";
import type { Limits } from "../quantity/index.ts";
import { onPoints, type School, schoolRule } from "../squaring/index.ts";
import { remembered, type RouteContext } from "../route/index.ts";
import { inUse, type Machine, type Shop, type Vise } from "../shop/index.ts";
import { type Piece, rawPiece, type Spare, spareOf } from "../stock/index.ts";
import type { Job } from "../job/index.ts";
import { type UsualSchool, usualSchool, withSchool } from "./usual-school.ts";

/** Where planning starts: the raw piece, what it can spare, and all the route is planned with. */
export interface PlanStart {
  spares: Record<Axis, Spare>;
  raw: Piece;
  context: RouteContext;
  school: UsualSchool;
}

/** The school the person chose; null where it is left to the plan. */
function ownSchool(job: Job): School | null {
  const chosen = job.overrides.order.map((id) => job.overrides.byId[id]).find((o) => o?.what === "school");
  return chosen?.what === "school" ? chosen.value : null;
}

const usual = remembered<UsualSchool>(4);

export function planStart(
  job: Job,
  part: Part,
  target: Sizes,
  { machine, vise, material }: { machine: Machine; vise: Vise; material: Material },
  shop: Shop,
): PlanStart {
  const limits = Object.fromEntries(
    axisNames.map((axis) => [axis, limitsOf(part.sizes[axis]!, part)]),
  ) as Record<Axis, Limits>;
  const spares = Object.fromEntries(
    axisNames.map((axis) => [
      axis,
      spareOf(job.stock, axis, limits[axis], {
        mayStayRaw: (face) => part.faces[face].mayStayRaw,
        material,
        evenly: job.overrides.order.some((id) => job.overrides.byId[id]?.what === "split"),
      }),
    ]),
  ) as Record<Axis, Spare>;
  const raw = rawPiece(job.stock, spares);
  const ends = longestAxis(target);
  const endsWay = job.overrides.order.map((id) => job.overrides.byId[id]).find((o) => o?.what === "ends");
  const quick = job.overrides.order.some((id) => job.overrides.byId[id]?.what === "aim");
  const context: RouteContext = {
    target,
    limits,
    spares,
    material,
    machine,
    vise,
    shop: inUse(shop),
    ends,
    rawLength: raw.sizes[ends],
    everyCutter: shop.cutters,
    own: {},
    ownSeats: {},
    next: schoolRule("round", ends),
    points: onPoints("round"),
    endsWay: endsWay?.what === "ends" ? endsWay.value : null,
    aim: quick ? "quick" : "usual",
    roughness: Object.fromEntries(
      faceNames.flatMap((face) => (part.faces[face].ra === null ? [] : [[face, part.faces[face].ra]])),
    ),
    outside: [],
  };
  const own = ownSchool(job);
  const school = own
    ? { school: own, why: null, nor: null }
    : usual(shop, JSON.stringify([target, spares, raw, machine.id, vise.id, material, endsWay, quick]), () =>
        usualSchool(raw, context),
      );
  return { spares, raw, context: withSchool(context, school.school), school };
}
