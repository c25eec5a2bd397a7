import { asEntered, newStock, stockSchema } from "../stock/index.ts";
import { axisSchema } from "../frame/index.ts";
import { partSchema, plainFaces } from "../part/index.ts";
import { daySchema, dimensionSchema } from "../quantity/index.ts";
import { handworkSchema } from "./handwork.ts";
import { overrideSchema } from "./override.ts";
import { noQuote, quoteSchema } from "./quote.ts";
import * as z from "../zod.ts";

/** Version of the job document; raised at most once a release of work, with a step in migrations. */
export const jobVersion = 5;

/** More of one part than anybody makes by hand. */
export const mostPieces = 999;

/** A size changed from the drawing because the stock does not give it: a deviation, never silent. */
export const retargetSchema = z.object({ size: dimensionSchema, reason: z.string() });

/**
 * Orders of several pieces: each through to the end; the first through to the end, then all others setup by setup; all setup by setup.
 */
export const batchOrders = ["piece", "first", "setup"] as const;
export type BatchOrder = (typeof batchOrders)[number];

const batchSchema = z.object({
  order: z.enum(batchOrders),
  every: z.number().int().min(1).max(mostPieces).nullable(),
});

export const jobSchema = z.object({
  version: z.literal(jobVersion),
  id: z.string().min(1),
  name: z.string(),
  /** Sheet, order or place it belongs to. */
  sheet: z.string(),
  /** How many good ones the drawing asks for. */
  quantity: z.number().int().min(1).max(mostPieces),
  /** Pieces begun beyond that, in place of scrapped ones. */
  added: z.number().int().min(0).max(mostPieces),
  /** In which order pieces go through the setups, and of how many one is measured (null: as the spread so far says). */
  batch: batchSchema.default({ order: "piece", every: null }),
  part: partSchema,
  stock: stockSchema,
  /** How blanks are sawn for it: with which saw (empty: the first owned), and what is left to mill at each end, mm (null: as usual). */
  blank: z
    .object({ saw: z.string(), facing: z.number().min(0).max(50).nullable() })
    .default({ saw: "", facing: null }),
  retargets: z.record(axisSchema, retargetSchema.nullable()),
  machine: z.string(),
  vise: z.string(),
  overrides: z.ordered(overrideSchema),
  /** Work by hand beside the milling. */
  handwork: z.ordered(handworkSchema).default({ byId: {}, order: [] }),
  notes: z.string(),
  quote: quoteSchema.default(noQuote),
  /** Day it has to be done; empty where nobody waits. */
  due: daySchema.default(""),
  /** Day from which it can be worked on: material or a drawing is to come; empty for now. */
  ready: daySchema.default(""),
});
/** What a person decided about a job. Records of what happened are kept beside it. */
export type Job = z.infer<typeof jobSchema>;

/** A new job of which nothing is known yet. */
export function newJob(id: string, name: string, machine: string, vise: string): Job {
  return {
    version: jobVersion,
    id,
    name,
    sheet: "",
    quantity: 1,
    added: 0,
    batch: { order: "piece", every: null },
    part: {
      material: null,
      sizes: { length: null, width: null, height: null },
      shaft: null,
      general: { kind: "iso2768", grade: "m" },
      squareness: null,
      parallelism: null,
      faces: plainFaces(),
      features: { byId: {}, order: [] },
      form: { byId: {}, order: [] },
      mates: { byId: {}, order: [] },
    },
    stock: { ...newStock("sawn"), lies: { ...asEntered } },
    blank: { saw: "", facing: null },
    retargets: { length: null, width: null, height: null },
    machine,
    vise,
    overrides: { byId: {}, order: [] },
    handwork: { byId: {}, order: [] },
    notes: "",
    quote: noQuote,
    due: "",
    ready: "",
  };
}
