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
  if (parsed.success) {
    const at = outOfOrder(parsed.data);
    if (at)
      return {
        ok: false,
        problem: "invalid",
        at,
        message: "its order does not name each of them once, by its own id",
      };
    return { ok: true, job: parsed.data, migrated: document.version !== jobVersion };
  }
  const issue = parsed.error.issues[0];
  return {
    ok: false,
    problem: "invalid",
    at: issue?.path.join("/") ?? "",
    message: issue?.message ?? "not valid",
  };
}

/** Where an order names what is not there, or leaves out what is, or a thing stands under an id that is not its own. */
function outOfOrder({ part, overrides }: Job): string | null {
  const collections = {
    "part/features": part.features,
    "part/mates": part.mates,
    "part/shaft": part.shaft,
    overrides,
  };
  for (const [at, collection] of Object.entries(collections)) {
    if (!collection) continue;
    const { byId, order } = collection as { byId: { [id: string]: object }; order: string[] };
    const ids = Object.keys(byId);
    const whole =
      order.length === ids.length &&
      new Set(order).size === order.length &&
      order.every((id) => Object.hasOwn(byId, id)) &&
      ids.every((id) => !("id" in byId[id]!) || byId[id].id === id);
    if (!whole) return at;
  }
  return null;
}
