import type { Material } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Machine, Round, Tool } from "../shop/index.ts";
import type { Chance } from "./chance.ts";
import { bendOf, leastChipOf, loadOf, type Taken } from "./load.ts";
import type { OnTheTable } from "./on-the-table.ts";
import type { Report } from "./report.ts";
import type { Region, Solid, Vec } from "./solid.ts";
import type { Spindle } from "./spindle.ts";
import { sweptBy, wayInPlan } from "./swept.ts";
import { joined, middleOf, type Removed, type Workpiece } from "./workpiece.ts";

/** More than told by less than this is what touching and rounding leave, mm and share. */
const spare = { mm: 0.15, share: 1.15 };
/** How far a head is usually out of tram, mm over mm (guess; domain.md 4). */
const usualTram = { rise: 0.02, over: 150 };
/** A cutter's end out of tram is cut with in so many strips across its way. */
const strips = 5;
/** Two ways of working out the power of a cut differ by less than this. */
const morePower = { share: 1.6, kw: 0.03 };
/** They feed along their axis: no chip of a milling cutter. */
const turning = new Set(["tap", "reamer", "twistDrill", "spotDrill", "counterbore"]);

/** What a stroke sideways takes: as high and as wide as it is. */
const sideways = ({ height, across }: Removed) => ({ ap: height, ae: across, down: null });

/** What a stroke straight down takes: as much as lies under the end, all round it or at one side. */
function fromAbove({ volume, height, across, bounds: { min, max } }: Removed, { radius }: Tool, at: Vec) {
  const area = volume / Math.max(height, 0.01);
  const round = [0, 1].every((i) => Math.abs((min[i]! + max[i]!) / 2 - at[i]!) < 0.1 * radius);
  return {
    ap: area / Math.max(across, 0.01),
    ae: across,
    down: round ? 1 : Math.min(1, area / (Math.PI * radius ** 2)),
  };
}

export interface StrokesAsked {
  table: OnTheTable;
  spindle: Spindle;
  report: Report;
  machine: Machine;
  material: Material;
  chance: Chance;
}

/** Lower than this a floor is that of the level above, or what a new zero leaves of it, mm (guess). */
const skinOfLevel = 0.2;

/** Less than this is a crumb between two rounds, which the cutter brushes off, mm³ (guess). */
const crumb = 1;

/** Straight ways of the tool through whatever is there: what it hits, what it takes away, and whether that was told. */
export class Strokes {
  readonly #table: OnTheTable;
  readonly #spindle: Spindle;
  readonly #report: Report;
  readonly #machine: Machine;
  readonly #material: Material;
  /** Slope of the cutter's end along X and across it, by the head out of tram. */
  readonly #tram: { x: number; y: number };

