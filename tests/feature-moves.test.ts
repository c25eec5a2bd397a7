import { distanceTo, lanesOf, piecesOf } from "../core/recipes/index.ts";
import { axisOf, faceNames } from "../core/frame/index.ts";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { effectivePart, type Job } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { featureMoves } from "../core/locate/index.ts";
import { cutoutOf, type Feature, type FeatureKind, siteOfPart } from "../core/part/index.ts";
import { demoShop, newCutter, type Shop } from "../core/shop/index.ts";
import { phraseText } from "../core/working/index.ts";
import { block, featureList, featureOf } from "./support/cheek-block.ts";
import { apart, hollowsOf, inHollow, type Swept, sweptBy } from "./support/replay.ts";
import { featureSetupsOf, keyOfSetup } from "../core/route/index.ts";

/** The cheek block, 96 × 60 × 38, with one feature. */
const withFeature = (feature: Feature): Job => block(["part/features", featureList([feature])]);

/** A drawer of end mills of random diameters, long enough for all that is drawn here, and drills to start in. */
const drawers = fc.uniqueArray(fc.integer({ min: 6, max: 44 }), { minLength: 3, maxLength: 7 });
const drawer = (halves: readonly number[]): Shop => ({
  ...demoShop,
  cutters: [
    ...demoShop.cutters.filter((c) => c.kind !== "endMill" && c.kind !== "roughing"),
    ...halves.map((h, i) =>
      newCutter({
        id: `em-${h}`,
        name: `${h / 2} end mill`,
        kind: "endMill",
        material: "coatedCarbide",
        diameter: h / 2,
        teeth: 3,
        fluteLength: 42,
        stickout: Math.min(45, 3 * h),
        shank: [6, 8, 10, 12, 16, 20].find((s) => s >= h / 2) ?? 20,
        centerCutting: i % 2 === 0,
        runOut: 0.01,
      }),
    ),
  ],
});

const mmText = (value: number) => String(Math.round(value * 2) / 2);
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map(mmText);

/** Features cut straight down, random sizes and places. */
const straight: Record<string, fc.Arbitrary<Feature>> = {
  "open slot": fc
    .record({
      width: between(4, 24),
      depth: between(2, 16),
      at: between(14, 46),
      along: fc.constantFrom("length", "width"),
    })
    .map(({ width, depth, at, along }) =>
      featureOf("slot", "f", "top", {
        sizes: { width, depth },
        choices: { along },
        ...(along === "length" ? { second: `front ${at}` } : { first: `left ${at}` }),
      }),
    ),
  "closed slot": fc
    .record({ width: between(4, 20), depth: between(2, 12), more: between(2, 40), at: between(20, 40) })
    .map(({ width, depth, more, at }) =>
      featureOf("slot", "f", "top", {
        sizes: { width, depth, length: mmText(Number(width) + Number(more)) },
        choices: { end: "closed" },
        second: `front ${at}`,
      }),
    ),
  "slot open at one end": fc
    .record({
      width: between(5, 20),
      depth: between(2, 12),
      length: between(24, 60),
      end: fc.constantFrom("left", "right"),
    })
    .map(({ width, depth, length, end }) =>
      featureOf("slot", "f", "top", { sizes: { width, depth, length }, choices: { end } }),
    ),
  step: fc
    .record({
      width: between(3, 30),
      depth: between(2, 15),
      length: between(20, 40),
      side: fc.constantFrom("left", "front", "back"),
      end: fc.constantFrom("whole", "between"),
    })
    .map(({ width, depth, length, side, end }) =>
      featureOf("step", "f", "top", { sizes: { width, depth, length }, choices: { side, end } }),
    ),
  rebate: fc
    .record({ width: between(2, 20), depth: between(2, 12) })
    .map((sizes) => featureOf("rebate", "f", "top", { sizes })),
  pocket: fc
    .record({
      first: between(20, 70),
      second: between(20, 48),
      depth: between(2, 12),
      radius: between(2, 9),
      corner: fc.constantFrom("exact", "max"),
    })
    .map(({ corner, ...sizes }) => featureOf("pocket", "f", "top", { sizes, choices: { corner } })),
  "pocket with a boss": fc
    .record({ room: between(14, 20), boss: between(6, 14), depth: between(2, 8) })
    .map(({ room, boss, depth }) => {
      const size = mmText(Number(boss) + 2 * Number(room) * 0.5 + Number(room));
      return featureOf("pocket", "f", "top", {
        sizes: { first: size, second: size, depth, radius: "3", bossFirst: boss, bossSecond: boss },
        choices: { corner: "max", boss: "square" },
      });
    }),
  outline: fc
    .record({
      w: between(24, 50),
      h: between(20, 40),
      cut: between(5, 9),
      depth: between(2, 10),
      takes: fc.constantFrom("inside", "outside"),
    })
    .map(({ w, h, cut, depth, takes }) => {
      const [x, y, c] = [Number(w) / 2, Number(h) / 2, Number(cut)];
      return featureOf("outline", "f", "top", {
        sizes: { depth },
        choices: {
          takes,
          corners: [
            { x: -x, y: -y, bulge: 0 },
            { x: x - c, y: -y, bulge: takes === "inside" ? 0 : Math.tan(Math.PI / 8) },
            { x, y: -y + c, bulge: 0 },
            { x, y, bulge: 0 },
            { x: -x, y, bulge: 0 },
          ],
        },
      });
    }),
};

