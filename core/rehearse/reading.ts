import { type Axis, axisNames, type Face, facesOf } from "../frame/index.ts";
import { type Cutout, cutoutOf, featuresOf, type Part, siteOfPart } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Shop } from "../shop/index.ts";
import type { Chance } from "./chance.ts";
import type { OnTheTable } from "./on-the-table.ts";
import type { Solid, Vec } from "./solid.ts";
import type { ToldSize } from "./told.ts";
import { blockSizes, cutoutBoxes, cutoutSolid, drawnPose, featureSize, siteAs } from "./truth.ts";
import { inverse } from "./vec.ts";

/** Readings of a size that lie further apart than this have a raw face between them, mm. */
const rawSpread = 0.3;
/** A caliper that nobody entered, mm. */
const usualU = 0.05;

/** Eyes, caliper and file: what is read of the metal as it is. The drawing only says where a size lies. */
export class Reading {
  readonly #table: OnTheTable;
  readonly #drawing: Part;
  readonly #shop: Pick<Shop, "instruments">;
  readonly #chance: Chance;
  readonly #boxes: Cutout["box"][];

  constructor(table: OnTheTable, drawing: Part, shop: Pick<Shop, "instruments">, chance: Chance) {
    this.#table = table;
    this.#drawing = drawing;
    this.#shop = shop;
    this.#chance = chance;
    const site = siteOfPart(drawing);
    this.#boxes = site ? cutoutBoxes(drawing, site) : [];
  }

  #siteNow(solid: Solid) {
    const { min, max } = solid.bounds;
    const first = (axis: Axis) => {
      const at = axisNames.indexOf(axis);
      return blockSizes(solid, axis, this.#boxes)[0] ?? max[at]! - min[at]!;
    };
    return siteAs(this.#drawing, { length: first("length"), width: first("width"), height: first("height") });
  }

  /** A size as an instrument of the shop reads it, with its error; what is expected where it cannot be read. */
  read(size: ToldSize, expected: Mm): Mm {
    const is =
      (size.of !== "feature" && size.above ? this.#above(size.of, size.above) : this.size(size)) ?? expected;
    const u = this.#shop.instruments
      .filter((i) => i.kind === "caliper" || i.kind === "micrometer")
      .filter((i) => i.from <= is && is <= i.to)
      .reduce((least, i) => Math.min(least, i.uncertainty), usualU);
    return is + this.#chance.about(u / 2);
  }

  /** Across the upper part of what is held: three ways through it, half as far down as is told. */
  #above(axis: Axis, down: Mm): Mm | null {
    const { held } = this.#table;
    if (!held) return null;
    const { solid, bounds } = held.piece;
    const { min, max } = bounds;
    const looks = this.#table.looks(facesOf(axis)[1]);
    const across = Math.abs(looks[0]) > Math.abs(looks[1]) ? 0 : 1;
    const z = max[2] - down / 2;
    const sizes = [0.3, 0.5, 0.7].flatMap((share) => {
      const beside = min[1 - across]! + share * (max[1 - across]! - min[1 - across]!);
      const at = (along: Mm): Vec => (across === 0 ? [along, beside, z] : [beside, along, z]);
      const [low, high] = [min[across] - 1, max[across] + 1];
      const hits = solid.crossings(at(low), at(high));
      return hits.length < 2 ? [] : [(hits.at(-1)! - hits[0]!) * (high - low)];
    });
    return sizes.length === 0 ? null : sizes.reduce((a, b) => a + b, 0) / sizes.length;
  }

  /** A size as it really is; null where it cannot be told by straight ways through the body. */
  size(size: ToldSize): Mm | null {
    return this.#table.kit.scope(() => {
      const { part } = this.#table;
      const solid = part.solid.posed(drawnPose(part));
      if (size.of !== "feature") {
        const every = blockSizes(solid, size.of, this.#boxes);
        if (every.length === 0) return null;
        // Nobody measures over a ledge that is left standing at a side for the next setup.
        const largest = Math.max(...every);
        // Told to read where it is cut, a person does so, however thin that is beside the rest.
        const all = every.filter((is) => is > (size.on === "cut" ? 0.4 : 0.9) * largest);
        // Told to read over what was left standing, they go there.
        if (size.on === "left") return largest;
        // On a raw face the jaws of a caliper rest on what stands out most; beside what straps left uncut they go where it was cut.
        const least = Math.min(...all);
        const strapped = this.#table.held?.placing.on === "table";
        const there = strapped ? all.filter((is) => is < least + rawSpread) : all;
        if (largest - least > rawSpread) return Math.max(...there);
        return all.reduce((a, b) => a + b, 0) / all.length;
      }
      const site = this.#siteNow(solid);
      const feature = featuresOf(this.#drawing).find((f) => f.id === size.feature);
      return site && feature ? featureSize(solid, feature, size.size, size.over, site) : null;
    });
  }

  /** Whether a face that was cut is clean all over: as much metal just below it as further in. */
  isClean(face: Face): boolean {
    const { held } = this.#table;
    if (!held) return true;
    const looks = this.#table.looks(face);
    const axis = ([0, 1, 2] as const).reduce((a, b) => (Math.abs(looks[b]) > Math.abs(looks[a]) ? b : a));
    const { solid } = held.piece;
    const { min, max } = solid.bounds;
    const slab = (depth: Mm, thick: Mm) => {
      const low: [number, number, number] = [min[0] - 1, min[1] - 1, min[2] - 1];
      const high: [number, number, number] = [max[0] + 1, max[1] + 1, max[2] + 1];
      if (looks[axis] > 0) {
        high[axis] = max[axis] - depth;
        low[axis] = high[axis] - thick;
      } else {
        low[axis] = min[axis] + depth;
        high[axis] = low[axis] + thick;
      }
      return solid.within(this.#table.kit.box(low, high)).volume / thick;
    };
    return slab(0.03, 0.05) > 0.985 * slab(1.2, 0.05);
  }

  /** Files a feature to the line: all of it that still stands. */
  file(id: string): void {
    const { held, part, kit } = this.#table;
    const feature = featuresOf(this.#drawing).find((f) => f.id === id);
    if (!feature || !held) return;
    const pose = drawnPose(part);
    const site = this.#siteNow(part.solid.posed(pose));
    const cutout = site && cutoutOf(feature, site);
    if (!cutout) return;
    held.piece.cutBody(cutoutSolid(cutout, site, kit).posed(inverse(pose)).posed(held.pose), 0);
  }
}
