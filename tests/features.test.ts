import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  type Axis,
  axesAcross,
  axisNames,
  axisOf,
  type Face,
  faceNames,
  facesOf,
  type Sizes,
} from "../core/frame/index.ts";
import { plan } from "../core/job/index.ts";
import {
  checkFeatures,
  type Cutout,
  cutoutOf,
  type Feature,
  featureKinds,
  featureSchema,
  featuresOf,
  type Locate,
  mirrorFeature,
  rulesOf,
} from "../core/part/index.ts";
import { threeViews } from "../core/figure/index.ts";
import type { Dimension } from "../core/quantity/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { cheekBlockWithFeatures, dim } from "./support/cheek-block.ts";
import { phraseIds } from "./support/phrase-ids.ts";

const size = fc.integer({ min: 20, max: 120 });
const block: fc.Arbitrary<Sizes> = fc.record({ length: size, width: size, height: size });
const dimension: fc.Arbitrary<Dimension> = fc.integer({ min: 1, max: 90 }).map((n) => dim(String(n)));

/** Any feature on any face, whole or with something missing, in the block or out of it. */
const feature: fc.Arbitrary<Feature> = fc
  .record({
    kind: fc.constantFrom(...featureKinds),
    face: fc.constantFrom(...faceNames),
    places: fc.tuple(fc.nat(2), fc.nat(2)),
    at: fc.tuple(fc.option(dimension), fc.option(dimension)),
    sizes: fc.array(fc.option(dimension), { minLength: 4, maxLength: 4 }),
    turn: fc.boolean(),
  })
  .map(({ kind, face, places, at, sizes, turn }): Feature => {
    const axes = axesAcross(face);
    const place = (i: 0 | 1): Locate => {
      const edges = facesOf(axes[i]);
      return { from: ([...edges, "center"] as const)[places[i]]!, at: at[i] };
    };
    const made = rulesOf(kind).make("any", face);
    const keys = rulesOf(kind).sizes.map(({ key }, i) => [key, sizes[i] ?? null] as const);
    const whole = { ...made, first: place(0), second: place(1), sizes: Object.fromEntries(keys) } as Feature;
    const beside = axes[turn ? 1 : 0];
    if (whole.kind === "slot") return { ...whole, along: beside };
    return whole.kind === "step" ? { ...whole, side: facesOf(beside)[turn ? 0 : 1] } : whole;
  });

const inside = (cutout: Cutout, sizes: Sizes) =>
  axisNames.every((a) => cutout.box[a][0] >= -1e-6 && cutout.box[a][1] <= sizes[a] + 1e-6);

