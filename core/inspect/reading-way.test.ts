import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Part } from "../part/index.ts";
import { applyChanges, changeOf, type Job, newJob } from "../job/index.ts";
import { dim, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { readingWay, readingWays } from "./reading-way.ts";

const set = (job: Job, path: string, to: unknown): Job => {
  const applied = applyChanges(job, [changeOf(job, path, to)]);
  if (!applied.ok) throw new Error(path);
  return applied.job;
};

/** A shaft of 30 with a keyseat for its key, 8 × 7. */
function shaftPart(): Part {
  let job = newJob("s", "s", "knee", "vise-125");
  const section = { id: "a", diameter: dim("30"), length: dim("100") };
  job = set(job, "part/shaft", { byId: { a: section }, order: ["a"] });
  const seat = featureOf("keyway", "k", "top", { sizes: { length: "30" }, first: "left 50" });
  return set(job, "part/features", featureList([seat])).part;
}

function blockPart(kind: "vGroove" | "dovetail", sizes: Record<string, string>, choices = {}): Part {
  let job = newJob("b", "b", "knee", "vise-125");
  for (const [axis, size] of [
    ["length", "100"],
    ["width", "60"],
    ["height", "40"],
  ])
    job = set(job, `part/sizes/${axis}`, dim(size!));
  return set(job, "part/features", featureList([featureOf(kind, "f", "top", { sizes, choices })])).part;
}

const keyed = shaftPart();
const v = blockPart("vGroove", { width: "20", pin: "16" });
const slot = blockPart("dovetail", { wide: "30", depth: "8", pin: "6" }, { form: "slot" });
const tongue = blockPart("dovetail", { wide: "30", depth: "8", pin: "6" }, { form: "tongue" });

describe("a size read another way", () => {
  // 30 shaft: t1 4, so 26 over the far side; where the walls of 8 meet the round; key 7 high.
  test.each([
    ["crown", keyed, "k/depth", 26, 4],
    ["edge", keyed, "k/depth", 26, 4 - (15 - Math.sqrt(225 - 16))],
    ["key", keyed, "k/depth", 26, 33],
    // V of 90°, 20 wide, 10 deep; a pin of 16: 8·(1 + 1/sin 45°) − 10.
    ["pin", v, "f/width", 20, 8 * (1 + Math.SQRT2) - 10],
    // 60°: 30 − 6·(1 + cot 30°); and over the tongue, its narrow width 30 − 16·cot 60°, and the same again.
    ["pins", slot, "f/wide", 30, 30 - 6 * (1 + Math.sqrt(3))],
    ["pins", tongue, "f/wide", 30, 30 - 16 / Math.sqrt(3) + 6 * (1 + Math.sqrt(3))],
  ] as const)("%s shows what follows from the size", (id, part, of, size, shown) => {
    const way = readingWays(part, of)!.others.find((w) => w.id === id)!;
    expect(way.shown(size)).toBeCloseTo(shown, 3);
    // Its working ends at the same figure.
    expect(way.working(size).at(-1)!.result.value).toBeCloseTo(shown, 3);
  });

  const all = [
    [keyed, "k/depth", 24, 28],
    [v, "f/width", 16, 24],
    [slot, "f/wide", 26, 34],
    [tongue, "f/wide", 26, 34],
  ] as const;
  test.each(all)("there and back is the same size, and the gain is its slope", (part, of, low, high) => {
    fc.assert(
      fc.property(fc.double({ min: low, max: high, noNaN: true }), (size) => {
        for (const way of readingWays(part, of)!.others) {
          const shown = way.shown(size)!;
          expect(way.size(shown)).toBeCloseTo(size, 4);
          const slope = (way.size(shown + 0.01)! - way.size(shown)!) / 0.01;
          expect(slope).toBeCloseTo(way.gain, 3);
        }
      }),
      { numRuns: 40 },
    );
  });

  test("a size that an instrument shows has no other way, and no gain", () => {
    expect(readingWays(keyed, "k/width")).toBeNull();
    expect(readingWays(blockPart("vGroove", { width: "20" }), "f/width")).toBeNull();
    // A pin that lies below the face.
    expect(readingWays(blockPart("vGroove", { width: "20", pin: "6" }), "f/width")).toBeNull();
    expect(readingWay(keyed, "k/depth", undefined)).toBeNull();
  });
});
