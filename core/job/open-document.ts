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
    if (at !== null)
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

/** Where in a document an order names what is not there, or leaves out what is, or a thing stands under an id not its own. */
function outOfOrder(of: unknown, at: readonly string[] = []): string | null {
  if (typeof of !== "object" || of === null) return null;
  if ("byId" in of && "order" in of && !isWhole(of as Ordered)) return at.join("/");
  for (const [key, value] of Object.entries(of)) {
    const found = outOfOrder(value, [...at, key]);
    if (found !== null) return found;
  }
  return null;
}

interface Ordered {
  byId: { [id: string]: object };
  order: string[];
}

function isWhole({ byId, order }: Ordered): boolean {
  const ids = Object.keys(byId);
  return (
    order.length === ids.length &&
    new Set(order).size === order.length &&
    order.every((id) => Object.hasOwn(byId, id)) &&
    ids.every((id) => !("id" in byId[id]!) || byId[id].id === id)
  );
}
