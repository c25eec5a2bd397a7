import { ownHandbookSchema } from "../handbook/index.ts";
import { type Job, jobSchema, jobVersion, openDocument } from "../job/index.ts";
import { inOrder, type Record, recordSchema, unplaced, upgradeRecords } from "../steps/index.ts";
import { type Shop, shopSchema, upgradeShop } from "../shop/index.ts";
import { done, type Outcome, type Phrase, refused, say, words } from "../working/index.ts";
import * as z from "../zod.ts";
import { largestJobFile } from "./largest-job-file.ts";
import { canonicalJson } from "./canonical-json.ts";

export const jobFileFormat = "firm-arbor-job";

export const jobFileSchema = z.object({
  format: z.literal(jobFileFormat),
  version: z.literal(jobVersion),
  job: jobSchema,
  records: z.array(recordSchema),
  /** What the job was planned with; serves where the importing shop lacks an id. */
  shopUsed: shopSchema,
  /** Own handbook values the job used: whole materials by id. */
  ownUsed: ownHandbookSchema.shape.materials,
});
/** A job file as it is read: its records in their order. */
export type JobFile = Omit<z.infer<typeof jobFileSchema>, "records"> & { records: Record[] };

/** Text of a job file: keys sorted, no export time, so that export(import(x)) is the same bytes. */
export function writeJobFile(
  job: Job,
  records: readonly Record[],
  shopUsed: Shop,
  ownUsed: JobFile["ownUsed"] = {},
): string {
  const kept = records.map(unplaced);
  return canonicalJson({ format: jobFileFormat, version: jobVersion, job, records: kept, shopUsed, ownUsed });
}

const another = words(
  "Choose a job file written by Firm Arbor, or ask for it to be exported again. Nothing was changed here.",
);

/** Where in a text JSON.parse gave up, as line and column: engines tell a position, a piece of the text, or its end. */
function placeOf(text: string, error: unknown): Phrase {
  const told = error instanceof Error ? error.message : "";
  const position = /position (\d+)/.exec(told)?.[1];
  const piece = /, (?:\.\.\.)?"([\s\S]+)"(?:\.\.\.)? is not valid/.exec(told)?.[1];
  const at =
    position !== undefined ? Number(position) : piece !== undefined ? text.indexOf(piece) : text.length;
  const before = text.slice(0, Math.max(at, 0)).split("\n");
  return say`at line ${before.length}, column ${(before.at(-1) ?? "").length + 1}`;
}

const notFitting = (path: readonly PropertyKey[], message: string) =>
  refused(say`The file is not valid at ${path.map(String).join(" / ") || "its top"}: ${message}.`, another);

/**
 * Reads a job file of any version up to this one.
 * @returns the file, or what is wrong with it and where; never a half-read job
 */
export function readJobFile(text: string): Outcome<JobFile> {
  if (text.length > largestJobFile) {
    return refused(
      say`The file has ${Math.round(text.length / 1e6)} million characters; a job file has at most ${largestJobFile / 1e6}.`,
      another,
    );
  }
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return refused(say`The file is broken ${placeOf(text, error)}: it is not complete JSON.`, another);
  }
  if (typeof raw !== "object" || raw === null || (raw as { format?: unknown }).format !== jobFileFormat) {
    return refused(
      words('This is not a job file: it does not say that it is one in its field "format".'),
      another,
    );
  }
  const { job, version } = raw as { job?: unknown; version?: unknown };
  if (typeof job !== "object" || job === null)
    return refused(words('The file holds no job: its field "job" is missing.'), another);
  const opened = openDocument(job);
  if (!opened.ok) {
    switch (opened.problem) {
      case "newer":
        return refused(
          say`The file was written by a newer version (${String(version)}); this app knows up to ${jobVersion}.`,
          words(
            "Reload this page to get the newer app, or export from the other one again. Nothing was changed here.",
          ),
        );
      case "unknown":
        return refused(say`The version of the job, "${String(opened.version)}", is not known here.`, another);
      case "invalid":
        return notFitting(["job", ...opened.at.split("/")], opened.message);
    }
  }
  const { shopUsed, records } = raw as { shopUsed?: unknown; records?: unknown };
  const parsed = jobFileSchema.safeParse({
    ...raw,
    version: jobVersion,
    job: opened.job,
    // A file of version 1 has machines without ranges and conditions with one feed.
    shopUsed:
      typeof shopUsed === "object" && shopUsed !== null
        ? upgradeShop(shopUsed as { [key: string]: unknown })
        : shopUsed,
    records: Array.isArray(records) ? upgradeRecords(records) : records,
  });
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return notFitting(issue?.path ?? [], issue?.message ?? "not valid");
  }
  return done({ ...parsed.data, records: inOrder(parsed.data.records) });
}
