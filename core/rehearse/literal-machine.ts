import type { Face } from "../frame/index.ts";
import type { Material } from "../handbook/index.ts";
import { type Cutout, cutoutOf, featuresOf, type Part, siteOfPart } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Machine, Shop, Vise } from "../shop/index.ts";
import type { Chance } from "./chance.ts";
import type { Finding, FindingSort } from "./finding.ts";
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
import { Handle } from "./handle.ts";
import { bendOf, leastChipOf, loadOf } from "./load.ts";
import type { Workpart } from "./lump.ts";
import type { Pose, Region, Solid, SolidKit, Vec } from "./solid.ts";
import type { MachineAxis, Thing, ThingId, Told, ToldSize } from "./told.ts";
import { type Round, sweptBy, type Tool, toolOf, wayInPlan } from "./tool.ts";
import { blockSizes, cutoutBoxes, cutoutSolid, drawnPose, featureSize, siteAs } from "./truth.ts";
import { inverse, turned } from "./vec.ts";
import { joined, middleOf, type Removed, Workpiece } from "./workpiece.ts";

/** How clear of everything a hand raises the spindle, and runs past an edge, mm. */
const clear = 5;
/** More than told by less than this is what touching and rounding leave, mm and share. */
const spare = { mm: 0.15, share: 1.15 };
/** Contact of a support or a jaw smaller than this holds nothing, mm². */
const leastContact = 12;
/** How far past the edge of a face its outer lanes go, mm. */
const pastEdge = 0.5;
/** How far a head is usually out of tram, mm over mm (guess; domain.md 4). */
const usualTram = { rise: 0.02, over: 150 };
/** A cutter's end out of tram is cut with in so many strips across its way. */
const strips = 5;
const nowhere = (): Record<MachineAxis, [Mm, Mm]> => ({
  x: [Infinity, -Infinity],
  y: [Infinity, -Infinity],
  z: [Infinity, -Infinity],
});
/** So many passes for nothing, and a person stops. */
const mostIdle = 8;
/** An edge finder at more than this flies off, rpm. */
const fastestFinder = 1200;

export interface MachineAsked {
  kit: SolidKit;
  shop: Shop;
  machine: Machine;
  vise: Vise;
  material: Material;
  /** The drawing: only to know where a size that is asked for lies, and what a file takes off to the line. */
  drawing: Part;
  part: Workpart;
  chance: Chance;
}

/** A stroke that was made, for whoever asks later what cut here. */
export interface Stroke {
  op: string;
  step: string;
  setup: number;
  body: { low: Vec; high: Vec };
  pose: Pose;
}

/**
 * A person at the machine who knows nothing but what is told. It puts in what it is told to put in, turns the handles to the
 * figures it is told, with slack, zeros and tools as they are, and finds what comes of it. The metal is a body.
 */
export class LiteralMachine {
  readonly #a: MachineAsked;
  readonly findings: Finding[] = [];
  readonly strokes: Stroke[] = [];
  readonly #axes: Record<MachineAxis, Handle>;
  readonly #errors: HoldingErrors;
  readonly #paper: Mm;
  /** Slope of the cutter's end along X and across it, by the head out of tram. */
  readonly #tram: { x: number; y: number };
  /** How far every axis went in this setup. */
  #went: Record<MachineAxis, [Mm, Mm]> = nowhere();
  #part: Workpart;
  #piece: Workpiece | null = null;
  #pose: Pose | null = null;
  #placing: Placing | null = null;
  #things = new Map<ThingId, Thing>();
  #bodies: Body[] = [];
  #tool: Tool | null = null;
  #rpm = 0;
  #turns: "clockwise from above" | null = null;
  #tilt = 0;
  #now: Told | null = null;
  /** Passes one after the other that removed nothing. */
  #idle = 0;
  readonly #told = new Set<string>();
  readonly #boxes: Cutout["box"][];

