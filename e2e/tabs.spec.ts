import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";

test("two tabs: different fields merge, the same field shows both values", async ({
  strictPage: one,
  context,
}) => {
  await loadDemo(one);
  await openStation(one, "drawing");
  const two = await context.newPage();
  // Its clock is stopped while it is typed in: what is typed is kept after a moment, and how long that is no machine decides.
  await two.clock.install();
  await openStation(two, "drawing");
  const length = (page: typeof one) => page.getByLabel("Length", { exact: true });
  const width = (page: typeof one) => page.getByLabel("Width", { exact: true });

  await length(one).fill("95 ±0.1");
  await length(one).press("Enter");
  await expect(length(two)).toHaveValue("95 ±0.1");
  await width(two).fill("59 ±0.05");
  await width(two).press("Enter");
  await expect(width(one)).toHaveValue("59 ±0.05");
  await expect(length(one)).toHaveValue("95 ±0.1");

  // Tab two is typing while tab one keeps another value for the same field.
  await two.clock.pauseAt(new Date(Date.now() + 60_000));
  await length(two).press("End");
  await length(two).pressSequentially("5");
  await length(one).fill("94 ±0.1");
  await length(one).press("Enter");
  // What a page brings back is kept: shown alone it may still be on its way.
  await expect(one.getByText(/94\.00/).first()).toBeVisible();
  await one.reload();
  await expect(length(one)).toHaveValue("94 ±0.1");
  await two.clock.resume();
  await length(two).press("Enter");
  const alert = two.getByRole("alert");
  await expect(alert).toContainText("changed in another tab");
  await expect(alert).toContainText("94 ±0.1");
  await expect(alert).toContainText("95 ±0.15");
  await two.getByRole("button", { name: "Keep the other" }).click();
  await expect(alert).toHaveCount(0);
  await expect
    .poll(async () => (await length(one).inputValue()) === (await length(two).inputValue()))
    .toBe(true);
});
