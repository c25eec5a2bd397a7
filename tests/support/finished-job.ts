import { axisNames } from "../../core/frame/index.ts";
import { applyChanges, changeOf, type Job, newJob } from "../../core/job/index.ts";
import { type Spot, spotsRound } from "../../core/inspect/index.ts";
import { type Plan, rehearse, type Requirement, reworkOf } from "../../core/plan/index.ts";
import { type Chance, chance, type SolidKit } from "../../core/rehearse/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import {
  appended,
  type ReadingOf,
  type Record as JobRecord,
  type RecordEvent,
} from "../../core/steps/index.ts";
import { type Mm, tidy } from "../../core/quantity/index.ts";
import { dim, featureList, featureOf, read } from "./cheek-block.ts";

/** Six keeper blocks of the Larkmoor winch, made and read: one was scrapped and made again, one cut once more. All is invented. */
const scrapped = 4;
const askew = 3;
const pieces = 7;
/** The end mill of the slots wears: each comes a little narrower than the one before, mm. */
const wear = 0.003;

export function keeperBlocks(): Job {
  const conditions = (["left", "right"] as const).map((f): [string, unknown] => [
    `stock/conditions/${f}`,
    "sawn",
  ]);
  const changes: [string, unknown][] = [
    ["sheet", "Larkmoor winch, sheet 7"],
    ["quantity", 6],
    ["added", pieces - 6],
    ["notes", "Slot comes narrower from piece to piece: change the end mill before the next lot."],
    ["part/material", "steel-low-drawn"],
    ["part/sizes/length", dim("60 ±0.1")],
    ["part/sizes/width", dim("30 ±0.05")],
    ["part/sizes/height", dim("20 ±0.03")],
    ["part/parallelism", 0.03],
    ["part/squareness", 0.05],
    ["stock/form", "coldDrawn"],
    ["stock/measured/length/p1", read(63)],
    ["stock/measured/width/p1", read(33)],
    ["stock/measured/height/p1", read(23)],
    ...(["front", "back", "bottom", "top"] as const).map((f): [string, unknown] => [
      `stock/conditions/${f}`,
      "drawn",
    ]),
    ...conditions,
    [
      "part/features",
      featureList([featureOf("slot", "track", "top", { sizes: { width: "10 ±0.05", depth: "6 ±0.1" } })]),
    ],
  ];
  return changes.reduce(
    (job, [path, to]) => {
      const applied = applyChanges(job, [changeOf(job, path, to)]);
      if (!applied.ok) throw new Error(`keeper blocks: ${path} could not be set`);
      return applied.job;
    },
    newJob("keeper-blocks", "Keeper blocks", "knee", "vise-125"),
  );
}

const reading = (of: ReadingOf, value: Mm, instrument: string, spot?: Spot): RecordEvent => ({
  type: "reading",
  op: null,
  of,
  value,
  written: { text: String(value), unit: "mm" },
  instrument,
  questioned: [],
  ...(spot ? { spot } : {}),
});

const toStep = (value: Mm, step: Mm): Mm => tidy(Math.round(value / step) * step);

/** A size read at the corners, as thick at the right as it lay askew. */
function roundTheFace(of: ReadingOf, is: Mm, draws: Chance, slope: Mm, instrument: string): RecordEvent[] {
  return spotsRound
    .slice(0, 4)
    .map((spot) =>
      reading(of, toStep(is + ((spot.x + 1) / 2) * slope + draws.about(0.002), 0.001), instrument, spot),
    );
}

/** What is read at the plate when a piece comes off the machine. */
function inspected(piece: number, made: Plan, really: (of: Requirement) => Mm | null, draws: Chance) {
  const events: RecordEvent[] = [];
  for (const axis of axisNames) {
    const r = made.requirements.find((q) => q.of === axis)!;
    const is = really(r)!;
    if (axis === "length") events.push(reading(axis, toStep(is, 0.01), "caliper"));
    else if (axis === "width")
      events.push(...roundTheFace(axis, piece === scrapped ? 27.5 : is, draws, 0, "mic-25-50"));
    else events.push(...roundTheFace(axis, is, draws, piece === askew ? 0.045 : 0, "mic-0-25"));
  }
  return [...events, ...readAtTheEnd(draws)];
}

/** What is read last: it hangs on every face. */
const readAtTheEnd = (draws: Chance): RecordEvent[] => [
  reading("squareness", toStep(0.02 + Math.abs(draws.about(0.01)), 0.01), "square-100"),
  reading("track/depth", toStep(6 + draws.about(0.02), 0.01), "depth-mic-50"),
];

/** Everything that was recorded of the keeper blocks, from the first blank to the last reading. */
export function keeperRecords(job: Job, kit: SolidKit): JobRecord[] {
  const kept: JobRecord[] = [];
  let clock = Date.UTC(2026, 9, 5, 7, 30);
  for (let piece = 1; piece <= pieces; piece++) {
    const draws = chance(70 + piece);
    const walked = rehearse({
      job,
      shop: demoShop,
      kit,
      seed: 40 + piece,
      later: (made, really) => {
        const events = inspected(piece, made, really, draws);
        const tall = Math.max(
          ...events.flatMap((e) => (e.type === "reading" && e.of === "height" ? e.value : [])),
        );
        if (piece === askew)
          events.push({
            type: "rework",
            of: "height",
            op: reworkOf("height", made.setups)!,
            from: tall,
            left: tidy(tall - 20),
          });
        if (piece === scrapped)
          events.push({
            type: "scrapped",
            reason: "Width 27.50: one turn of the knee too many at the last pass",
          });
        return { job, events };
      },
    });
    const { records } = walked;
    const all = piece === askew ? appended(records, ...readAtTheEnd(draws)) : records;
    for (const record of all) {
      clock += record.type === "cut" ? 95_000 : 14_000;
      kept.push(atPlace(worn(record, piece), piece, clock, kept));
    }
    clock += 40 * 60_000;
  }
  return kept;
}

/** What each size is read with. */
const readWith: Partial<Record<ReadingOf, string>> = {
  width: "mic-25-50",
  height: "mic-0-25",
  "track/width": "bore-gauges",
  "track/depth": "depth-mic-50",
};

/** A slot as the worn end mill leaves it, read with what is at hand. */
function worn(record: JobRecord, piece: number): JobRecord {
  if (record.type !== "reading") return record;
  const instrument = readWith[record.of] ?? record.instrument;
  // The lump of the rehearsal was never askew: what is read after it was cut once more is told here.
  if (record.of === "height" && record.op?.endsWith("/again")) {
    const value = 20.003;
    return { ...record, instrument, value, written: { text: String(value), unit: "mm" } };
  }
  if (record.of === "width" && piece === scrapped && record.op === "front/face" && record.value < 30.1) {
    const value = 27.5;
    return { ...record, instrument, value, written: { text: String(value), unit: "mm" } };
  }
  // What is read before the last wall is no size yet.
  if (record.of !== "track/width" || record.value < 9.9) return { ...record, instrument };
  const value = toStep(record.value - wear * (piece - 1), 0.001);
  return { ...record, instrument, value, written: { text: String(value), unit: "mm" } };
}

/** The record as the toolroom's own device kept it. */
const atPlace = (record: JobRecord, piece: number, at: number, before: readonly JobRecord[]): JobRecord => ({
  ...record,
  seq: before.length + 1,
  id: `toolroom.${before.length + 1}`,
  follows: before.at(-1)?.id ?? null,
  at: new Date(at).toISOString(),
  by: "toolroom",
  piece,
});
