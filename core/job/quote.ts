import { daySchema } from "../quantity/index.ts";
import * as z from "../zod.ts";

const money = z.number().min(0).max(1e9);

/** One step of a price from what is asked to what is paid: a percent of the sum so far, or an amount; its least and its most. */
export const priceTermSchema = z.object({
  id: z.string().min(1),
  name: z.string().max(80),
  what: z.enum(["percent", "amount"]),
  /** Taken off: a discount. */
  off: z.boolean(),
  low: z.number().min(0).max(1e6),
  high: z.number().min(0).max(1e6),
  /** Switched off it stays in the list and counts nothing. */
  counts: z.boolean(),
});
export type PriceTerm = z.infer<typeof priceTermSchema>;

/** Money of a job: what an hour and a piece cost here, what it costs bought, and on what day that was said. No price is shipped. */
export const quoteSchema = z.object({
  /** Its sign, as the person writes it. */
  currency: z.string().max(8),
  /** A person's hour; null while not entered. */
  labor: money.nullable(),
  /** Material of one piece, and tools to be bought for the job; null: by the rack, or none. */
  material: money.nullable(),
  tools: money.nullable(),
  /** Another currency: its sign, how many of it one of ours is, and the day that was so. */
  second: z
    .object({ currency: z.string().max(8), rate: z.number().positive().max(1e6).nullable(), on: daySchema })
    .nullable(),
  buy: z.object({
    /** Price of one, bought; null while nobody asked. */
    each: money.nullable(),
    from: z.string().max(200),
    on: daySchema,
    /** What that price leaves out: threads, a certificate, tax. */
    without: z.string().max(400),
  }),
  /** From the price times the count to what is paid, in this order. */
  terms: z.ordered(priceTermSchema),
});
export type Quote = z.infer<typeof quoteSchema>;

export const noQuote: Quote = {
  currency: "",
  labor: null,
  material: null,
  tools: null,
  second: null,
  buy: { each: null, from: "", on: "", without: "" },
  terms: { byId: {}, order: [] },
};
