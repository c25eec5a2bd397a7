import type { Mm } from "../quantity/index.ts";
import type { Machine } from "../shop/index.ts";
import { Handle } from "./handle.ts";
import type { Report } from "./report.ts";
import type { Vec } from "./solid.ts";
import type { MachineAxis } from "./told.ts";

const all = ["x", "y", "z"] as const satisfies readonly MachineAxis[];

/** The three handles, and how far each went since the part was placed. */
export class Axes {
  readonly x: Handle;
  readonly y: Handle;
  readonly z: Handle;
  readonly #machine: Machine;
  readonly #report: Report;
  #went = new Map<MachineAxis, [Mm, Mm]>();

  constructor(machine: Machine, report: Report) {
    this.#machine = machine;
    this.#report = report;
    this.x = new Handle(machine.axes.x, false);
    this.y = new Handle(machine.axes.y, false);
    // Knee or head lie on their screw: its slack is always on the same side.
    this.z = new Handle(machine.axes.z, true);
  }

  get here(): Vec {
    return [this.x.at, this.y.at, this.z.at];
  }

  stale(...axes: MachineAxis[]): void {
    for (const axis of axes) this[axis].good = false;
  }

  /** Another part, another place: every zero is gone. */
  begin(): void {
    this.#went = new Map();
    this.stale(...all);
  }

  /**
   * Whether the machine reaches where it stands.
   * @param reach from the end of the cutter to the spindle nose
   * @param bed the height of Z 0 above the table
   */
  travelled(reach: Mm, bed: Mm): void {
    const { travel, daylight } = this.#machine;
    for (const axis of all) {
      const { at } = this[axis];
      const [low, high] = this.#went.get(axis) ?? [at, at];
      this.#went.set(axis, [Math.min(low, at), Math.max(high, at)]);
      const far = Math.max(high, at) - Math.min(low, at);
      if (far > travel[axis] + 0.5)
        this.#report.find("reach", far - travel[axis], `${axis.toUpperCase()} travel`);
    }
    const nose = this.z.at + reach + bed;
    if (nose > daylight + 0.5) this.#report.find("reach", nose - daylight, "daylight");
  }
}
