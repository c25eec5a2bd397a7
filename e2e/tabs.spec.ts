import { expect, loadDemo, openStation, test } from "./support/fixtures.ts";

test("two tabs: different fields merge, the same field shows both values", async ({
  strictPage: one,
  context,
}) => {
  await loadDemo(one);
  await openStation(one, "drawing");
  const two = await context.newPage();
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
  await length(two).press("End");
  await length(two).pressSequentially("5", { delay: 10 });
  await length(one).fill("94 ±0.1");
  await length(one).press("Enter");
  await length(two).press("Enter");
  const told = async () => (await two.getByRole("alert").count()) + (await one.getByRole("alert").count());
  await expect.poll(told).toBe(1);
  const loser = (await two.getByRole("alert").count()) > 0 ? two : one;
  const alert = loser.getByRole("alert");
  await expect(alert).toContainText("changed in another tab");
  await expect(alert).toContainText("94 ±0.1");
  await expect(alert).toContainText("95 ±0.15");
  await loser.getByRole("button", { name: "Keep the other" }).click();
  await expect(loser.getByRole("alert")).toHaveCount(0);
  await expect
    .poll(async () => (await length(one).inputValue()) === (await length(two).inputValue()))
    .toBe(true);
});
