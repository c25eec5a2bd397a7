import type { Material } from "../handbook/index.ts";
import type { Part } from "../part/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Machine, Shop, Vise } from "../shop/index.ts";
import { Axes } from "./axes.ts";
import type { Chance } from "./chance.ts";
import type { Finding } from "./finding.ts";
import type { HoldingErrors } from "./fixture.ts";
import type { Workpart } from "./lump.ts";
import { OnTheTable } from "./on-the-table.ts";
import { alongWall, lanesOver } from "./passes.ts";
import { Reading } from "./reading.ts";
import { Report, type Stroke } from "./report.ts";
import type { SolidKit } from "./solid.ts";
import { Spindle } from "./spindle.ts";
import { Strokes } from "./strokes.ts";
import type { MachineAxis, Told, ToldSize } from "./told.ts";
import { middleOf } from "./workpiece.ts";
import { takeZero } from "./zeroing.ts";

/** So far past a stop a hand goes that is told to come back to it from one side, mm. */
const pastSlack = 1;
/** What is lower than this loads no cutter, however wide it is, mm. */
const thinnestCut = 0.03;
/** So many passes for nothing, and a person stops. */
const mostIdle = 8;

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
  /** How far out certain things are; the rest is drawn. */
  planted?: Partial<HoldingErrors>;
}

/** Where a light way ends in a corner the round of the wall ahead is cut as well, as thick as the wall beside; mm². */
const aheadInCorner = (thick: Mm, radius: Mm): number => (thick < radius ? thick * radius : 0);

/** Sideways no more than this is told of a pass that is light, mm: as much as touching and rounding leave. */
const lightPass = 0.15;
/** Straight down beside a wall a cutter finds no more than what was left for the finish, or nothing, mm. */
const finishLeft = 0.25;
/** A move that takes no longer may find nothing: what it was told for was a sliver, minutes. */
const soon = 0.1;

/**
 * A person at the machine who knows nothing but what is told. It puts in what it is told to put in, turns the handles to the
 * figures it is told, with slack, zeros and tools as they are, and finds what comes of it. The metal is a body.
 */
export class LiteralMachine {
  readonly #a: MachineAsked;
  readonly #report = new Report();
  #axes!: Axes;
  readonly #table: OnTheTable;
  #spindle!: Spindle;
  #strokes!: Strokes;
  readonly #reading: Reading;
  /** How much thicker than told the paper is, mm. */
  readonly #paper: Mm;
  /** Passes one after the other that removed nothing. */
  #idle = 0;

  /** The machine owns the body of the part from here on: `drop` lets it go. */
  constructor(asked: MachineAsked) {
    const { part, vise, kit, chance, shop, machine, drawing, planted } = asked;
    this.#a = asked;
    this.#table = new OnTheTable(part, vise, kit, chance, this.#report, planted);
    this.carriedTo(machine);
    this.#reading = new Reading(this.#table, drawing, shop, chance);
    this.#paper = chance.about(0.01);
  }

