import { expect, test } from "vitest";
import { whyNotKept } from "./index.ts";

const named = (name: string, inner?: object) => Object.assign(new Error(name), { name, inner });

test.each([
  ["full", named("QuotaExceededError")],
  ["full", named("AbortError", named("QuotaExceededError"))],
  ["updated", named("DatabaseClosedError", named("VersionError"))],
  ["blocked", named("OpenFailedError", named("SecurityError"))],
  ["blocked", named("MissingAPIError")],
  ["failed", named("TypeError")],
  ["failed", "something thrown"],
  ["failed", null],
] as const)("%s: %o", (why, error) => {
  expect(whyNotKept(error)).toBe(why);
});
