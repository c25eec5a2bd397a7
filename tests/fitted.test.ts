import { describe, expect, test } from "vitest";
import { plan } from "../core/plan/index.ts";
import type { Mate } from "../core/part/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { block, dim, featureList, featureOf } from "./support/cheek-block.ts";
import { faceCuts } from "./support/faces.ts";

const mateOf = (size: string, more: Partial<Mate> = {}): [string, unknown] => [
  "part/mates",
  {
    byId: {
      m: {
        id: "m",
        kind: "fits",
        size,
        other: "the frame",
        mate: dim("59.9"),
        measured: true,
        outer: false,
        gap: "slide",
        ...more,
      },
    },
    order: ["m"],
  },
];
const planOf = (...changes: [string, unknown][]) =>
  plan({ job: block(...changes), records: [], shop: demoShop, piece: 1 });
const requirement = (made: ReturnType<typeof planOf>, of: string) =>
  made.requirements.find((r) => r.of === of)!;

describe("sizes made to a mate that was measured", () => {
  test("an outside size is cut to it, and what the drawing says is told", () => {
    const made = planOf(mateOf("sizes/width"));
    // The part goes in with 0.01 to 0.06 of play.
    expect(made.target!.width).toBeCloseTo(59.865, 6);
    expect(faceCuts(made).find((s) => s.axis === "width" && s.sized)!.to).toBeCloseTo(59.865, 6);
    const width = requirement(made, "width");
    expect(width.limits).toEqual({ lower: 59.84, upper: 59.89 });
    expect(width.deviation!.drawn!.upper).toBeGreaterThan(59.89);
  });

  test("a mate that is only drawn moves nothing, and one within the drawing is no deviation", () => {
    const drawn = planOf(mateOf("sizes/width", { measured: false }));
    expect(drawn.target!.width).toBe(planOf().target!.width);
    const within = planOf(["part/sizes/width", dim("60 ±0.5")], mateOf("sizes/width"));
    expect(requirement(within, "width").deviation).toBeNull();
  });

  test("a slot wider than drawn for its mate says so", () => {
    const slot = featureOf("slot", "slot", "top", { sizes: { width: "9 ±0.02", depth: "6" } });
    const features: [string, unknown] = ["part/features", featureList([slot])];
    const made = planOf(features, mateOf("slot/width", { mate: dim("9.05"), outer: true }));
    const width = requirement(made, "slot/width");
    expect(width.limits).toEqual({ lower: 9.06, upper: 9.11 });
    expect(width.deviation).not.toBeNull();
    expect(requirement(planOf(features), "slot/width").deviation).toBeNull();
  });
});
