import { type Area, type Reach, type Run, type Sweep, type Track } from "../recipes/index.ts";
import {
  axesAcross,
  type Axis,
  axisOf,
  clampingAxes,
  type Face,
  facesOf,
  mapOutline,
  type Orientation,
  type Outline,
  type Sizes,
} from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";

/** How the readout counts in a setup: X to the right, Y to the back, both from the datum; Z up from the face that is up. */
export interface SetupFrame {
  /** Machine X and Y as part axes, with the sign they run in. */
  x: { axis: Axis; sign: 1 | -1; zero: Mm };
  y: { axis: Axis; sign: 1 | -1; zero: Mm };
  up: Face;
  /** Which way the fixed jaw lies in Y. */
  toFixed: 1 | -1;
}

/** Where zero lies along one axis: a face of the part, or the middle between its two. */
export type Datum = Face | "center";

/** Where a face lies along its axis, mm. */
export const positionOf = (face: Face, sizes: Sizes): Mm =>
  facesOf(axisOf(face))[1] === face ? sizes[axisOf(face)] : 0;

/** The frame of a setup, seen from the front of the machine. */
export function setupFrame(
  at: Orientation,
  fixedJaw: "back" | "front",
  sizes: Sizes,
  datum: { x: Datum; y: Datum },
): SetupFrame {
  const axes = clampingAxes(at);
  const turn = fixedJaw === "back" ? 1 : -1;
  const along = (which: "x" | "y") => {
    const { axis, sign } = axes[which];
    const from = datum[which];
    const zero = from === "center" ? sizes[axis] / 2 : positionOf(from, sizes);
    return { axis, sign: (sign * turn) as 1 | -1, zero };
  };
  return { x: along("x"), y: along("y"), up: at.up, toFixed: turn };
}

/** A place along a size of the part as the readout counts it. */
export const reads = ({ sign, zero }: Pick<SetupFrame["x"], "sign" | "zero">, place: Mm): Mm =>
  tidy(sign * (place - zero)) || 0;

/** A place of the part over the two sizes across the approach, as the readout counts it. */
export function inSetup(frame: SetupFrame, [u, v]: readonly [Mm, Mm]): [Mm, Mm] {
  const [a] = axesAcross(frame.up);
  const place = (axis: Axis) => (axis === a ? u : v);
  return [reads(frame.x, place(frame.x.axis)), reads(frame.y, place(frame.y.axis))];
}

/** Whether the view of the machine is the mirror of how the part is drawn. */
const mirrors = (frame: SetupFrame): boolean => {
  const swaps = frame.x.axis !== axesAcross(frame.up)[0];
  return frame.x.sign * frame.y.sign * (swaps ? -1 : 1) < 0;
};

export const outlineInSetup = (frame: SetupFrame, outline: Outline): Outline =>
  mapOutline(outline, (x, y) => inSetup(frame, [x, y]), mirrors(frame));

const swapped = (frame: SetupFrame): boolean => frame.x.axis !== axesAcross(frame.up)[0];
/** The axis of the machine that a direction over the approach is. */
const turned = (frame: SetupFrame, which: "x" | "y"): "x" | "y" =>
  swapped(frame) ? (which === "x" ? "y" : "x") : which;

function reachIn(frame: SetupFrame, which: "x" | "y", reach: Reach): Reach {
  const ends = reach.map((p) => reads(frame[which], p));
  return [Math.min(...ends), Math.max(...ends)];
}

/** A rectangle over the approach as the readout counts it. */
export function rectInSetup(frame: SetupFrame, rect: { x: Reach; y: Reach }): { x: Reach; y: Reach } {
  const [x, y] = swapped(frame) ? [rect.y, rect.x] : [rect.x, rect.y];
  return { x: reachIn(frame, "x", x), y: reachIn(frame, "y", y) };
}

function areaIn(frame: SetupFrame, area: Area): Area {
  const swap = swapped(frame);
  const walls = (which: "x" | "y") => {
    const from = swap ? (which === "x" ? "y" : "x") : which;
    const [low, high] = [area.walls[`${from}Low`], area.walls[`${from}High`]];
    return frame[which].sign > 0 ? [low, high] : [high, low];
  };
  const [xs, ys] = [walls("x"), walls("y")];
  return {
    ...rectInSetup(frame, area),
    walls: { xLow: xs[0]!, xHigh: xs[1]!, yLow: ys[0]!, yHigh: ys[1]! },
    boss: area.boss && rectInSetup(frame, area.boss),
    corner: area.corner,
  };
}

function runIn(frame: SetupFrame, run: Run): Run {
  const along = turned(frame, run.along);
  const { sign } = frame[along];
  const [from, to] = reachIn(frame, along, [run.from, run.to]);
  return {
    along,
    from,
    to,
    openLow: sign > 0 ? run.openLow : run.openHigh,
    openHigh: sign > 0 ? run.openHigh : run.openLow,
  };
}

const sideIn = (frame: SetupFrame, side: string): string => {
  const which = turned(frame, side[0] as "x" | "y");
  const high = side.endsWith("High") === frame[which].sign > 0;
  return `${which}${high ? "High" : "Low"}`;
};

/** What a cutter sweeps, as the readout counts it. */
export function sweepInSetup(frame: SetupFrame, sweep: Sweep): Sweep {
  switch (sweep.kind) {
    case "points":
      return { ...sweep, at: sweep.at.map((p) => inSetup(frame, p)) };
    case "clear":
      return {
        ...sweep,
        area: areaIn(frame, sweep.area),
        ...(sweep.start ? { start: inSetup(frame, sweep.start) } : {}),
      };
    case "walls":
      return {
        ...sweep,
        area: areaIn(frame, sweep.area),
        sides: sweep.sides.map((s) => sideIn(frame, s)) as typeof sweep.sides,
      };
    case "tracks": {
      const run = runIn(frame, sweep.run);
      const across = run.along === "x" ? "y" : "x";
      const { sign, zero } = frame[across];
      const tracks = sweep.tracks.map((t): Track => ({
        ...t,
        at: tidy(sign * (t.at - zero)) || 0,
        side: (t.side * sign || 0) as Track["side"],
      }));
      return { ...sweep, run, tracks };
    }
    case "arc": {
      const run = runIn(frame, sweep.run);
      const across = run.along === "x" ? "y" : "x";
      const { sign, zero } = frame[across];
      return {
        ...sweep,
        run,
        middle: tidy(sign * (sweep.middle - zero)) || 0,
        edges: reachIn(frame, across, sweep.edges),
      };
    }
    case "region":
      return {
        ...sweep,
        outer: sweep.outer && outlineInSetup(frame, sweep.outer),
        islands: sweep.islands.map((o) => outlineInSetup(frame, o)),
        around: rectInSetup(frame, sweep.around),
      };
    case "contour": {
      const outline = outlineInSetup(frame, sweep.outline);
      return { ...sweep, outline };
    }
    case "disc":
      return { ...sweep, along: tidy(frame.x.sign * (sweep.along - frame.x.zero)) || 0 };
  }
}

/** Which way a face lies in a setup: seen from the front of the machine. */
export function sideInSetup(frame: SetupFrame, face: Face): "left" | "right" | "front" | "back" | null {
  for (const which of ["x", "y"] as const) {
    const { axis, sign } = frame[which];
    if (axisOf(face) !== axis) continue;
    const high = (facesOf(axis)[1] === face) === sign > 0;
    return which === "x" ? (high ? "right" : "left") : high ? "back" : "front";
  }
  return null;
}
