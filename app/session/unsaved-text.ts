/**
 * Text that is being typed and not in the database yet, so that a reload in between loses none of it. localStorage is written at
 * once, a database is not.
 */
const keyOf = (jobId: string) => `firm-arbor:typing:${jobId}`;

interface Typing {
  path: string;
  text: string;
}

/** Notes what is typed in one field; null once it is kept. A browser that stores nothing loses the last moment, no more. */
export function noteTyping(jobId: string, typing: Typing | null): void {
  try {
    if (typing) localStorage.setItem(keyOf(jobId), JSON.stringify(typing));
    else localStorage.removeItem(keyOf(jobId));
  } catch {
    // Said where it matters: when something cannot be kept.
  }
}

/** What was typed when the page went away; null where nothing was. */
export function typingLeft(jobId: string): Typing | null {
  try {
    const left: unknown = JSON.parse(localStorage.getItem(keyOf(jobId)) ?? "null");
    if (typeof left !== "object" || left === null || !("path" in left) || !("text" in left)) return null;
    const { path, text } = left;
    return typeof path === "string" && typeof text === "string" ? { path, text } : null;
  } catch {
    return null;
  }
}
