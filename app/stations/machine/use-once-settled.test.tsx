import { act, renderHook } from "@testing-library/react";
import { expect, test, vi } from "vitest";
import { useOnceSettled } from "./use-once-settled.ts";

const shown = () => {
  const done = vi.fn();
  const hook = renderHook(
    ({ of, settling }: { of: string; settling: boolean }) => useOnceSettled(of, settling, done),
    { initialProps: { of: "a", settling: false } },
  );
  return { done, ...hook };
};
const later = () => act(() => Promise.resolve());

test("what is asked while nothing settles is done at once, and once", async () => {
  const { done, result, rerender } = shown();
  act(() => result.current.ask());
  expect(done).toHaveBeenCalledTimes(1);
  rerender({ of: "a", settling: true });
  rerender({ of: "a", settling: false });
  await later();
  expect(done).toHaveBeenCalledTimes(1);
});

test.each([
  ["the same step still stands there", "a", 1],
  ["another step stands there", "b", 0],
])("what is asked while the last press is being saved, when then %s", async (_, of, times) => {
  const { done, result, rerender } = shown();
  rerender({ of: "a", settling: true });
  act(() => result.current.ask());
  expect([done.mock.calls.length, result.current.waits]).toEqual([0, true]);
  rerender({ of, settling: false });
  await later();
  rerender({ of: "a", settling: false });
  await later();
  expect(done).toHaveBeenCalledTimes(times);
  expect(result.current.waits).toBe(false);
});
