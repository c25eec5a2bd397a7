import { describe, expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import type { Spot } from "../inspect/index.ts";
import { demoShop } from "../shop/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import { phraseText } from "../working/index.ts";
import { adviceFor, liesBy, plan, suspicions, verdictOf, workingOf } from "./index.ts";

/** A plan of the cheek block with its height read at the inspection. */
function read(
  heights: readonly (readonly [value: number, x: Spot["x"], y: Spot["y"]])[],
  instrument = "mic-25-50",
  accepted = "",
  after = heights.length,
) {
  const job = cheekBlock();
  job.part.parallelism = 0.03;
  const records = heights.map(([value, x, y], i): JobRecord => ({
    seq: i + 1,
    id: `d-${i}`,
    follows: null,
    at: "2026-11-30T10:00:00Z",
    by: "",
    piece: 1,
    type: "reading",
    op: null,
    of: "height",
    value,
    written: { text: String(value), unit: "mm" },
    instrument,
    questioned: [],
    spot: { x, y },
  }));
  if (accepted !== "") {
    const { follows, at, by, piece } = records[0]!;
    records.push({
      seq: after + 0.5,
      id: "accepted",
      follows,
      at,
      by,
      piece,
      type: "accepted",
      of: "height",
      reason: accepted,
    });
  }
  const made = plan({ job, records, shop: demoShop, piece: 1 });
  const height = made.requirements.find((r) => r.of === "height")!;
  const advice = adviceFor(height, {
    setups: made.setups,
    sizes: made.target!,
    shop: demoShop,
    parallel: job.part.parallelism,
  }).map((phrase) => phraseText(phrase, "mm"));
  const accused = suspicions(made, job, demoShop, demoShop.machines[0]).map((rivals) =>
    rivals.map((a) => a.suspect.id),
  );
  return { height, advice, accused, made, job };
}

describe("a height of 38 ±0.05 read at its corners", () => {
  test("as meant: nothing is asked for, nobody accused", () => {
    const { height, advice, accused } = read([
      [38.001, -1, -1],
      [38, 1, -1],
      [37.999, 1, 1],
      [38, -1, 1],
    ]);
    expect(height.verdict?.verdict).toBe("good");
    expect([advice, accused]).toEqual([[], []]);
  });

  test("a wedge of 0.04 to the right: a shim under the right, and a seat, a chip or the tram accused", () => {
    const { height, advice, accused } = read([
      [37.98, -1, -1],
      [38.02, 1, -1],
      [38.02, 1, 1],
      [37.98, -1, 1],
    ]);
    expect(liesBy(height)?.right).toBeCloseTo(0.04, 6);
    expect(advice.join(" ")).toMatch(/0\.040 mm thicker.*raise the right by 0\.040 mm/);
    expect(accused[0]![0]).toBe("tram");
  });

  test("a wedge along a diagonal: a chip under a corner", () => {
    const { accused } = read([
      [37.96, -1, -1],
      [38, 1, -1],
      [38.04, 1, 1],
      [38, -1, 1],
      [38, 0, 0],
    ]);
    expect(accused[0]![0]).toMatch(/^chip/);
  });

  test("too thick all over: a window for the next cut that leaves every place inside", () => {
    const { advice } = read([
      [38.2, -1, -1],
      [38.22, 1, -1],
      [38.21, 1, 1],
      [38.2, -1, 1],
    ]);
    expect(advice.join(" ")).toMatch(/Take off between 0\.170 mm and 0\.250 mm/);
  });

  test("spread wider than the limits: no single cut, the taper first", () => {
    const { advice } = read([
      [38, -1, -1],
      [38.2, 1, -1],
      [38.2, 1, 1],
      [38, -1, 1],
    ]);
    expect(advice.join(" ")).toMatch(/no single cut.*Take the taper out first/);
  });

  test("one turn of the dial too little is told as that", () => {
    const { lead } = demoShop.machines[0]!.axes.z;
    const over = 38 + lead;
    const { accused } = read([
      [over, -1, -1],
      [over, 1, -1],
      [over, 1, 1],
      [over, -1, 1],
    ]);
    expect(accused[0]![0]).toMatch(/^turn/);
  });

  test("read with a caliper that does not tell: the micrometer that would is named", () => {
    const { advice } = read([[38.03, -1, -1]], "caliper");
    expect(advice.join(" ")).toMatch(/Read it with the Micrometer 25–50/);
  });

  test("under size and accepted: the piece can be good, the verdict stays; a later reading asks anew", () => {
    const { height } = read([[37.8, -1, -1]]);
    expect([height.verdict?.verdict, height.accepted]).toEqual(["under", null]);
    const said = read([[37.8, -1, -1]], "mic-25-50", "the fitter shims it");
    expect(said.height.verdict?.verdict).toBe("under");
    expect(said.height.accepted).toMatchObject({ reason: "the fitter shims it" });
    expect(verdictOf({ requirements: [said.height], missing: [] })).toBe("good");
    expect(verdictOf({ requirements: [height], missing: [] })).toBe("notGood");
    expect(
      read(
        [
          [37.8, -1, -1],
          [37.81, 1, 1],
        ],
        "mic-25-50",
        "the fitter shims it",
        1,
      ).height.accepted,
    ).toBeNull();
  });

  test("what is advised has its working: the window and the slopes, under the verdict", () => {
    const { made, job } = read([
      [38.2, -1, -1],
      [38.24, 1, -1],
      [38.24, 1, 1],
      [38.2, -1, 1],
    ]);
    const lines = workingOf(made, { job, shop: demoShop }, "verdict#height")!.lines;
    const value = (start: string) =>
      lines.find((l) => phraseText(l.what, "mm").startsWith(start))?.result.value ?? NaN;
    expect(value("largest reading −")).toBeCloseTo(0.19, 6);
    expect(value("smallest reading −")).toBeCloseTo(0.25, 6);
    expect(value("slope along X")).toBeCloseTo(0.04, 6);
    expect(value("slope along Y")).toBeCloseTo(0, 6);
  });

  test("under size: no cut is offered", () => {
    const { advice } = read([[37.8, -1, -1]]);
    expect(advice.join(" ")).toMatch(/cannot be put back/);
    expect(advice.join(" ")).not.toMatch(/Take off/);
  });
});
