import * as z from "zod";

// The page's Content-Security-Policy forbids eval, so schemas must not compile themselves with it.
z.config({ jitless: true });

export * from "zod";

/** Things by id and their order. */
export const ordered = <T extends z.ZodType>(item: T) =>
  z.object({ byId: z.record(z.string(), item), order: z.array(z.string()) });
