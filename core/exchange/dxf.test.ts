import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { threeViews } from "../figure/index.ts";
import {
  arcOf,
  circle,
  type Corner,
  extentOfOutline,
  mapOutline,
  type Outline,
  outlineArea,
  polygon,
  rectangle,
  waysOf,
} from "../frame/index.ts";
import { cutoutOf, drawnSite, featuresOf } from "../part/index.ts";
import type { LengthUnit } from "../quantity/index.ts";
import { phraseText } from "../working/index.ts";
import { largestDxf, outlineInMm, readDxf, writeDxf, writeOutlines } from "./index.ts";

const length = fc.integer({ min: 5, max: 200 });
/** Closed outlines of every sort: round, rounded, with many corners and arcs, anywhere. */
const outline: fc.Arbitrary<Outline> = fc
  .tuple(
    fc.oneof(
      length.map((r) => circle(0, 0, r)),
      fc
        .tuple(length, length, fc.integer({ min: 0, max: 20 }))
        .map(([w, h, r]) => rectangle([0, w], [0, h], r)),
      fc
        .array(fc.tuple(fc.integer({ min: 20, max: 80 }), fc.integer({ min: -8, max: 8 })), {
          minLength: 3,
          maxLength: 12,
        })
        .map((spokes) =>
          spokes.map(([r, bulge], i): Corner => {
            const angle = (2 * Math.PI * i) / spokes.length;
            return { x: r * Math.cos(angle), y: r * Math.sin(angle), bulge: bulge / 10 };
          }),
        ),
    ),
    fc.integer({ min: -500, max: 500 }),
    fc.integer({ min: -500, max: 500 }),
  )
  .map(([made, dx, dy]) => mapOutline(made, (x, y) => [x + dx, y + dy]));
const unit = fc.constantFrom<LengthUnit>("mm", "in");

function readBack(text: string) {
  const read = readDxf(text);
  if (!read.ok) throw new Error(phraseText(read.reason, "mm"));
  return read.value;
}

/** The same way round the same area, from whatever corner it begins. */
function same(one: Outline, other: Outline) {
  expect(other).toHaveLength(one.length);
  expect(Math.abs(outlineArea(other))).toBeCloseTo(Math.abs(outlineArea(one)), 3);
  const [a, b] = [extentOfOutline(one), extentOfOutline(other)];
  for (const axis of ["x", "y"] as const)
    a[axis].forEach((value, i) => expect(b[axis][i]!).toBeCloseTo(value, 4));
}

