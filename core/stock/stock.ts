import {
  type Axis,
  axisNames,
  axisSchema,
  type Face,
  faceNames,
  faceSchema,
  facesOf,
  axisOf,
} from "../frame/index.ts";
import {
  type FaceCondition,
  faceConditionSchema,
  type StockForm,
  stockFormSchema,
  usualConditions,
} from "../handbook/index.ts";
import { extent, lengthUnitSchema } from "../quantity/index.ts";
import * as z from "../zod.ts";

/** Where on an axis a stock size was read. */
export const stockPoints = ["p1", "p2", "p3", "p4"] as const;

/** A measured length: mm and how it was written. */
export const lengthEntrySchema = z.object({
  value: extent,
  written: z.object({ text: z.string(), unit: lengthUnitSchema }),
});
export type LengthEntry = z.infer<typeof lengthEntrySchema>;

/** A point on a raw face: where it lies along the two sizes across, counted from the low faces, and what it reads from the plate; mm. */
export const probedSchema = z.object({
  id: z.string().min(1),
  face: faceSchema,
  first: z.number().nullable(),
  second: z.number().nullable(),
  reads: z.number().nullable(),
});
export type Probed = z.infer<typeof probedSchema>;

/**
 * A cored hole, or any raw round that stays: seen from a face, where its middle was found and where it is drawn, along the two sizes
 * across; mm.
 */
export const coreSchema = z.object({
  id: z.string().min(1),
  face: faceSchema,
  diameter: z.number().positive().max(10_000).nullable(),
  first: z.number().nullable(),
  second: z.number().nullable(),
  drawnFirst: z.number().nullable(),
  drawnSecond: z.number().nullable(),
});
export type Core = z.infer<typeof coreSchema>;

/** Where the halves of a casting met: across which size, where it was found, counted as the points are, and where it is drawn; mm. */
export const splitLineSchema = z.object({
  axis: axisSchema,
  found: z.number().min(-10_000).max(10_000).nullable(),
  drawn: z.number().min(-10_000).max(10_000).nullable(),
});
export type SplitLine = z.infer<typeof splitLineSchema>;
const noSplit: SplitLine = { axis: "height", found: null, drawn: null };

/** Most points of a lump: more than anybody types. */
export const mostPoints = 200;

export const stockSchema = z.object({
  form: stockFormSchema,
  conditions: z.record(faceSchema, faceConditionSchema),
  /** How far a face is out under a straightedge, by the thickest feeler that goes, mm; left out where nobody tried. */
  bows: z.partialRecord(faceSchema, z.number().min(0).max(100).nullable()).default({}),
  /** Readings per size of the lump, at up to four points. */
  measured: z.record(axisSchema, z.record(z.enum(stockPoints), lengthEntrySchema.nullable())),
  /** Measured diameters of a turned shaft, by section. */
  turned: z.record(z.string(), lengthEntrySchema.nullable()),
  /** Which size of the lump lies along each size of the part. */
  lies: z.record(axisSchema, axisSchema),
  /** Points probed on its faces, to balance it by. */
  points: z.ordered(probedSchema).default({ byId: {}, order: [] }),
  /** Whether it may be tilted for that, and the faces that stay as they are. */
  tilts: z.boolean().default(true),
  locked: z.array(faceSchema).default([]),
  /** Cores that stay raw, and whether walls beside them are kept even where the faces leave a choice. */
  cores: z.ordered(coreSchema).default({ byId: {}, order: [] }),
  evenWalls: z.boolean().default(false),
  split: splitLineSchema.default(noSplit),
  /** Faces on which it was seen to stand without tipping, before lines are scribed. */
  stands: z.array(faceSchema).default([]),
});
/** The lump as it was bought or found, as the person entered it. */
export type Stock = z.infer<typeof stockSchema>;

export const asEntered: Record<Axis, Axis> = { length: "length", width: "width", height: "height" };

const blank = { p1: null, p2: null, p3: null, p4: null };

/** A lump of which nothing is measured yet. */
export function newStock(form: StockForm): Stock {
  return {
    form,
    conditions: conditionsFor(form, "length"),
    bows: {},
    measured: { length: { ...blank }, width: { ...blank }, height: { ...blank } },
    turned: {},
    lies: { ...asEntered },
    points: { byId: {}, order: [] },
    tilts: true,
    locked: [],
    cores: { byId: {}, order: [] },
    evenWalls: false,
    split: noSplit,
    stands: [],
  };
}

/** The usual condition of each face for a form, its ends being across `along`. */
export function conditionsFor(form: StockForm, along: Axis): Record<Face, FaceCondition> {
  const usual = usualConditions[form];
  return Object.fromEntries(
    faceNames.map((face) => [face, axisOf(face) === along ? usual.ends : usual.sides]),
  ) as Record<Face, FaceCondition>;
}

/** Readings of the lump in mm along a size of the part, as the lump lies. */
export function readingsAlong(stock: Stock, axis: Axis): number[] {
  const points = stock.measured[stock.lies[axis]];
  return stockPoints.flatMap((point) => points[point]?.value ?? []);
}

/** The face of the lump that lies at a face of the part. */
function faceOfLump({ lies }: Pick<Stock, "lies">, face: Face): Face {
  const axis = axisOf(face);
  return facesOf(lies[axis])[facesOf(axis).indexOf(face) as 0 | 1];
}

/** Condition of a face of the part, as the lump lies. */
export const conditionAt = (stock: Stock, face: Face): FaceCondition =>
  stock.conditions[faceOfLump(stock, face)];

/** How far a face of the part was out under a straightedge, mm; null where nobody tried. */
export const bowAt = (stock: Stock, face: Face): number | null => stock.bows[faceOfLump(stock, face)] ?? null;

/** Every way the lump can lie, the way it was entered first. */
export function waysToLie(): Record<Axis, Axis>[] {
  const ways: Record<Axis, Axis>[] = [];
  for (const length of axisNames)
    for (const width of axisNames)
      for (const height of axisNames)
        if (new Set([length, width, height]).size === 3) ways.push({ length, width, height });
  return ways;
}
