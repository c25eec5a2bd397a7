import { renderHook } from "@testing-library/react";
import { expect, test, vi } from "vitest";
import { useOnceSettled } from "./use-once-settled.ts";

const shown = (act: () => void) =>
  renderHook(({ of, settling }: { of: string; settling: boolean }) => useOnceSettled(of, settling, act), {
    initialProps: { of: "a", settling: false },
  });

test("what is asked while nothing settles is done at once, and once", () => {
  const act = vi.fn();
  const { result, rerender } = shown(act);
  result.current();
  rerender({ of: "a", settling: true });
  rerender({ of: "a", settling: false });
  expect(act).toHaveBeenCalledTimes(1);
});

test.each([
  ["the same step still stands there", "a", 1],
  ["another step stands there", "b", 0],
])("what is asked while the last press is being saved, when then %s", (_, of, times) => {
  const act = vi.fn();
  const { result, rerender } = shown(act);
  rerender({ of: "a", settling: true });
  result.current();
  expect(act).not.toHaveBeenCalled();
  rerender({ of, settling: false });
  rerender({ of: "a", settling: false });
  expect(act).toHaveBeenCalledTimes(times);
});
