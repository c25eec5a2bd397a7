import type { Mm } from "../quantity/index.ts";
import type { Bounds, Pose, Region, Solid, SolidKit, Vec } from "./solid.ts";
import { inverse } from "./vec.ts";

/** Metal that a stroke took away. */
export interface Removed {
  /** mm³ */
  volume: number;
  bounds: Bounds;
  /** How high and how wide it is but for slivers: at its highest cut of some area, and across the way on the average at that height; mm. */
  height: Mm;
  across: Mm;
  /** How far it reaches along the way, mm. */
  along: Mm;
}

const nothing = 0.02;
const far = 1000;

/**
 * The part as it is clamped, in the machine's frame. What a flat cutter takes at one depth is all above a region of the plane, so
 * that strokes are kept as regions by depth and only taken out of the body when something else needs it: a hundred strokes then
 * cost a few booleans of bodies.
 */
export class Workpiece {
  readonly #kit: SolidKit;
  #base: Solid;
  /** Cleared from a depth upward, the deepest first; each region holds those below it too. */
  #levels: { z: Mm; cleared: Region }[] = [];
  /** Around the body, whatever was cleared of it since. */
  #around: Bounds;

  constructor(base: Solid, kit: SolidKit) {
    this.#kit = kit;
    this.#base = base.keep();
    this.#around = base.bounds;
  }

  get #top(): Mm {
    return this.#around.max[2];
  }

  /** A box that the body lies in: known at once, and never smaller than it. */
  get around(): Bounds {
    return this.#around;
  }

  /** The body as it is now. */
  get solid(): Solid {
    if (this.#levels.length > 0) {
      const kit = this.#kit;
      const next = kit.scope(() => {
        const cleared = this.#levels.map(({ z, cleared }, i) =>
          cleared.raised(z, (this.#levels[i + 1]?.z ?? this.#top + 1) + 1e-4),
        );
        return this.#base.minus(kit.union(cleared)).keep();
      });
      this.#replace(next);
    }
    return this.#base;
  }

  #replace(next: Solid): void {
    this.#base.drop();
    this.#base = next;
    this.#around = next.bounds;
    this.#levels.forEach(({ cleared }) => cleared.drop());
    this.#levels = [];
  }

  /** What still stands above a depth in a region of the plane; it belongs to the present scope. */
  #standing(region: Region, z: Mm, above: Mm = far): Solid | null {
    const top = Math.min(this.#top + 0.1, above);
    if (z >= top) return null;
    const slabs: Solid[] = [];
    let low = z;
    let left = region;
    // Each region holds those of the levels below it: of those not above the depth the highest will do.
    const first = Math.max(
      0,
      this.#levels.findLastIndex((l) => l.z <= z + 1e-9),
    );
    for (const level of this.#levels.slice(first)) {
      if (level.z > low + 1e-9) {
        if (low < top) slabs.push(left.raised(low, Math.min(level.z, top)));
        low = Math.min(level.z, top);
      }
      left = left.minus(level.cleared);
      if (left.empty || low >= top) break;
    }
    if (!left.empty && low < top) slabs.push(left.raised(low, top));
    if (slabs.length === 0) return null;
    const standing = this.#kit.union(slabs).within(this.#base);
    return standing.volume > nothing ? standing : null;
  }

  /** How much metal a body would meet; null for none. */
  meets(body: Solid): Removed | null {
    return this.#kit.scope(() => removedOf(body.within(this.solid), 0));
  }

  /** Metal between two heights over a region of the plane; `toward` is the way it is met, radians. */
  over(region: Region, low: Mm, high: Mm, toward = 0): Removed | null {
    return this.#kit.scope(() => {
      const standing = this.#standing(region, low, high);
      return standing && removedOf(standing, toward);
    });
  }

  /** Takes away all above a depth in a region; `toward` is the way of the stroke, radians. */
  cutAbove(region: Region, z: Mm, toward: number): Removed | null {
    return this.#kit.scope(() => {
      const standing = this.#standing(region, z);
      if (!standing) return null;
      const removed = removedOf(standing, toward);
      const below = this.#levels.findLast((l) => l.z <= z + 1e-9);
      const known = below && Math.abs(below.z - z) < 1e-9;
      const levels = this.#levels.map((l) => {
        if (l.z < z - 1e-9) return l;
        const cleared = l.cleared.with(region).keep();
        l.cleared.drop();
        return { z: l.z, cleared };
      });
      if (!known) {
        const cleared = (below ? below.cleared.with(region) : region.with(region)).keep();
        levels.push({ z, cleared });
        levels.sort((a, b) => a.z - b.z);
      }
      this.#levels = levels;
      return removed;
    });
  }

  /** Takes away a body. */
  cutBody(body: Solid, toward: number): Removed | null {
    const kit = this.#kit;
    return kit.scope(() => {
      const { inside, outside } = this.solid.parted(body);
      const removed = removedOf(inside, toward);
      if (removed) this.#replace(outside.keep());
      return removed;
    });
  }

  /** Takes it off the machine: the body in the frame it came from. */
  released(pose: Pose): Solid {
    const back = this.solid.posed(inverse(pose)).keep();
    this.#base.drop();
    return back;
  }

  get bounds(): Bounds {
    return this.solid.bounds;
  }
}

