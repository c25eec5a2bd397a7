import { expect, test } from "vitest";
import { demoShop, type Machine, type Vise } from "../shop/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { plan } from "../plan/index.ts";
import { phraseText } from "../working/index.ts";
import { isRework, readiness } from "./index.ts";

const machine = demoShop.machines[0]!;
const vise = demoShop.vises[0]!;
const caliper = demoShop.instruments[0]!;

test.each<[string, Partial<Machine>, Partial<Vise>, within: number, what: RegExp, state: string]>([
  ["never swept", {}, {}, 0.03, /along X/, "unknown"],
  ["swept and good", { tramAlong: 0.01, tramSweep: 200 }, {}, 0.03, /along X/, "ready"],
  ["swept and out", { tramAlong: -0.05, tramSweep: 200 }, {}, 0.03, /along X/, "tooMuch"],
  ["swept and out, but wide", { tramAlong: -0.05, tramSweep: 200 }, {}, 0.3, /along X/, "ready"],
  ["the jaw leans", {}, { jawSquareness: 0.02 }, 0.03, /Fixed jaw square/, "tooMuch"],
  ["the jaw stands", {}, { jawSquareness: 0.004 }, 0.03, /Fixed jaw square/, "ready"],
  ["the jaw gives", {}, { stretch: 0.05 }, 0.03, /flex/, "tooMuch"],
  ["no instrument is sure enough", {}, {}, 0.01, /precise enough instrument/, "tooMuch"],
])("%s", (_name, onMachine, onVise, within, what, state) => {
  const items = readiness(
    { ...machine, ...onMachine },
    { ...vise, ...onVise },
    { instruments: [caliper], aids: [] },
    within,
    "2026-11-30",
  );
  const item = items.find((i) => what.test(i.what))!;
  expect(item.state).toBe(state);
  // What is not ready says what to do.
  for (const i of items) expect(i.todo === null).toBe(i.state === "ready");
});

test("an instrument checked is ready, one never checked is asked about", () => {
  const states = (lastCheck: string) =>
    readiness(machine, vise, { instruments: [{ ...caliper, lastCheck }], aids: [] }, 0.05, "2026-11-30").find(
      (i) => i.what === caliper.name,
    )!.state;
  expect([states("2026-10-01"), states(""), states("2024-10-01")]).toEqual(["ready", "unknown", "unknown"]);
});

test.each([
  ["lately", "2026-11-20", "ready"],
  ["too long ago", "2026-09-01", "unknown"],
])("the jaw along X, tried %s", (_when, on, state) => {
  const checks = { "check-jaw-line": { on, found: 0.005, texts: {}, unit: "mm" as const } };
  const items = readiness(
    machine,
    { ...vise, jawLine: 0.005, checks },
    { instruments: [caliper], aids: [] },
    0.05,
    "2026-11-30",
  );
  expect(items.find((i) => i.check === "check-jaw-line")!.state).toBe(state);
});

test.each([
  ["measured unlike", 0.02, /higher, as you measured them/],
  ["measured alike", 0.004, null],
  ["never measured", null, null],
])("parallels %s, where a face is cut on them", (_what, unlike, says) => {
  const shop = { ...demoShop, parallels: demoShop.parallels.map((p) => ({ ...p, unlike })) };
  const said = plan({ job: cheekBlock(), records: [], shop, piece: 1 }).setups.flatMap((s) =>
    s.warnings.map((w) => phraseText(w.phrase, "mm")),
  );
  const found = said.filter((text) => /as you measured them/.test(text));
  if (says) expect(found.join(" ")).toMatch(says);
  else expect(found).toEqual([]);
});

test.each([
  ["top/again", true],
  ["top/again2", true],
  ["top/face", false],
  ["slot-2/wall-back~1", true],
  ["slot-2/wall-back", false],
] as const)("%s is done once more: %s", (key, again) => {
  expect(isRework(key)).toBe(again);
});

const stop = demoShop.aids.find((aid) => aid.kind === "stop")!;
test.each([
  ["a stop nobody tried", null, "", "unknown"],
  ["a stop tried lately", 0.01, "2026-11-20", "ready"],
  ["a stop tried before the table was moved", 0.01, "2026-09-20", "unknown"],
  ["a stop that does not come back", 0.05, "2026-11-20", "tooMuch"],
])("%s", (_name, comesBack, tried, state) => {
  const aids = [{ ...stop, comesBack, tried }];
  const items = readiness(machine, vise, { instruments: [caliper], aids }, 0.06, "2026-11-30");
  expect(items.find((i) => i.what === stop.name)!.state).toBe(state);
});

test.each([
  ["", "unknown"],
  ["2026-06-01", "ready"],
  ["2025-06-01", "unknown"],
])("the pull at the handle, checked %j", (pullChecked, state) => {
  const items = readiness(
    machine,
    { ...vise, pullChecked },
    { instruments: [caliper], aids: [] },
    0.06,
    "2026-11-30",
  );
  expect(items.find((i) => i.what.startsWith("Pull"))!.state).toBe(state);
});
