import { type Axis, axisNames, faceNames, type Sizes } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import { limitsOf, longestAxis, type Part } from "../part/index.ts";
import type { Limits } from "../quantity/index.ts";
import { onPoints, type School, schoolRule } from "../squaring/index.ts";
import type { RouteContext } from "../route/index.ts";
import { inUse, type Machine, type Shop, type Vise } from "../shop/index.ts";
import { type Piece, rawPiece, type Spare, spareOf } from "../stock/index.ts";
import type { Job } from "../job/index.ts";

/** Where planning starts: the raw piece, what it can spare, and all the route is planned with. */
export interface PlanStart {
  spares: Record<Axis, Spare>;
  raw: Piece;
  context: RouteContext;
}

/** The school a job asks for: round the block unless the person chose another. */
export function schoolOf(job: Job): School {
  const chosen = job.overrides.order.map((id) => job.overrides.byId[id]).find((o) => o?.what === "school");
  return chosen?.what === "school" ? chosen.value : "round";
}

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
  return {
    spares,
    raw,
    context: {
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
      next: schoolRule(schoolOf(job), ends),
      points: onPoints(schoolOf(job)),
      endsWay: endsWay?.what === "ends" ? endsWay.value : null,
      aim: quick ? "quick" : "usual",
      roughness: Object.fromEntries(
        faceNames.flatMap((face) => (part.faces[face].ra === null ? [] : [[face, part.faces[face].ra]])),
      ),
      outside: [],
    },
  };
}
