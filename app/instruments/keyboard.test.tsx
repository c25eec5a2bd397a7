import { cleanup, render } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { type KeyActions, keysHere, useKeyboard } from "./keyboard.ts";

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
      "3": ["stations", () => done.push("3")],
      j: ["step", () => done.push("j")],
      " ": ["cut done", () => done.push("cut")],
      "Ctrl+z": ["undo", () => done.push("undo")],
    };
    const { getByLabelText } = render(
      <Keys actions={actions} single={single} onInstrument={(text) => done.push(`read ${text}`)} />,
    );
    return { done, field: getByLabelText("field") };
  };

  test("behind an open dialog nothing is heard, neither a key nor its release", () => {
    const { done } = setUp();
    const dialog = document.body.appendChild(document.createElement("dialog"));
    dialog.setAttribute("open", "");
    const release = () =>
      document.body.dispatchEvent(new KeyboardEvent("keyup", { key: " ", bubbles: true }));
    press("j");
    press(" ");
    release();
    press("z", document.body, { ctrlKey: true });
    vi.advanceTimersByTime(100);
    expect(done).toEqual([]);
    dialog.remove();
    press("j");
    expect(done).toEqual(["j"]);
  });

  test("the keys that act are those of the layers on the page, the newest first, and none of a layer that left", () => {
    setUp();
    const { unmount } = render(
      <Keys
        actions={{ a: ["add", () => undefined], k: ["step", () => undefined] }}
        single
        onInstrument={() => undefined}
      />,
    );
    expect(keysHere()).toEqual([
      { keys: ["a"], what: "add" },
      { keys: ["k", "j"], what: "step" },
      { keys: ["3"], what: "stations" },
      { keys: [" "], what: "cut done" },
      { keys: ["Ctrl+z"], what: "undo" },
    ]);
    unmount();
    expect(keysHere().map((k) => k.what)).not.toContain("add");
  });

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

  const space = (downs: number, heldFor: number, then = 0) => {
    for (let i = 0; i < downs; i++) {
      press(" ", document.body, { repeat: i > 0 });
      vi.advanceTimersByTime(heldFor / downs);
    }
    document.body.dispatchEvent(new KeyboardEvent("keyup", { key: " ", bubbles: true }));
    vi.advanceTimersByTime(then);
  };
  test.each<[string, () => void, string[]]>([
    ["a short press of Space cuts once", () => space(1, 80), ["cut"]],
    ["six seconds of Space cut nothing", () => space(180, 6000), []],
    ["a doubled Space cuts once", () => [space(1, 60, 90), space(1, 60)], ["cut"]],
    ["Space pressed again later cuts again", () => [space(1, 60, 500), space(1, 60)], ["cut", "cut"]],
    [
      "Space that went down in a field is no press of the view",
      () => document.body.dispatchEvent(new KeyboardEvent("keyup", { key: " ", bubbles: true })),
      [],
    ],
  ])("%s", (_what, act, expected) => {
    const { done } = setUp();
    act();
    expect(done).toEqual(expected);
  });

  test("nothing behind an open dialog hears a key, of whichever kind the dialog is", () => {
    const { done } = setUp();
    for (const html of [
      "<dialog open></dialog>",
      '<div role="dialog" data-state="open"></div>',
      '<div role="menu" data-state="open"></div>',
    ]) {
      document.body.insertAdjacentHTML("beforeend", html);
      space(1, 80, 500);
      document.body.lastElementChild!.remove();
    }
    expect(done).toEqual([]);
    space(1, 80);
    expect(done).toEqual(["cut"]);
  });

  test("a held Enter presses the button that has focus only once", () => {
    setUp();
    const button = document.body.appendChild(document.createElement("button"));
    expect(press("Enter", button)).toBe(true);
    expect(press("Enter", button, { repeat: true })).toBe(false);
    button.remove();
  });
});
