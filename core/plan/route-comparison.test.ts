import { describe, expect, test } from "vitest";
import { block, cheekBlock, dim, read } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";
import { axisNames, faceNames } from "../frame/index.ts";
import { compareRoutes, plan } from "./index.ts";
import { demoShop } from "../shop/index.ts";
import { hangingOn, predictedErrors, referenceChain } from "../route/index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

describe("reference chain", () => {
  const made = plan({ job: cheekBlock(), records: [], shop: demoShop, piece: 1 });
  const { target } = made;
  const setups = faceCuts(made);
  const links = referenceChain(setups);
  const place = { machine: demoShop.machines[0]!, vise: demoShop.vises[0]!, square: null };
  const errors = (vise = place.vise) =>
    predictedErrors(links, { ...place, vise, target: target!, squareness: null, parallelism: null });

  test("every pair of a squared block was located from one another: nothing of the raw seats is left", () => {
    expect(errors().length).toBe(15);
    for (const e of errors()) {
      expect(Number.isFinite(e.predicted)).toBe(true);
      expect(e.worst).toBeGreaterThanOrEqual(e.predicted - 1e-12);
    }
  });

  test("turned end for end with the same face at the jaw, the jaw's error counts twice", () => {
    const leaning = (jawSquareness: number) => ({ ...place.vise, jawSquareness });
    const pair = (vise: typeof place.vise) =>
      errors(vise).find((e) => e.kind === "parallel" && e.faces.includes("top"))!;
    const [straight, out] = [pair(leaning(0)), pair(leaning(0.1))];
    // 0.1 over 50, twice, over the 60 of the width.
    expect(out.worst - straight.worst).toBeCloseTo(2 * (0.1 / 50) * 60, 6);
  });

  test("what the moving jaw lifts and twists never makes a pair truer; tapped down it lifts nothing", () => {
    const plain = { ...place, target: target!, squareness: null, parallelism: null };
    const lifting = predictedErrors(referenceChain(setups, place.vise), plain);
    errors().forEach((e, i) => expect(lifting[i]!.worst).toBeGreaterThanOrEqual(e.worst - 1e-12));
    expect(lifting.some((e, i) => e.worst > errors()[i]!.worst + 1e-6)).toBe(true);
    const tapped = setups.map((s) => ({ ...s, seat: { ...s.seat, tap: true, overhang: null } }));
    expect(predictedErrors(referenceChain(tapped, place.vise), plain)).toEqual(
      predictedErrors(referenceChain(tapped), plain),
    );
  });

  test("what hangs on a face are those cut from it later, and what was cut from them (M39)", () => {
    expect(hangingOn(links, "left")).toEqual([]);
    expect(hangingOn(links, "back")).toEqual(["left", "right", "front", "bottom", "top"]);
    expect(hangingOn(links, "bottom")).toEqual([]);
  });
});

/** An override as the person sets it. */
const at = (what: string, value: string, where = "route") => ({
  id: what,
  at: where,
  what,
  value,
  reason: "",
  since: "2026-11-25T08:00:00Z",
});

describe("ways compared", () => {
  test("each is whole, one is recommended, and taking it makes it the plan", () => {
    const compared = compareRoutes(cheekBlock(), demoShop)!;
    expect(compared.options.map((o) => o.name)).toEqual([
      "Round the block",
      "Round the block, ends hung out",
      "Widest first",
      "Two setups",
      "On the table",
      "Found by search",
    ]);
    for (const option of compared.options) {
      expect(option.refusal).toBeNull();
      expect([...new Set(option.setups.map((s) => s.face))].sort()).toEqual([...faceNames].sort());
      const { school, ends } = option;
      const [what, value] = school === "round" ? ["ends", ends] : ["school", school];
      const job = block(
        [
          "overrides/byId/s",
          { id: "s", at: "route", what, value, reason: "", since: "2026-11-25T08:00:00Z" },
        ],
        ["overrides/order", ["s"]],
      );
      const made = plan({ job, records: [], shop: demoShop, piece: 1 });
      expect(faceCuts(made).map((s) => s.key)).toEqual(option.setups.map((s) => s.key));
      expect(made.overrides.map((o) => o.state)).toEqual(["applied"]);
    }
    expect(compared.options[compared.recommended]!.share).toBeLessThanOrEqual(1);
  });

  test("a block too tall for any flute is squared with its ends upright, and that is recommended", () => {
    const sizes = { length: 100, width: 100, height: 90 };
    const tall = block(
      ...axisNames.flatMap((axis): [string, unknown][] => [
        [`part/sizes/${axis}`, dim(`${sizes[axis]} ±0.1`)],
        [`stock/measured/${axis}/p1`, read(sizes[axis] + 3)],
        [`stock/measured/${axis}/p2`, read(sizes[axis] + 3)],
      ]),
      ["part/squareness", null],
      ["part/parallelism", null],
    );
    const { options, recommended } = compareRoutes(tall, demoShop)!;
    expect(options[0]!.refusal).not.toBeNull();
    expect([options[recommended]!.ends, options[recommended]!.refusal]).toEqual(["upright", null]);
  });

  test("two setups walked to the end leave nothing to check again, and which side is at the jaw is not for choice", () => {
    const job = block(
      ["overrides/byId/school", at("school", "twoSetups")],
      ["overrides/byId/fixed", at("fixed", "back", "top/face")],
      ["overrides/order", ["school", "fixed"]],
    );
    const { plan: made } = walk(job);
    expect([made.current, made.rechecks]).toEqual([made.steps.length, []]);
    expect(made.overrides.map((o) => o.state)).toEqual(["applied", "impossible"]);
  });

  test("paper under a strapped part stays while the straps are moved, and is ticked out at the end", () => {
    const job = block(
      ["overrides/byId/school", at("school", "table", "route")],
      ["overrides/byId/packing", at("packing", "paper", "top/part")],
      ["overrides/order", ["school", "packing"]],
    );
    const made = plan({ job, records: [], shop: demoShop, piece: 1 });
    const { steps } = made;
    const setups = faceCuts(made);
    const first = setups.filter((s) => s.clamping === 1);
    expect(first.map((s) => s.seat.paper)).toEqual(first.map(() => true));
    const ticks = steps.filter((s) => first.some((f) => f.key === s.op)).flatMap((s) => s.ticks);
    expect(ticks.filter((t) => t.id === "paper" || t.id === "out-paper")).toHaveLength(2);
  });

  test("the face at the jaw and the parallels of one setup can be chosen; what cannot be says why", () => {
    const held = (what: string, value: string, at = "front/face") =>
      plan({
        job: block(
          ["overrides/byId/s", { id: "s", at, what, value, reason: "", since: "2026-11-25T08:00:00Z" }],
          ["overrides/order", ["s"]],
        ),
        records: [],
        shop: demoShop,
        piece: 1,
      });
    const bottom = held("fixed", "bottom");
    expect(bottom.setups[3]!.seat.fixed).toBe("bottom");
    expect(bottom.overrides[0]!.state).toBe("applied");
    expect(held("parallels", "parallels-10").setups[3]!.seat.parallels?.id).toBe("parallels-10");
    const packed = held("packing", "paper");
    expect(faceCuts(packed)[3]!.task.grip!.along).toBeGreaterThan(faceCuts(bottom)[3]!.task.grip!.along);
    expect(packed.steps.flatMap((s) => s.ticks.map((t) => t.id))).toEqual(
      expect.arrayContaining(["paper", "out-paper"]),
    );
    expect(held("fixed", "back").overrides[0]!.state).toBe("impossible");
    expect(held("parallels", "parallels-none").overrides[0]!.state).toBe("impossible");
  });
});
