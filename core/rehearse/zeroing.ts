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
 * @param head the head moves for depth: told downwards it goes into the part
 */
export function takeZero(
  told: Zero,
  { table, axes, spindle, report }: { table: OnTheTable; axes: Axes; spindle: Spindle; report: Report },
  { paper, head }: { paper: Mm; head: boolean },
): void {
  const { axis, touches, medium, setting, moveOn } = told;
  const { held } = table;
  if (!held) return report.find("stale", 0, axis);
  const radius = spindle.touching(told.tool);
  const gap = medium > 0 ? medium + paper : 0;
  const handle = axes[axis];
  const { min, max } = axis === "z" ? held.piece.bounds : table.reachable;
  const off = radius + gap;
  const places: Record<Side, Mm> = {
    left: min[0] - off,
    right: max[0] + off,
    front: min[1] - off,
    back: max[1] + off,
    above: (axis === "z" ? goOver(told, table, axes) : max[2]) + gap,
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
    handle.moveToReading(handle.reading / 2);
    const error = handle.at - (places[first.from] + places[second.from]) / 2;
    if (Math.abs(error) > 0.01) report.find("halved", error, axis);
    handle.set(setting ?? 0);
    return;
  }
  if (setting !== null) handle.set(setting);
  else {
    if (moveOn > 0) handle.moveTo(handle.at + toward[first.from] * moveOn);
    handle.set(0);
  }
  if (axis !== "z") {
    // Backed off, so that nothing rubs.
    handle.moveTo(handle.at - toward[first.from]);
    return;
  }
  if (told.backOff === "downwards" && head) report.find("backsIn", 2, "the head told downwards", axes.here);
  handle.moveTo(table.clearHeight);
}

/** Z is touched over the part: X and Y go there, wherever they stood. @returns the height that is touched there */
function goOver({ near, crown }: Zero, table: OnTheTable, axes: Axes): Mm {
  const { piece } = table.held!;
  const { min, max } = piece.bounds;
  const within = (value: Mm, i: 0 | 1) => Math.max(min[i] + 0.5, Math.min(max[i] - 0.5, value));
  const x = near ? within(axes.x.placeOf(near.x), 0) : (min[0] + max[0]) / 2;
  const y = near && near.y !== null ? within(axes.y.placeOf(near.y), 1) : (min[1] + max[1]) / 2;
  axes.z.moveTo(table.clearHeight);
  axes.x.moveTo(x);
  axes.y.moveTo(y);
  if (!crown) return max[2];
  // The crown of the section that is cut, where a shaft is thinner there.
  const [hit] = piece.solid.crossings([x, y, max[2] + 1], [x, y, min[2] - 1]);
  return hit === undefined ? max[2] : max[2] + 1 - hit * (max[2] - min[2] + 2);
}
