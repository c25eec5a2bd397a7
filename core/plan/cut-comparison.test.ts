import { expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { demoShop } from "../shop/index.ts";
import { compareCut, plan } from "./index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

const job = cheekBlock();
const made = plan({ job, records: [], shop: demoShop, piece: 1 });

test.each(faceCuts(made).map((s) => s.key))(
  "%s: owned cutters ranked, charts that hold the chosen point",
  (key) => {
    const { cut } = faceCuts(made).find((s) => s.key === key)!;
    const compared = compareCut(made, job, demoShop, key)!;
    // Every owned one appears, the one planned leads, the quicker before the slower among equals.
    expect(compared.ranking.map((r) => r.cutter).sort()).toEqual(demoShop.cutters.map((c) => c.id).sort());
    expect(compared.ranking[0]!.cutter).toBe(cut.cutter);
    expect(compared.ranking.findIndex((r) => r.minutes === null)).toBeGreaterThan(0);
    expect(compared.shares.every((s) => s.share > 0 && s.share <= 1 + 1e-9)).toBe(true);
    expect(compared.speeds.filter((s) => s.chosen).map((s) => s.rpm)).toEqual([cut.rpm]);
    const { chart } = compared;
    const [depth, feed] = chart.chosen;
    expect(depth).toBeLessThanOrEqual(chart.deepest + 1e-9);
    const next = chart.envelope.filter(([d]) => d <= depth).at(-1) ?? chart.envelope[0]!;
    expect(feed).toBeLessThanOrEqual(next[1] * 1.02);
  },
);

test("a key without a setup is not compared", () =>
  expect(compareCut(made, job, demoShop, "top/slot")).toBeNull());

test("a tool too long for the daylight is ranked out, and cannot be chosen (M43)", () => {
  const [knee, ...others] = demoShop.machines;
  const shop = { ...demoShop, machines: [{ ...knee!, daylight: 200 }, ...others] };
  const wanted = cheekBlock();
  wanted.overrides = {
    byId: {
      c: {
        id: "c",
        at: "back/face",
        what: "cutter",
        value: "em-20",
        reason: "",
        since: "2026-11-25T08:00:00Z",
      },
      // Left to the plan it would be strapped to the table, where there is room.
      s: { id: "s", at: "route", what: "school", value: "round", reason: "", since: "2026-11-25T08:00:00Z" },
    },
    order: ["c", "s"],
  };
  const low = plan({ job: wanted, records: [], shop, piece: 1 });
  expect(low.overrides[0]).toMatchObject({ state: "impossible", why: { id: "M43.daylight" } });
  expect(faceCuts(low)[0]!.cut.cutter).not.toBe("em-20");
  const ranked = compareCut(low, wanted, shop, "back/face")!.ranking.find((r) => r.cutter === "em-20")!;
  expect([ranked.minutes, ranked.why.id]).toEqual([null, "M43.daylight"]);
});
