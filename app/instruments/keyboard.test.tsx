import { cleanup, render } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type KeyActions, useKeyboard } from "./keyboard.ts";

function Keys({
  actions,
  onInstrument,
  single = true,
}: {
  actions: KeyActions;
  onInstrument: (text: string) => void;
  single?: boolean;
}) {
  useKeyboard(actions, { single, onInstrument });
  return <input aria-label="field" />;
}

const press = (key: string, target: EventTarget = document.body, more: KeyboardEventInit = {}) =>
  target.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true, ...more }));

describe("keys of a view", () => {
  beforeEach(() => vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "performance"] }));
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  const setUp = (single = true) => {
    const done: string[] = [];
    const actions: KeyActions = {
      "3": () => done.push("3"),
      j: () => done.push("j"),
      "Ctrl+z": () => done.push("undo"),
    };
    const { getByLabelText } = render(
      <Keys actions={actions} single={single} onInstrument={(text) => done.push(`read ${text}`)} />,
    );
    return { done, field: getByLabelText("field") };
  };

  test("a lone digit is a station, a burst ending in Enter is an instrument", () => {
    const { done } = setUp();
    press("3");
    vi.advanceTimersByTime(100);
    expect(done).toEqual(["3"]);
    for (const key of ["3", "8", ".", "0", "1"]) {
      press(key);
      vi.advanceTimersByTime(5);
    }
    press("Enter");
    vi.advanceTimersByTime(100);
    expect(done).toEqual(["3", "read 38.01"]);
  });

  test.each([
    ["with focus in a field", (field: HTMLElement) => press("j", field), true, []],
    ["with single keys switched off", () => press("j"), false, []],
    ["with no field in focus", () => press("j"), true, ["j"]],
    ["undo even with single keys off", () => press("z", document.body, { ctrlKey: true }), false, ["undo"]],
  ])("%s", (_what, act, single, expected) => {
    const { done, field } = setUp(single);
    act(field);
    vi.advanceTimersByTime(100);
    expect(done).toEqual(expected);
  });
});
