import { downOf, type Face } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Vise } from "../shop/index.ts";
import type { Chance } from "./chance.ts";
import {
  asPartSees,
  bodiesOf,
  type Body,
  contactOf,
  type HoldingErrors,
  holdingErrors,
  looksRight,
  type Placing,
  poseOf,
} from "./fixture.ts";
import type { Workpart } from "./lump.ts";
import type { Report } from "./report.ts";
import type { Bounds, Pose, SolidKit, Vec } from "./solid.ts";
import type { Thing, ThingId, Told } from "./told.ts";
import { inverse, turned } from "./vec.ts";
import { Workpiece } from "./workpiece.ts";

/** How clear of everything a hand raises the spindle, and runs past an edge, mm. */
export const clear = 5;
/** Contact of a support or a jaw smaller than this holds nothing, mm². */
const leastContact = 12;
/** Half of a strap, and how near to metal its tip or the packing must come, mm. */
const strapHalf = 12.5;
const near = 1.2;

/** A part that is held: its metal, and how it lies. */
export interface Held {
  piece: Workpiece;
  pose: Pose;
  placing: Placing;
}

/** What stands on the table: the part, how it lies, and everything that holds it. */
export class OnTheTable {
  readonly kit: SolidKit;
  readonly vise: Vise;
  readonly #report: Report;
  readonly #errors: HoldingErrors;
  #part: Workpart;
  #held: Held | null = null;
  #things = new Map<ThingId, Thing>();
  #bodies: Body[] = [];

  constructor(
    part: Workpart,
    vise: Vise,
    kit: SolidKit,
    chance: Chance,
    report: Report,
    planted: Partial<HoldingErrors> = {},
  ) {
    this.kit = kit;
    this.vise = vise;
    this.#report = report;
    this.#errors = { ...holdingErrors(chance), ...planted };
    this.#part = { ...part, solid: part.solid.keep() };
  }

