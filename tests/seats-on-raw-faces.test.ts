import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { alongJaws, axisOf, downOf } from "../core/frame/index.ts";
import { type Plan, plan } from "../core/plan/index.ts";
import { faceSetupsOf, type FaceSetup, squaredAgainst } from "../core/route/index.ts";
import { isReference } from "../core/stock/index.ts";
import { phraseText } from "../core/working/index.ts";
import { randomJob } from "./support/random-jobs.ts";

/** Plans of random jobs with their faces: raw stock of every sort, few things to hold with. */
const plans = fc.integer({ min: 1, max: 5000 }).map((n): Plan => {
  const { job, shop } = randomJob(n);
  return plan({ job, records: [], shop, piece: 1 });
});
const ticksOf = (made: Plan, setup: FaceSetup, kind: string) =>
  made.steps.filter((s) => s.setup === setup.number && s.kind === kind).flatMap((s) => s.ticks);
const overSetups = (check: (setup: FaceSetup, made: Plan) => void) =>
  fc.assert(
    fc.property(plans, (made) => faceSetupsOf(made.setups).forEach((setup) => check(setup, made))),
    { numRuns: 60 },
  );

describe("a part that stands on a raw face", () => {
  test("is tapped down on a machined face; an end that a square sets only on one that was cut here", () =>
    overSetups(({ before, at, seat, device }) => {
      if (device !== "vise" || seat.table) return;
      const down = downOf(at);
      const trusted = isReference(before, down) && (!seat.square || before.faces[down].order !== null);
      expect(seat.tap).toBe(trusted);
    }));

  test("is set upright by a square against a machined face where there is one, and the tick names it", () =>
    overSetups((setup, made) => {
      const against = squaredAgainst(setup);
      const { before, at, seat, entry } = setup;
      if (!seat.square || setup.device !== "vise" || seat.tap) {
        expect(against).toBeNull();
        return;
      }
      expect(axisOf(against!)).toBe(alongJaws(at));
      const machined = (["left", "right", "front", "back", "bottom", "top"] as const).filter(
        (f) => axisOf(f) === alongJaws(at) && isReference(before, f),
      );
      if (machined.length > 0) expect(machined).toContain(against);
      if (entry !== "placed") return;
      const tick = ticksOf(made, setup, "clamp").find((t) => t.id === "squared");
      const { order } = before.faces[against!];
      expect(phraseText(tick!.phrase, "mm")).toContain(order === null ? `${against} face` : `face ${order}`);
    }));
});

describe("a raw face at the fixed jaw over a machined one", () => {
  test("gets packing that gives, which comes out when the part does", () =>
    overSetups((setup, made) => {
      const { placed, seat, at, entry } = setup;
      if (setup.device !== "vise") return;
      const asked = ticksOf(made, setup, "place").some((t) => t.id === "soft");
      if (entry === "placed") {
        const raw = !isReference(placed, seat.fixed) && isReference(placed, downOf(at));
        expect(asked).toBe(raw && seat.overhang === null);
        expect(seat.soft).toBe(asked);
      }
      const out = ticksOf(made, setup, "takeOut");
      if (out.length > 0) expect(out.some((t) => t.id === "out-soft")).toBe(seat.soft);
    }));
});

describe("a face that nothing comes off", () => {
  test("has no setup of its own once it was measured; before that its setup says what to measure", () =>
    overSetups((setup, made) => {
      const { cut, axis } = setup.operations[0];
      const unmeasured = made.spares![axis].verdict === "unmeasured";
      const warned = setup.warnings.some((w) => w.phrase.id === "M10.unmeasured" && w.severity === "stop");
      expect(warned).toBe(unmeasured);
      if (cut.passes.length === 0) expect(unmeasured).toBe(true);
    }));
});
