import type { Mm } from "../quantity/index.ts";
import type { AxisScrew } from "../shop/index.ts";

/**
 * One axis as a hand knows it. The cutter stands somewhere over the work; a readout tells where, a collar tells how far the
 * screw was turned. With slack the cutter stands so much further on after a move toward minus: the screw turned back, the table
 * has not followed yet.
 */
export class Handle {
  readonly #slack: Mm;
  readonly #byReadout: boolean;
  /** Where the cutter stands, mm in the machine's frame. */
  at: Mm = 0;
  /** What the screw stands at: where the cutter is with the slack taken up toward plus. */
  #screw: Mm = 0;
  /** Which way it moved last. */
  side: 1 | -1 = 1;
  /** The screw or readout at reading 0, as a place; null while no zero was taken. */
  #zero: Mm | null = null;
  /** From which side it was zeroed. */
  #zeroSide: 1 | -1 = 1;
  /** A zero that may be used. */
  good = false;

  /**
   * @param weighted the weight of knee or head lies on the screw: its slack is always on the same side
   */
  constructor(screw: AxisScrew, weighted: boolean) {
    this.#byReadout = screw.readout !== null;
    this.#slack = this.#byReadout || weighted ? 0 : screw.backlash;
  }

  /** Moves the cutter to a place. */
  moveTo(place: Mm): void {
    if (Math.abs(place - this.at) > 1e-9) {
      this.side = place > this.at ? 1 : -1;
      this.#screw = this.side > 0 ? place : place - this.#slack;
    }
    this.at = place;
  }

  /** Sets the reading of where it stands. */
  set(reading: Mm): void {
    this.#zero = this.#screw - reading;
    this.#zeroSide = this.side;
    this.good = true;
  }

  /** Whether any zero was ever taken: else a reading is no place. */
  get known(): boolean {
    return this.#zero !== null;
  }

  /** Where the cutter comes to stand when the handle is turned until the axis shows a reading. */
  placeOf(reading: Mm): Mm {
    const screw = (this.#zero ?? 0) + reading;
    // Turned the other way the screw first goes through its slack, and nothing moves.
    return screw >= this.#screw ? Math.max(this.at, screw) : Math.min(this.at, screw + this.#slack);
  }

  /**
   * Moves until the axis shows a reading.
   * @param counted slack that was told to be in the reading, mm
   * @returns how far off slack left it, mm
   */
  moveToReading(reading: Mm, counted: Mm = 0): Mm {
    const screw = (this.#zero ?? 0) + reading;
    const place = this.placeOf(reading);
    if (Math.abs(screw - this.#screw) > 1e-9) this.side = screw > this.#screw ? 1 : -1;
    this.#screw = screw;
    this.at = place;
    const meant = screw - counted + (this.#zeroSide < 0 ? this.#slack : 0);
    return place - meant;
  }

  /** What the axis shows. */
  get reading(): Mm {
    return this.#screw - (this.#zero ?? 0);
  }
}
