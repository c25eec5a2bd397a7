import type { Mm } from "../quantity/index.ts";
import type { Axes } from "./axes.ts";
import { clear, type OnTheTable } from "./on-the-table.ts";
import type { Report } from "./report.ts";
import type { Spindle } from "./spindle.ts";
import type { Told, Touch } from "./told.ts";

type Zero = Extract<Told, { do: "zero" }>;
type Side = Touch["from"];

/** Which way the cutter moves to touch from a side. */
const toward: Record<Side, 1 | -1> = { left: 1, front: 1, right: -1, back: -1, above: -1 };

/**
 * Takes a zero as told: touches with what is in the spindle, sets what is said, halves between two touches.
 * @param paper how much thicker than told the paper really is, mm
 */
export function takeZero(
  told: Zero,
  { table, axes, spindle, report }: { table: OnTheTable; axes: Axes; spindle: Spindle; report: Report },
  paper: Mm,
): void {
  const { axis, touches, medium, setting, moveOn, lessen } = told;
  const { held } = table;
  if (!held) return report.find("stale", 0, axis);
  const radius = spindle.touching(told.tool);
  const gap = medium > 0 ? medium + paper : 0;
  const handle = axes[axis];
  const above = told.end === null || !axes.z.good ? null : axes.z.placeOf(told.end);
  const { min, max } = axis === "z" ? held.piece.bounds : table.reachable(above);
  const off = radius + gap;
  const nearest = sideAt(told, table, axes);
  const places: Record<Side, Mm> = {
    left: min[0] - off,
    right: max[0] + off,
    front: (nearest?.front ?? min[1]) - off,
    back: (nearest?.back ?? max[1]) + off,
    above: (axis === "z" ? goOver(told, table, axes, spindle.tool?.flat ? radius : 0) : max[2]) + gap,
  };
  const touch = (from: Side) => {
    handle.moveTo(places[from] - toward[from] * clear);
    handle.moveTo(places[from]);
  };
  const [first, second] = touches;
  if (!first) return;
  touch(first.from);
  if (second) {
    handle.set(0);
    touch(second.from);
    handle.moveToReading(handle.reading / 2 - lessen);
    const error = handle.at - (places[first.from] + places[second.from]) / 2;
    if (Math.abs(error) > 0.01) report.find("halved", error, axis);
    handle.set(setting ?? 0);
    return;
  }
  if (setting !== null) handle.set(setting);
  else {
    if (moveOn !== 0) handle.moveTo(handle.at + toward[first.from] * moveOn);
    handle.set(0);
  }
  if (axis !== "z") {
    // Backed off, so that nothing rubs.
    handle.moveTo(handle.at - toward[first.from]);
    return;
  }
  if (told.backOff === "into the part")
    report.find("backsIn", 2, "told to back off into the part", axes.here);
  handle.moveTo(table.clearHeight);
}

/** Front and back of the part at a told place along it and height, with which X and Z go there; null where none is told. */
function sideAt({ axis, near }: Zero, table: OnTheTable, axes: Axes): { front: Mm; back: Mm } | null {
  if (axis !== "y" || !near || !("z" in near)) return null;
  const { solid, bounds } = table.held!.piece;
  const [low, high] = [bounds.min[1] - 1, bounds.max[1] + 1];
  axes.z.moveTo(table.clearHeight);
  axes.y.moveTo(low - 50);
  axes.x.moveToReading(near.x);
  axes.z.moveToReading(near.z);
  const at = (from: Mm, to: Mm) => {
    const [hit] = solid.crossings([axes.x.at, from, axes.z.at], [axes.x.at, to, axes.z.at]);
    return hit === undefined ? null : from + hit * (to - from);
  };
  const [front, back] = [at(low, high), at(high, low)];
  return front === null || back === null ? null : { front, back };
}

/**
 * Z is touched over the part: X and Y go there, wherever they stood.
 * @param end radius of a flat end: it stands on the highest there is under all of it, mm
 * @returns the height that is touched there
 */
function goOver({ near, crown, on }: Zero, table: OnTheTable, axes: Axes, end: Mm): Mm {
  const { piece } = table.held!;
  const { min, max } = piece.bounds;
  /** The highest there is under a flat end at a place; null where it stands beside the part. */
  const under = (x: Mm, y: Mm, r: Mm): Mm | null => {
    const heights = underEnd.flatMap(([dx, dy]) => {
      const at = [x + dx * r, y + dy * r] as const;
      const [hit] = piece.solid.crossings([...at, max[2] + 1], [...at, min[2] - 1]);
      return hit === undefined ? [] : [max[2] + 1 - hit * (max[2] - min[2] + 2)];
    });
    return heights.length === 0 ? null : Math.max(...heights);
  };
  if (on === "cut") {
    // By eye: over what is cut, the whole end clear of what is higher.
    const places = shares.flatMap((u) =>
      shares.flatMap((v) => {
        const [x, y] = [min[0] + u * (max[0] - min[0]), min[1] + v * (max[1] - min[1])];
        const height = under(x, y, end);
        return height === null ? [] : [{ x, y, height }];
      }),
    );
    const lowest = places.reduce((a, b) => (b.height < a.height - 0.02 ? b : a), places[0]!);
    axes.z.moveTo(table.clearHeight);
    axes.x.moveTo(lowest.x);
    axes.y.moveTo(lowest.y);
    return lowest.height;
  }
  const within = (value: Mm, i: 0 | 1) => Math.max(min[i] + 0.5, Math.min(max[i] - 0.5, value));
  const x = near ? within(axes.x.placeOf(near.x), 0) : (min[0] + max[0]) / 2;
  const y =
    near && "y" in near && near.y !== null ? within(axes.y.placeOf(near.y), 1) : (min[1] + max[1]) / 2;
  axes.z.moveTo(table.clearHeight);
  axes.x.moveTo(x);
  axes.y.moveTo(y);
  if (!crown) return highest(table);
  // The crown of the section that is cut, where a shaft is thinner there; or a floor.
  // Without a told place one stands clear of all that is higher.
  return under(x, y, near ? end : 0) ?? max[2];
}

/** What stands higher with less than this is a crumb or a dust of two planes: paper over it feels nothing, mm². */
const leastFelt = 0.2;
const slab: Mm = 0.05;
const mostSlabs = 60;

/** The highest place of the part that can be felt. */
function highest({ held, kit }: OnTheTable): Mm {
  const { solid, bounds } = held!.piece;
  const { min, max } = bounds;
  let top = max[2];
  for (let i = 0; i < mostSlabs && top - slab > min[2]; i++) {
    const area = kit.scope(
      () =>
        solid.within(kit.box([min[0] - 1, min[1] - 1, top - slab], [max[0] + 1, max[1] + 1, top])).volume /
        slab,
    );
    if (area >= leastFelt) return top;
    top -= slab;
  }
  return max[2];
}

/** Places over a face that are looked at, as shares of it. */
const shares = [0.02, 0.15, 0.3, 0.5, 0.7, 0.85, 0.98] as const;

/** Places under a flat end, in radii from its middle. */
const underEnd: readonly (readonly [number, number])[] = [
  [0, 0],
  ...[0.5, 0.97].flatMap((r) =>
    Array.from(
      { length: 8 },
      (_, i) => [r * Math.cos((i * Math.PI) / 4), r * Math.sin((i * Math.PI) / 4)] as const,
    ),
  ),
];