/** Cuts through a body that tell how high it is: a corner left by a chord of an arc, or a skin along a wall, is no height. */
const cutsAt = [0.004, 0.03, 0.12, 0.45, 0.9] as const;
/** However high the skin is, the first cut goes through what lies under it, mm. */
const firstCut = 0.02;
const someArea = 0.25;
const halvings = 5;

function removedOf(body: Solid, toward: number): Removed | null {
  const volume = body.volume;
  if (volume <= nothing) return null;
  const { bounds } = body;
  const [low, high] = [bounds.min[2], bounds.max[2]];
  const shares = cutsAt.map((share, i) => (i === 0 ? Math.min(share, firstCut / (high - low)) : share));
  const areas = shares.map((share) => body.sectionAt(low + (high - low) * share));
  const most = Math.max(...areas);
  const top = areas.findLastIndex((area) => area > someArea * most);
  const height = (high - low) * (top === cutsAt.length - 1 ? 1 : shareOfHeight(Math.max(0, top)));
  /** Where between two cuts the body ends, but for a sliver: halved until it is known. */
  function shareOfHeight(top: number): number {
    let full: number = shares[top]!;
    let thin: number = shares[top + 1]!;
    for (let i = 0; i < halvings; i++) {
      const middle = (full + thin) / 2;
      if (body.sectionAt(low + (high - low) * middle) > someArea * most) full = middle;
      else thin = middle;
    }
    return (full + thin) / 2;
  }
  const [c, s] = [Math.cos(-toward), Math.sin(-toward)];
  const seen =
    Math.abs(s * c) < 1e-9
      ? bounds
      : body.posed({ x: [c, s, 0], y: [-s, c, 0], z: [0, 0, 1], at: [0, 0, 0] }).bounds;
  const swapped = Math.abs(s * c) < 1e-9 && Math.abs(s) > 0.5;
  const along = swapped ? seen.max[1] - seen.min[1] : seen.max[0] - seen.min[0];
  const reach = swapped ? seen.max[0] - seen.min[0] : seen.max[1] - seen.min[1];
  return { volume, bounds, height, along, across: Math.min(reach, volume / Math.max(along * height, 1e-6)) };
}

/** Strips thinner than this share of the thickest are a skin left by the lane before, and no width of the cut. */
const someHeight = 0.25;

/** A strip with less than this share of all the metal is a crumb that the pass before left: it is no depth of the cut. */
const crumb = 0.005;

/** What strips side by side took away, as one; null for none. */
export function joined(all: readonly Removed[]): Removed | null {
  const volume = all.reduce((sum, s) => sum + s.volume, 0);
  const strips = all.filter((s) => s.volume >= crumb * volume);
  if (strips.length === 0) return null;
  const height = Math.max(...strips.map((s) => s.height));
  const ends = (of: "min" | "max", pick: (...values: number[]) => number): Vec => {
    const at = (i: 0 | 1 | 2) => pick(...strips.map(({ bounds }) => bounds[of][i]));
    return [at(0), at(1), at(2)];
  };
  return {
    volume,
    bounds: { min: ends("min", Math.min), max: ends("max", Math.max) },
    height,
    along: Math.max(...strips.map((s) => s.along)),
    across: strips.reduce((sum, s) => sum + (s.height > someHeight * height ? s.across : 0), 0),
  };
}

/** The middle of a box. */
export const middleOf = ({ min, max }: Bounds): Vec => [
  (min[0] + max[0]) / 2,
  (min[1] + max[1]) / 2,
  (min[2] + max[2]) / 2,
];
