import { expect, test } from "vitest";
import { demoShop } from "./demo-shop.ts";
import { isStack, parallelsById, stackedParallels } from "./stacked.ts";

const { parallels } = demoShop;
const stacks = stackedParallels(parallels);

test("stacks have heights that no pair has, the wider and higher pair below, none a tower", () => {
  expect(stacks.length).toBeGreaterThan(5);
  for (const stack of stacks) {
    const [lower, upper] = stack.id.split("+").map((id) => parallels.find((p) => p.id === id)!);
    expect(parallels.map((p) => p.height)).not.toContain(stack.height);
    expect(stack.height).toBe(lower!.height + upper!.height);
    expect([stack.lower, stack.thickness]).toEqual([lower!.height, lower!.thickness]);
    expect(lower!.height).toBeGreaterThanOrEqual(upper!.height);
    expect(lower!.thickness).toBeGreaterThanOrEqual(upper!.thickness);
    expect(stack.height).toBeLessThanOrEqual(54);
  }
  const keys = stacks.map((s) => `${s.height} ${s.thickness}`);
  expect(new Set(keys).size).toBe(keys.length);
});

test("what is retired is in no stack, and an unlikeness is known only where both are", () => {
  const [first, ...others] = parallels;
  const without = stackedParallels([{ ...first!, retired: true }, ...others]);
  expect(without.filter((s) => s.id.split("+").includes(first!.id))).toEqual([]);
  const measured = stackedParallels(parallels.map((p) => ({ ...p, unlike: p.height < 20 ? 0.01 : null })));
  for (const { lower, height, unlike } of measured)
    expect(unlike).toBe(lower < 20 && height - lower < 20 ? 0.02 : null);
});

test.each([
  ["parallels-16", 16],
  ["parallels-22+parallels-12", 34],
  ["parallels-22+gone", undefined],
  ["gone", undefined],
  [undefined, undefined],
])("parallels called %s are %s high", (id, height) => {
  expect(parallelsById(parallels, id)?.height).toBe(height);
  if (height === 34) expect(isStack(id)).toBe(true);
});
