import * as z from "zod";

// The page's Content-Security-Policy forbids eval, so schemas must not compile themselves with it.
z.config({ jitless: true });

export * from "zod";
