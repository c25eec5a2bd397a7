import * as fc from "fast-check";
import { expect, test } from "vitest";
import { forceOverTurn, type TurnGeometry } from "./index.ts";

/** The same sum the slow way: the edge cut into slices along the axis, the turn into many places. */
function slowly(g: TurnGeometry & { fz: number; kc11: number }) {
  const [slices, places] = [200, 400];
  const perRadian = Math.tan((g.helix * Math.PI) / 180) / (g.diameter / 2);
  let [peak, sum] = [0, 0];
  for (let place = 0; place < places; place++) {
    let force = 0;
    for (let tooth = 0; tooth < g.teeth; tooth++) {
      for (let slice = 0; slice < slices; slice++) {
        const lag = (((slice + 0.5) * g.ap) / slices) * perRadian * (180 / Math.PI);
        const angle = (((place / places + tooth) * 360) / g.teeth - lag) % 360;
        const at = angle < 0 ? angle + 360 : angle;
        if (at <= g.from || at >= g.to) continue;
        force += g.kc11 * (g.fz * Math.sin((at * Math.PI) / 180)) ** (1 - g.mc) * (g.ap / slices);
      }
    }
    peak = Math.max(peak, force);
    sum += force;
  }
  return { peak, mean: sum / places };
}

const geometry = fc.record({
  diameter: fc.integer({ min: 6, max: 60 }),
  teeth: fc.integer({ min: 2, max: 8 }),
  ap: fc.integer({ min: 1, max: 30 }),
  from: fc.constantFrom(0, 30, 60),
  to: fc.constantFrom(90, 120, 180),
  helix: fc.constantFrom(20, 30, 45),
  mc: fc.constantFrom(0.2, 0.25, 0.3),
});

test("the force over a turn is that of the edge cut into slices", () => {
  fc.assert(
    fc.property(geometry, (g) => {
      const cut = { ...g, fz: 0.08, kc11: 1700 };
      const slow = slowly(cut);
      const { peak, mean } = forceOverTurn(cut);
      expect(Math.abs(mean - slow.mean)).toBeLessThanOrEqual(0.05 * slow.peak + 2);
      // Sixteen places of a pitch are looked at: the very top may lie between two.
      expect(Math.abs(peak - slow.peak)).toBeLessThanOrEqual(0.1 * slow.peak + 2);
    }),
    { numRuns: 60 },
  );
});
