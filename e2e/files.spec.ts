import { readFileSync } from "node:fs";
import { expect, loadDemo, test } from "./support/fixtures.ts";

const demo = readFileSync("public/demo/cheek-block.json", "utf8");
const file = (text: string) => ({
  name: "job.json",
  mimeType: "application/json",
  buffer: Buffer.from(text),
});

const bad: [what: string, text: string, message: RegExp][] = [
  ["broken", demo.slice(0, 3000), /broken at line \d+, column \d+/],
  ["foreign", '{"format":"else"}', /not a job file/],
  ["newer", demo.replaceAll(/"version": \d+/g, '"version": 7'), /newer version \(7\)/],
  ["wrong inside", demo.replace('"form": "sawn"', '"form": "jelly"'), /is not valid at job \/ stock \/ form/],
  ["huge", "x".repeat(11_000_000), /at most 10 MB/],
];

test("bad files say what is wrong and change nothing; a good one comes in, and out as the same bytes", async ({
  strictPage: page,
}) => {
  await page.goto("/");
  const input = page.getByLabel("Import a job file");
  for (const [, text, message] of bad) {
    await input.setInputFiles(file(text));
    await expect(page.getByRole("alert")).toContainText(message);
    await expect(page.getByTestId("jobs")).toHaveCount(0);
  }
  await input.setInputFiles(file(demo));
  await expect(page.getByText("The job is on the bench")).toBeVisible();
  await page.getByRole("button", { name: "Open it" }).click();
  await page.getByRole("link", { name: /6 Record/ }).click();
  await page.getByRole("tab", { name: "Time and files" }).click();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export the job" }).click();
  expect(readFileSync(await (await download).path(), "utf8")).toBe(demo);
});

test("a known job with other decisions is asked about", async ({ strictPage: page }) => {
  await loadDemo(page);
  await page
    .getByLabel("Import a job file")
    .setInputFiles(file(demo.replace('"name": "Cheek block"', '"name": "Cheek block, other"')));
  await expect(page.getByRole("alert")).toContainText("Which should count?");
  await page.getByRole("button", { name: "Use the file's" }).click();
  await expect(page.getByRole("link", { name: /Cheek block, other/ })).toBeVisible();
});

test("an archived job can be brought back, an address that leads nowhere says so", async ({ page }) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Archive Cheek block" }).click();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Bring back Cheek block" }).click();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toBeVisible();
  for (const [url, message] of [
    ["/jobs/nobody/drawing", "There is no such job"],
    ["/jobs/cheek-block/nowhere", "A job has 6 stations"],
    ["/nowhere", "leads nowhere"],
  ] as const) {
    await page.goto(url);
    await expect(page.getByText(message)).toBeVisible();
  }
  await page.goto("/jobs/cheek-block/machine/1/top.face/cut-99");
  await expect(page.getByText("no longer in the plan")).toBeVisible();
});

test("a file of an archived job asks before anything is changed", async ({ page }) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Archive Cheek block" }).click();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toHaveCount(0);
  await page.getByLabel("Import a job file").setInputFiles("public/demo/cheek-block.json");
  await expect(page.getByText(/is in your archive/)).toBeVisible();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Bring back the archived one" }).click();
  await expect(page.getByRole("link", { name: /Cheek block/ })).toBeVisible();
});

test("an archived job opened by its address says so, and is brought back from there", async ({ page }) => {
  await loadDemo(page);
  await page.getByRole("button", { name: "Archive Wear strip" }).click();
  await expect(page.getByRole("button", { name: "Bring back Wear strip" })).toBeVisible();
  await page.goto("/jobs/wear-strip/drawing");
  await expect(page.getByRole("heading", { name: "This job is archived" })).toBeVisible();
  await page.getByRole("button", { name: "Bring it back" }).click();
  await expect(page.getByRole("heading", { name: "What am I making?" })).toBeVisible();
});

test("a browser without room says what was not saved, and what was saved stays", async ({ page }) => {
  await loadDemo(page);
  await page.goto("/jobs/cheek-block/drawing");
  await expect(page.getByLabel("Job", { exact: true })).toHaveValue("Cheek block");
  await page.evaluate(() => {
    const full = () => {
      throw new DOMException("no room", "QuotaExceededError");
    };
    IDBObjectStore.prototype.put = full;
    IDBObjectStore.prototype.add = full;
  });
  await page.getByLabel("Job", { exact: true }).fill("Another name");
  await page.getByLabel("Job", { exact: true }).press("Enter");
  await expect(page.getByRole("alert")).toContainText("was not saved: this browser has no room left");
  // What was typed stays where it was typed.
  await expect(page.getByLabel("Job", { exact: true })).toHaveValue("Another name");
  await page.getByLabel("Length", { exact: true }).fill("97");
  await page.getByLabel("Length", { exact: true }).press("Enter");
  await expect(page.getByRole("alert")).toContainText("Your last change was not saved");
  await expect(page.getByLabel("Length", { exact: true })).toHaveValue("97");
  await page.reload();
  await expect(page.getByLabel("Job", { exact: true })).toHaveValue("Cheek block");
});
