import { describe, expect, test } from "vitest";
import { type Face, faceNames, facesOf, opposite } from "../frame/index.ts";
import type { FaceCondition } from "../handbook/index.ts";
import { applyChanges, changeOf, type Job } from "../job/index.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import { cheekBlock, dim, read } from "../../tests/support/cheek-block.ts";
import { endStandsUpright, keyFromSlug, keySlug } from "./index.ts";
import { faceCuts } from "../../tests/support/faces.ts";

const planned = (...changes: [path: string, to: unknown][]) =>
  plan({
    job: changes.reduce((job: Job, [path, to]) => {
      const applied = applyChanges(job, [changeOf(job, path, to)]);
      if (!applied.ok) throw new Error(path);
      return applied.job;
    }, cheekBlock()),
    records: [],
    shop: demoShop,
    piece: 1,
  });

const conditions = (all: FaceCondition, some: Partial<Record<Face, FaceCondition>> = {}) =>
  faceNames.map((face): [string, unknown] => [`stock/conditions/${face}`, some[face] ?? all]);

describe("round the block", () => {
  test.each([
    // the flattest, then widest face goes to the fixed jaw first
    ["all sawn: the wide bottom face", conditions("sawn"), "bottom"],
    ["the top is milled", conditions("sawn", { top: "milled" }), "top"],
    ["the narrow front is ground", conditions("sawn", { front: "ground" }), "front"],
    ["only the back is drawn", conditions("hotRolled", { back: "drawn" }), "back"],
    [
      "the ends are ground, but ends are no seat",
      conditions("sawn", { left: "ground", right: "ground" }),
      "bottom",
    ],
  ] as [string, [string, unknown][], Face][])("first seat, %s", (_what, changes, fixed) => {
    expect(faceCuts(planned(...changes))[0]!.seat.fixed).toBe(fixed);
  });

  test("the four setups follow each other's references, then the ends", () => {
    const setups = faceCuts(planned());
    const [one, two, three, four, five, six] = setups;
    expect(two!.seat.fixed).toBe(one!.face);
    expect(three!.seat.fixed).toBe(one!.face);
    expect(three!.face).toBe(opposite(two!.face));
    expect(four!.face).toBe(opposite(one!.face));
    expect([four!.seat.fixed === two!.face, four!.seat.rod, four!.seat.tap]).toEqual([true, null, true]);
    expect(facesOf("length")).toContain(five!.face);
    expect(six!.face).toBe(opposite(five!.face));
    expect(setups.map((s) => s.sized)).toEqual([false, false, true, true, false, true]);
    // Turned about Y the same face stays at the fixed jaw.
    expect([three!.turn, six!.turn]).toEqual(["about Y", "about Y"]);
  });

  test("of two faces the worse is cut first, the better one lies below", () => {
    expect(faceCuts(planned(...conditions("sawn", { front: "flameCut" })))[0]!.face).toBe("front");
    expect(faceCuts(planned(...conditions("sawn", { back: "flameCut" })))[0]!.face).toBe("back");
  });

  test("the longest size gives the ends, whatever it is called", () => {
    const made = planned(
      ["part/sizes/length", dim("50 ±0.1")],
      ["part/sizes/width", dim("90 ±0.1")],
      ["stock/measured/length/p1", read(53)],
      ["stock/measured/length/p2", read(53)],
      ["stock/measured/width/p1", read(94)],
      ["stock/measured/width/p2", read(94)],
    );
    expect(
      faceCuts(made)
        .slice(4)
        .map((s) => s.axis),
    ).toEqual(["width", "width"]);
  });

  test("a long block hangs its ends out past the jaws, a short one stands", () => {
    const { machines, vises } = demoShop;
    expect(endStandsUpright(100, vises[0]!, machines[0]!, 60).upright).toBe(true);
    expect(endStandsUpright(101, vises[0]!, machines[0]!, 60).upright).toBe(false);
    expect(endStandsUpright(100, vises[0]!, { ...machines[0]!, daylight: 200 }, 60)).toMatchObject({
      upright: false,
      reason: { id: "M43.daylight" },
    });
    const long = planned(
      ["part/sizes/length", dim("120 ±0.1")],
      ["stock/measured/length/p1", read(124)],
      ["stock/measured/length/p2", read(124)],
    );
    const ends = faceCuts(long).slice(4);
    expect(ends.map((s) => [s.cut.kind, s.seat.square])).toEqual([
      ["side", false],
      ["side", false],
    ]);
    expect(ends[0]!.seat.overhang).toBeGreaterThan(ends[0]!.from - ends[0]!.to);
    expect(long.steps.find((s) => s.setup === 5 && s.touch)?.touch?.axis).toBe("x");
  });

  test("what no cutter reaches or no vise holds is a reason, never an empty plan", () => {
    const wide = planned(
      ["part/sizes/height", dim("118 ±0.1")],
      ["part/sizes/width", dim("117 ±0.1")],
      ["part/sizes/length", dim("200 ±0.1")],
      ["stock/measured/height/p1", read(122)],
      ["stock/measured/height/p2", read(122)],
      ["stock/measured/width/p1", read(121)],
      ["stock/measured/width/p2", read(121)],
      ["stock/measured/length/p1", read(204)],
      ["stock/measured/length/p2", read(204)],
    );
    expect(wide.refusal?.number).toBe(1);
    expect(phraseText(wide.refusal!.reason, "mm")).toMatch(/between the jaws/);
  });

  test("a face that was measured and has nothing to take off is not clamped for nothing", () => {
    const made = planned(
      ...conditions("sawn", { front: "ground", back: "ground" }),
      ["stock/measured/width/p1", read(60)],
      ["stock/measured/width/p2", read(60)],
    );
    expect(faceCuts(made).map((s) => s.axis)).toEqual(["height", "height", "length", "length"]);
    expect(faceCuts(made).map((s) => s.number)).toEqual([1, 2, 3, 4]);
    expect(made.requirements.map((r) => r.of)).toContain("width");
    expect(made.refusal).toBeNull();
  });
});

describe("operation keys in addresses", () => {
  test.each(faceNames)("%s/face goes to a slug and back", (face) => {
    expect(keyFromSlug(keySlug(`${face}/face`))).toBe(`${face}/face`);
  });
  test.each(["", "top", ".face", "top.", undefined])("%s is none", (slug) =>
    expect(keyFromSlug(slug)).toBeNull(),
  );
});
