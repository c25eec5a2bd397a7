import { expect, test } from "vitest";
import { newCutter } from "../shop/index.ts";
import { words } from "../working/index.ts";
import { notThis } from "./tool-fit.ts";

const wanted = {
  by: "hole",
  kinds: ["tap"],
  diameter: 6.35,
  over: 0.05,
  under: 0.05,
  pitch: 25.4 / 28,
  wanted: words("A tap 1/4-28"),
} as const;
const tap = (pitch: number | null) =>
  newCutter({
    id: "t",
    name: "1/4 tap",
    kind: "tap",
    material: "hss",
    diameter: 6.35,
    teeth: 4,
    fluteLength: 20,
    pitch,
  });

test.each([
  ["of another pitch is no tap for the hole", 25.4 / 20, "M20.pitch"],
  ["of its pitch is", 0.907, null],
  ["without a pitch may be: it is to be looked at", null, null],
] as const)("a tap %s", (_name, pitch, says) => {
  expect(notThis(wanted, tap(pitch))?.reason.id ?? null).toBe(says);
});
