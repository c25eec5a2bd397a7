import { axisSchema, faceSchema } from "../frame/index.ts";
import { lengthUnitSchema } from "../quantity/index.ts";
import { anyKeySchema, featureKeySchema, toldSchema } from "../route/index.ts";
import { operationKeySchema } from "../squaring/index.ts";
import { partsOfFace, readingWaySchema } from "../inspect/index.ts";
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

const third = z.union([z.literal(-1), z.literal(0), z.literal(1)]);
const spotSchema = z.object({ x: third, y: third });

const degrees = z.number().min(-30).max(120);
const temperaturesSchema = z.object({ part: degrees, instrument: degrees });

export const gaugeAnswers = ["passes", "tight", "loose"] as const;
export type GaugeAnswer = (typeof gaugeAnswers)[number];

/** Where along it a fit binds or shakes. */
export const fitPlaces = ["all along", "one end", "the middle", "the other end"] as const;
export type FitPlace = (typeof fitPlaces)[number];

/** What is done to a surface by hand. */
export const handWays = ["filed", "stoned", "sanded", "polished"] as const;
export type HandWay = (typeof handWays)[number];

/** More than this no indicator shows, mm. */
export const farthestRun = 100;

/** No table of a manual mill goes further, mm. */
export const farthestStop = 5000;

/** The piece whose setting was left standing for this one; left out where it was set anew. */
const keptFrom = z.number().int().positive().optional();

const eventSchema = z.discriminatedUnion("type", [
  /** An operation begins: its seat, tool and conditions as told are facts from here on. */
  z.object({
    type: z.literal("begun"),
    op: anyOp,
    told: toldSchema,
    /** The piece that lies in the vise with it; left out where it is alone. */
    with: z.number().int().positive().optional(),
  }),
  z.object({ type: z.literal("tick"), op: anyOp, tick: z.string(), keptFrom }),
  /** Zero taken; mm. `medium` is the paper. */
  z.object({ type: z.literal("touched"), op, sizeAtZero: z.number(), medium: z.number(), keptFrom }),
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
    /** Where on the face it was read, seen from above as the part lay; nobody said where it is left out. */
    spot: spotSchema.optional(),
    /** Temperatures of part and instrument when it was read, °C; as in the room where nobody said. */
    temperatures: temperaturesSchema.optional(),
    /** Read while it was clamped, or after it was let go; left out where that does not matter. */
    held: z.enum(["clamped", "free"]).optional(),
    /** It is no more than this: no light under a square, a feeler that does not go. */
    atMost: z.boolean().optional(),
    /** Of a squareness: whether the corner is more than square or less. */
    corner: z.enum(["open", "closed"]).optional(),
    /** What it was compared with: a gauge block or pin, by its id. */
    against: z.string().optional(),
    /** How the size was come at where the instrument showed something else; `written` is what it showed. */
    way: readingWaySchema.optional(),
  }),
  /** Measuring after so many passes is finished, or was left out. */
  z.object({ type: z.literal("measured"), op: anyOp, after: z.number().int(), skipped: z.boolean() }),
  /** Whether a face is clean; where not, which parts of it are still raw, seen from above as it lay, and how deep they lie, mm. */
  z.object({
    type: z.literal("cleanup"),
    op,
    clean: z.boolean(),
    raw: z.array(spotSchema).max(partsOfFace.length).optional(),
    deep: z.number().positive().max(farthestRun).optional(),
  }),
  /** A decision changed after the first cut. */
  z.object({ type: z.literal("changed"), changes: z.array(changeSchema), reason: z.string() }),
  z.object({ type: z.literal("note"), text: z.string() }),
  /** The piece will never be good: why. */
  z.object({ type: z.literal("scrapped"), reason: z.string() }),
  /** What is not good was accepted as it is, by whoever may: why. A later reading of it asks anew. */
  z.object({
    type: z.literal("accepted"),
    of: z.union([readingOfSchema, z.literal("parallelism")]),
    reason: z.string().min(1),
  }),
  /** An indicator run along what is being aligned, before its tick: as it read at both ends, mm. */
  z.object({
    type: z.literal("aligned"),
    op: anyOp,
    tick: z.string(),
    start: z.number().min(-farthestRun).max(farthestRun),
    end: z.number().min(-farthestRun).max(farthestRun),
  }),
  /** A gauge, a plate or the mate tried: it passes, is too tight or rough, or too loose. */
  z.object({
    type: z.literal("gauged"),
    of: readingOfSchema,
    answer: z.enum(gaugeAnswers),
    instrument: z.string(),
    /** The most play that a feeler or an indicator found in a fit, mm, and where it binds or shakes. */
    play: z.number().min(0).max(farthestRun).optional(),
    where: z.enum(fitPlaces).optional(),
  }),
  /** Where X read with the spindle over the stop of a setup, mm: other pieces go back there to see whether it still stands so. */
  z.object({
    type: z.literal("stopAt"),
    op: anyOp,
    value: z.number().min(-farthestStop).max(farthestStop),
    written: z.object({ text: z.string(), unit: lengthUnitSchema }),
  }),
  /** Worked by hand: what was read of it before counts no more. */
  z.object({ type: z.literal("byHand"), of: readingOfSchema, how: z.enum(handWays) }),
  /** What is not good goes back to the machine: the operation that cuts it once more, and how much too much was read, mm. */
  z.object({
    type: z.literal("rework"),
    of: readingOfSchema,
    op: anyOp,
    from: z.number(),
    left: z.number(),
    /** Size it is cut to, mm, where an error of form is cut away and not down to the drawn size. */
    to: z.number().positive().optional(),
    /** The face it has to come square to: that one goes to the fixed jaw. */
    against: faceSchema.optional(),
  }),
  /** Takes back an earlier record by its id: records are never erased. */
  z.object({ type: z.literal("withdrawn"), of: z.string(), reason: z.string().optional() }),
]);
/** What happened, before it has a place in the sequence. */
export type RecordEvent = z.infer<typeof eventSchema>;

