import { describe, expect, test } from "vitest";
import { type Face, faceNames } from "../frame/index.ts";
import type { Job } from "../job/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { demoShop } from "../shop/index.ts";
import { plan } from "./make-plan.ts";
import { workingOf } from "./workings.ts";
import { lumpOf } from "./lump.ts";

/** A lump probed at three points a face, 3 over the finished part, tilted so that the top rises along the length. */
function probed(): Job {
  const job = cheekBlock();
  const target = plan({ job, records: [], shop: demoShop, piece: 1 }).target!;
  const points = faceNames.flatMap((face) =>
    [
      [5, 5],
      [30, 5],
      [15, 25],
    ].map(([first, second], i) => ({
      id: `${face}-${i}`,
      face,
      first: first!,
      second: second!,
      reads: readsOf(face, target, first!),
    })),
  );
  return {
    ...job,
    stock: {
      ...job.stock,
      tilts: true,
      points: { byId: Object.fromEntries(points.map((p) => [p.id, p])), order: points.map((p) => p.id) },
    },
  };
}

function readsOf(
  face: Face,
  { length, width, height }: Record<"length" | "width" | "height", number>,
  along: number,
) {
  const low = { left: -3, front: -3, bottom: -3 + 0.01 * along };
  const high = { right: length + 3, back: width + 3, top: height + 3 + 0.01 * along };
  return { ...low, ...high }[face];
}

describe("the lump by its points", () => {
  const job = probed();
  const made = plan({ job, records: [], shop: demoShop, piece: 1 });
  const { found } = lumpOf(job, made.target);

  test("either half by its split line: its terms make what comes off, and what it came as", () => {
    const split = { axis: "height" as const, found: 20, drawn: 18 };
    const halved = { ...job, stock: { ...job.stock, split } };
    for (const [face, sign] of [
      ["bottom", 1],
      ["top", -1],
    ] as const) {
      const [lies, drawn, off, least, moved, over, half, raw] = workingOf(
        made,
        { job: halved, shop: demoShop },
        `split#${face}`,
      )!.lines.map((l) => l.result.value);
      expect([drawn, moved]).toEqual([18, off]);
      expect(lies! - drawn!).toBeCloseTo(off!, 9);
      expect(least! + sign * off!).toBeCloseTo(over!, 9);
      expect(half! + over!).toBeCloseTo(raw!, 9);
    }
    expect(workingOf(made, { job, shop: demoShop }, "split#top")).toBeNull();
  });

  test.each(["lump#top", "scribed#height", "packing#rests"])("%s shows its working to the end", (key) => {
    const lines = workingOf(made, { job, shop: demoShop }, key)!.lines;
    const results = lines.map((l) => l.result.value);
    const ends = {
      "lump#top": [found!.faces.top!.least],
      "scribed#height": [found!.faces.bottom!.most, found!.faces.bottom!.most + made.target!.height],
      // It is turned about the width, level across: the two front rests and the back one rise along the length.
      "packing#rests": [0],
    }[key]!;
    for (const end of ends) expect(results.some((r) => Math.abs(r - end) < 1e-6)).toBe(true);
  });

  test("a core has its walls told, each figure to its end", () => {
    const core = {
      id: "c",
      face: "top",
      diameter: 10,
      first: 21,
      second: 12,
      drawnFirst: 20,
      drawnSecond: 12,
    } as const;
    const cored = { ...job, stock: { ...job.stock, cores: { byId: { c: core }, order: ["c"] } } };
    const [lies] = lumpOf(cored, made.target).found!.cores;
    const lines = workingOf(made, { job: cored, shop: demoShop }, "core#c")!.lines;
    expect(lines.find((l) => l.sum)!.result.value).toBeCloseTo(lies!.wall.thick, 6);
    expect(lies!.wall).toMatchObject({ face: "front", drawn: 7 });
    expect(workingOf(made, { job, shop: demoShop }, "core#c")).toBeNull();
  });

  test("a face without a point, and a part without sizes, have none", () => {
    const bare = { ...job, stock: { ...job.stock, points: { byId: {}, order: [] } } };
    expect(workingOf(made, { job: bare, shop: demoShop }, "lump#top")).toBeNull();
    expect(lumpOf(job, null).found).toBeNull();
  });
});
