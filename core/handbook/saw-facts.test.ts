import { describe, expect, test } from "vitest";
import { materials, sawFactsOf, sawKinds, sawShare, sawWords, teethInSection } from "./index.ts";

describe("what a saw does in a material", () => {
  test.each(materials.map((m) => [m.name, m] as const))(
    "%s: a band of speeds and of rates, low before high",
    (_name, material) => {
      const { speed, rate } = sawFactsOf(material);
      for (const [low, high] of [speed, rate]) {
        expect(low).toBeGreaterThan(0);
        expect(low).toBeLessThan(high);
      }
    },
  );

  test("harder steel is sawn slower, never faster than plain low-carbon", () => {
    const plain = sawFactsOf(materials.find((m) => m.id === "steel-low-drawn")!);
    for (const m of materials.filter((of) => of.group === "steel")) {
      expect(sawFactsOf(m).speed[1]).toBeLessThanOrEqual(plain.speed[1]);
      expect(sawFactsOf(m).rate[1]).toBeLessThanOrEqual(plain.rate[1]);
    }
    expect(sawFactsOf(materials.find((m) => m.id === "steel-alloy-prehard")!).speed[1]).toBeLessThan(
      plain.speed[1],
    );
  });

  test("every kind of saw has its name and its share, by hand the least", () => {
    for (const kind of sawKinds) expect(sawWords[kind].length).toBeGreaterThan(4);
    expect(Math.min(...sawKinds.map((kind) => sawShare[kind]))).toBe(sawShare.hand);
    expect(teethInSection.least).toBeLessThan(teethInSection.better);
  });
});
