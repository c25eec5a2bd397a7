import { expect, test } from "@playwright/test";

test.describe("what the server answers to what nobody should ask", () => {
  for (const [what, method, path, status] of [
    ["an address that is none", "GET", "/%E0%A4%A", 400],
    ["a method nothing here has", "TRACE", "/", 405],
    ["a method that would change something", "DELETE", "/jobs/x", 405],
    ["a file that is not there", "GET", "/assets/none.js", 404],
  ] as const)
    test(`${what}: told in a line, without paths of this computer`, async ({ request }) => {
      const answer = await request.fetch(path, { method });
      expect(answer.status()).toBe(status);
      expect(await answer.text()).not.toMatch(/node_modules|\.[cm]?js:\d|\/work\/|at \w+ \(/);
    });
});
