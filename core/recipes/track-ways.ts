import { type Mm, tidy } from "../quantity/index.ts";
import { lanesBetween, lanesOfTrack, type Run, type Sweep, type Track, widestLane } from "./sweep.ts";
import { cylinderStairs } from "./arc-steps.ts";
import { clearOff, conventionalAlong, type SpindleWay, straight } from "./spindle-way.ts";

function trackWay(run: Run, at: Mm, side: -1 | 0 | 1, diameter: Mm, depth: Mm | null): SpindleWay {
  const r = diameter / 2;
  const reach: [Mm, Mm] = [
    run.openLow ? run.from - r - clearOff : run.from + r,
    run.openHigh ? run.to + r + clearOff : run.to - r,
  ];
  return straight(
    run.along,
    at + side * r,
    reach,
    side === 0 ? 1 : conventionalAlong(run.along, side > 0 ? "low" : "high"),
    { low: run.openLow, high: run.openHigh },
    side === 0 ? "full" : "conventional",
    depth,
  );
}

/** A track and the lanes beside it, the farthest from its line first. */
export function trackLanes(run: Run, track: Track, diameter: Mm): SpindleWay[] {
  const { at, side, depth = null, wide = 0 } = track;
  const count = lanesOfTrack(track, diameter);
  const step = count === 1 ? 0 : (wide - diameter) / (count - 1);
  return Array.from({ length: count }, (_, i) =>
    trackWay(run, at + side * step * (count - 1 - i), side, diameter, depth),
  );
}

/** Stairs of a hollow: as wide as the round is at each depth, down to where the cutter no longer goes in. */
function hollowStairs(radius: Mm, depth: Mm, cutter: Mm, cusp: Mm): { depth: Mm; half: Mm }[] {
  const above = radius - depth;
  const widest = Math.sqrt(Math.max(0, radius ** 2 - above ** 2));
  const r = cutter / 2;
  if (widest < r) return [];
  const [start, end] = [above ** 2, radius ** 2 - r ** 2];
  const most = 2 * radius * cusp - cusp ** 2;
  const count = Math.max(1, Math.min(200, Math.ceil((end - start) / most - 1e-9)));
  return Array.from({ length: count }, (_, i) => {
    const square = start + ((end - start) * (i + 1)) / count;
    return {
      depth: tidy(Math.sqrt(square) - above),
      half: Math.sqrt(Math.max(0, radius ** 2 - square)),
    };
  });
}

export function arcWays(sweep: Extract<Sweep, { kind: "arc" }>, diameter: Mm): SpindleWay[] | null {
  const { run, middle, edges, radius, depth, form, cusp } = sweep;
  const r = diameter / 2;
  if (form === "hollow")
    return hollowStairs(radius, depth, diameter, cusp).flatMap(({ depth: down, half }) => {
      const count = lanesBetween(2 * half, diameter, 0);
      const [from, to] = [middle - half + r, middle + half - r];
      return count === 1 && to - from < 1e-6
        ? [trackWay(run, middle, 0, diameter, down)]
        : Array.from({ length: Math.max(2, count) }, (_, i) =>
            trackWay(run, from + ((to - from) * i) / (Math.max(2, count) - 1), 0, diameter, down),
          );
    });
  const stairs = cylinderStairs(radius, diameter, depth, cusp);
  if (!stairs) return null;
  return stairs.flatMap(({ depth: down, half }) =>
    ([-1, 1] as const).flatMap((side) => {
      const edge = side < 0 ? edges[0] : edges[1];
      const wide = side * (edge - middle) - half;
      if (wide <= 1e-6) return [];
      const count = Math.max(1, Math.ceil(wide / (widestLane * diameter) - 1e-9));
      return Array.from({ length: count }, (_, i) => {
        const off = half + (wide * (count - 1 - i)) / count;
        return trackWay(run, middle + side * off, side, diameter, down);
      });
    }),
  );
}
