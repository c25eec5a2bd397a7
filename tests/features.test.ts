import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { threeViews } from "../core/figure/index.ts";
import {
  axesAcross,
  axisNames,
  axisOf,
  extentOfOutline,
  faceNames,
  facesOf,
  outlineArea,
  type Sizes,
} from "../core/frame/index.ts";
import { plan } from "../core/plan/index.ts";
import {
  checkFeatures,
  chosen,
  type Cutout,
  cutoutOf,
  type Feature,
  featureKinds,
  featureSchema,
  featuresOf,
  hangingOn,
  limitsOf,
  mirrorFeature,
  movedTo,
  rulesOf,
  siteOf,
  type Site,
} from "../core/part/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { cheekBlockWithFeatures, featureOf } from "./support/cheek-block.ts";
import { feature } from "./arbitraries.ts";
import { faceCuts } from "./support/faces.ts";

const size = fc.integer({ min: 20, max: 120 });
const blockSizes: fc.Arbitrary<Sizes> = fc.record({ length: size, width: size, height: size });
const general = { kind: "iso2768", grade: "m" } as const;

/** What a feature is placed in: a block, or for those of a shaft one with a shoulder. */
function siteFor(of: Feature, sizes: Sizes): Site {
  if (rulesOf(of.kind).on !== "shaft") return siteOf([of], sizes);
  const thick = sizes.width;
  return siteOf([of], { length: sizes.length, width: thick, height: thick }, [
    { diameter: thick * 0.7, from: 0, to: sizes.length / 2 },
    { diameter: thick, from: sizes.length / 2, to: sizes.length },
  ]);
}

const check = (features: readonly Feature[], site: Site, machine = demoShop.machines[0]!) =>
  checkFeatures(features, { site, shop: demoShop, machine, limitsOf: (d) => limitsOf(d, { general }) });
const idsOf = (features: readonly Feature[], site: Site) => check(features, site).map((f) => f.phrase.id);

const inside = (cutout: Cutout, { sizes }: Site) =>
  axisNames.every((a) => cutout.box[a][0] >= -1e-6 && cutout.box[a][1] <= sizes[a] + 1e-6);

