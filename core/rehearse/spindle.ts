import { type Cutter, type Machine, type Shop, type Tool, setTo, toolOf } from "../shop/index.ts";
import type { Report } from "./report.ts";
import type { Told } from "./told.ts";

/** An edge finder at more than this flies off, rpm. */
const fastestFinder = 1200;

/** What is in the spindle, how fast and which way it turns, how far the head is tilted. */
export class Spindle {
  tool: Tool | null = null;
  tilt = 0;
  readonly #shop: Shop;
  readonly #machine: Machine;
  readonly #report: Report;
  #rpm = 0;
  #turns: Extract<Told, { do: "fit" }>["turns"] = null;

  constructor(shop: Shop, machine: Machine, report: Report) {
    this.#shop = shop;
    this.#machine = machine;
    this.#report = report;
  }

  get rpm(): number {
    return this.#rpm;
  }

  cutter(id: string): Cutter | undefined {
    return this.#shop.cutters.find((c) => c.id === id);
  }

  #named(id: string): string {
    return this.cutter(id)?.name ?? id;
  }

  /** @returns whether another tool went in */
  fit(told: Extract<Told, { do: "fit" }>): boolean {
    const cutter = this.cutter(told.cutter);
    const other = cutter !== undefined && this.tool?.cutter.id !== cutter.id;
    if (told.upright) this.tilt = 0;
    // What stays in stays as it was set.
    if (other || !cutter) this.tool = cutter ? toolOf(cutter, this.#shop) : null;
    this.#rpm = told.rpm ?? 0;
    this.#turns = told.turns;
    const above = told.turns?.seen === "from above";
    const left = cutter?.hand === "left";
    // Seen from above a right-hand cutter turns clockwise; on an arbor that feeds against it, counterclockwise from its outer end.
    const good = told.turns?.way === (above === left ? "counterclockwise" : "clockwise");
    if (this.#machine.kind === "horizontal" && above)
      this.#report.find("wrongWay", 0, "a spindle that lies, told from above");
    else if (cutter && told.turns && !good)
      this.#report.find("wrongWay", 0, `${cutter.name}, which is ${left ? "left" : "right"}-handed`);
    return other;
  }

  /** Opens a boring head. @param from the hole its tip is set to, mm; null to go on from where it stands */
  open(id: string, from: number | null, by: number): void {
    if (this.tool?.cutter.id !== id) return;
    const is = from ?? 2 * this.tool.radius;
    this.tool = toolOf(setTo(this.tool.cutter, is + by), this.#shop);
  }

  /** The tool that a cut is told with, as it stands there. */
  ready(cutter: string, rpm: number | null): Tool | null {
    if (this.tool?.cutter.id !== cutter)
      this.#report.find("otherTool", 0, `${this.#named(cutter)} | ${this.tool?.cutter.name ?? "nothing"}`);
    // A tap is turned by hand.
    if (this.tool?.cutter.kind === "tap" && this.#rpm <= 0) return this.tool;
    if (this.#rpm <= 0 || this.#turns === null) this.#report.find("stopped", 0, this.#named(cutter));
    else if (rpm !== null && Math.abs(rpm - this.#rpm) > 0.5)
      this.#report.find("otherSpeed", rpm - this.#rpm, `${rpm} | ${this.#rpm}`);
    return this.tool;
  }

  /** Whether what a zero is touched with can be there. @returns the radius that touches, mm */
  touching(tool: Extract<Told, { do: "zero" }>["tool"]): number {
    const inside = this.tool?.cutter ?? null;
    const named = tool.kind === "cutter" ? this.#named(tool.id) : `the ${tool.kind}`;
    const wrong = tool.kind === "cutter" ? inside?.id !== tool.id : tool.kind !== "pin" && inside !== null;
    if (wrong) this.#report.find("zeroTool", 0, `${named} | ${inside?.name ?? "nothing"}`);
    if (tool.kind === "finder" && this.#rpm > fastestFinder)
      this.#report.find("finderFast", this.#rpm, String(this.#rpm));
    if (tool.kind !== "cutter") return tool.diameter / 2;
    const cutter = this.cutter(tool.id);
    return cutter ? toolOf(cutter, this.#shop).radius : 0;
  }
}
