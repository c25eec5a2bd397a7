import type { Outline } from "../frame/index.ts";
import type { Point } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";

/**
 * What a cutter sweeps, before its own size is known. Places lie over the two sizes across the approach, in their order; all
 * mm in the part frame. `locate/` makes the ways of the spindle from it.
 */

export type Sides = Record<"xLow" | "xHigh" | "yLow" | "yHigh", boolean>;
export type SideName = keyof Sides;
export const sideNames = ["xLow", "xHigh", "yLow", "yHigh"] as const satisfies readonly SideName[];

export type Reach = readonly [low: Mm, high: Mm];

/** A rectangle with walls on some of its sides, open on the others; a boss may be left standing in it. */
export interface Area {
  x: Reach;
  y: Reach;
  walls: Sides;
  boss: { x: Reach; y: Reach } | null;
  /** Radius where two walls meet, mm; 0 where the cutter's own will do. */
  corner: Mm;
  /** Its two sizes in their order are a mirror of what is seen from where it is cut: which way is conventional turns round. */
  mirrored?: boolean;
}

/** A straight way along one of the two sizes, its ends open or closed. */
export interface Run {
  along: "x" | "y";
  from: Mm;
  to: Mm;
  openLow: boolean;
  openHigh: boolean;
}

/** A line the edge of the cutter lies on: it stands to the low or the high side of it, or its axis runs along it. */
export interface Track {
  at: Mm;
  side: -1 | 0 | 1;
  /** Depth of this track below the approach face; that of the operation where nothing is said. */
  depth?: Mm;
  /** How far from the line the metal goes, on the side of the cutter: more lanes where that is wider than it, mm. */
  wide?: Mm;
}

export type Sweep =
  /** Straight down at points. */
  | { kind: "points"; at: readonly Point[] }
  /** All of an area but what is left on its walls. */
  | {
      kind: "clear";
      area: Area;
      leave: Mm;
      /** Where a hole was drilled to go down in, between wall and boss. */
      start?: Point;
    }
  /** Along walls of an area, at full depth; of the boss in it when that is said. */
  | { kind: "walls"; area: Area; sides: readonly SideName[]; of: "area" | "boss" }
  /** Straight tracks, one after the other. */
  | { kind: "tracks"; run: Run; tracks: readonly Track[] }
  /** A round along the part, by stairs whose corners stand out by no more than the cusp. */
  | {
      kind: "arc";
      run: Run;
      middle: Mm;
      /** How far the part reaches across the run. */
      edges: Reach;
      radius: Mm;
      depth: Mm;
      form: "hollow" | "crowned";
      cusp: Mm;
    }
  /** Between an outline and what stands in it, in rows. Without an outer outline it is open all round the part. */
  | { kind: "region"; outer: Outline | null; around: Reach2; islands: readonly Outline[]; leave: Mm }
  /** Along an outline: straight where it runs with an axis, else plunge by plunge at the cusp. */
  | {
      kind: "contour";
      outline: Outline;
      metal: "inside" | "outside";
      cusp: Mm;
      ways: readonly number[] | null;
    }
  /** A disc cutter into the side of a shaft: place along it, from the crown inward. */
  | { kind: "disc"; along: Mm; radius: Mm; depth: Mm; width: Mm };

/** How far the part reaches along the two sizes. */
export interface Reach2 {
  x: Reach;
  y: Reach;
}

/**
 * The direction lanes run over an area: with its walls where two of them face each other, out of its open ends; in a corner the
 * way that is conventional from outside; else the longer way.
 */
export function lanesAlong({ x, y, walls, mirrored = false }: Area): {
  along: "x" | "y";
  length: Mm;
  across: Mm;
  walls: 0 | 1 | 2;
} {
  const of = (along: "x" | "y") => {
    const [low, high] = along === "x" ? (["yLow", "yHigh"] as const) : (["xLow", "xHigh"] as const);
    const beside = (Number(walls[low]) + Number(walls[high])) as 0 | 1 | 2;
    return along === "x"
      ? { along, length: x[1] - x[0], across: y[1] - y[0], walls: beside }
      : { along, length: y[1] - y[0], across: x[1] - x[0], walls: beside };
  };
  const [byX, byY] = [of("x"), of("y")];
  if (byX.walls === 2 && byY.walls === 2) return byX.length >= byY.length ? byX : byY;
  if (byX.walls !== byY.walls) return byX.walls > byY.walls ? byX : byY;
  // In a corner the one of the two ways that cuts conventional and comes in from outside.
  if (byX.walls === 1) return (walls.xHigh === walls.yHigh) !== mirrored ? byX : byY;
  return byX.length >= byY.length ? byX : byY;
}

/** Widest lane of a roughing cutter, as a share of its diameter (domain.md 8). */
export const widestLane = 0.6;

/** A cutter this much narrower than a slot on each side still cuts it in one width, mm. */
const hardlyNarrower = 0.2;

/**
 * How many lanes clear between two walls. One down the middle where what it leaves is a light cut for the walls, or where
 * nothing cuts them after it and it is hardly narrower.
 * @param leave on each wall, mm
 */
export function lanesBetween(across: Mm, diameter: Mm, leave: Mm): number {
  const light = leave > 0 ? Math.max(leave, 0.2 * diameter) : hardlyNarrower;
  if ((across - diameter) / 2 <= light + 1e-9) return 1;
  return 1 + Math.max(1, Math.ceil((across - 2 * leave - diameter) / (widestLane * diameter) - 1e-9));
}

/** How many lanes of a cutter a track takes. */
export const lanesOfTrack = ({ wide = 0 }: Track, diameter: Mm): number =>
  wide <= diameter + 1e-9 ? 1 : 1 + Math.ceil((wide - diameter) / (widestLane * diameter) - 1e-9);
