import { readFileSync } from "node:fs";
import { expect, test } from "./support/fixtures.ts";
import { pressSpace, tabTo, typeInto } from "./support/keyboard.ts";

/** Looked at often: a walk has hundreds of steps. */
const often = { intervals: [20, 30, 50, 100] };

test("from an empty bench to an inspected part and an exported file, by keyboard alone", async ({
  strictPage: page,
}) => {
  test.setTimeout(900_000);
  await page.goto("/");
  await tabTo(page, page.getByLabel("New job"));
  await page.keyboard.type("Winch spacer");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "What am I making?" })).toBeVisible();

  // 1 Drawing: material and three sizes, each as on a drawing.
  await tabTo(page, page.getByLabel("Material", { exact: true }));
  await page.keyboard.press("ArrowDown");
  await typeInto(page, page.getByLabel("Width", { exact: true }), "1 3/4 in ±0.002");
  await typeInto(page, page.getByLabel("Height", { exact: true }), "25 +0.1/-0.05");
  await typeInto(page, page.getByLabel("Length", { exact: true }), "69,9…70,1 mm");
  await expect(page.getByRole("tab", { name: "Check: no problems" })).toBeVisible();

  // 2 Stock: one size per axis.
  await page.keyboard.press("2");
  await expect(page.getByRole("heading", { name: /is it enough/ })).toBeVisible();
  await typeInto(page, page.getByLabel("length, point 1"), "73.2");
  await typeInto(page, page.getByLabel("width, point 1"), "48");
  await typeInto(page, page.getByLabel("height, point 1"), "28.5");
  await expect(page.getByText("The stock cleans up to all three sizes")).toBeVisible();

  // 3 Setups and 4 Cuts: step through, and back.
  await page.keyboard.press("3");
  await expect(page.getByText("Round the block · setup 1 of 6")).toBeVisible();
  await page.keyboard.press("]");
  await expect(page.getByText(/Round the block · setup 2 of 6/)).toBeVisible();
  await page.keyboard.press("[");
  await page.keyboard.press("4");
  await expect(page.getByText("depth per pass, at most")).toBeVisible();

  // An own depth with its reason, undone.
  await expect(async () => {
    await page.keyboard.press("o");
    await expect(page.locator("input:focus")).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.keyboard.type("0.5");
  await tabTo(page, page.getByLabel("Reason"));
  await page.keyboard.type("light belt");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/0\.50 mm per pass instead of/)).toBeVisible();
  await tabTo(page, page.getByRole("button", { name: "Back to the plan's depth" }));
  await page.keyboard.press("Enter");
  await expect(page.getByText(/0\.50 mm per pass instead of/)).toBeHidden();
  await page.keyboard.press("Control+z");
  await expect(page.getByText(/0\.50 mm per pass instead of/)).toBeVisible();

  // 5 Machine: every step, with the browser closed in the middle.
  await page.keyboard.press("5");
  const counter = page.getByText(/^\d+ of \d+$/);
  await expect(counter).toBeVisible();
  let reloaded = false;
  let corrected = false;
  const settled = async () => {
    await expect(page.locator("main")).toHaveAttribute("aria-busy", "false");
    await expect(page.getByText("This step is done")).toHaveCount(0);
  };
  for (let i = 0; i < 400; i++) {
    await settled();
    if (!reloaded && page.url().includes("/cut-2")) {
      reloaded = true;
      const at = await page.getByTestId("stop").innerText();
      await page.reload();
      await expect(page.getByTestId("stop")).toHaveText(at);
    }
    if (await page.getByText("All steps are done").isVisible()) break;
    const before = await page.locator("main").innerText();
    const field = page.getByRole("textbox", { name: /, (mm|in)$/ });
    const url = page.url();
    if (await field.isVisible()) {
      await expect(field).toBeFocused();
      const expected = Number(
        /Should read now:\s*([\d.]+)/.exec(await page.locator("main").innerText())?.[1],
      );
      // The first reading between passes comes out light: the rest must move by it.
      const light = !corrected && url.includes("/measure-") ? 0.03 : 0;
      const typed = (expected + light).toFixed(2);
      // At a person's pace: digits closer together than 30 ms are taken for an instrument's.
      await page.keyboard.type(typed, { delay: 40 });
      await expect(field).toHaveValue(typed);
      await page.keyboard.press("Enter");
      await expect(page.getByText("Read so far")).toBeVisible();
      if (light) {
        corrected = true;
        await expect(page.getByText(/the cut came out/)).toBeVisible();
      }
      // The reading itself has changed the page already: wait for what this press does.
      const read = await page.locator("main").innerText();
      await page.keyboard.press("Enter");
      await expect.poll(() => page.locator("main").innerText(), often).not.toBe(read);
    } else if (await page.getByRole("button", { name: "Clean all over" }).isVisible()) {
      await tabTo(page, page.getByRole("button", { name: "Clean all over" }));
      await page.keyboard.press("Enter");
    } else {
      await pressSpace(page);
    }
    await expect.poll(() => page.locator("main").innerText(), often).not.toBe(before);
  }
  await expect(page.getByText("All steps are done")).toBeVisible();
  expect([reloaded, corrected]).toEqual([true, true]);

  // 6 Record: every size judged, and the file.
  await page.keyboard.press("6");
  await expect(page.getByRole("heading", { name: "The part is good" })).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByRole("cell", { name: /2\.75\d+ in/ }).first()).toBeVisible();
  await page.keyboard.press("u");
  await tabTo(page, page.getByRole("tab", { name: "This piece" }));
  for (const name of ["All pieces", "Batch", "As built", "What happened", "Money", "Time and files"]) {
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("tab", { name })).toBeFocused();
  }
  await page.keyboard.press("Enter");
  await tabTo(page, page.getByRole("button", { name: "Export the job" }));
  const download = page.waitForEvent("download");
  await page.keyboard.press("Enter");
  const file = JSON.parse(readFileSync(await (await download).path(), "utf8")) as {
    format: string;
    job: { name: string };
    records: { type: string }[];
  };
  expect(file.format).toBe("firm-arbor-job");
  expect(file.job.name).toBe("Winch spacer");
  expect(file.records.filter((r) => r.type === "begun")).toHaveLength(6);
});
