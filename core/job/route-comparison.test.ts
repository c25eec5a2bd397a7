import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cheekBlock, dim, read } from "../../tests/support/cheek-block.ts";
import { type Axis, axisNames, faceNames, facesOf } from "../frame/index.ts";
import { applyChanges, changeOf, compareRoutes, type Job, plan, planStart } from "./index.ts";
import { effectivePart, equipment } from "./index.ts";
import { targetSizes } from "../part/index.ts";
import { demoShop } from "../shop/index.ts";
import {
  exhaustiveOrder,
  hangingOn,
  Moves,
  predictedErrors,
  referenceChain,
  searchOrder,
} from "../route/index.ts";

const block = (...changes: [path: string, to: unknown][]): Job =>
  changes.reduce((job, [path, to]) => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(path);
    return applied.job;
  }, cheekBlock());

function movesOf(job: Job) {
  const part = effectivePart(job);
  const { machine, vise, material } = equipment(job, demoShop);
  const start = planStart(
    job,
    part,
    targetSizes(part)!,
    { machine: machine!, vise: vise!, material: material! },
    demoShop,
  );
  return new Moves(start.raw, start.context, part);
}

describe("search for the order", () => {
  /** Axes whose two faces were bought ground to size: nothing is left to cut there. */
  const ground = fc.subarray([...axisNames], { minLength: 1, maxLength: 2 });
  const bought = (axis: Axis): [string, unknown][] => [
    ...facesOf(axis).map((face): [string, unknown] => [`stock/conditions/${face}`, "ground"]),
    ...["p1", "p2"].map((p): [string, unknown] => [
      `stock/measured/${axis}/${p}`,
      read(cheekBlock().part.sizes[axis]!.nominal),
    ]),
  ];
  test("costs the same as looking at every order, and takes up far fewer states", () => {
    fc.assert(
      fc.property(ground, fc.constantFrom(null, 0.02, 0.05), (axes, tolerance) => {
        const job = block(
          ...axes.flatMap(bought),
          ["part/squareness", tolerance],
          ["part/parallelism", tolerance],
        );
        const moves = movesOf(job);
        expect(moves.faces.length).toBe(6 - 2 * axes.length);
        const [all, found] = [exhaustiveOrder(moves), searchOrder(moves)];
        expect(found === null).toBe(all === null);
        if (!all || !found || !found.proven) return;
        expect(found.cost).toBeCloseTo(all.cost, 6);
        expect(found.expansions).toBeLessThanOrEqual(all.expansions);
      }),
      { numRuns: 8 },
    );
  });

  test("the same block gives the same order", () => {
    const [one, two] = [searchOrder(movesOf(cheekBlock())), searchOrder(movesOf(cheekBlock()))];
    expect(two).toEqual(one);
    expect(new Set(one!.order.map((at) => at.up)).size).toBe(6);
  });

  test("it stops when told to, with a whole order", () => {
    const tight = movesOf(block(["part/squareness", 0.02], ["part/parallelism", 0.02]));
    const found = searchOrder(tight, () => false)!;
    expect([found.proven, found.order.length]).toEqual([false, 6]);
  });
});

describe("reference chain", () => {
  const { setups, target } = plan({ job: cheekBlock(), records: [], shop: demoShop, piece: 1 });
  const links = referenceChain(setups);
  const place = { machine: demoShop.machines[0]!, vise: demoShop.vises[0]! };
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

  test("what hangs on a face are those cut from it later, and what was cut from them (M39)", () => {
    expect(hangingOn(links, "left")).toEqual([]);
    expect(hangingOn(links, "back")).toEqual(["left", "right", "front", "bottom", "top"]);
    expect(hangingOn(links, "bottom")).toEqual([]);
  });
});

describe("ways compared", () => {
  test("each is whole, one is recommended, and taking it makes it the plan", () => {
    const compared = compareRoutes(cheekBlock(), demoShop)!;
    expect(compared.options.map((o) => o.name)).toEqual([
      "Round the block",
      "Round the block, ends hung out",
      "Widest first",
      "Found by search",
    ]);
    for (const option of compared.options) {
      expect(option.refusal).toBeNull();
      expect(option.setups.map((s) => s.face).sort()).toEqual([...faceNames].sort());
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
      expect(made.setups.map((s) => s.face)).toEqual(option.setups.map((s) => s.face));
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
    expect(packed.setups[3]!.task.grip!.along).toBeGreaterThan(bottom.setups[3]!.task.grip!.along);
    expect(packed.steps.flatMap((s) => s.ticks.map((t) => t.id))).toEqual(
      expect.arrayContaining(["paper", "out-paper"]),
    );
    expect(held("fixed", "back").overrides[0]!.state).toBe("impossible");
    expect(held("parallels", "parallels-none").overrides[0]!.state).toBe("impossible");
  });
});
