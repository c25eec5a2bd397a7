import { usualPaper } from "../locate/index.ts";
import type { Mm } from "../quantity/index.ts";
import type { Override } from "./override.ts";

/** The paper that is touched through in a job, mm: as the person measured it, else the usual. */
export const paperOf = (overrides: readonly Override[]): Mm =>
  overrides.flatMap((o) => (o.what === "paper" ? [o.value] : [])).at(-1) ?? usualPaper;
