import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { dim } from "../../tests/support/cheek-block.ts";
import { updatedEvent } from "../offline.ts";
import type { JobIntent } from "../session/intent.ts";
import type { Trouble } from "../session/job-session.ts";
import { system } from "../theme/system.ts";
import { TroubleNotice } from "./trouble.tsx";
import { UpdatedNotice } from "./updated.tsx";

afterEach(cleanup);

function open(trouble: Trouble, unit: "mm" | "in" = "mm") {
  const sent: JobIntent[] = [];
  let settled = 0;
  render(
    <ChakraProvider value={system}>
      <TroubleNotice
        trouble={trouble}
        unit={unit}
        onSettled={() => void settled++}
        send={(intent) => sent.push(intent)}
      />
      <UpdatedNotice />
    </ChakraProvider>,
  );
  return { sent, settled: () => settled, said: () => screen.getByRole("alert").textContent };
}
const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));
const conflict = (path: string, yours: unknown, theirs: unknown): Trouble => ({
  what: "conflict",
  reason: "a reason",
  conflicts: [{ path, yours: yours as never, theirs: theirs as never }],
});

test.each<[string, Trouble, "mm" | "in", RegExp]>([
  [
    "sizes",
    conflict("part/sizes/width", dim("58 ±0.05"), dim("59 ±0.05")),
    "mm",
    /there 59 ±0\.05, yours 58 ±0\.05/,
  ],
  [
    "sizes in inches",
    conflict("part/sizes/width", dim("25.4"), dim("50.8")),
    "in",
    /there 2\.0+.*, yours 1\.0+/,
  ],
  [
    "measured points",
    conflict("stock/p1", { value: 38.2, written: { text: "38.2", unit: "mm" } }, null),
    "mm",
    /there nothing, yours 38\.2/,
  ],
  ["texts", conflict("name", "Mine", "Theirs"), "mm", /name: there Theirs, yours Mine/],
  [
    "things with a name",
    conflict("part/mates/byId/x", { name: "The tongue" }, true),
    "mm",
    /there yes, yours The tongue/,
  ],
])("%s that stand against each other are both told", (_what, trouble, unit, text) => {
  expect(open(trouble, unit).said()).toMatch(text);
});

test("one's own is kept by sending it again over the other's", () => {
  const { sent, settled } = open(conflict("name", "Mine", "Theirs"));
  press("Keep mine");
  expect(sent).toEqual([
    { intent: "change", reason: "a reason", changes: [{ path: "name", from: "Theirs", to: "Mine" }] },
  ]);
  expect(settled()).toBe(1);
});

test("the other's is kept by doing nothing", () => {
  const { sent, settled } = open(conflict("name", "Mine", "Theirs"));
  press("Keep the other");
  expect([sent, settled()]).toEqual([[], 1]);
});

test.each<[Trouble, RegExp]>([
  [
    { what: "notKept", why: "full", of: "The reading 37.9 mm" },
    /The reading 37\.9 mm was not saved: .*no room left/,
  ],
  [
    { what: "elsewhere", of: "The reading 37.9 mm" },
    /Another tab saved something first\. The reading 37\.9 mm was not/,
  ],
  [{ what: "undo" }, /Cannot undo/],
  [{ what: "invalid", why: "name: too long" }, /would no longer be valid: name: too long/],
])("%o stands until it was read", (trouble, text) => {
  const { settled, said } = open(trouble);
  expect(said()).toMatch(text);
  press("I have read this");
  expect(settled()).toBe(1);
});

test.each([
  ["page", /newer Firm Arbor.*Finish this cut/],
  ["database", /nothing more will be until you load it/],
])("an update of the %s is told with a way to load it, and loads nothing by itself", async (detail, text) => {
  open({ what: "undo" });
  fireEvent(window, new CustomEvent(updatedEvent, { detail }));
  const button = await screen.findByRole("button", { name: "Load it now" });
  expect(button.closest("[role=alert]")?.textContent).toMatch(text);
});