describe("features", () => {
  test("a new one of every kind is kept by the schema, with nothing entered and nothing cut", () => {
    for (const kind of featureKinds) {
      const made = rulesOf(kind).make("a", "top");
      expect(featureSchema.parse(made)).toEqual(made);
      expect(cutoutOf(made, { length: 100, width: 60, height: 40 })).toBeNull();
    }
  });

  test("what is cut lies in the block, or the check says so; what is missing is said too", () => {
    fc.assert(
      fc.property(feature, block, (any, sizes) => {
        const cutout = cutoutOf(any, sizes);
        const ids = checkFeatures([any], sizes, demoShop).map((f) => f.phrase.id);
        if (!cutout) expect(ids).toEqual(["drawing.unfinished"]);
        else expect(ids.includes("drawing.outside")).toBe(!inside(cutout, sizes));
      }),
    );
  });

  test("mirrored twice it is as it was, and the mirror keeps its size", () => {
    fc.assert(
      fc.property(feature, block, fc.constantFrom(...axisNames), (any, sizes, axis) => {
        expect(mirrorFeature(mirrorFeature(any, axis), axis)).toEqual(any);
        const [one, two] = [cutoutOf(any, sizes), cutoutOf(mirrorFeature(any, axis), sizes)];
        expect(two === null).toBe(one === null);
        if (!one || !two) return;
        for (const a of axisNames) {
          const [low, high] = one.box[a];
          const wanted = a === axis ? [sizes[a] - high, sizes[a] - low] : [low, high];
          two.box[a].forEach((value, i) => expect(value).toBeCloseTo(wanted[i]!, 9));
        }
      }),
    );
  });

  test("a size that grows moves what hangs on its far edge, and nothing that hangs on the near one", () => {
    const hole = (from: Face, axis: Axis, sizes: Sizes) => {
      const face = faceNames.find((f) => axisOf(f) !== axis)!;
      const place: Locate = { from, at: dim("10") };
      const on = axesAcross(face)[0] === axis ? { first: place } : { second: place };
      const made = { ...rulesOf("hole").make("h", face), ...on };
      return cutoutOf({ ...made, sizes: { diameter: dim("5"), depth: dim("4") } } as Feature, sizes)!.box[
        axis
      ];
    };
    fc.assert(
      fc.property(
        block,
        fc.constantFrom(...axisNames),
        fc.integer({ min: 1, max: 30 }),
        (sizes, axis, more) => {
          const grown = { ...sizes, [axis]: sizes[axis] + more };
          const [low, high] = facesOf(axis);
          expect(hole(low, axis, grown)).toEqual(hole(low, axis, sizes));
          expect(hole(high, axis, grown)[0] - hole(high, axis, sizes)[0]).toBeCloseTo(more, 9);
        },
      ),
    );
  });

  test.each([
    ["a wall too thin", { at: "4" }, "drawing.wall", { at: "10" }],
    ["a hole of the screw's own size (M31)", { diameter: "6" }, "M31.clearance", { diameter: "6 H7" }],
    ["a hole beyond the edge", { at: "1" }, "drawing.outside", { at: "12" }],
  ] as const)("%s is told, a near one is not", (_what, slip, id, near) => {
    const found = (given: { at?: string; diameter?: string }) =>
      checkFeatures(
        [
          {
            ...rulesOf("hole").make("h", "top"),
            first: { from: "left", at: dim(given.at ?? "30") },
            sizes: { diameter: dim(given.diameter ?? "6.6"), depth: dim("10") },
          } as Feature,
        ],
        { length: 100, width: 60, height: 40 },
        demoShop,
      ).map((f) => f.phrase.id);
    expect(found(slip)).toContain(id);
    expect(found(near)).not.toContain(id);
  });

  test("forty features are checked, and drawn in all three views", () => {
    const sizes = { length: 400, width: 300, height: 60 };
    const many = Array.from({ length: 40 }, (_, i) => ({
      ...rulesOf("hole").make(`h${i}`, "top"),
      first: { from: "left", at: dim(String(30 + (i % 8) * 40)) },
      second: { from: "front", at: dim(String(30 + Math.floor(i / 8) * 50)) },
      sizes: { diameter: dim("6.6"), depth: dim("20") },
    })) as Feature[];
    expect(checkFeatures(many, sizes, demoShop)).toEqual([]);
    const cutouts = many.map((f) => ({ cutout: cutoutOf(f, sizes)!, name: f.id }));
    const { shapes } = threeViews(sizes, cutouts).figure;
    expect(shapes.filter((s) => s.kind === "circle")).toHaveLength(40);
    expect(shapes.filter((s) => s.kind === "line" && s.ink === "hidden")).toHaveLength(40 * 3 * 2);
  });

  test("the demo's features are whole, nothing is wrong with them, and the plan says that it does not cut them", () => {
    const job = cheekBlockWithFeatures();
    const made = plan({ job, records: [], shop: demoShop, piece: 1 });
    expect(made.findings.filter((f) => f.feature)).toEqual([]);
    expect([...phraseIds(made.findings)]).toEqual(["drawing.featuresBeside"]);
    expect(featuresOf(job.part)).toHaveLength(5);
    expect(made.setups).toHaveLength(6);
  });
});