  /** Goes on at another machine: nothing is in its spindle, and it knows no zero. The vise is bolted down as it was. */
  carriedTo(machine: Machine): void {
    const { shop, material, chance } = this.#a;
    this.#axes = new Axes(machine, this.#report);
    this.#spindle = new Spindle(shop, machine, this.#report);
    this.#strokes = new Strokes({
      table: this.#table,
      spindle: this.#spindle,
      report: this.#report,
      machine,
      material,
      chance,
    });
  }

  get findings(): readonly Finding[] {
    return this.#report.findings;
  }
  get strokes(): readonly Stroke[] {
    return this.#report.strokes;
  }

  /** The part in its own frame, as it is now. It belongs to the present scope. */
  get part(): Workpart {
    return this.#table.part;
  }

  /** A size as it really is; null where it cannot be told by straight ways through the body. */
  trueSize(size: ToldSize): Mm | null {
    return this.#reading.size(size);
  }

  /** A person gives up here: pass after pass is told, and nothing comes off. */
  get lost(): boolean {
    return this.#idle >= mostIdle;
  }

  /** What a person has to say when a collar slipped, a clamp was touched, the readout went off. */
  upset(cause: "moved" | "cutter" | "knee" | "restarted"): void {
    if (cause === "moved" || cause === "restarted") this.#axes.stale("x", "y", "z");
    else this.#axes.stale("z");
  }

  /** Lets everything go that it holds. */
  drop(): void {
    this.#table.drop();
  }

  /**
   * Does what one instruction says.
   * @returns what was read, where it asks for a reading; whether the face is clean, where it asks for that
   */
  obey(told: Told): { reading: Mm } | { clean: boolean } | null {
    this.#report.now = told;
    return this.#a.kit.scope(() => {
      switch (told.do) {
        case "place":
          this.#table.place(told);
          this.#axes.begin();
          break;
        case "swap":
          this.#table.swap(told.straps);
          break;
        case "clamp":
          this.#table.clamp(told.grip, told.loose);
          break;
        case "take out":
          this.#table.takeOut(told.things, told.part);
          if (told.part) this.#axes.begin();
          break;
        case "fit":
          if (this.#spindle.fit(told)) this.#axes.stale("z");
          break;
        case "open head":
          this.#spindle.open(told.cutter, told.from, told.by);
          break;
        case "tilt head":
          this.#spindle.tilt = told.degrees;
          this.#axes.stale("x", "y", "z");
          break;
        case "zero":
          takeZero(
            told,
            { table: this.#table, axes: this.#axes, spindle: this.#spindle, report: this.#report },
            this.#paper,
          );
          break;
        case "pass":
          this.#pass(told);
          break;
        case "move":
          this.#move(told);
          break;
        case "read":
          return { reading: this.#reading.read(told.size, told.expected) };
        case "look":
          return { clean: this.#reading.isClean(told.face) };
        case "by hand":
          this.#reading.file(told.feature);
          break;
        case "other":
          break;
      }
      return null;
    });
  }

  /** Whether axes may be used: a stale zero is told, and one that was never taken leads nowhere. */
  #usable(axes: readonly MachineAxis[]): boolean {
    for (const axis of axes) if (!this.#axes[axis].good) this.#report.find("stale", 0, axis);
    return axes.every((axis) => this.#axes[axis].known);
  }

  #pass(told: Extract<Told, { do: "pass" }>): void {
    const [table, axes, strokes, report] = [this.#table, this.#axes, this.#strokes, this.#report];
    if (!table.held) return report.find("onAir", 0, "no part is held");
    const tool = this.#spindle.ready(told.cutter, told.rpm);
    const turned = told.down === null ? [told.axis] : ([told.axis, "z"] as const);
    if (!tool || !this.#usable(turned)) return;
    const side = told.by === "side";
    const before = table.held.piece.bounds;
    const ways =
      told.axis !== "z"
        ? alongWall({ ...told, axis: told.axis }, tool, {
            table,
            axes,
            strokes,
            report,
          })
        : lanesOver(told, tool, table, axes);
    let cutAny = false;
    for (const [from, to] of ways) {
      const removed = strokes.feed(tool, from, to, told);
      if (!removed) continue;
      cutAny = true;
      const { height, across } = removed;
      const at = middleOf(removed.bounds);
      strokes.tooMuch(side ? across : height, told.depth, "deep", at);
      // On a raw face a lane may be wider and as much thinner: it asks no more of the cutter.
      if (side || height * across > told.depth * told.width)
        strokes.tooMuch(side ? height : across, told.width, "wide", at);
    }
    this.#idle = cutAny || told.spring || told.dye !== null ? 0 : this.#idle + 1;
    if (this.#idle > 0) report.find("nothing", told.depth, told.axis, middleOf(before));
    if (this.lost) report.find("endless", told.depth, told.axis, middleOf(before));
    if (cutAny) table.faceCut(told.face, told.by);
    axes.z.moveTo(table.clearHeight);
  }

  #move(told: Extract<Told, { do: "move" }>): void {
    const [table, axes, strokes, report] = [this.#table, this.#axes, this.#strokes, this.#report];
    if (!table.held) return report.find("onAir", 0, "no part is held");
    if (this.#spindle.tilt !== 0) return report.find("notTold", 0, "head tilted");
    const tool = told.how === "go" ? this.#spindle.tool : this.#spindle.ready(told.cutter, told.rpm);
    const turned = (["x", "y", "z"] as const).filter((axis) => told.to[axis] !== undefined);
    if (!this.#usable(turned) || !tool) return;
    if (told.how === "go") axes.z.moveTo(table.clearHeight);
    const from = axes.here;
    for (const axis of turned) {
      const last = told.approach[axis];
      if (last !== undefined) axes[axis].moveToReading(told.to[axis]! - last * pastSlack);
      const error = axes[axis].moveToReading(told.to[axis]!, told.counted[axis]);
      const matters = told.how !== "go" || told.exact < 0.3;
      if (matters && Math.abs(error) > Math.max(0.02, told.exact))
        report.find("slack", error, axis, axes.here);
    }
    const to = axes.here;
    axes.travelled(tool.reach, table.bed);
    if (!told.cuts) return strokes.rapid(tool, from, to, told.how === "feed");
    const down = told.how === "down";
    if (down) strokes.plunges(tool, from, to);
    const [start, end] = strokes.pushedOff(tool, from, to, told);
    const removed = strokes.feed(tool, start, end, told);
    if (!removed) {
      // A pass that thin may find that the one before, pushed off less, left nothing.
      const light = told.limits !== null && told.limits.across <= (down ? finishLeft : lightPass);
      if (told.minutes > soon && tool.cutter.kind !== "tap" && !told.spring && !light)
        report.find("nothing", 0, told.how, to);
      return;
    }
    // A skin that a new zero leaves is no width of a cut.
    // A sliver that springs back from the pass before loads nothing, however tall it stands or however wide.
    if (!told.limits || down || Math.min(removed.height, removed.across, removed.along) < thinnestCut) return;
    const at = middleOf(removed.bounds);
    const { across, along } = told.limits;
    const ahead = aheadInCorner(across, tool.radius) / removed.along;
    // Wider and as much thinner, such as the skin of a floor that a new zero leaves, asks no more of the cutter.
    if (removed.across * removed.height > across * along)
      strokes.tooMuch(removed.across, across, "wide", at, ahead);
    strokes.tooMuch(removed.height, along, "deep", at);
  }
}
