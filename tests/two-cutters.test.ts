import { describe, expect, test } from "vitest";
import { plan, rehearse } from "../core/plan/index.ts";
import { openSolids } from "../core/rehearse/index.ts";
import { faceNames } from "../core/frame/index.ts";
import { conditionsFor } from "../core/stock/index.ts";
import { extentOf } from "../core/squaring/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { phraseText } from "../core/working/index.ts";
import { block, dim } from "./support/cheek-block.ts";
import { faceCuts } from "./support/faces.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { walk } from "./support/walker.ts";

const hotRolled = (tolerance: string, ...more: [string, unknown][]) =>
  block(
    ["stock/form", "hotRolled"],
    ...faceNames.map((face): [string, unknown] => [
      `stock/conditions/${face}`,
      conditionsFor("hotRolled", "length")[face],
    ]),
    ["part/sizes/width", dim(`60 ${tolerance}`)],
    ["part/sizes/height", dim("38 ±0.3")],
    ["part/sizes/length", dim("96 ±0.3")],
    ...more,
  );
const planOf = (job: ReturnType<typeof block>) => plan({ job, records: [], shop: demoShop, piece: 1 });
const sized = (job: ReturnType<typeof block>) =>
  faceCuts(planOf(job)).filter((s) => s.axis === "width" && (s.sized || extentOf(s.key) === "rough"));

describe("a close size under scale", () => {
  test("the cutter kept for scale takes it off, and another makes the size, still clamped", () => {
    const [rough, finish, ...others] = sized(hotRolled("±0.02"));
    expect(others).toEqual([]);
    expect([extentOf(rough!.key), extentOf(finish!.key)]).toEqual(["rough", "face"]);
    expect(rough!.face).toBe(finish!.face);
    expect([rough!.stays, finish!.entry]).toEqual([true, "stays"]);
    expect(finish!.cut.cutter).not.toBe(rough!.cut.cutter);
    expect(rough!.from - rough!.to).toBeGreaterThan(0.5);
    expect(finish!.from).toBe(rough!.to);
    expect(finish!.to).toBe(60);
    // The good edge never meets the skin.
    expect([...phraseIds(finish!.warnings)]).not.toContain("M19.skin");
    expect(phraseText(rough!.title, "mm")).toMatch(/scale off/);
  });

  test.each([
    ["a wide size: one cutter does both", hotRolled("±0.2")],
    ["no scale on it", block(["part/sizes/width", dim("60 ±0.02")])],
    [
      "the cutter chosen by the person",
      hotRolled(
        "±0.02",
        ["overrides/byId", { o: override("front/face"), p: override("back/face") }],
        ["overrides/order", ["o", "p"]],
      ),
    ],
  ])("%s", (_what, job) => {
    expect(sized(job).map((s) => extentOf(s.key))).toEqual(["face"]);
  });

  test("walked to the end it is within its limits, and nothing is found", async () => {
    const job = hotRolled("±0.02");
    const { plan: made, done } = walk(job);
    expect(made.current).toBe(made.steps.length);
    // Between the two the part is not taken out, and the second cutter has its own zero.
    const of = (extent: string) => done.filter((s) => s.op.endsWith(`/${extent}`)).map((s) => s.kind);
    expect(of("rough")).not.toContain("takeOut");
    expect(of("rough")).not.toContain("measure");
    expect(done.filter((s) => s.kind === "touch")).toHaveLength(faceCuts(made).length);
    const kit = await openSolids();
    const { findings, truths, finished } = rehearse({ job, shop: demoShop, seed: 7, kit });
    expect(finished).toBe(true);
    expect(findings).toEqual([]);
    expect(truths.find((t) => t.of === "width")!.good).toBe(true);
  }, 60_000);
});

function override(at: string) {
  const id = at.startsWith("front") ? "o" : "p";
  return { id, at, what: "cutter", value: "face-50-old", reason: "", since: "" };
}
