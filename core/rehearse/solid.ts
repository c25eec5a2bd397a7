import Module, { type CrossSection, type Manifold, type ManifoldToplevel } from "manifold-3d/manifold.js";
import type { Mm } from "../quantity/index.ts";

/** The one border to the geometry library: solids with a lifetime, in mm. Nothing else knows that it runs in WASM. */

export type Vec = readonly [x: number, y: number, z: number];
export interface Bounds {
  min: Vec;
  max: Vec;
}

/** A place and a turn: columns X, Y, Z of the rotation, then where the origin goes. */
export interface Pose {
  x: Vec;
  y: Vec;
  z: Vec;
  at: Vec;
}

/** What lives in the library's own memory until its scope ends. */
abstract class Living<Inner extends Manifold | CrossSection> {
  protected readonly inner: Inner;
  protected readonly kit: SolidKit;

  constructor(inner: Inner, kit: SolidKit) {
    this.inner = inner;
    this.kit = kit;
  }

  /** Keeps it past the end of the scope it was made in; whoever keeps it lets it go. */
  keep(): this {
    this.kit.release(this.inner);
    return this;
  }
  /** Lets it go now. */
  drop(): void {
    this.kit.release(this.inner);
    this.inner.delete();
  }
}

/** A closed body. It belongs to the scope it was made in, and is gone when that ends. */
export class Solid extends Living<Manifold> {
  #made(inner: Manifold): Solid {
    return this.kit.own(inner);
  }

  /** mm³ */
  get volume(): number {
    return this.inner.volume();
  }
  /** mm² */
  get area(): number {
    return this.inner.surfaceArea();
  }
  /**
   * Its surface in triangles, their corners counterclockwise seen from outside.
   * @param within how far they may stray from it, mm
   * @param longest how long their sides are at most, mm
   */
  triangles(within: Mm, longest: Mm): [Vec, Vec, Vec][] {
    const plain = this.#made(this.inner.simplify(within));
    const { vertProperties, numProp, triVerts } = this.#made(
      plain.inner.refineToLength(longest),
    ).inner.getMesh();
    const corner = (vertex: number): Vec => {
      const at = vertex * numProp;
      return [vertProperties[at]!, vertProperties[at + 1]!, vertProperties[at + 2]!];
    };
    return Array.from({ length: triVerts.length / 3 }, (_, i) => [
      corner(triVerts[3 * i]!),
      corner(triVerts[3 * i + 1]!),
      corner(triVerts[3 * i + 2]!),
    ]);
  }
  get empty(): boolean {
    return this.inner.isEmpty();
  }
  get bounds(): Bounds {
    const { min, max } = this.inner.boundingBox();
    return { min, max };
  }
  minus(other: Solid): Solid {
    return this.#made(this.inner.subtract(other.inner));
  }
  with(other: Solid): Solid {
    return this.#made(this.inner.add(other.inner));
  }
  within(other: Solid): Solid {
    return this.#made(this.inner.intersect(other.inner));
  }
  /** What of it lies within another, and what does not: quicker than one after the other. */
  parted(other: Solid): { inside: Solid; outside: Solid } {
    const [inside, outside] = this.inner.split(other.inner);
    return { inside: this.#made(inside), outside: this.#made(outside) };
  }
  posed({ x, y, z, at }: Pose): Solid {
    // Column by column, each with its last row.
    return this.#made(this.inner.transform([...x, 0, ...y, 0, ...z, 0, ...at, 1]));
  }
  /** Its pieces that do not touch. */
  get pieces(): Solid[] {
    return this.inner.decompose().map((piece) => this.#made(piece));
  }
  /** Where a straight way from one point to another passes its surface: shares of the way, in order. */
  crossings(from: Vec, to: Vec): number[] {
    const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
    return this.inner
      .rayCast([...from], [...to])
      .map(({ position: p }) => Math.hypot(p[0] - from[0], p[1] - from[1], p[2] - from[2]) / length)
      .sort((a, b) => a - b);
  }
  /** Area of its cut at a height, mm². */
  sectionAt(z: Mm): number {
    const section = this.inner.slice(z);
    const area = section.area();
    section.delete();
    return area;
  }
}

type Point2 = readonly [x: number, y: number];

/** A flat piece of the plane X, Y, with the lifetime of a solid: what is cut at one depth is worked out in two dimensions. */
export class Region extends Living<CrossSection> {
  get area(): number {
    return this.inner.area();
  }
  get empty(): boolean {
    return this.inner.isEmpty();
  }
  minus(other: Region): Region {
    return this.kit.own2(this.inner.subtract(other.inner));
  }
  with(other: Region): Region {
    return this.kit.own2(this.inner.add(other.inner));
  }
  /** Pulled up along Z. */
  raised(low: Mm, high: Mm): Solid {
    return this.kit.own(this.inner.extrude(high - low).translate([0, 0, low]));
  }
}

/** Makes solids, and knows which are still there. */
export class SolidKit {
  readonly #library: ManifoldToplevel;
  #scope = new Set<Manifold | CrossSection>();

  constructor(library: ManifoldToplevel) {
    this.#library = library;
  }

  /** Takes a body of the library into the present scope. */
  own(inner: Manifold): Solid {
    this.#scope.add(inner);
    return new Solid(inner, this);
  }
  own2(inner: CrossSection): Region {
    this.#scope.add(inner);
    return new Region(inner, this);
  }
  release(inner: Manifold | CrossSection): void {
    this.#scope.delete(inner);
  }

  /** Runs a piece of work; every solid made in it is let go at its end, but those that were kept. */
  scope<T>(work: () => T): T {
    const before = this.#scope;
    this.#scope = new Set();
    try {
      return work();
    } finally {
      for (const inner of this.#scope) inner.delete();
      this.#scope = before;
    }
  }

  box(min: Vec, max: Vec): Solid {
    const size: [number, number, number] = [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
    return this.own(this.#library.Manifold.cube(size).translate([...min]));
  }
  /** The smallest body without hollows around points. */
  hull(points: readonly Vec[]): Solid {
    return this.own(this.#library.Manifold.hull(points.map((p): [number, number, number] => [...p])));
  }
  /** Closed contours, filled where they run counterclockwise; clockwise ones are holes. */
  region(contours: readonly (readonly Point2[])[]): Region {
    const { CrossSection } = this.#library;
    return this.own2(
      new CrossSection(
        contours.map((c) => c.map(([x, y]): [number, number] => [x, y])),
        "NonZero",
      ),
    );
  }
  /** A cone or cylinder along Z. */
  cone(low: Mm, high: Mm, radiusLow: Mm, radiusHigh: Mm, sides: number): Solid {
    return this.own(
      this.#library.Manifold.cylinder(high - low, radiusLow, radiusHigh, sides).translate([0, 0, low]),
    );
  }
  union(solids: readonly Solid[]): Solid {
    const [first, ...rest] = solids;
    return first ? rest.reduce((a, b) => a.with(b), first) : this.own(this.#library.Manifold.union([]));
  }
}

/**
 * Loads the geometry.
 * @param wasm where its WASM file is, when it does not lie beside the code
 */
export async function openSolids(wasm?: string): Promise<SolidKit> {
  const library = await Module(wasm ? { locateFile: () => wasm } : undefined);
  library.setup();
  return new SolidKit(library);
}