describe("DXF", () => {
  test("outlines written and read are the same, in either unit", () => {
    fc.assert(
      fc.property(fc.array(outline, { minLength: 1, maxLength: 4 }), unit, (outlines, written) => {
        const read = readBack(writeOutlines(outlines, written));
        expect(read).toMatchObject({ unit: written, open: 0, ignored: [] });
        read.closed.forEach((found, i) => same(outlines[i]!, outlineInMm(found, written)));
      }),
    );
  });

  test("loose lines and arcs, in any order and direction, join to the outline they make up", () => {
    fc.assert(
      fc.property(outline, fc.array(fc.nat(), { minLength: 12, maxLength: 12 }), (whole, keys) => {
        const ways = waysOf(whole)
          .map((way, i) => ({ way, key: keys[i % 12]! }))
          .sort((a, b) => a.key - b.key);
        const entities = ways.flatMap(({ way: [from, to], key }) => {
          const arc = arcOf(from, to);
          const degrees = (angle: number) => (((angle * 180) / Math.PI) % 360) + 360;
          if (arc) {
            const [start, end] =
              arc.turn > 0 ? [arc.from, arc.from + arc.turn] : [arc.from + arc.turn, arc.from];
            return [
              "0",
              "ARC",
              "10",
              arc.x,
              "20",
              arc.y,
              "40",
              arc.r,
              "50",
              degrees(start),
              "51",
              degrees(end),
            ];
          }
          const [a, b] = key % 2 ? [from, to] : [to, from];
          return ["0", "LINE", "10", a.x, "20", a.y, "11", b.x, "21", b.y];
        });
        const read = readBack(file(entities));
        expect(read).toMatchObject({ unit: null, open: 0 });
        expect(read.closed).toHaveLength(1);
        same(whole, read.closed[0]!);
      }),
    );
  });

  test("a way that does not close is counted, what is not read is named", () => {
    const read = readBack(
      file([
        ...["0", "LINE", "10", 0, "20", 0, "11", 10, "21", 0],
        ...["0", "CIRCLE", "10", 5, "20", 5, "40", 3],
        ...["0", "TEXT", "10", 0, "20", 0, "40", 2, "1", "note"],
      ]),
    );
    expect(read.closed).toHaveLength(1);
    expect(read.open).toBe(1);
    expect(read.ignored).toEqual([{ name: "TEXT", count: 1 }]);
  });

  test.each([
    ["empty", "", /damaged/],
    ["no drawing", "hello\nworld\n", /damaged|no lines/],
    ["cut off", writeOutlines([circle(0, 0, 5)], "mm").slice(0, -20), /damaged|no lines/],
    ["in binary form", "binary\0\0\0", /damaged/],
    ["too large", "0\n".repeat(largestDxf / 2 + 1), /larger than 20 MB/],
    [
      "of faces in space",
      file(["0", "3DFACE", "10", 0, "20", 0, "30", 0, "11", 1, "21", 0, "31", 5, "12", 1, "22", 1, "32", 5]),
      /three-dimensional/,
    ],
    [
      "of lines that climb",
      file(["0", "LINE", "10", 0, "20", 0, "30", 0, "11", 10, "21", 0, "31", 7]),
      /three-dimensional/,
    ],
    ["without shapes", file([]), /no lines/],
  ])("a file that is %s is refused with what to do", (_what, text, reason) => {
    const read = readDxf(text);
    if (read.ok) throw new Error("it was read");
    expect(phraseText(read.reason, "mm")).toMatch(reason);
    expect(phraseText(read.suggestion, "mm").length).toBeGreaterThan(20);
  });

  test.each([
    ["a table without its end", ["0", "SECTION", "2", "TABLES", "0", "TABLE", "2", "LTYPE", "0", "ENDSEC"]],
    ["a block without its end", ["0", "SECTION", "2", "BLOCKS", "0", "BLOCK", "2", "x", "0", "ENDSEC"]],
  ])("%s is in nobody's way", (_what, before) => {
    expect(
      readBack([...before, file(["0", "CIRCLE", "10", 1, "20", 2, "40", 3])].join("\n")).closed,
    ).toHaveLength(1);
  });

  test.each([
    [
      "a polyline without its end",
      ["0", "POLYLINE", "66", 1, "0", "VERTEX", "10", 0, "20", 0],
      /line 5: what begins/,
    ],
    ["a place that is no number", ["0", "LINE", "10", "abc", "20", 0], /line 8: a number should/],
    ["a place far out", ["0", "CIRCLE", "10", 1e12, "20", 0, "40", 1], /line 8: the number is far out/],
    ["a code that is none", ["0", "LINE", "x", 1], /line 7: a group code/],
  ])("%s is told by its line", (_what, entities, reason) => {
    const read = readDxf(file(entities));
    if (read.ok) throw new Error("it was read");
    expect(phraseText(read.reason, "mm")).toMatch(reason);
  });

  test("circles of no size and without a middle are no outlines", () => {
    const read = readBack(
      file([
        "0",
        "CIRCLE",
        "40",
        3,
        "0",
        "CIRCLE",
        "10",
        1,
        "20",
        1,
        "40",
        0,
        "0",
        "LINE",
        "10",
        0,
        "20",
        0,
        "11",
        1,
        "21",
        1,
      ]),
    );
    expect(read).toMatchObject({ closed: [], open: 1, ignored: [{ name: "CIRCLE", count: 2 }] });
  });

  test("forty thousand lines are read", () => {
    const lines = Array.from({ length: 40_000 }, (_, i) => [
      "0",
      "LINE",
      "10",
      i,
      "20",
      0,
      "11",
      i + 0.5,
      "21",
      0,
    ]);
    expect(readBack(file(lines.flat())).open).toBe(40_000);
  });

  test("a damaged file is refused, or read as figures that are some: never a throw, never for ever", () => {
    const square = rectangle([0, 20], [0, 10], 2);
    const text = [
      ...["0", "SECTION", "2", "TABLES", "0", "TABLE", "2", "LAYER", "70", 1, "0", "ENDTAB", "0", "ENDSEC"],
      file([
        ...[
          "0",
          "POLYLINE",
          "66",
          1,
          "70",
          1,
          "0",
          "VERTEX",
          "10",
          0,
          "20",
          0,
          "42",
          0.4,
          "0",
          "VERTEX",
          "10",
          9,
          "20",
          0,
        ],
        ...[
          "0",
          "VERTEX",
          "10",
          9,
          "20",
          9,
          "0",
          "SEQEND",
          "0",
          "ARC",
          "10",
          5,
          "20",
          5,
          "40",
          2,
          "50",
          10,
          "51",
          80,
        ],
        ...["0", "CIRCLE", "10", 30, "20", 5, "40", 3],
      ]),
    ].join("\n");
    const lines = [...text.split("\n"), ...writeOutlines([square], "mm").split("\n")];
    const damage = fc.record({
      at: fc.nat({ max: lines.length - 1 }),
      how: fc.constantFrom<(line: string) => string[]>(
        () => [],
        (line) => [line, line],
        () => ["NaN"],
        () => ["1e400"],
        () => ["-1"],
        () => ["0"],
        () => ["SEQEND"],
        () => ["POLYLINE"],
        (line) => [line.slice(0, -1)],
        (line) => [`${line}9`],
      ),
    });
    fc.assert(
      fc.property(fc.array(damage, { minLength: 1, maxLength: 4 }), (all) => {
        const hurt = lines.flatMap((line, i) => all.find(({ at }) => at === i)?.how(line) ?? [line]);
        const read = readDxf(hurt.join("\n"));
        if (read.ok)
          for (const c of read.value.closed.flat())
            expect([c.x, c.y, c.bulge].every(Number.isFinite)).toBe(true);
        else expect(phraseText(read.reason, "mm").length).toBeGreaterThan(20);
      }),
      { numRuns: 1000 },
    );
  });

  test("the three views go out true to size, without the lines that are cut away", () => {
    const { part } = cheekBlockWithFeatures();
    const site = drawnSite(part);
    const views = (from: typeof part) => {
      const features = featuresOf(from);
      const cutouts = features.map((f) => ({ id: f.id, name: f.id, number: 1, cutout: cutoutOf(f, site)! }));
      return writeDxf(threeViews(site, cutouts).figure, "mm");
    };
    const { closed, open } = readBack(views(part));
    // The bore seen from above, the closed slot with its round ends.
    const extents = closed.map((o) => extentOfOutline(o)).map(({ x, y }) => [x[1] - x[0], y[1] - y[0]]);
    expect(extents.some(([w, h]) => Math.abs(w! - 12) < 1e-6 && Math.abs(h! - 12) < 1e-6)).toBe(true);
    expect(extents.some(([w, h]) => Math.abs(w! - 30) < 1e-6 && Math.abs(h! - 8) < 1e-6)).toBe(true);
    expect(open).toBeGreaterThan(10);
    const plain = readBack(views({ ...part, features: { byId: {}, order: [] } })).closed;
    // The bare block closes in all three views; with its step the front view does not.
    expect(plain.map((o) => Math.round(Math.abs(outlineArea(o))))).toEqual([96 * 60, 96 * 38, 60 * 38]);
    expect(closed.some((o) => Math.abs(Math.abs(outlineArea(o)) - 96 * 38) < 1)).toBe(false);
  });

  test("a polygon keeps its corners", () => {
    const corners = polygon([
      [0, 0],
      [30, 0],
      [30, 12.5],
      [0, 20],
    ]);
    expect(readBack(writeOutlines([corners], "mm")).closed[0]).toEqual(corners);
  });
});

/** A DXF file of some entities, silent about its unit. */
function file(entities: (string | number)[]): string {
  return ["0", "SECTION", "2", "ENTITIES", ...entities, "0", "ENDSEC", "0", "EOF"].join("\n");
}
