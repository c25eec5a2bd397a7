import { describe, expect, test } from "vitest";
import { facesOf } from "../core/frame/index.ts";
import { drawnPart, movesWith, turnedSections } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { checkMate, featuresOf, gapOf, type Mate, newMate, partSizes } from "../core/part/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { readFileSync } from "node:fs";
import { readJobFile } from "../core/exchange/index.ts";
import { block, dim, featureList, featureOf, read } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { faceCuts } from "./support/faces.ts";

const planOf = (job: Parameters<typeof plan>[0]["job"]) =>
  plan({ job, records: [], shop: demoShop, piece: 1 });

describe("faces", () => {
  test("what is left for a next process is milled on top of the drawing, its limits moved with it", () => {
    const plain = planOf(block());
    const left = planOf(block(["part/faces/top/leave", 0.3], ["part/faces/bottom/leave", 0.2]));
    expect(left.target!.height).toBeCloseTo(plain.target!.height + 0.5, 9);
    expect(left.target!.width).toBe(plain.target!.width);
    const [was, is] = [plain, left].map((p) => p.requirements.find((r) => r.of === "height")!.limits);
    expect(is!.upper - was!.upper).toBeCloseTo(0.5, 9);
    expect(is!.lower - was!.lower).toBeCloseTo(0.5, 9);
    // The drawing itself stays as it is.
    expect(partSizes(drawnPart(block(["part/faces/top/leave", 0.3])))!.height).toBe(plain.target!.height);
  });

  test("a raw face that may stay in places needs no skin got beneath, another one still does", () => {
    const cast = facesOf("height").map((face): [string, unknown] => [`stock/conditions/${face}`, "cast"]);
    const spares = (...more: [string, unknown][]) => planOf(block(...cast, ...more)).spares!.height;
    expect(spares().verdict).toBe("enough");
    const short: [string, unknown][] = [
      ["stock/measured/height/p1", read(40)],
      ["stock/measured/height/p2", read(40)],
    ];
    expect(spares(...short).verdict).toBe("short");
    expect(spares(...short, ["part/faces/bottom/mayStayRaw", true]).verdict).toBe("enough");
  });

  test("a finer finish slows the last pass of its own face only", () => {
    const feeds = (...more: [string, unknown][]) =>
      Object.fromEntries(faceCuts(planOf(block(...more))).map((s) => [s.face, s.cut.finishVf]));
    const [usual, fine] = [feeds(), feeds(["part/faces/top/ra", 0.1])];
    expect(fine.top!).toBeLessThan(usual.top!);
    expect({ ...fine, top: 0 }).toEqual({ ...usual, top: 0 });
  });
});

describe("what hangs on a size", () => {
  const features = [
    featureOf("hole", "near", "top", { sizes: { diameter: "6" }, first: "left 20" }),
    featureOf("hole", "middle", "top", { sizes: { diameter: "6" } }),
    featureOf("hole", "far", "top", { sizes: { diameter: "6" }, first: "right 20" }),
    featureOf("hole", "with-far", "top", { sizes: { diameter: "6" }, first: "=far left 10" }),
    featureOf("slot", "through", "top", { sizes: { width: "6", depth: "4" }, second: "front 8" }),
  ];
  const { part } = block(["part/features", featureList(features)]);

  test("is listed with how far it goes; what does not is left out", () => {
    expect(movesWith(part, "length", 94)).toMatchObject([
      { feature: "middle", moves: -1, grows: 0, toward: "left" },
      { feature: "far", moves: -2, grows: 0 },
      { feature: "with-far", moves: -2, grows: 0 },
      { feature: "through", grows: -2 },
    ]);
    expect(movesWith(part, "length", 96)).toEqual([]);
  });
});

describe("mates", () => {
  const mate = (given: Partial<Mate>): Mate =>
    newMate("m", {
      size: "sizes/width",
      other: "the channel",
      mate: dim("18"),
      measured: true,
      outer: false,
      ...given,
    });
  const ids = (given: Partial<Mate>, own = { lower: 17.95, upper: 17.98 }) => [
    ...phraseIds(
      checkMate(mate(given), "width", own, (d) => ({ lower: d.nominal - 0.02, upper: d.nominal + 0.02 })),
    ),
  ];

  test.each([
    ["slides in a measured channel", {}, []],
    ["slides in a drawn one, whose limits are too wide", { measured: false }, ["mate.gap"]],
    ["pressed: far too loose", { gap: "press" as const }, ["mate.gap"]],
    ["around instead of into: it cannot go on", { outer: true }, ["mate.gap"]],
    ["no size of the other", { mate: null }, ["mate.unfinished"]],
    ["drilled together", { kind: "drilled" as const }, ["mate.drilled"]],
    ["a mirrored pair", { kind: "handed" as const }, ["mate.handed"]],
    ["halves of a whole", { kind: "sum" as const }, ["mate.sum"]],
  ])("%s", (_what, given, wanted) => {
    expect(ids(given)).toEqual(wanted);
  });

  test("the gap is what is left at the tightest and at the loosest", () => {
    const own = { lower: 17.95, upper: 17.98 };
    const other = { lower: 17.99, upper: 18.01 };
    expect(gapOf(mate({}), own, other)).toEqual({ least: 0.01, most: 0.06 });
    expect(gapOf(mate({ outer: true }), own, other)).toEqual({ least: -0.06, most: -0.01 });
  });
});

describe("a shaft", () => {
  const shaft = () => demoJobs().find((job) => job.id === "drum-shaft")!;

  test("is as long as its sections and as thick as its thickest; nothing of it is squared", () => {
    expect(partSizes(shaft().part)).toEqual({ length: 210, width: 30, height: 30 });
    const made = planOf(shaft());
    expect(faceCuts(made)).toEqual([]);
    expect(made.refusal).toBeNull();
    expect(made.findings.filter((f) => f.severity !== "note")).toEqual([]);
  });

  test("a measured diameter is held against its limits", () => {
    const measured = {
      ...shaft(),
      stock: { ...shaft().stock, turned: { "section-1": read(25), "section-2": read(30.01) } },
    };
    expect(turnedSections(measured).map((s) => s.outside)).toEqual([0, expect.closeTo(0.01, 9), null]);
  });
});

test("the demo jobs have nothing against them, and blocks among them are planned to the end", () => {
  for (const job of demoJobs()) {
    const made = planOf(job);
    expect(
      made.findings.filter((f) => f.severity !== "note"),
      job.id,
    ).toEqual([]);
    expect(made.refusal, job.id).toBeNull();
    if (!job.part.shaft) expect(faceCuts(made), job.id).toHaveLength(6);
  }
});

test("features of version 3 are whole today: slots with and without a length, holes, steps", () => {
  const text = readFileSync(new URL("fixtures/job-v3.json", import.meta.url), "utf8");
  const file = readJobFile(text);
  if (!file.ok) throw new Error("not read");
  const { job } = file.value;
  expect(featuresOf(job.part).map((f) => f.kind)).toEqual(["step", "slot", "slot", "hole", "hole"]);
  expect(planOf(job).findings.filter((f) => f.feature)).toEqual([]);
});