/** The plan of a job with one feature; null where it is refused with a reason, which is an answer too. */
function planned(feature: Feature, shop: Shop) {
  const job = withFeature(feature);
  const made = plan({ job, records: [], shop, piece: 1 });
  const { setups, zeros, features } = made;
  expect(
    features,
    made.refusal ? phraseText(made.refusal.reason, "mm") : "no features planned",
  ).not.toBeNull();
  if (features!.refused.length > 0) {
    expect(phraseText(features!.refused[0]!.reason, "mm")).not.toBe("");
    expect(phraseText(features!.refused[0]!.suggestion, "mm")).not.toBe("");
    return null;
  }
  const part = effectivePart(job);
  const setup = featureSetupsOf(setups)[0]!;
  return { part, setup, locating: zeros[keyOfSetup(setup)]! };
}

/** What a wall may keep: cusps of plunges, to be filed. */
const cusp = 0.12;
/** What a cut may go beyond a wall by rounding. */
const beyond = 0.004;

describe.each(Object.entries(straight))("replay of a %s", (kind, arbitrary) => {
  test("cuts nothing outside what is drawn, and leaves none of its walls", () => {
    let seen = 0;
    fc.assert(
      fc.property(arbitrary, drawers, (feature, halves) => {
        const made = planned(feature, drawer(halves));
        if (!made) return;
        seen++;
        const { part, setup, locating } = made;
        const swept = sweptBy(setup, locating, "f");
        // Of "R max" the cutter's own corner will do: what may not be cut is the sharp pocket.
        const asked =
          feature.kind === "pocket" && feature.corner === "max"
            ? { ...feature, sizes: { ...feature.sizes, radius: null } }
            : feature;
        const { hollows, rect } = hollowsOf(part, asked, locating);
        const hollow = hollows[0]!;
        const within = ([x, y]: readonly [number, number]) =>
          x > rect.x[0] + 1e-3 && x < rect.x[1] - 1e-3 && y > rect.y[0] + 1e-3 && y < rect.y[1] - 1e-3;
        for (const way of swept) {
          expect(way.depth).toBeLessThanOrEqual(hollow.depth + 1e-6);
          for (const wall of hollow.walls) {
            const gap = apart([way.from, way.to], wall);
            if (gap < way.r - beyond)
              throw new Error(
                `${way.op} of ${kind}: ${way.from.join()} to ${way.to.join()} with r ${way.r} cuts ${(way.r - gap).toFixed(3)} into ${JSON.stringify(wall)}`,
              );
          }
          const middle = [(way.from[0] + way.to[0]) / 2, (way.from[1] + way.to[1]) / 2] as const;
          if (within(middle)) expect(inHollow(middle, hollow)).toBe(true);
        }
        leavesNothing(swept, hollow, within, kind);
      }),
      { numRuns: 20 },
    );
    expect(seen).toBeGreaterThan(4);
  });
});

