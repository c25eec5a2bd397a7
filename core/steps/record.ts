import { axisSchema } from "../frame/index.ts";
import { lengthUnitSchema } from "../quantity/index.ts";
import { anyKeySchema, featureKeySchema, toldSchema } from "../route/index.ts";
import { operationKeySchema } from "../squaring/index.ts";
import * as z from "../zod.ts";

/** A change of a decision: the value at a path, from and to. Paths are slash-separated keys of the job. */
export const changeSchema = z.object({ path: z.string().min(1), from: z.json(), to: z.json() });
export type Change = z.infer<typeof changeSchema>;

export const staleCauses = ["moved", "cutter", "knee", "restarted"] as const;
export type StaleCause = (typeof staleCauses)[number];

const op = operationKeySchema;
const anyOp = anyKeySchema;
/** What a reading is of: a size of the block, squareness as the largest gap over 100 mm, or a size of a feature by its id. */
export const readingOfSchema = z.union([axisSchema, z.literal("squareness"), featureKeySchema]);
export type ReadingOf = z.infer<typeof readingOfSchema>;

const eventSchema = z.discriminatedUnion("type", [
  /** An operation begins: its seat, tool and conditions as told are facts from here on. */
  z.object({ type: z.literal("begun"), op: anyOp, told: toldSchema }),
  z.object({ type: z.literal("tick"), op: anyOp, tick: z.string() }),
  /** Zero taken; mm. `medium` is the paper. */
  z.object({ type: z.literal("touched"), op, sizeAtZero: z.number(), medium: z.number() }),
  /** Zero no longer trusted (M44). */
  z.object({ type: z.literal("stale"), op: anyOp, cause: z.enum(staleCauses) }),
  /** A pass cut; `stop` is where the cutter stood from zero, mm; `last` that the target was aimed at. */
  z.object({
    type: z.literal("cut"),
    op,
    pass: z.number().int().positive(),
    stop: z.number(),
    last: z.boolean(),
  }),
  z.object({
    type: z.literal("reading"),
    /** The operation it was taken in; null when read at the inspection. */
    op: anyOp.nullable(),
    of: readingOfSchema,
    /** mm */
    value: z.number(),
    written: z.object({ text: z.string(), unit: lengthUnitSchema }),
    instrument: z.string(),
    /** Rule ids of questions the person was asked and answered with "it is so". */
    questioned: z.array(z.string()),
  }),
  /** Measuring after so many passes is finished, or was left out. */
  z.object({ type: z.literal("measured"), op: anyOp, after: z.number().int(), skipped: z.boolean() }),
  z.object({ type: z.literal("cleanup"), op, clean: z.boolean() }),
  /** A decision changed after the first cut. */
  z.object({ type: z.literal("changed"), changes: z.array(changeSchema), reason: z.string() }),
  z.object({ type: z.literal("note"), text: z.string() }),
  /** Takes back an earlier record: records are never erased. */
  z.object({ type: z.literal("withdrawn"), of: z.number().int() }),
]);
/** What happened, before it has a place in the sequence. */
export type RecordEvent = z.infer<typeof eventSchema>;

const stampSchema = z.object({
  /** Place in the job's sequence: the order that counts, not the clock. */
  seq: z.number().int().positive(),
  /** ISO time it was written. */
  at: z.string(),
  /** Who, for the change log; may be empty. */
  by: z.string(),
  piece: z.number().int().positive(),
});

export const recordSchema = z.intersection(stampSchema, eventSchema);
export type Record = z.infer<typeof recordSchema>;

/** Records that still count, in sequence. A withdrawal can itself be withdrawn. */
export function effective(records: Record[]): Record[] {
  const bySeq = [...records].sort((a, b) => a.seq - b.seq);
  const gone = new Set<number>();
  for (const record of bySeq.toReversed()) {
    if (record.type === "withdrawn" && !gone.has(record.seq)) gone.add(record.of);
  }
  return bySeq.filter((record) => !gone.has(record.seq) && record.type !== "withdrawn");
}

/** Ticks of work at the metal: a move, a cut once more, handwork. */
export const isCutTick = (tick: string): boolean => /^(?:move|again)-/.test(tick) || tick === "filed";

/** Whether metal was cut, of a face or of a feature: the one meaning of it in the house. */
export const cutsMetal = (record: Record): boolean =>
  record.type === "cut" || (record.type === "tick" && isCutTick(record.tick));

/** Records with events put after them, all at one time and by nobody: for whoever walks a job without a store. */
export function appended(records: readonly Record[], ...events: RecordEvent[]): Record[] {
  const last = records.at(-1)?.seq ?? 0;
  return [
    ...records,
    ...events.map((event, i): Record => ({
      seq: last + 1 + i,
      at: "1970-01-01T00:00:00.000Z",
      by: "",
      piece: 1,
      ...event,
    })),
  ];
}
