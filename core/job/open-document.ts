import { type Job, jobSchema, jobVersion } from "./job.ts";
import { migrate } from "./migrations.ts";

export type OpenedDocument =
  | {
      ok: true;
      job: Job;
      /** It was of an older version: what is kept is to be written anew. */ migrated: boolean;
    }
  | { ok: false; problem: "newer" | "unknown"; version: unknown }
  /** Of a known version, but not a job: where it does not fit. */
  | { ok: false; problem: "invalid"; at: string; message: string };

/** The one door for job documents, whatever they come from: brought up to this version, then parsed. */
export function openDocument(raw: unknown): OpenedDocument {
  const document = typeof raw === "object" && raw !== null ? (raw as { [key: string]: unknown }) : {};
  const brought = migrate(document);
  if (!brought.ok) return brought;
  const parsed = jobSchema.safeParse(brought.document);
  if (parsed.success) return { ok: true, job: parsed.data, migrated: document.version !== jobVersion };
  const issue = parsed.error.issues[0];
  return {
    ok: false,
    problem: "invalid",
    at: issue?.path.join("/") ?? "",
    message: issue?.message ?? "not valid",
  };
}
