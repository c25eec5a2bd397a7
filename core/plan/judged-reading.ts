import {
  atReference,
  counting,
  type Doubts,
  doubtsOf,
  isOverdue,
  readingWay,
  type ReadingWayId,
  type Spot,
} from "../inspect/index.ts";
import { type Job, effectivePart, equipment } from "../job/index.ts";
import type { OwnHandbook } from "../handbook/index.ts";
import { type Part, placing } from "../part/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { MeasuredHow, Shop } from "../shop/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";

export type Reading = JobRecord & { type: "reading" };

/** Stands for the machine's own readout or dials, by which a place is compared. */
export const byReadout = "readout";

/** What readings are judged by, whatever piece they are of. */
export interface JudgedBy {
  part: Part;
  shop: Shop;
  /** Of the material, mm per m and °C. */
  expansion: number;
  /** How well the machine's own readout or dials tell a place so far from its edge, mm; null without a machine. */
  placing: ((way: Mm) => Mm) | null;
}

/** A reading as it is judged. */
export interface JudgedReading {
  id: string;
  /** As it is judged: without the error known of the instrument, and at 20 °C; mm. */
  value: Mm;
  /** As it was read, mm. */
  read: Mm;
  instrument: string;
  questioned: string[];
  spot: Spot | null;
  held: "clamped" | "free" | null;
  atMost: boolean;
  /** How the size was come at where the instrument showed something else, and what it showed, as typed. */
  way: { id: ReadingWayId; showed: string } | null;
  u: Mm;
  doubts: Doubts;
  overdue: boolean;
  /** It gave way to what a better instrument said after it. */
  counts: boolean;
}

/** What the readings of a job are judged by: its part, its material and machine, the instruments of the shop. */
export function judgedBy(job: Job, shop: Shop, own?: OwnHandbook): JudgedBy {
  const { machine, material } = equipment(job, shop, own);
  return {
    part: effectivePart(job),
    shop,
    expansion: material?.expansion ?? 0,
    placing: machine ? (way) => placing(machine, way) : null,
  };
}

/** Readings as they are judged, with what leaves each in doubt. */
export function judgedReadings(
  by: readonly Reading[],
  how: MeasuredHow,
  { part, shop, expansion, placing: known }: JudgedBy,
): JudgedReading[] {
  const uOf = (id: string | undefined, value: Mm) =>
    id === byReadout ? (known?.(value) ?? 0) : (shop.instruments.find((i) => i.id === id)?.uncertainty ?? 0);
  const used = by.map((reading): JudgedReading => {
    const { id, of, value, instrument, questioned, spot, temperatures, held, atMost, against, at, way } =
      reading;
    const gain = readingWay(part, of, way)?.gain ?? 1;
    const by = shop.instruments.find((i) => i.id === instrument);
    const overdue = by ? isOverdue(by.lastCheck, by.every, at) : false;
    const doubts = doubtsOf({
      instrument: Math.abs(gain) * uOf(instrument, value),
      overdue,
      reference: uOf(against, value),
      size: value,
      expansion,
      temperatures: temperatures ?? null,
    });
    const is = tidy(value - gain * (by?.error ?? 0));
    return {
      id,
      value: how === "form" ? is : atReference(is, temperatures ?? null, expansion),
      read: value,
      instrument,
      questioned,
      spot: spot ?? null,
      held: held ?? null,
      atMost: atMost ?? false,
      way: way ? { id: way, showed: reading.written.text } : null,
      u: doubts.total,
      doubts,
      overdue,
      counts: true,
    };
  });
  // What was read free says what the part is; clamped it is only the half of the story.
  const free = used.filter((r) => r.held === "free");
  const left = new Set(counting(free.length > 0 ? used.filter((r) => r.held !== "clamped") : used));
  return used.map((r) => ({ ...r, counts: left.has(r) }));
}

/** The mean of the readings that count, mm; null where none does. */
export function meanOf(readings: readonly Pick<JudgedReading, "value" | "counts">[]): Mm | null {
  const values = readings.filter((r) => r.counts).map((r) => r.value);
  return values.length === 0 ? null : tidy(values.reduce((sum, value) => sum + value, 0) / values.length);
}
