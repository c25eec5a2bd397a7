import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { leastChip, materials } from "../handbook/index.ts";
import { demoShop } from "../shop/index.ts";
import { plungeOf } from "./plunge.ts";

const endMills = demoShop.cutters.filter((c) => c.kind === "endMill");
const asked = fc.record({
  cutter: fc.constantFrom(...endMills),
  machine: fc.constantFrom(...demoShop.machines),
  material: fc.constantFrom(...materials),
  rpm: fc.integer({ min: 80, max: 3000 }),
  vf: fc.integer({ min: 20, max: 600 }),
});

describe("an end mill straight down", () => {
  test("goes at half the feed at most, and asks no more than the machine may give, unless it would make no chip", () => {
    fc.assert(
      fc.property(asked, ({ cutter, machine, material, rpm, vf }) => {
        const down = plungeOf(cutter, { machine, material }, rpm, vf);
        const least = leastChip(cutter.kind, cutter.material) * cutter.teeth * rpm;
        expect(down.vf).toBeLessThanOrEqual(Math.min(vf, Math.max(vf / 2, least)) + 1e-9);
        if (down.vf > least + 1e-9) expect(down.share).toBeLessThanOrEqual(0.6 + 1e-9);
        expect(down.power).toBeGreaterThan(0);
      }),
    );
  });

  test("a slower feed takes less power, a thicker cutter more", () => {
    const place = { machine: demoShop.machines[0]!, material: materials[0]! };
    const [thin, thick] = [8, 16].map((d) => endMills.find((c) => c.diameter === d)!);
    const power = (cutter: typeof thin, vf: number) => plungeOf(cutter!, place, 600, vf).power;
    expect(power(thin, 40)).toBeLessThan(power(thin, 80));
    const alike = { ...thick!, teeth: thin!.teeth, material: thin!.material };
    expect(plungeOf(alike, place, 600, 60).power).toBeGreaterThan(power(thin, 60));
  });
});