describe("features", () => {
  test("a new one of every kind is kept by the schema, with nothing entered and nothing cut", () => {
    for (const kind of featureKinds) {
      const made = rulesOf(kind).make("a", "top");
      expect(featureSchema.parse(made)).toEqual(made);
      expect(cutoutOf(made, siteFor(made, { length: 100, width: 60, height: 40 }))).toBeNull();
    }
  });

  test("any that can be entered is kept, on every face it has only choices that are there", () => {
    fc.assert(
      fc.property(feature, fc.constantFrom(...faceNames), (any, face) => {
        const moved = movedTo(any, face);
        expect(featureSchema.parse(moved)).toEqual(moved);
        for (const { key, options } of rulesOf(moved.kind).choices(moved))
          expect(options.map(([value]) => value)).toContain(chosen(moved, key));
        for (const which of ["first", "second"] as const)
          for (const side of [moved[which].from, moved[which].toward])
            if (side !== null && side !== "center" && side !== "feature")
              expect(axisOf(side)).toBe(axesAcross(face)[which === "first" ? 0 : 1]);
      }),
    );
  });

  test("what is cut lies in the part, or the check says so; what is missing or cannot be is said too", () => {
    fc.assert(
      fc.property(feature, blockSizes, (any, sizes) => {
        const site = siteFor(any, sizes);
        const cutout = cutoutOf(any, site);
        const ids = idsOf([any], site);
        if (!cutout) expect(["drawing.unfinished", "drawing.impossible"]).toContain(ids[0]);
        else if (!inside(cutout, site)) expect(ids).toContain("drawing.outside");
        else if (any.kind !== "outline") expect(ids).not.toContain("drawing.outside");
      }),
    );
  });

  test("every piece of a cutout encloses something, lies in the box told, and is drawn", () => {
    fc.assert(
      fc.property(feature, blockSizes, (any, sizes) => {
        const site = siteFor(any, sizes);
        const cutout = cutoutOf(any, site);
        if (!cutout) return;
        for (const prism of cutout.prisms) {
          expect(Math.abs(outlineArea(prism.outline))).toBeGreaterThan(0);
          expect(prism.span[1]).toBeGreaterThanOrEqual(prism.span[0]);
          const [a, b] = axesAcross(facesOf(prism.axis)[0]);
          const extent = extentOfOutline(prism.outline);
          for (const [axis, [low, high]] of [
            [a, extent.x],
            [b, extent.y],
          ] as const) {
            expect(low).toBeGreaterThanOrEqual(cutout.box[axis][0] - 1e-9);
            expect(high).toBeLessThanOrEqual(cutout.box[axis][1] + 1e-9);
          }
        }
        const { shapes } = threeViews(site, [{ id: "any", name: "it", number: 1, cutout }]).figure;
        expect(JSON.stringify(shapes)).not.toContain("null");
        expect(shapes.filter((s) => s.of === "any").length).toBeGreaterThan(4);
      }),
    );
  });

  test("mirrored twice it cuts as it did, and once its cutout is the mirror's", () => {
    fc.assert(
      fc.property(feature, blockSizes, fc.constantFrom(...axisNames), (any, sizes, axis) => {
        // A shaft with a shoulder is not its own mirror along its length.
        fc.pre(rulesOf(any.kind).on !== "shaft" || axis !== "length");
        const site = siteFor(any, sizes);
        const once = mirrorFeature(any, axis, site);
        expect(cutoutOf(mirrorFeature(once, axis, site), site)?.box).toEqual(cutoutOf(any, site)?.box);
        const [one, two] = [cutoutOf(any, site), cutoutOf(once, site)];
        expect(two === null).toBe(one === null);
        if (!one || !two) return;
        expect(two.prisms).toHaveLength(one.prisms.length);
        for (const a of axisNames) {
          const [low, high] = one.box[a];
          const wanted = a === axis ? [site.sizes[a] - high, site.sizes[a] - low] : [low, high];
          two.box[a].forEach((value, i) => expect(value).toBeCloseTo(wanted[i]!, 6));
        }
      }),
    );
  });

  test("a size that grows moves what hangs on its far edge, and nothing that hangs on the near one", () => {
    fc.assert(
      fc.property(
        blockSizes,
        fc.constantFrom(...axisNames),
        fc.integer({ min: 1, max: 30 }),
        (sizes, axis, more) => {
          const grown = { ...sizes, [axis]: sizes[axis] + more };
          const face = faceNames.find((f) => axisOf(f) !== axis)!;
          const which = axesAcross(face)[0] === axis ? "first" : "second";
          const moves = (place: string) => {
            const hole = featureOf("hole", "h", face, {
              sizes: { diameter: "5", depth: "4" },
              [which]: place,
            });
            const at = (s: Sizes) => cutoutOf(hole, siteOf([hole], s))!.box[axis][0];
            return at(grown) - at(sizes);
          };
          const [low, high] = facesOf(axis);
          expect(moves(`${low} 10`)).toBe(0);
          expect(moves(`${high} 10`)).toBeCloseTo(more, 9);
          expect(moves("center")).toBeCloseTo(more / 2, 9);
        },
      ),
    );
  });

  test("a feature that moves takes along what counts from it, over any number of others, and nothing else", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ on: fc.nat(), at: fc.integer({ min: 1, max: 9 }) }), {
          minLength: 2,
          maxLength: 8,
        }),
        fc.nat(),
        fc.integer({ min: 1, max: 5 }),
        (chain, chosenOne, by) => {
          const at = chain.map(({ on, at: off }, i) =>
            i === 0 || on % 3 === 0 ? `left ${off + 10}` : `=f${on % i} right ${off}`,
          );
          const made = (moved: number | null) =>
            at.map((place, i) =>
              featureOf("hole", `f${i}`, "top", {
                sizes: { diameter: "3", depth: "4" },
                first: i === moved ? place.replace(/\d+$/, (n) => String(Number(n) + by)) : place,
              }),
            );
          const target = chosenOne % chain.length;
          const middles = (features: Feature[]) => {
            const site = siteOf(features, { length: 200, width: 60, height: 40 });
            return features.map((f) => site.middleOf(f.id, "length")!);
          };
          const [before, after] = [middles(made(null)), middles(made(target))];
          const hanging = hangingOn(`f${target}`, made(null)).map((f) => f.id);
          before.forEach((was, i) => {
            const hangs = i === target || hanging.includes(`f${i}`);
            expect(after[i]! - was).toBeCloseTo(hangs ? by : 0, 9);
          });
        },
      ),
    );
  });

  test("features that count from one another in a ring are told, and none of them hangs the check", () => {
    const a = featureOf("hole", "a", "top", { sizes: { diameter: "5", depth: "4" }, first: "=b right 10" });
    const b = featureOf("hole", "b", "top", { sizes: { diameter: "5", depth: "4" }, first: "=a right 10" });
    const site = siteOf([a, b], { length: 100, width: 60, height: 40 });
    expect(idsOf([a, b], site)).toEqual(["drawing.ring", "drawing.ring"]);
    expect(idsOf([a], siteOf([a], site.sizes))).toEqual(["drawing.datumGone"]);
  });

  test("forty features are checked, and drawn in all three views", () => {
    const sizes = { length: 400, width: 300, height: 60 };
    const many = Array.from({ length: 40 }, (_, i) =>
      featureOf("hole", `h${i}`, "top", {
        sizes: { diameter: "6.6", depth: "20" },
        first: `left ${30 + (i % 8) * 40}`,
        second: `front ${30 + Math.floor(i / 8) * 50}`,
      }),
    );
    const site = siteOf(many, sizes);
    expect(check(many, site)).toEqual([]);
    const cutouts = many.map((f) => ({ id: f.id, cutout: cutoutOf(f, site)!, name: f.id, number: 1 }));
    const { shapes } = threeViews(site, cutouts).figure;
    expect(shapes.filter((s) => s.kind === "path" && s.ink === "void")).toHaveLength(40);
    expect(shapes.filter((s) => s.kind === "line" && s.ink === "hidden")).toHaveLength(40 * 3 * 2);
  });

  test("the demo's features are whole and nothing is wrong with them", () => {
    const job = cheekBlockWithFeatures();
    const made = plan({ job, records: [], shop: demoShop, piece: 1 });
    expect(made.findings).toEqual([]);
    expect(featuresOf(job.part)).toHaveLength(5);
    expect(faceCuts(made)).toHaveLength(6);
  });
});
