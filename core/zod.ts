import * as z from "zod";

// The page's Content-Security-Policy forbids eval, so schemas must not compile themselves with it.
z.config({ jitless: true });

export * from "zod";

/** Things by id and their order. */
export const ordered = <T extends z.ZodType>(item: T) =>
  z.object({ byId: z.record(z.string(), item), order: z.array(z.string()) });

/** A length that something on or about a manual mill can have, mm: 10 m, either way. */
export const place = z.number().min(-10_000).max(10_000);
/** A length above nothing, mm; less than a hundredth is a slip of the decimal point. */
export const extent = z.number().min(0.01).max(10_000);
/** A small length, a gap, an error; mm. */
export const gap = z.number().min(0).max(100);