const stampSchema = z.object({
  /** The device it was written on and its number there: the same wherever it is carried. */
  id: z.string().min(1),
  /** The newest record that was known where it was written; null for the first. */
  follows: z.string().nullable(),
  /** ISO time it was written. */
  at: z.string(),
  /** Who, for the change log; may be empty. */
  by: z.string(),
  piece: z.number().int().positive(),
});

export const recordSchema = z.intersection(stampSchema, eventSchema);
/** A record as it is kept and carried between devices. */
export type KeptRecord = z.infer<typeof recordSchema>;
/** A record in its place among those known here: the order that counts, not the clock. */
export type Record = KeptRecord & { seq: number };

/** A record without its place: as it is kept and carried. */
export function unplaced({ seq: _, ...record }: Record): KeptRecord {
  return record;
}

/** Records that still count, in sequence. A withdrawal can itself be withdrawn. */
export function effective(records: Record[]): Record[] {
  const bySeq = [...records].sort((a, b) => a.seq - b.seq);
  const gone = new Set<string>();
  for (const record of bySeq.toReversed()) {
    if (record.type === "withdrawn" && !gone.has(record.id)) gone.add(record.of);
  }
  return bySeq.filter((record) => !gone.has(record.id) && record.type !== "withdrawn");
}

/** The tick of a cut that is set by eye. */
export const byEyeTick = "by-eye";

/** The tick by which a part came out of a setup. */
export const partOut = "out-part";

/** Ticks of work at the metal: a move, a cut once more, by eye, handwork. */
export const isCutTick = (tick: string): boolean =>
  /^(?:move|again)-/.test(tick) || tick === "filed" || tick === byEyeTick;

/** Whether metal was cut, of a face or of a feature: the one meaning of it in the house. */
export const cutsMetal = (record: Record): boolean =>
  record.type === "cut" || (record.type === "tick" && isCutTick(record.tick));

/** Records with events put after them, all at one time and by nobody: for whoever walks a job without a store. */
export function appended(records: readonly Record[], ...events: RecordEvent[]): Record[] {
  const walked = [...records];
  for (const event of events) {
    const last = walked.at(-1);
    const seq = (last?.seq ?? 0) + 1;
    walked.push({
      seq,
      id: recordId("walk", seq),
      follows: last?.id ?? null,
      at: "1970-01-01T00:00:00.000Z",
      by: "",
      piece: 1,
      ...event,
    });
  }
  return walked;
}

/** The id of the nth record a device wrote for a job. */
export const recordId = (device: string, n: number): string => `${device}.${n}`;

/** Device and number of a record's id; number 0 where it has none. */
export function writtenOn({ id }: Pick<KeptRecord, "id">): { device: string; n: number } {
  const at = id.lastIndexOf(".");
  const n = Number(id.slice(at + 1));
  return at > 0 && Number.isInteger(n) ? { device: id.slice(0, at), n } : { device: id, n: 0 };
}