  get held(): Held | null {
    return this.#held;
  }
  get bodies(): readonly Body[] {
    return this.#bodies;
  }
  thing<I extends ThingId>(id: I): Extract<Thing, { id: I }> | null {
    return (this.#things.get(id) as Extract<Thing, { id: I }> | undefined) ?? null;
  }

  /** The part in its own frame, as it is now. It belongs to the present scope. */
  get part(): Workpart {
    if (!this.#held) return this.#part;
    const { piece, pose } = this.#held;
    return { ...this.#part, solid: piece.solid.posed(inverse(pose)) };
  }

  /** Where a face of the part looks, in the machine's frame. */
  looks(face: Face): Vec {
    return this.#held ? turned(this.#held.pose, this.#part.planes[face]) : this.#part.planes[face];
  }

  /** How high Z 0 lies above the table. */
  get bed(): Mm {
    return this.#held?.placing.on === "table" ? 0 : this.vise.bedHeight;
  }

  place(told: Extract<Told, { do: "place" }>): void {
    const left = [...this.#things.values()].filter((t) => !told.things.some((n) => n.id === t.id));
    for (const thing of left) this.#report.find("leftIn", "height" in thing ? thing.height : 1, thing.id);
    if (this.#held) {
      this.#report.find("leftIn", 1, "the part");
      this.#lift();
    }
    this.#things = new Map(told.things.map((t) => [t.id, t]));
    const placing: Placing = {
      at: told.at,
      on: told.on,
      out: told.out,
      projection: told.projection,
      squared: told.squared,
    };
    const vise = told.on === "table" ? null : this.vise;
    const pose = poseOf(this.#part, placing, this.#things, vise, this.#errors, this.kit);
    if (told.out?.side) {
      const right = looksRight(pose, this.#part.planes[told.out.end]);
      if (right !== (told.out.side === "right"))
        this.#report.find("side", told.out.by, `${told.out.end} | ${told.out.side}`);
    }
    this.#held = { piece: new Workpiece(this.#part.solid.posed(pose), this.kit), pose, placing };
    this.#part.solid.drop();
    this.#rebuild();
  }

  swap(straps: Extract<Thing, { id: "straps" }>): void {
    this.#things.set("straps", straps);
    this.#rebuild();
  }

  takeOut(things: readonly ThingId[], part: boolean): void {
    for (const id of things) this.#things.delete(id);
    if (!part || !this.#held) return;
    this.#lift();
    this.#clear();
  }

  #lift(): void {
    const { piece, pose } = this.#held!;
    const { machined, planes } = this.#part;
    this.#part = { planes, machined, solid: piece.released(pose) };
    this.#held = null;
  }

  #clear(): void {
    this.#bodies.forEach(({ solid }) => solid.drop());
    this.#bodies = [];
  }

  #rebuild(): void {
    this.#clear();
    if (!this.#held) return;
    const { piece, placing } = this.#held;
    const vise = placing.on === "table" ? null : this.vise;
    this.#bodies = bodiesOf(piece.solid, placing, this.#things, vise, this.kit);
    this.#bodies.forEach(({ solid }) => solid.keep());
  }

  /** What is really touched once it is tight, against the grip that was told, and what is told of a part that lies loose. */
  clamp(grip: Mm | null, loose: boolean): void {
    if (!this.#held) return;
    if (this.#held.placing.on === "table") return this.#pressed();
    const { piece, placing } = this.#held;
    const { bounds } = piece;
    const half = this.vise.jawWidth / 2;
    const out = Math.max(bounds.max[0] - half, -half - bounds.min[0]);
    const gripped = Math.min(half, bounds.max[0]) - Math.max(-half, bounds.min[0]);
    if (out > 1.5 * gripped && !this.#things.has("jack"))
      this.#report.find("tips", out, "the end that hangs out");
    // A round part is held along lines: no face to measure.
    if (placing.on === "blocks") return;
    // On a raw face below the part comes to lie as much higher as that is out.
    const higher = this.#part.machined[downOf(placing.at)] ? 0.6 : 1.2;
    const contact = contactOf(this.#part, piece.solid, placing, this.#things, this.vise, this.kit);
    if (!this.#things.has("points") && !(loose && contact.supports.some((s) => s.area >= leastContact)))
      for (const { name, area, at } of contact.supports)
        if (area < leastContact) this.#report.find("onAir", leastContact - area, name, at);
    for (const { name, area, height, at } of contact.jaws) {
      if (area < leastContact) this.#report.find("noGrip", grip ?? leastContact, name, at);
      else if (grip !== null && name !== "the rod" && height < grip - higher)
        this.#report.find("lessGrip", grip - height, name, at);
    }
  }

  /** Whether straps that are told where they stand press on metal, and metal stands under them. */
  #pressed(): void {
    const straps = this.thing("straps");
    if (!this.#held || !straps?.at || this.#things.has("blocks")) return;
    const { solid, bounds } = this.#held.piece;
    const { min, max } = bounds;
    for (const { edge, left } of straps.at) {
      const x = min[0] + left;
      const y = edge === "back" ? [max[1] - straps.reach, max[1]] : [min[1], min[1] + straps.reach];
      // A raw face is not flat: it is touched wherever it comes near.
      const area = (low: Mm, high: Mm) =>
        this.kit.scope(
          () =>
            solid.within(this.kit.box([x - strapHalf, y[0]!, low], [x + strapHalf, y[1]!, high])).volume /
            (high - low),
        );
      const at: Vec = [x, (y[0]! + y[1]!) / 2, max[2]];
      if (area(max[2] - near, max[2]) < leastContact)
        this.#report.find("noGrip", leastContact, "a strap", at);
      if (area(min[2], min[2] + near) < leastContact)
        this.#report.find("onAir", leastContact, "the packing", at);
    }
  }

  /** The part above the jaws, where it can be touched. */
  reachable(above: Mm | null): Bounds {
    const { piece, placing } = this.#held!;
    const { min, max } = piece.bounds;
    const low = Math.max(placing.on === "vise" ? this.vise.jawDepth + 0.5 : min[2], above ?? min[2]);
    if (low > max[2] - 0.5) return { min, max };
    const free = piece.solid.within(
      this.kit.box([min[0] - 1, min[1] - 1, low], [max[0] + 1, max[1] + 1, max[2] + 1]),
    );
    return free.empty ? { min, max } : free.bounds;
  }

  /** Where the end of a cutter is clear of everything. */
  get clearHeight(): Mm {
    const tops = this.#bodies.filter((b) => b.name !== "the table").map((b) => b.bounds.max[2]);
    return Math.max(this.#held?.piece.around.max[2] ?? 0, ...tops) + clear;
  }

  /** A face that was cut lies as the machine goes, and may locate from now on. */
  faceCut(face: Face, by: "end" | "side" | "arbor"): void {
    const now = this.looks(face);
    const [x, y] = [Math.sign(now[0]), Math.sign(now[1])];
    const looks: Vec =
      by !== "side" ? [0, 0, 1] : Math.abs(now[0]) > Math.abs(now[1]) ? [x, 0, 0] : [0, y, 0];
    const { planes, machined } = this.#part;
    this.#part = {
      ...this.#part,
      planes: { ...planes, [face]: asPartSees(this.#held!.pose, looks) },
      machined: { ...machined, [face]: true },
    };
  }

  drop(): void {
    this.#clear();
    if (this.#held) this.#lift();
    this.#part.solid.drop();
  }
}
