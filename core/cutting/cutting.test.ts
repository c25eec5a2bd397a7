import { describe, expect, test } from "vitest";
import { materialById } from "../handbook/index.ts";
import { type Cutter, demoShop, type Machine } from "../shop/index.ts";
import { phraseText, type Warning } from "../working/index.ts";
import {
  aimedSpeed,
  chooseCut,
  chooseFeed,
  chooseSpeed,
  type CutPlace,
  type CutTask,
  cutTask,
  cutWith,
  hardLimitBroken,
  nothingOwn,
  type OwnConditions,
} from "./index.ts";

const [knee, bench] = demoShop.machines as [Machine, Machine];
const steel = materialById("steel-low-drawn")!;
const face = cutTask({ kind: "face", length: 100, across: 40, total: 2 });
const place = (machine: Machine = knee): CutPlace => ({ machine, material: steel, shop: demoShop });
const cutter = (id: string) => demoShop.cutters.find((c) => c.id === id)!;
const own = (more: Partial<OwnConditions>): OwnConditions => ({ ...nothingOwn, ...more });
const cutOf = (task: CutTask, id = "face-63", machine = knee, changed: Partial<Cutter> = {}) => {
  const outcome = cutWith(task, { ...cutter(id), ...changed }, place(machine));
  if (!outcome.ok) throw new Error(phraseText(outcome.reason, "mm"));
  return outcome.value;
};
const ids = (warnings: Warning[]) => warnings.map((w) => w.phrase.id);

describe("speed", () => {
  test.each([
    ["hss", [24, 36], 28],
    ["cobalt", [30, 45], 35],
    ["carbide", [100, 200], 150],
    ["coatedCarbide", [100, 200], 150],
  ] as const)("%s aims in %j at %d", (tool, range, aim) =>
    expect(aimedSpeed([...range], tool)).toBeCloseTo(aim, 9),
  );

  test.each([
    // diameter, expected step, warning
    [63, 660, undefined],
    [20, 2720, undefined],
    [10, 2720, "speed.topsOut"],
    [1200, 80, ["M21.tooFast", "M18.reversed"]],
  ])("coated carbide of %d mm runs at %d", (diameter, rpm, warning) => {
    const choice = chooseSpeed({
      machine: knee,
      material: steel,
      cutter: { ...cutter("face-63"), diameter },
      diameter,
    });
    expect(choice.rpm).toBe(rpm);
    expect(ids(choice.warnings)).toEqual(warning ? [warning].flat() : []);
    if (!warning) expect(choice.vc).toBeLessThanOrEqual(choice.vcRange[1]);
  });
});

describe("feed", () => {
  test.each([
    [100, 65, "power", "step"],
    [22, 22, "power", "step"],
    [10, 10, "hand", "wanted"],
  ])("%d wanted on the knee mill: %d by %s", (wanted, vf, by, bound) =>
    expect(chooseFeed(knee.axes.x, wanted)).toMatchObject({ vf, by, bound }),
  );

  test("by hand no quicker than a hand turns", () => {
    const choice = chooseFeed(bench.axes.x, 900);
    expect(choice).toMatchObject({ by: "hand", bound: "hand", pace: 1 });
    expect(choice.vf).toBeCloseTo(60 * 2.54, 9);
  });
});

describe("one cut", () => {
  test("more power in the motor allows more depth until another limit binds", () => {
    const depths = [0.6, 1.5, 3, 10].map((motorPower) => cutOf(face, "face-63", { ...knee, motorPower }));
    expect(depths.map((c) => c.allowed)).toEqual([...depths.map((c) => c.allowed)].sort((a, b) => a - b));
    expect(depths.map((c) => c.bound)).toEqual(["power", "power", "class", "class"]);
  });

  test("a limit handed in from outside binds when it allows least", () => {
    const grip = {
      id: "grip",
      name: { parts: ["grip"] },
      allows: { kind: "length" as const, value: 0.4 },
      lifts: { parts: ["more grip"] },
      hardAt: null,
      source: "",
    };
    const cut = cutOf({ ...face, outside: [grip] });
    expect([cut.bound, cut.allowed]).toEqual(["grip", 0.4]);
    for (const pass of cut.passes) expect(pass.depth).toBeLessThanOrEqual(0.4);
  });

  test("under a deep skin the feed is gentler, then the lanes are narrowed, never the depth", () => {
    const wide = cutOf({ ...face, total: 4 });
    const thin = cutOf({ ...face, total: 4, skin: 1.5 });
    expect(thin.passes[0]!.depth).toBeGreaterThanOrEqual(1.8);
    expect([thin.width, thin.vf < wide.vf]).toEqual([wide.width, true]);
    const skinned = cutOf({ ...face, total: 4, skin: 2.5 });
    expect(skinned.passes[0]!.depth).toBeGreaterThanOrEqual(2.8);
    expect(skinned.width).toBeLessThan(wide.width);
    expect(skinned.warnings.map((w) => w.phrase.id)).toContain("skin.width");
    expect(wide.warnings).toEqual([]);
  });

  test("a machine too light for the skin says so", () => {
    const cut = cutOf({ ...face, total: 4, skin: 1.5, hardSkin: true }, "fly-80", bench);
    expect(cut.warnings.map((w) => w.phrase.id)).toContain("skin.depth");
  });

  test("side cuts ask for an end mill whose flutes reach (M20)", () => {
    const side: CutTask = { ...face, kind: "side", across: 38 };
    expect(cutOf(side, "em-20").lanes).toBe(1);
    expect(cutWith(side, cutter("em-16"), place())).toMatchObject({
      ok: false,
      reason: { id: "M20.flute" },
    });
    expect(cutWith(side, cutter("face-63"), place()).ok).toBe(false);
    // A taller wall bears a thinner cut.
    expect(cutOf({ ...side, across: 70 }, "em-20").allowed).toBeLessThan(
      cutOf({ ...side, across: 20 }, "em-20").allowed,
    );
  });

  test("the quickest owned cutter wins, the others tell what they would cost", () => {
    const choice = chooseCut(face, demoShop.cutters, place());
    if (!choice.ok) throw new Error("refused");
    const { best, others } = choice.value;
    expect(others.every((o) => o.against > best.against || o.minutes >= best.minutes)).toBe(true);
    expect(others.length + choice.value.refused.length).toBe(demoShop.cutters.length - 1);
    expect(best.against).toBe(0);
    expect(chooseCut(face, [], place()).ok).toBe(false);
  });

  test("an own depth is taken, marked, and told what it goes beyond; a hard limit stands (M21)", () => {
    const mine = cutOf({ ...face, own: own({ depth: 1.6 }) });
    expect([mine.own.depth, mine.depth]).toEqual([true, 1.6]);
    expect(mine.warnings.map((w) => w.phrase.id)).toEqual(["M21.power"]);
    expect(hardLimitBroken(mine, 1.6)).toBeUndefined();
    expect(hardLimitBroken(mine, 2.5)?.id).toBe("power");
    expect(cutOf({ ...face, own: own({ depth: 0.5 }) }).warnings).toEqual([]);
  });
});