  constructor(asked: MachineAsked) {
    this.#a = asked;
    const { axes } = asked.machine;
    this.#axes = {
      x: new Handle(axes.x, false),
      y: new Handle(axes.y, false),
      z: new Handle(axes.z, true),
    };
    this.#errors = holdingErrors(asked.chance);
    this.#paper = asked.chance.about(0.01);
    const { tramAlong, tramAcross, tramSweep } = asked.machine;
    const usual = () => asked.chance.about(usualTram.rise) / usualTram.over;
    this.#tram = {
      x: tramAlong === null ? usual() : tramAlong / tramSweep,
      y: tramAcross === null ? usual() : tramAcross / tramSweep,
    };
    this.#part = { ...asked.part, solid: asked.part.solid.keep() };
    const site = siteOfPart(asked.drawing);
    this.#boxes = site ? cutoutBoxes(asked.drawing, site) : [];
  }

  /** The part in its own frame, as it is now. It belongs to the present scope. */
  get part(): Workpart {
    if (!this.#piece || !this.#pose) return this.#part;
    return { ...this.#part, solid: this.#piece.solid.posed(inverse(this.#pose)) };
  }

  /** A person gives up here: pass after pass is told, and nothing comes off. */
  get lost(): boolean {
    return this.#idle >= mostIdle;
  }

  /** What a person has to say when a collar slipped, a clamp was touched, the readout went off. */
  upset(cause: "moved" | "cutter" | "knee" | "restarted"): void {
    if (cause === "moved" || cause === "restarted") this.#stale("x", "y", "z");
    else this.#stale("z");
  }

  /** Lets everything go that it holds. */
  drop(): void {
    this.#bodies.forEach(({ solid }) => solid.drop());
    this.#bodies = [];
    if (this.#piece && this.#pose) {
      const solid = this.#piece.released(this.#pose);
      solid.drop();
      this.#piece = null;
    } else this.#part.solid.drop();
  }

  /**
   * Does what one instruction says.
   * @returns what was read, where it asks for a reading; whether the face is clean, where it asks for that
   */
  obey(told: Told): { reading: Mm } | { clean: boolean } | null {
    this.#now = told;
    return this.#a.kit.scope(() => {
      switch (told.do) {
        case "place":
          this.#place(told);
          return null;
        case "swap":
          this.#things.set("straps", told.straps);
          this.#rebuild();
          return null;
        case "clamp":
          this.#clamp(told.grip);
          return null;
        case "take out":
          this.#takeOut(told.things, told.part);
          return null;
        case "fit":
          this.#fit(told);
          return null;
        case "tilt head":
          this.#tilt = told.degrees;
          this.#axes.x.good = this.#axes.y.good = this.#axes.z.good = false;
          return null;
        case "zero":
          this.#zero(told);
          return null;
        case "pass":
          this.#pass(told);
          return null;
        case "move":
          this.#move(told);
          return null;
        case "read":
          return { reading: this.#read(told.size, told.expected) };
        case "look":
          return { clean: this.#isClean(told.face) };
        case "by hand":
          this.#byHand(told.feature);
          return null;
        case "other":
          return null;
      }
    });
  }

  #find(
    sort: FindingSort,
    size: number,
    what: string,
    at: Vec | null = null,
    more: { told?: Mm } = {},
  ): void {
    const { op, step, setup } = this.#now!;
    const key = `${sort} ${op} ${step} ${what}`;
    if (this.#told.has(key)) return;
    this.#told.add(key);
    this.findings.push({ sort, op, step, setup, size: Math.abs(size), what, at, ...more });
  }

  #named(cutter: string): string {
    return this.#a.shop.cutters.find((c) => c.id === cutter)?.name ?? cutter;
  }

  // Holding

  #place(told: Extract<Told, { do: "place" }>): void {
    const left = [...this.#things.values()].filter((t) => !told.things.some((n) => n.id === t.id));
    for (const thing of left) this.#find("leftIn", "height" in thing ? thing.height : 1, thing.id);
    if (this.#piece) {
      this.#find("leftIn", 1, "the part");
      this.#lift();
    }
    this.#things = new Map(told.things.map((t) => [t.id, t]));
    this.#placing = { at: told.at, on: told.on, out: told.out, projection: told.projection };
    const vise = told.on === "table" ? null : this.#a.vise;
    this.#pose = poseOf(this.#part, this.#placing, this.#things, vise, this.#errors);
    if (told.out?.side) {
      const right = looksRight(this.#pose, this.#part.planes[told.out.end]);
      if (right !== (told.out.side === "right"))
        this.#find("side", told.out.by, `${told.out.end} | ${told.out.side}`);
    }
    this.#piece = new Workpiece(this.#part.solid.posed(this.#pose), this.#a.kit);
    this.#part.solid.drop();
    this.#rebuild();
    this.#went = nowhere();
    this.#stale("x", "y", "z");
  }

  #lift(): void {
    const { machined, planes } = this.#part;
    this.#part = { planes, machined, solid: this.#piece!.released(this.#pose!) };
    this.#piece = null;
    this.#pose = null;
  }

  #rebuild(): void {
    this.#bodies.forEach(({ solid }) => solid.drop());
    const vise = this.#placing!.on === "table" ? null : this.#a.vise;
    this.#bodies = bodiesOf(this.#piece!.solid, this.#placing!, this.#things, vise, this.#a.kit);
    this.#bodies.forEach(({ solid }) => solid.keep());
  }

  #stale(...axes: MachineAxis[]): void {
    for (const axis of axes) this.#axes[axis].good = false;
  }

  #clamp(grip: Mm | null): void {
    const { vise, kit } = this.#a;
    if (!this.#piece || !this.#placing || this.#placing.on === "table") return;
    const { bounds } = this.#piece;
    const half = vise.jawWidth / 2;
    const out = Math.max(bounds.max[0] - half, -half - bounds.min[0]);
    const gripped = Math.min(half, bounds.max[0]) - Math.max(-half, bounds.min[0]);
    if (out > 1.5 * gripped && !this.#things.has("jack")) this.#find("tips", out, "the end that hangs out");
    // A round part is held along lines: no face to measure.
    if (this.#placing.on === "blocks") return;
    const contact = contactOf(this.#part, this.#piece.solid, this.#placing, this.#things, vise, kit);
    if (!this.#things.has("points"))
      for (const { name, area, at } of contact.supports)
        if (area < leastContact) this.#find("onAir", leastContact - area, name, at);
    for (const { name, area, height, at } of contact.jaws) {
      if (area < leastContact) this.#find("noGrip", grip ?? leastContact, name, at);
      else if (grip !== null && name !== "the rod" && height < grip - 0.6)
        this.#find("lessGrip", grip - height, name, at);
    }
  }

  #takeOut(things: readonly ThingId[], part: boolean): void {
    for (const id of things) this.#things.delete(id);
    if (!part || !this.#piece) return;
    this.#lift();
    this.#bodies.forEach(({ solid }) => solid.drop());
    this.#bodies = [];
    this.#stale("x", "y", "z");
  }

  // Spindle

  #fit(told: Extract<Told, { do: "fit" }>): void {
    const cutter = this.#a.shop.cutters.find((c) => c.id === told.cutter);
    if (told.upright) this.#tilt = 0;
    if (cutter && this.#tool?.cutter.id !== cutter.id) this.#stale("z");
    this.#tool = cutter ? toolOf(cutter, this.#a.shop) : null;
    this.#rpm = told.rpm ?? this.#rpm;
    this.#turns = told.turns;
    if (this.#a.machine.kind === "horizontal" && told.turns)
      this.#find("wrongWay", 0, "a spindle that lies, told from above");
    else if (cutter?.hand === "left" && told.turns)
      this.#find("wrongWay", 0, `${cutter.name}, which is left-handed`);
  }

  #ready(cutter: string, rpm: number | null): Tool | null {
    if (!this.#tool || this.#tool.cutter.id !== cutter)
      this.#find("otherTool", 0, `${this.#named(cutter)} | ${this.#tool?.cutter.name ?? "nothing"}`);
    if (this.#rpm <= 0 || this.#turns === null) this.#find("stopped", 0, this.#named(cutter));
    else if (rpm !== null && Math.abs(rpm - this.#rpm) > 0.5)
      this.#find("otherSpeed", rpm - this.#rpm, `${rpm} | ${this.#rpm}`);
    return this.#tool;
  }

  // Zeros

  /** The part above the jaws, where it can be touched. */
  #reachable(): { min: Vec; max: Vec } {
    const { min, max } = this.#piece!.bounds;
    const low = this.#placing!.on === "vise" ? this.#a.vise.jawDepth + 0.5 : min[2];
    if (low > max[2] - 0.5) return { min, max };
    const free = this.#piece!.solid.within(
      this.#a.kit.box([min[0] - 1, min[1] - 1, low], [max[0] + 1, max[1] + 1, max[2] + 1]),
    );
    return free.empty ? { min, max } : free.bounds;
  }

  #zero(told: Extract<Told, { do: "zero" }>): void {
    const { tool, axis, touches, medium, setting, moveOn } = told;
    const piece = this.#piece;
    if (!piece) return this.#find("stale", 0, `${axis}: no part to touch`);
    const inSpindle = this.#tool?.cutter.id ?? null;
    if (tool.kind === "cutter" ? inSpindle !== tool.id : tool.kind !== "pin" && inSpindle !== null)
      this.#find(
        "zeroTool",
        0,
        `${tool.kind === "cutter" ? this.#named(tool.id) : `the ${tool.kind}`} | ${inSpindle ? this.#named(inSpindle) : "nothing"}`,
      );
    if (tool.kind === "finder" && this.#rpm > fastestFinder)
      this.#find("finderFast", this.#rpm, String(this.#rpm));
    const radius =
      tool.kind === "cutter"
        ? ((cutter) => (cutter ? toolOf(cutter, this.#a.shop).radius : 0))(
            this.#a.shop.cutters.find((c) => c.id === tool.id),
          )
        : tool.diameter / 2;
    const gap = medium > 0 ? medium + this.#paper : 0;
    const handle = this.#axes[axis];
    const { min, max } = axis === "z" ? piece.bounds : this.#reachable();
    const off = radius + gap;
    const placeOf = {
      left: min[0] - off,
      right: max[0] + off,
      front: min[1] - off,
      back: max[1] + off,
      above: max[2] + gap,
    };
    const toward = { left: 1, front: 1, right: -1, back: -1, above: -1 } as const;
    const touch = (from: keyof typeof placeOf) => {
      handle.moveTo(placeOf[from] - toward[from] * clear);
      handle.moveTo(placeOf[from]);
    };
    const [first, second] = touches;
    if (!first) return;
    if (axis === "z") this.#overThePart(told, placeOf);
    touch(first.from);
    if (second) {
      handle.set(0);
      touch(second.from);
      const half = handle.reading / 2;
      const middle = (placeOf[first.from] + placeOf[second.from]) / 2;
      handle.moveToReading(half);
      const error = handle.at - middle;
      if (Math.abs(error) > 0.01) this.#find("halved", error, axis);
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
    if (told.backOff === "downwards" && this.#a.machine.depthBy === "head")
      this.#find("backsIn", 2, "the head told downwards", [this.#axes.x.at, this.#axes.y.at, handle.at]);
    handle.moveTo(this.#clearHeight());
  }

  /** Z is touched over the part: X and Y go there, wherever they stood. */
  #overThePart(
    told: Extract<Told, { do: "zero" }>,
    placeOf: { above: number; left: number; right: number },
  ): void {
    const { min, max } = this.#piece!.bounds;
    const near = told.near;
    let x = (min[0] + max[0]) / 2;
    let y = (min[1] + max[1]) / 2;
    if (near) {
      x = Math.max(min[0] + 0.5, Math.min(max[0] - 0.5, this.#axes.x.placeOf(near.x)));
      if (near.y !== null) y = Math.max(min[1] + 0.5, Math.min(max[1] - 0.5, this.#axes.y.placeOf(near.y)));
      // The crown of the section that is cut, where a shaft is thinner there.
      const hits = this.#piece!.solid.crossings([x, y, max[2] + 1], [x, y, min[2] - 1]);
      const top = hits[0] === undefined ? max[2] : max[2] + 1 - hits[0] * (max[2] - min[2] + 2);
      if (told.crown) placeOf.above += top - max[2];
    }
    this.#axes.z.moveTo(this.#clearHeight());
    this.#axes.x.moveTo(x);
    this.#axes.y.moveTo(y);
  }

  #clearHeight(): Mm {
    const tops = this.#bodies.filter((b) => b.name !== "the table").map((b) => b.bounds.max[2]);
    return Math.max(this.#piece?.around.max[2] ?? 0, ...tops) + clear;
  }

  // Cutting

  /** A round in plan from one place to another. */
  #plan(from: Vec, to: Vec, radius: Mm): Region {
    return this.#a.kit.region([wayInPlan([from[0], from[1]], [to[0], to[1]], radius)]);
  }

  /** Whether anything of the tool meets what stands on the table. */
  #collide(tool: Tool, from: Vec, to: Vec): void {
    const low = Math.min(from[2], to[2]);
    const reach = Math.max(...tool.above.map((r) => r.radiusHigh), tool.radius);
    for (const { name, solid, bounds: b } of this.#bodies) {
      const apart =
        b.max[0] < Math.min(from[0], to[0]) - reach ||
        b.min[0] > Math.max(from[0], to[0]) + reach ||
        b.max[1] < Math.min(from[1], to[1]) - reach ||
        b.min[1] > Math.max(from[1], to[1]) + reach ||
        b.max[2] < low;
      if (apart) continue;
      for (const round of [...tool.cutting, ...tool.above]) {
        if (b.max[2] < low + round.low) continue;
        const met = sweptBy(round, from, to, this.#a.kit).within(solid);
        if (met.volume < 0.02) continue;
        const { min, max } = met.bounds;
        const deep = Math.min(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
        if (deep > 0.02) this.#find("hits", deep, `${round.what} | ${name}`, middleOf(met.bounds));
      }
    }
  }

  /** Shank and holder against metal that still stands. */
  #shank(tool: Tool, from: Vec, to: Vec): void {
    const low = Math.min(from[2], to[2]);
    const top = this.#piece!.around.max[2];
    for (const round of tool.above) {
      if (low + round.low >= top - 0.05) continue;
      const radius = Math.max(round.radiusLow, round.radiusHigh) - 0.05;
      const met = this.#piece!.over(this.#plan(from, to, radius), low + round.low, low + round.high);
      if (!met) continue;
      const deep = Math.min(met.across, met.height);
      if (deep > 0.05) this.#find("shank", deep, round.what, middleOf(met.bounds));
    }
  }

  /** Takes metal away on a straight way of the cutter. */
  #remove(tool: Tool, from: Vec, to: Vec): Removed | null {
    const piece = this.#piece!;
    const toward = Math.atan2(to[1] - from[1], to[0] - from[0]);
    const z = Math.min(from[2], to[2]);
    if (tool.cutter.kind === "tap") return null;
    this.#remember(tool, from, to);
    if (tool.flat && this.#now!.do === "pass" && tool.radius >= 8) return this.#sweepFace(tool, from, to, z);
    if (tool.flat) return piece.cutAbove(this.#plan(from, to, tool.radius), z, toward);
    const { kit } = this.#a;
    return piece.cutBody(
      kit.union(tool.cutting.map((round: Round): Solid => sweptBy(round, from, to, kit))),
      toward,
    );
  }

  /** A way over a face, out past both its ends, with the cutter's end as far out of tram as the head is. */
  #sweepFace(tool: Tool, from: Vec, to: Vec, z: Mm): Removed | null {
    const alongX = Math.abs(to[0] - from[0]) >= Math.abs(to[1] - from[1]);
    const slope = alongX ? this.#tram.y : this.#tram.x;
    const wide = (2 * tool.radius) / strips;
    const toward = alongX ? 0 : Math.PI / 2;
    const [low, high] = alongX
      ? [Math.min(from[0], to[0]) - tool.radius, Math.max(from[0], to[0]) + tool.radius]
      : [Math.min(from[1], to[1]) - tool.radius, Math.max(from[1], to[1]) + tool.radius];
    const middle = alongX ? from[1] : from[0];
    const removed: Removed[] = [];
    for (let i = 0; i < strips; i++) {
      const [a, b] = [middle - tool.radius + wide * i, middle - tool.radius + wide * (i + 1)];
      // What touches first is the lowest point of the end: all else stands higher.
      const up = slope * ((a + b) / 2 - middle) + Math.abs(slope) * (tool.radius - wide / 2);
      const [x0, x1, y0, y1] = alongX ? [low, high, a, b] : [a, b, low, high];
      const region = this.#a.kit.region([
        [
          [x0, y0],
          [x1, y0],
          [x1, y1],
          [x0, y1],
        ],
      ]);
      removed.push(...[this.#piece!.cutAbove(region, z + up, toward)].filter((r) => r !== null));
    }
    return joined(removed);
  }

  #remember(tool: Tool, from: Vec, to: Vec): void {
    const { op, step, setup } = this.#now!;
    const r = tool.radius;
    const low: Vec = [Math.min(from[0], to[0]) - r, Math.min(from[1], to[1]) - r, Math.min(from[2], to[2])];
    const high: Vec = [
      Math.max(from[0], to[0]) + r,
      Math.max(from[1], to[1]) + r,
      Math.max(from[2], to[2]) + tool.flute + 200,
    ];
    this.strokes.push({ op, step, setup, body: { low, high }, pose: this.#pose! });
  }

  /** At rapid the tool may touch nothing. */
  #rapid(tool: Tool | null, from: Vec, to: Vec): void {
    if (!tool) return;
    this.#collide(tool, from, to);
    const before = this.#piece!.over(
      this.#plan(from, to, tool.radius - 0.02),
      Math.min(from[2], to[2]) + 0.02,
      Math.max(from[2], to[2]) + tool.flute,
    );
    if (!before) return;
    const deep = Math.min(before.across, before.height);
    if (deep <= 0.06) return;
    this.#find("ploughs", deep, tool.cutter.name, middleOf(before.bounds));
    this.#remove(tool, from, to);
  }

  #feed(
    tool: Tool,
    from: Vec,
    to: Vec,
    told: { vf: number | null; rpm: number | null; spring: boolean },
  ): Removed | null {
    this.#collide(tool, from, to);
    this.#shank(tool, from, to);
    const removed = this.#remove(tool, from, to);
    const height = removed?.height ?? 0;
    const rpm = told.rpm ?? this.#rpm;
    if (removed && told.vf && rpm > 0 && !told.spring) {
      const fz = told.vf / (rpm * tool.cutter.teeth);
      const least = leastChipOf(tool.cutter);
      const turning = ["tap", "reamer", "twistDrill", "spotDrill"].includes(tool.cutter.kind);
      if (!turning && fz < least - 5e-4) this.#find("rubs", least - fz, tool.cutter.name);
      if (!turning) {
        const cut = { ap: height, ae: removed.across, vf: told.vf, rpm };
        const load = loadOf(cut, tool.cutter, this.#a.material, this.#a.machine);
        if (load > spare.share) this.#find("tooHard", load, tool.cutter.name, middleOf(removed.bounds));
      }
    }
    return removed;
  }

  #tooMuch(is: Mm, told: Mm, what: "deep" | "wide", at: Vec): void {
    if (is > told * spare.share + spare.mm) this.#find("tooMuch", is - told, what, at, { told });
  }

  #pass(told: Extract<Told, { do: "pass" }>): void {
    const piece = this.#piece;
    if (!piece) return this.#find("onAir", 0, "no part is held");
    const tool = this.#ready(told.cutter, told.rpm);
    if (!tool) return;
    if (!this.#axes[told.axis].good) this.#find("stale", 0, told.axis);
    if (!this.#axes[told.axis].known) return;
    const ways = told.by === "side" ? this.#alongWall(told, tool) : this.#overFace(told, tool);
    let cutAny = false;
    const before = piece.bounds;
    for (const [from, to] of ways) {
      const removed = this.#feed(tool, from, to, told);
      if (!removed) continue;
      cutAny = true;
      const { height } = removed;
      const at = middleOf(removed.bounds);
      this.#tooMuch(told.by === "side" ? removed.across : height, told.depth, "deep", at);
      this.#tooMuch(told.by === "side" ? height : removed.across, told.width, "wide", at);
    }
    this.#idle = cutAny || told.spring ? 0 : this.#idle + 1;
    if (this.#idle > 0) this.#find("nothing", told.depth, told.axis, middleOf(before));
    if (this.lost) this.#find("endless", told.depth, told.axis, middleOf(before));
    if (cutAny) this.#noteFace(told.face, told.by);
    this.#axes.z.moveTo(this.#clearHeight());
  }

  /** A face that was cut lies as the machine goes. */
  #noteFace(face: Face, by: "end" | "side" | "arbor"): void {
    const pose = this.#pose!;
    const now = turned(pose, this.#part.planes[face]);
    const [x, y] = [Math.sign(now[0]), Math.sign(now[1])];
    const looks: Vec =
      by !== "side" ? [0, 0, 1] : Math.abs(now[0]) > Math.abs(now[1]) ? [x, 0, 0] : [0, y, 0];
    this.#part = {
      ...this.#part,
      planes: { ...this.#part.planes, [face]: asPartSees(pose, looks) },
      machined: { ...this.#part.machined, [face]: true },
    };
  }

  /** Lanes over what lies up, as a hand spreads them that is told their number and width. */
  #overFace(told: Extract<Told, { do: "pass" }>, tool: Tool): [Vec, Vec][] {
    const { min, max } = this.#piece!.bounds;
    const z = this.#axes.z;
    z.moveToReading(told.stop);
    const along = told.feedAlong === "x" ? 0 : 1;
    const across = 1 - along;
    let [low, high] = [min[across]!, max[across]!];
    const straps = this.#things.get("straps");
    let fromHigh = false;
    if (straps?.id === "straps" && this.#placing) {
      const looks = turned(this.#pose!, this.#part.planes[straps.over]);
      if (Math.abs(looks[across]!) > 0.5) {
        if (looks[across]! > 0) high -= straps.reach + 1;
        else {
          low += straps.reach + 1;
          fromHigh = true;
        }
      }
    }
    const run = tool.radius + clear;
    const ends: [Mm, Mm] = [min[along] - run, max[along] + run];
    if (told.travel === "left" || told.travel === "front") ends.reverse();
    const half = told.by === "arbor" ? tool.flute / 2 : tool.radius;
    // Lanes that are meant to cover the face are spread over it as it really is, a little past its edges.
    const whole = told.width * told.lanes >= high - low - 2;
    if (whole) [low, high] = [low - pastEdge, high + pastEdge];
    const width = whole ? (high - low) / told.lanes : told.width;
    return Array.from({ length: told.lanes }, (_, i): [Vec, Vec] => {
      const edge = fromHigh ? high - width * (i + 1) : low + width * (i + 1);
      // One lane lies over the middle; of several each takes its width, the cutter out over what is cut already.
      const at = told.lanes === 1 ? (low + high) / 2 : fromHigh ? edge + half : edge - half;
      const point = (end: Mm): Vec => (along === 0 ? [end, at, z.at] : [at, end, z.at]);
      return [point(ends[0]), point(ends[1])];
    });
  }

  /** Along a wall; how far down is not told: to just past what is cut, above whatever holds. */
  #alongWall(told: Extract<Told, { do: "pass" }>, tool: Tool): [Vec, Vec][] {
    const { min, max } = this.#piece!.bounds;
    const handle = this.#axes[told.axis];
    const i = told.axis === "x" ? 0 : 1;
    const looks = turned(this.#pose!, this.#part.planes[told.face])[i];
    const screw = this.#a.machine.axes[told.axis];
    // A dial is told in turns, into the part; a readout in figures, whichever way they lead.
    const into = looks > 0 ? -1 : 1;
    const error = handle.moveToReading(screw.readout === null ? into * Math.abs(told.stop) : told.stop);
    if (Math.abs(error) > 0.02) this.#find("slack", error, told.axis);
    const out = this.#placing?.out;
    const jaws = this.#placing?.on === "vise" ? this.#a.vise.jawDepth : 0;
    const packing = this.#things.get("packing");
    const floor = out
      ? min[2] - 1
      : this.#placing?.on === "table"
        ? (packing?.id === "packing" ? packing.height : 0) - 0.5
        : jaws + 1;
    const z = Math.max(floor, max[2] - told.width - 1);
    const along = told.feedAlong === "x" ? 0 : 1;
    const run = tool.radius + clear;
    const ends: [Mm, Mm] = [min[along] - run, max[along] + run];
    if (told.travel === "left" || told.travel === "front") ends.reverse();
    const taken = { ap: Math.min(told.width, max[2] - z), ae: told.depth, vf: told.vf, rpm: told.rpm };
    const bend = bendOf(taken, tool.cutter, this.#a.material, this.#a.machine);
    const at = handle.at - into * bend;
    const point = (end: Mm): Vec => (along === 0 ? [end, at, z] : [at, end, z]);
    return [[point(ends[0]), point(ends[1])]];
  }

  #move(told: Extract<Told, { do: "move" }>): void {
    const piece = this.#piece;
    if (!piece) return this.#find("onAir", 0, "no part is held");
    if (told.byEye || this.#tilt !== 0) return this.#find("notTold", 0, `${told.op}, head tilted`);
    const tool = told.how === "go" ? this.#tool : this.#ready(told.cutter, told.rpm);
    const axes = (["x", "y", "z"] as const).filter((axis) => told.to[axis] !== undefined);
    for (const axis of axes) if (!this.#axes[axis].good) this.#find("stale", 0, axis);
    if (!tool || axes.some((axis) => !this.#axes[axis].known)) return;
    const here = (): Vec => [this.#axes.x.at, this.#axes.y.at, this.#axes.z.at];
    if (told.how === "go") this.#axes.z.moveTo(this.#clearHeight());
    const from = here();
    for (const axis of axes) {
      const error = this.#axes[axis].moveToReading(told.to[axis]!);
      const matters = told.how !== "go" || told.exact < 0.3;
      if (matters && Math.abs(error) > Math.max(0.02, told.exact)) this.#find("slack", error, axis, here());
    }
    const to = here();
    this.#travel();
    if (!told.cuts) return this.#rapid(tool, from, to);
    const plunges = told.how === "down";
    if (plunges && !tool.cutter.centerCutting && tool.flat && tool.cutter.kind !== "counterbore") {
      const solid = piece.over(this.#plan(to, to, tool.radius * 0.25), to[2], from[2]);
      if (solid && !["reamer", "boringHead"].includes(tool.cutter.kind))
        this.#find("plunge", solid.bounds.max[2] - to[2], tool.cutter.name, to);
    }
    const [start, end] = this.#pushedOff(tool, from, to, told);
    const removed = this.#feed(tool, start, end, { ...told, spring: false });
    if (!removed) {
      if (told.minutes > 0.02 && tool.cutter.kind !== "tap") this.#find("nothing", 0, told.how, to);
      return;
    }
    if (!told.limits || plunges) return;
    const at = middleOf(removed.bounds);
    this.#tooMuch(removed.across, told.limits.across, "wide", at);
    this.#tooMuch(removed.height, told.limits.along, "deep", at);
  }

  /** A light cut along a wall pushes the cutter off it: by so much it stays out. */
  #pushedOff(tool: Tool, from: Vec, to: Vec, told: Extract<Told, { do: "move" }>): [Vec, Vec] {
    const { limits, vf, rpm } = told;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    if (!tool.flat || !limits || !vf || long < 1e-6 || limits.across >= tool.radius) return [from, to];
    const z = Math.min(from[2], to[2]);
    const metal = this.#piece!.over(this.#plan(from, to, tool.radius), z, z + tool.flute);
    if (!metal || metal.across >= tool.radius) return [from, to];
    const taken = { ap: metal.height, ae: metal.across, vf, rpm: rpm ?? this.#rpm };
    const bend = bendOf(taken, tool.cutter, this.#a.material, this.#a.machine);
    const middle = middleOf(metal.bounds);
    const left = dx * (middle[1] - from[1]) - dy * (middle[0] - from[0]) > 0 ? 1 : -1;
    const off = (p: Vec): Vec => [p[0] + (left * bend * dy) / long, p[1] - (left * bend * dx) / long, p[2]];
    return [off(from), off(to)];
  }

  /** Room under the spindle, and how far the table goes. */
  #travel(): void {
    const { travel, daylight } = this.#a.machine;
    for (const axis of ["x", "y", "z"] as const) {
      const went = this.#went[axis];
      const { at } = this.#axes[axis];
      this.#went[axis] = [Math.min(went[0], at), Math.max(went[1], at)];
      const far = this.#went[axis][1] - this.#went[axis][0];
      if (far > travel[axis] + 0.5) this.#find("reach", far - travel[axis], `${axis.toUpperCase()} travel`);
    }
    if (!this.#tool) return;
    const bed = this.#placing?.on === "table" ? 0 : this.#a.vise.bedHeight;
    const nose = this.#axes.z.at + this.#tool.reach + bed;
    if (nose > daylight + 0.5) this.#find("reach", nose - daylight, "daylight");
  }

  // Reading

  #sizesNow(solid: Solid) {
    const first = (axis: "length" | "width" | "height") => blockSizes(solid, axis, this.#boxes)[0]!;
    return siteAs(this.#a.drawing, {
      length: first("length"),
      width: first("width"),
      height: first("height"),
    });
  }

  #read(size: ToldSize, expected: Mm): Mm {
    const true_ = this.trueSize(size);
    const u = this.#a.shop.instruments
      .filter((i) => i.kind === "caliper" || i.kind === "micrometer")
      .filter((i) => i.from <= (true_ ?? expected) && (true_ ?? expected) <= i.to)
      .reduce((least, i) => Math.min(least, i.uncertainty), 0.05);
    return (true_ ?? expected) + this.#a.chance.about(u / 2);
  }

  /** A size as it really is; null where it cannot be told by straight ways through the body. */
  trueSize(size: ToldSize): Mm | null {
    return this.#a.kit.scope(() => {
      const part = this.part;
      const solid = part.solid.posed(drawnPose(part));
      if (size.of !== "feature") {
        const all = blockSizes(solid, size.of, this.#boxes);
        return all.reduce((a, b) => a + b, 0) / all.length;
      }
      const site = this.#sizesNow(solid);
      const feature = featuresOf(this.#a.drawing).find((f) => f.id === size.feature);
      return site && feature ? featureSize(solid, feature, size.size, size.over, site) : null;
    });
  }

  /** Whether the face that was cut is clean all over. */
  #isClean(face: Face): boolean {
    if (!this.#piece || !this.#pose) return true;
    const looks = turned(this.#pose, this.#part.planes[face]);
    const axis = ([0, 1, 2] as const).reduce((a, b) => (Math.abs(looks[b]) > Math.abs(looks[a]) ? b : a));
    const solid = this.#piece.solid;
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
      return solid.within(this.#a.kit.box(low, high)).volume / thick;
    };
    return slab(0.03, 0.05) > 0.985 * slab(1.2, 0.05);
  }

  #byHand(id: string): void {
    const feature = featuresOf(this.#a.drawing).find((f) => f.id === id);
    if (!feature || !this.#piece || !this.#pose) return;
    const part = this.part;
    const pose = drawnPose(part);
    const site = this.#sizesNow(part.solid.posed(pose));
    const cutout = site && cutoutOf(feature, site);
    if (!cutout) return;
    const inMachine = cutoutSolid(cutout, site, this.#a.kit).posed(inverse(pose)).posed(this.#pose);
    this.#piece.cutBody(inMachine, 0);
  }
}
