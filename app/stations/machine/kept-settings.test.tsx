import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import type { KeptSettings as Kept, RecordEvent } from "../../../core/steps/index.ts";
import { system } from "../../theme/system.ts";
import { KeptSettings } from "./kept-settings.tsx";

afterEach(cleanup);

const events: RecordEvent[] = [{ type: "tick", op: "f/rough", tick: "zero-y", keptFrom: 1 }];
const kept: Kept = { from: 1, axes: ["x", "y"], differ: 0.05, tool: false, events };

function open(of: Kept | null, enabled = true) {
  const onKeep = vi.fn();
  const Stub = createRoutesStub([
    { path: "/", Component: () => <KeptSettings of={of} enabled={enabled} onKeep={onKeep} /> },
  ]);
  render(
    <ChakraProvider value={system}>
      <Stub />
    </ChakraProvider>,
  );
  return onKeep;
}

test("what is kept is named with its piece, how far pieces may differ, and kept with one press", () => {
  const onKeep = open(kept);
  expect(document.body.textContent).toMatch(/Piece 1 left X and Y zeroed/);
  expect(document.body.textContent).toMatch(/may differ by 0\.050 mm/);
  fireEvent.click(screen.getByRole("button", { name: "Keep X and Y from piece 1" }));
  expect(onKeep).toHaveBeenCalledWith(events);
});

test.each([
  ["the cutter in the spindle", { ...kept, tool: true }, /and the cutter in the spindle at its speed/, true],
  ["no difference where there is none", { ...kept, differ: 0 }, /may differ/, false],
])("it says %s", (_what, of, words, said) => {
  open(of);
  expect(words.test(document.body.textContent)).toBe(said);
});

test("nothing stands there where nothing was left, and no press goes through while it may not", () => {
  open(null);
  expect(screen.queryByRole("button")).toBeNull();
  cleanup();
  const onKeep = open(kept, false);
  fireEvent.click(screen.getByRole("button"));
  expect(onKeep).not.toHaveBeenCalled();
});