/** Every wall is reached, but where a corner is sharper than the cutter; nothing of the floor is left. */
function leavesNothing(
  swept: readonly Swept[],
  hollow: ReturnType<typeof hollowsOf>["hollows"][number],
  within: (p: readonly [number, number]) => boolean,
  kind: string,
) {
  const full = swept.filter((w) => w.depth >= hollow.depth - 1e-6);
  const reach = (p: readonly [number, number]) =>
    Math.min(...full.map((w) => distanceTo(p, w.from, w.to) - w.r));
  const least = Math.min(...full.map((w) => w.r));
  // Two walls that meet at an angle within the cutter's reach are an inside corner.
  const corner = (p: readonly [number, number], mine: number) =>
    hollow.walls.some(
      (wall, i) =>
        i !== mine && distanceTo(p, ...wall) < 2.2 * least && turns(hollow.walls[mine]!, wall) > 0.3,
    );
  hollow.walls.forEach((wall, i) => {
    const middle = [(wall[0][0] + wall[1][0]) / 2, (wall[0][1] + wall[1][1]) / 2] as const;
    if (!within(middle) || corner(middle, i)) return;
    const left = reach(middle);
    if (left > cusp) throw new Error(`${kind}: ${left.toFixed(3)} left at the wall ${middle.join()}`);
  });
  const xs = hollow.walls.flatMap(([a]) => [a[0]]);
  const ys = hollow.walls.flatMap(([a]) => [a[1]]);
  for (let x = Math.min(...xs); x <= Math.max(...xs); x += 3.1)
    for (let y = Math.min(...ys); y <= Math.max(...ys); y += 2.7) {
      const p = [x, y] as const;
      if (!within(p) || !inHollow(p, hollow)) continue;
      if (hollow.walls.some((wall) => distanceTo(p, ...wall) < least)) continue;
      const left = reach(p);
      if (left > 0.01) throw new Error(`${kind}: ${left.toFixed(3)} of the floor left at ${p.join()}`);
    }
}

function turns([a, b]: Swept2, [c, d]: Swept2): number {
  const angle = (p: readonly [number, number], q: readonly [number, number]) =>
    Math.atan2(q[1] - p[1], q[0] - p[0]);
  return Math.abs(Math.sin(angle(a, b) - angle(c, d)));
}
type Swept2 = readonly [readonly [number, number], readonly [number, number]];

/** Stairs may leave this in front of a flank, mm. */
const keptByStairs = 0.65;
/** Sections are drawn in chords; this much they may be off, mm. */
const fine = 0.02;

/** Features whose section is cut in stairs along the part. */
const stairs: [FeatureKind, fc.Arbitrary<Feature>][] = [
  [
    "vGroove",
    fc
      .record({ width: between(14, 30), relief: between(5, 9) })
      .map(({ width, relief }) =>
        featureOf("vGroove", "f", "top", { sizes: { width, reliefWidth: relief }, numbers: { angle: 90 } }),
      ),
  ],
  [
    "slope",
    fc
      .record({ width: between(6, 20), angle: fc.integer({ min: 15, max: 45 }) })
      .map(({ width, angle }) =>
        featureOf("slope", "f", "top", { sizes: { width }, numbers: { angle }, choices: { side: "right" } }),
      ),
  ],
  [
    "arc",
    fc
      .record({ radius: between(16, 40), depth: between(3, 10) })
      .map(({ radius, depth }) => featureOf("arc", "f", "top", { sizes: { radius, depth } })),
  ],
  [
    "arc",
    between(60, 120).map((radius) =>
      featureOf("arc", "f", "top", { sizes: { radius }, choices: { form: "crowned" } }),
    ),
  ],
];

