import type { Mm } from "../quantity/index.ts";
import type { Axes } from "./axes.ts";
import { clear, type OnTheTable } from "./on-the-table.ts";
import type { Report } from "./report.ts";
import type { Vec } from "./solid.ts";
import type { Strokes } from "./strokes.ts";
import type { Told } from "./told.ts";
import type { Tool } from "../shop/index.ts";

/** A pass is told by its stop, where its lanes lie and where it travels; its ends are those of a hand that knows no more. */

type Pass = Extract<Told, { do: "pass" }>;
type Way = [from: Vec, to: Vec];

/** The end of a cutter that goes past the edge of an earlier cut stands below it by about this, mm. */
const aboveEnd = 0.3;

/** Where a way begins and ends along the feed, out past both ends of the part. */
function endsOf({ feedAlong, travel }: Pass, tool: Tool, min: Vec, max: Vec): [Mm, Mm] {
  const along = feedAlong === "x" ? 0 : 1;
  const run = tool.radius + clear;
  const ends: [Mm, Mm] = [min[along] - run, max[along] + run];
  return travel === "left" || travel === "front" ? [ends[1], ends[0]] : ends;
}

/** Lanes over what lies up, each where it is told to lie. */
export function lanesOver(told: Pass, tool: Tool, table: OnTheTable, axes: Axes): Way[] {
  const { min, max } = table.held!.piece.bounds;
  axes.z.moveToReading(told.stop);
  const along = told.feedAlong === "x" ? 0 : 1;
  const across = along === 0 ? 1 : 0;
  const [low, high] = [min[across], max[across]];
  const ends = endsOf(told, tool, min, max);
  return told.lanes.map((lane): Way => {
    const at =
      lane.from === "middle"
        ? (low + high) / 2
        : lane.from === "front" || lane.from === "left"
          ? low + lane.in
          : high - lane.in;
    const point = (end: Mm): Vec => (along === 0 ? [end, at, axes.z.at] : [at, end, axes.z.at]);
    return [point(ends[0]), point(ends[1])];
  });
}

/** Along a wall; where it is not told how far down, to just past what is cut, above whatever holds. */
export function alongWall(
  told: Pass & { axis: "x" | "y" },
  tool: Tool,
  { table, axes, strokes, report }: { table: OnTheTable; axes: Axes; strokes: Strokes; report: Report },
): Way[] {
  const { piece, placing } = table.held!;
  const { min, max } = piece.bounds;
  const handle = axes[told.axis];
  const looks = table.looks(told.face)[told.axis === "x" ? 0 : 1];
  const into = looks > 0 ? -1 : 1;
  if (told.down !== null) {
    // Down beside the part first, then in.
    handle.moveTo(handle.at - into * (tool.radius + clear));
    axes.z.moveToReading(told.down);
  }
  const error = handle.moveToReading(told.stop);
  if (Math.abs(error) > 0.02) report.find("slack", error, told.axis);
  const places = told.dye === null ? [handle.at] : untilDye(told, tool, into, table, axes);
  const floor = placing.out
    ? min[2] - 1
    : placing.on === "table"
      ? (table.thing("plate")?.height ??
          table.thing("packing")?.height ??
          table.thing("points")?.height ??
          0) - 0.5
      : table.vise.jawDepth + 1;
  const z = told.down === null ? Math.max(floor, max[2] - told.width - 1) : axes.z.at;
  const ends = endsOf(told, tool, min, max);
  const taken = {
    ap: Math.min(told.width, max[2] - z),
    ae: told.depth,
    down: null,
    vf: told.vf,
    rpm: told.rpm,
  };
  return places.map((place): Way => {
    const at = place - into * strokes.bend(taken, tool);
    const point = (end: Mm): Vec => (told.feedAlong === "x" ? [end, at, z] : [at, end, z]);
    return [point(ends[0]), point(ends[1])];
  });
}

/** Where the cutter takes the dye off what was cut before, just above its end; the way there a little at a time. */
function untilDye(
  told: Pass & { axis: "x" | "y" },
  tool: Tool,
  into: 1 | -1,
  table: OnTheTable,
  axes: Axes,
): Mm[] {
  const { solid, bounds } = table.held!.piece;
  const handle = axes[told.axis];
  const i = told.axis === "x" ? 0 : 1;
  const [low, high] = [bounds.min[i] - 1, bounds.max[i] + 1];
  const [from, to] = into > 0 ? [low, high] : [high, low];
  const marks = [0.2, 0.5, 0.8].flatMap((share) => {
    const beside = bounds.min[1 - i]! + share * (bounds.max[1 - i]! - bounds.min[1 - i]!);
    const at = (value: Mm): Vec => {
      const z = axes.z.at + aboveEnd;
      return i === 0 ? [value, beside, z] : [beside, value, z];
    };
    const [hit] = solid.crossings(at(from), at(to));
    return hit === undefined ? [] : [from + hit * (to - from) - into * tool.radius];
  });
  const mark = into > 0 ? Math.min(...marks) : Math.max(...marks);
  const left = (mark - handle.at) * into;
  if (!Number.isFinite(mark) || (left > 0 && told.dye === "no further")) return [handle.at];
  const count = Math.max(1, Math.ceil(left / told.depth));
  const start = left > 0 ? handle.at : mark;
  const places = Array.from({ length: count + 1 }, (_, k) => start + ((mark - start) * k) / count);
  handle.moveTo(mark);
  return left > 0 ? places : [mark];
}
