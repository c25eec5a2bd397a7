/** Why the browser did not keep something. */
export type NotKept = "full" | "updated" | "blocked" | "failed";

/** The names of an error and of what it was caused by, outermost first. */
function namesOf(error: unknown): string[] {
  const names: string[] = [];
  for (let e = error, n = 0; typeof e === "object" && e !== null && n < 5; n++) {
    const { name, inner, cause } = e as { name?: unknown; inner?: unknown; cause?: unknown };
    if (typeof name === "string") names.push(name);
    e = inner ?? cause;
  }
  return names;
}

const whys: readonly (readonly [NotKept, RegExp])[] = [
  ["full", /^QuotaExceeded/],
  ["updated", /^(VersionError|VersionChange|DatabaseClosed)/],
  ["blocked", /^(SecurityError|MissingAPI|OpenFailed|InvalidState|UnknownError)/],
];

/** Tells from an error of the database why nothing was kept. */
export function whyNotKept(error: unknown): NotKept {
  const names = namesOf(error);
  return whys.find(([, name]) => names.some((n) => name.test(n)))?.[0] ?? "failed";
}