describe.each(stairs)("stairs of a %s", (kind, arbitrary) => {
  test("stand in front of the flank and cut nothing of it", () => {
    let seen = 0;
    fc.assert(
      fc.property(arbitrary, drawers, (feature, halves) => {
        const made = planned(feature, drawer(halves));
        if (!made) return;
        seen++;
        const { part, setup, locating } = made;
        const site = siteOfPart(part)!;
        const along = kind === "slope" ? "width" : "length";
        const across = along === "length" ? "width" : "length";
        const cutout = cutoutOf(feature, site)!;
        // Outlines of the section over across and height, in the part.
        const hollows = cutout.prisms
          .filter((p) => p.axis === along)
          .map((p) => ({ outline: p.outline, island: null, walls: [], depth: 0 }));
        const { frame } = locating;
        const machine = frame.x.axis === across ? frame.x : frame.y;
        const toPart = (at: number) => machine.sign * at + machine.zero;
        const which = frame.x.axis === across ? "x" : "y";
        const cuts: { low: number; high: number; floor: number }[] = [];
        for (const operation of setup.operations.filter((o) => o.by === "mill" && o.tilt === null)) {
          let here = { x: 0, y: 0 };
          let z = 0;
          for (const move of featureMoves(operation, frame)!) {
            here = { x: move.to.x ?? here.x, y: move.to.y ?? here.y };
            z = move.kind === "go" ? 0 : (move.to.z ?? z);
            if (move.kind === "go") continue;
            const r = operation.diameter / 2;
            const ends = [toPart(here[which] - r), toPart(here[which] + r)];
            cuts.push({ low: Math.min(...ends), high: Math.max(...ends), floor: site.sizes.height + z });
            for (const corner of [here[which] - r + fine, here[which] + r - fine]) {
              const p = [toPart(corner), site.sizes.height + z + fine] as const;
              if (p[0] <= 0 || p[0] >= site.sizes[across]) continue;
              if (!hollows.some((h) => inHollow(p, h)))
                throw new Error(
                  `${operation.key}: the corner ${p.map((v) => v.toFixed(3)).join()} is outside`,
                );
            }
          }
        }
        // Nothing is left standing in front of the flank but its cusps, down to the lowest stair.
        const lowest = Math.min(...cuts.map((c) => c.floor));
        for (let x = 0.7; x < site.sizes[across]; x += 1.3)
          for (let z = site.sizes.height - 0.3; z > lowest + 0.1; z -= 0.9) {
            const hollow = hollows.find((h) => inHollow([x, z], h));
            if (!hollow) continue;
            if (piecesOf(hollow.outline).some((piece) => distanceTo([x, z], ...piece) < keptByStairs))
              continue;
            if (!cuts.some((c) => c.low <= x && x <= c.high && c.floor <= z))
              throw new Error(`${kind}: ${x.toFixed(1)}, ${z.toFixed(1)} is left standing`);
          }
      }),
      { numRuns: 16 },
    );
    expect(seen).toBeGreaterThan(3);
  });
});

/** A step from the end of an edge on every face, so that two of its walls meet in a corner. */
const corners = faceNames.flatMap((face) => {
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(face));
  return beside.flatMap((side) =>
    beside.filter((end) => axisOf(end) !== axisOf(side)).map((end) => [face, side, end] as const),
  );
});

test("a step in a corner of any face: its lanes run at the machine as its cut was planned", () => {
  let seen = 0;
  for (const [face, side, end] of corners) {
    const sizes = { width: "5", depth: "6", length: "24" };
    const job = withFeature(featureOf("step", "f", face, { sizes, choices: { side, end } }));
    const { setups, zeros } = plan({ job, records: [], shop: demoShop, piece: 1 });
    for (const setup of featureSetupsOf(setups))
      for (const op of setup.operations) {
        if (op.sweep.kind !== "clear") continue;
        const { lanes, length } = lanesOf(op.sweep, op.diameter);
        const { frame } = zeros[keyOfSetup(setup)]!;
        let here: { x: number; y: number } = { x: 0, y: 0 };
        const ways: { x: number; y: number }[] = [];
        for (const move of featureMoves(op, frame)!) {
          const next = { x: move.to.x ?? here.x, y: move.to.y ?? here.y };
          if (move.kind === "down" && ways.length > lanes) break;
          if (move.kind === "feed") ways.push({ x: Math.abs(next.x - here.x), y: Math.abs(next.y - here.y) });
          here = next;
        }
        // The first way runs along the lanes: as long as they are, with what it runs in and out.
        const first = Math.max(ways[0]!.x, ways[0]!.y);
        expect([face, side, end, first - length < 2.5 * op.diameter && first >= length - 1]).toEqual([
          face,
          side,
          end,
          true,
        ]);
        seen++;
      }
  }
  expect(seen).toBeGreaterThan(20);
});
