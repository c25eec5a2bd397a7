import { canonicalJson, jobFileSchema } from "../../core/exchange/index.ts";
import * as z from "../../core/zod.ts";

/** The JSON schema of the job file, as shipped in docs/formats. */
export const jobFileJsonSchema = (): string =>
  canonicalJson(z.toJSONSchema(jobFileSchema, { reused: "ref" }));
