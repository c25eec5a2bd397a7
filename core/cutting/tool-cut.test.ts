import { describe, expect, test } from "vitest";
import { materials } from "../handbook/index.ts";
import { demoShop, forceBorne, type Machine } from "../shop/index.ts";
import { cuttingPower, specificForce } from "./power.ts";
import { toolCut } from "./tool-cut.ts";

const disc = demoShop.cutters.find((c) => c.kind === "woodruff")!;
const machine = demoShop.machines.find((m) => m.kind === "vertical")!;

/** What a buried disc asks of a machine, as a share of its force. */
function shareOf(
  of: Machine,
  material: (typeof materials)[number],
): { share: number; vf: number; fz: number } {
  const made = toolCut(disc, { machine: of, material, shop: demoShop }, of.axes.y, 0);
  if (!made.ok) throw new Error("the disc cannot be used");
  const { vf, rpm } = made.value;
  const fz = vf / (rpm * disc.teeth);
  const kc = specificForce(material.kc11, material.mc, (fz * 2) / Math.PI);
  const power = cuttingPower(disc.fluteLength, disc.diameter, vf, kc);
  return { share: (power * 60e6) / (Math.PI * disc.diameter * rpm) / forceBorne(of), vf, fz };
}

describe("a buried disc", () => {
  test.each(materials.map((m) => [m.id, m] as const))(
    "in %s asks no more than the machine has",
    (_id, material) => {
      const { share, fz } = shareOf(machine, material);
      // Thinner than this it would rub: then it is as light as it can be.
      expect(share <= 0.6 + 1e-9 || fz < 0.0101).toBe(true);
    },
  );

  test("is fed slower on a weaker machine", () => {
    const material = materials.find((m) => m.group === "steel")!;
    const strong = { ...machine, ownForce: 20_000 };
    expect(shareOf(machine, material).vf).toBeLessThanOrEqual(shareOf(strong, material).vf);
  });
});
