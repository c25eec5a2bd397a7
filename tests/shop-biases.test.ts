import { beforeAll, expect, test } from "vitest";
import { type Axis, axisNames, clampingAxes, facesOf } from "../core/frame/index.ts";
import { type Spot, spotsRound } from "../core/inspect/index.ts";
import { judgedBy, piecesSaid, plan, rehearse, shopBiases } from "../core/plan/index.ts";
import type { Job } from "../core/job/index.ts";
import { faceOf, faceSetupsOf } from "../core/route/index.ts";
import { extentOf } from "../core/squaring/index.ts";
import { noChance, openSolids, type SolidKit } from "../core/rehearse/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { appended, type RecordEvent } from "../core/steps/index.ts";
import { cheekBlock } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";

/**
 * Blocks are squared by the literal machine in a vise that is out by a known amount, and read at their corners: what the readings
 * say of the vise is what was planted.
 */

let kit: SolidKit;
beforeAll(async () => {
  kit = await openSolids();
});

/** Square by name, beside the sizes. */
const pairs = [
  ["front", "bottom"],
  ["top", "front"],
  ["right", "bottom"],
] as const;
const job: Job = {
  ...cheekBlock(),
  part: {
    ...cheekBlock().part,
    form: {
      byId: Object.fromEntries(
        pairs.map(([face, to]) => [
          `${face}-${to}`,
          { id: `${face}-${to}`, kind: "square" as const, face, to, feature: null, limit: 0.05 },
        ]),
      ),
      order: pairs.map((p) => p.join("-")),
    },
  },
};

/** Walks the block in a vise with these errors and reads every size at its corners as the normals of its faces have it. */
function readIn(planted: object, what: "sizes" | "corners" = "sizes") {
  const { records } = rehearse({
    job,
    shop: demoShop,
    kit,
    seed: 1,
    chance: noChance,
    planted,
    later: (made, _really, part) => {
      const faces = faceSetupsOf(made.setups);
      const events = axisNames.flatMap((axis): RecordEvent[] => {
        const setup = faces.findLast((s) => faceOf(s).axis === axis && extentOf(faceOf(s).key) !== "again")!;
        const [low, high] = facesOf(axis);
        const index = axisNames.indexOf(axis);
        const lever = (face: "low" | "high", along: number) => {
          const n = part.planes[face === "low" ? low : high];
          return -n[along]! / n[index]!;
        };
        const axes = clampingAxes(setup.at);
        const sizes = made.target!;
        return spotsRound.slice(0, 4).map((spot) => {
          const thicker = (["x", "y"] as const).reduce((sum, side) => {
            const { axis: part_, sign } = axes[side];
            const along = axisNames.indexOf(part_);
            const r = (spot[side] * sign * sizes[part_]) / 2;
            return sum + (lever("high", along) - lever("low", along)) * r;
          }, 0);
          const value = sizes[axis] + thicker;
          return {
            type: "reading",
            op: null,
            of: axis,
            value,
            written: { text: String(value), unit: "mm" },
            instrument: "mic-25-50",
            questioned: [],
            spot,
          };
        });
      });
      // Outward normals that lean together leave the corner open.
      const corners = pairs.map(([face, to]): RecordEvent => {
        const [n, m] = [part.planes[face], part.planes[to]];
        const lean = n[0] * m[0] + n[1] * m[1] + n[2] * m[2];
        return {
          type: "reading",
          op: null,
          of: `form/${face}-${to}`,
          value: Math.abs(lean) * 100,
          written: { text: "", unit: "mm" },
          instrument: "lever-indicator",
          questioned: [],
          corner: lean > 0 ? "open" : "closed",
        };
      });
      return { job, events: what === "sizes" ? events : corners };
    },
  });
  const made = plan({ job, records: appended([]), shop: demoShop, piece: 1 });
  return piecesSaid(made, { job, records, shop: demoShop });
}

/** Biases by name, as the readings of a block walked in a vise with these errors tell them. */
const found = (planted: object) => new Map(readIn(planted).biases.map((b) => [b.name, b]));

test("a bed out along the table is told, near what was planted, and nothing else is accused", () => {
  const told = found({ bedAlong: 2e-4 });
  const bed = told.get("bedAlong")!;
  expect(bed.told).toBe(true);
  expect(Math.abs(bed.slope - 2e-4)).toBeLessThan(2 * bed.sigma);
  for (const [name, { slope }] of told) if (name !== "bedAlong") expect(Math.abs(slope)).toBeLessThan(1e-5);
});

test("a leaning jaw has the right sign, and is not told apart from bed and head by blocks that all went one way", () => {
  const { biases, next } = readIn({ jawSquare: 4e-4 });
  const jaw = biases.find((b) => b.name === "jawSquare")!;
  expect([jaw.told, jaw.slope > 1e-4]).toEqual([false, true]);
  expect(jaw.mixedWith).toContain("tramAcross");
  // One more piece as before tells the jaw, by two of its sizes.
  expect(next).toEqual({ pieces: 1, otherwise: null, read: ["length", "height"], tells: ["jawSquare"] });
});

test("corners read with the way they are out tell of the jaw, with its sign, where no size was read", () => {
  for (const lean of [4e-4, -4e-4]) {
    const jaw = readIn({ jawSquare: lean }, "corners").biases.find((b) => b.name === "jawSquare")!;
    expect(Math.sign(jaw.slope)).toBe(Math.sign(lean));
    expect(Math.abs(jaw.slope)).toBeGreaterThan(1e-4);
  }
  for (const { slope } of readIn({}, "corners").biases) expect(Math.abs(slope)).toBeLessThan(1e-5);
});

test("what no thickness shows is not named; a true vise is found true", () => {
  const told = found({ jawLine: 4e-4 });
  expect(told.has("jawLine")).toBe(false);
  for (const { slope } of told.values()) expect(Math.abs(slope)).toBeLessThan(1e-5);
});

/** A size read at its four corners. */
const cornersOf = (of: Axis, value: (spot: Spot) => number): RecordEvent[] =>
  spotsRound.slice(0, 4).map((spot) => ({
    type: "reading",
    op: null,
    of,
    value: value(spot),
    written: { text: "", unit: "mm" },
    instrument: "mic-25-50",
    questioned: [],
    spot,
  }));

test("where the same again tells too little, one setup is done otherwise", () => {
  const plate = demoJobs().find((j) => j.id === "pawl-plate")!;
  const made = plan({ job: plate, records: [], shop: demoShop, piece: 1 });
  const records = appended([], ...axisNames.flatMap((axis) => cornersOf(axis, () => made.target![axis])));
  const { next } = piecesSaid(made, { job: plate, records, shop: demoShop });
  expect(next).toMatchObject({
    pieces: 2,
    otherwise: { clamping: 5, face: "right", change: "twoLanes" },
    tells: ["jawSquare"],
  });
});

test("pieces that were cut once more or scrapped tell nothing", () => {
  const made = plan({ job, records: [], shop: demoShop, piece: 1 });
  const events = cornersOf("height", (spot) => 38 + spot.x * 0.02);
  const said = (...more: RecordEvent[]) =>
    shopBiases(made, appended([], ...events, ...more), judgedBy(job, demoShop)).length;
  expect(said()).toBeGreaterThan(0);
  expect(said({ type: "scrapped", reason: "dropped" })).toBe(0);
  expect(said({ type: "rework", of: "height", op: "bottom/again", from: 38.02, left: 0.02 })).toBe(0);
});