  constructor({ table, spindle, report, machine, material, chance }: StrokesAsked) {
    this.#table = table;
    this.#spindle = spindle;
    this.#report = report;
    this.#machine = machine;
    this.#material = material;
    const { tramAlong, tramAcross, tramSweep } = machine;
    const usual = () => chance.about(usualTram.rise) / usualTram.over;
    this.#tram = {
      x: tramAlong === null ? usual() : tramAlong / tramSweep,
      y: tramAcross === null ? usual() : tramAcross / tramSweep,
    };
  }

  get #piece(): Workpiece {
    return this.#table.held!.piece;
  }

  /** A round in plan from one place to another. */
  #plan(from: Vec, to: Vec, radius: Mm): Region {
    return this.#table.kit.region([wayInPlan([from[0], from[1]], [to[0], to[1]], radius)]);
  }

  /** Whether anything of the tool meets what stands on the table. */
  #collide(tool: Tool, from: Vec, to: Vec): void {
    const low = Math.min(from[2], to[2]);
    const reach = Math.max(...tool.above.map((r) => r.radiusHigh), tool.radius);
    for (const { name, solid, bounds: b } of this.#table.bodies) {
      const apart =
        b.max[0] < Math.min(from[0], to[0]) - reach ||
        b.min[0] > Math.max(from[0], to[0]) + reach ||
        b.max[1] < Math.min(from[1], to[1]) - reach ||
        b.min[1] > Math.max(from[1], to[1]) + reach ||
        b.max[2] < low;
      if (apart) continue;
      for (const round of [...tool.cutting, ...tool.above]) {
        if (b.max[2] < low + round.low) continue;
        const met = sweptBy(round, from, to, this.#table.kit).within(solid);
        if (met.volume < 0.02) continue;
        const { min, max } = met.bounds;
        const deep = Math.min(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
        if (deep > 0.02) this.#report.find("hits", deep, `${round.what} | ${name}`, middleOf(met.bounds));
      }
    }
  }

  /** Shank and holder against metal that still stands. */
  #shank(tool: Tool, from: Vec, to: Vec): void {
    const low = Math.min(from[2], to[2]);
    const top = this.#piece.around.max[2];
    // Straight down the cutter has cut its own room for what follows it.
    const down = tool.flat && Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-6;
    for (const round of tool.above) {
      if (low + round.low >= top - 0.05) continue;
      const radius = Math.max(round.radiusLow, round.radiusHigh) - 0.05;
      if (down && radius <= tool.radius) continue;
      const met = this.#piece.over(this.#plan(from, to, radius), low + round.low, low + round.high);
      if (!met) continue;
      const deep = Math.min(met.across, met.height);
      if (deep > 0.05) this.#report.find("shank", deep, round.what, middleOf(met.bounds));
    }
  }

  /** Takes metal away on a straight way of the cutter. */
  #remove(tool: Tool, from: Vec, to: Vec): Removed | null {
    const piece = this.#piece;
    const toward = Math.atan2(to[1] - from[1], to[0] - from[0]);
    const z = Math.min(from[2], to[2]);
    if (tool.cutter.kind === "tap") return null;
    this.#remember(tool, from, to);
    if (tool.flat && this.#report.now.do === "pass" && tool.radius >= 8)
      return this.#sweepFace(tool, from, to, z);
    if (tool.flat) return piece.cutAbove(this.#plan(from, to, tool.radius), z, toward);
    const { kit } = this.#table;
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
      const region = this.#table.kit.region([
        [
          [x0, y0],
          [x1, y0],
          [x1, y1],
          [x0, y1],
        ],
      ]);
      removed.push(...[this.#piece.cutAbove(region, z + up, toward)].filter((r) => r !== null));
    }
    return joined(removed);
  }

  #remember(tool: Tool, from: Vec, to: Vec): void {
    const r = tool.radius;
    const low: Vec = [Math.min(from[0], to[0]) - r, Math.min(from[1], to[1]) - r, Math.min(from[2], to[2])];
    const high: Vec = [
      Math.max(from[0], to[0]) + r,
      Math.max(from[1], to[1]) + r,
      Math.max(from[2], to[2]) + tool.flute + 200,
    ];
    this.#report.stroke({ low, high }, this.#table.held!.pose);
  }

  /** At rapid the tool may touch nothing; fed, no more than the skin that another zero left of what is cut already. */
  rapid(tool: Tool | null, from: Vec, to: Vec, fed: boolean): void {
    if (!tool) return;
    this.#collide(tool, from, to);
    const before = this.#piece.over(
      this.#plan(from, to, tool.radius - 0.02),
      Math.min(from[2], to[2]) + 0.02,
      Math.max(from[2], to[2]) + tool.flute,
      Math.atan2(to[1] - from[1], to[0] - from[0]),
    );
    if (!before) return;
    const deep = Math.min(before.across, before.height);
    if (deep <= (fed ? skinOfLevel : 0.06) || before.volume < crumb) return;
    this.#report.find("ploughs", deep, tool.cutter.name, middleOf(before.bounds));
    this.#remove(tool, from, to);
  }

  /** Feeds through metal: it may touch nothing but what it cuts, and takes away what is there. */
  feed(
    tool: Tool,
    from: Vec,
    to: Vec,
    told: { vf: number | null; rpm: number | null; power: number | null; spring: boolean },
  ): Removed | null {
    this.#collide(tool, from, to);
    this.#shank(tool, from, to);
    const removed = this.#remove(tool, from, to);
    const rpm = told.rpm ?? this.#spindle.rpm;
    if (removed && told.vf && rpm > 0 && !told.spring) {
      const fz = told.vf / (rpm * tool.cutter.teeth);
      const least = leastChipOf(tool.cutter);
      const straight = Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-6;
      // Straight down a skin is through before the cutter is in.
      if (!turning.has(tool.cutter.kind) && !(straight && removed.height < skinOfLevel)) {
        if (fz < least - 5e-4) this.#report.find("rubs", least - fz, tool.cutter.name);
        const cut = { ...(straight ? fromAbove(removed, tool, to) : sideways(removed)), vf: told.vf, rpm };
        const { power, share } = loadOf(cut, tool.cutter, this.#material, this.#machine);
        const at = middleOf(removed.bounds);
        if (share > spare.share) this.#report.find("tooHard", share, `${tool.cutter.name} | the machine`, at);
        if (told.power !== null && power > told.power * morePower.share + morePower.kw)
          this.#report.find("tooHard", power / told.power, `${tool.cutter.name} | the plan`, at);
      }
    }
    return removed;
  }

  /** Says so where more came off than was told. @param spared what is no fault besides, mm */
  tooMuch(is: Mm, told: Mm, what: "deep" | "wide", at: Vec, spared: Mm = 0): void {
    if (is > told * spare.share + spare.mm + spared)
      this.#report.find("tooMuch", is - told, what, at, { told });
  }

  /** A cutter without teeth at its center, told straight down: whether it meets metal there. */
  plunges(tool: Tool, from: Vec, to: Vec): void {
    const { kind, centerCutting, name } = tool.cutter;
    if (centerCutting || !tool.flat || ["counterbore", "reamer", "boringHead"].includes(kind)) return;
    const met = this.#piece.over(this.#plan(to, to, tool.radius * 0.25), to[2], from[2]);
    const deep = met ? met.bounds.max[2] - to[2] : 0;
    // What rounding leaves of the level above is no metal to be drilled.
    if (deep > skinOfLevel) this.#report.find("plunge", deep, name, to);
  }

  /** How far a cutter is pushed off a wall, mm. */
  bend(taken: Taken, tool: Tool): Mm {
    return bendOf(taken, tool.cutter, this.#material, this.#machine);
  }

  /** A light cut along a wall pushes the cutter off it: by so much it stays out. */
  pushedOff(
    tool: Tool,
    from: Vec,
    to: Vec,
    { limits, vf, rpm }: { limits: { across: Mm } | null; vf: number | null; rpm: number | null },
  ): [Vec, Vec] {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    if (!tool.flat || !limits || !vf || long < 1e-6 || limits.across >= tool.radius) return [from, to];
    const z = Math.min(from[2], to[2]);
    const toward = Math.atan2(dy, dx);
    const metal = this.#piece.over(this.#plan(from, to, tool.radius), z, z + tool.flute, toward);
    if (!metal || metal.across >= tool.radius) return [from, to];
    const taken = { ap: metal.height, ae: metal.across, down: null, vf, rpm: rpm ?? this.#spindle.rpm };
    const bend = this.bend(taken, tool);
    const middle = middleOf(metal.bounds);
    const left = dx * (middle[1] - from[1]) - dy * (middle[0] - from[0]) > 0 ? 1 : -1;
    const off = (p: Vec): Vec => [p[0] + (left * bend * dy) / long, p[1] - (left * bend * dx) / long, p[2]];
    return [off(from), off(to)];
  }
}
