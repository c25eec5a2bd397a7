import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { barCuts, type LaidBlank } from "./bar-cuts.ts";

const blanks = (...lengths: number[]): LaidBlank[] => lengths.map((length, i) => ({ name: `p${i}`, length }));
const of = (shapes: ReturnType<typeof barCuts>["shapes"], ink: string) =>
  shapes.filter((s) => s.kind === "path" && s.ink === ink) as Extract<
    (typeof shapes)[number],
    { kind: "path" }
  >[];
const ends = (shape: ReturnType<typeof of>[number]): [number, number] => {
  const xs = shape.outlines.flat().map((p) => p.x);
  return [Math.min(...xs), Math.max(...xs)];
};

describe("a bar with its cuts", () => {
  test("blanks, cuts and what is left stand one after the other and fill the bar", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 10, max: 90 }), { maxLength: 8 }),
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 1, max: 400 }),
        (lengths, kerf, over) => {
          const used = lengths.reduce((sum, l) => sum + l + kerf, 0);
          const bar = { length: used + over, across: 30 };
          const figure = barCuts("bar", bar, blanks(...lengths), kerf);
          const spans = [
            ...of(figure.shapes, "part"),
            ...of(figure.shapes, "remove"),
            ...of(figure.shapes, "face-drawn"),
          ]
            .map(ends)
            .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
          let x = 0;
          for (const [from, to] of spans) {
            expect(from).toBeCloseTo(x, 6);
            x = to;
          }
          expect(x).toBeCloseTo(bar.length, 6);
          expect(
            of(figure.shapes, "part")
              .map(ends)
              .map(([a, b]) => Math.round(b - a)),
          ).toEqual(lengths);
        },
      ),
    );
  });

  test.each([
    ["its end is sawn off first", { trim: 5 }, [7, 57]],
    ["nothing is sawn off first", {}, [0, 50]],
  ])("%s", (_what, more, [from, to]) => {
    const [first] = of(barCuts("bar", { length: 200, across: 20 }, blanks(50), 2, more).shapes, "part");
    expect(ends(first!)).toEqual([from, to]);
  });

  test("what is left is told in it, or not where the page tells it", () => {
    const told = (leftTold: boolean) =>
      barCuts("bar", { length: 200, across: 20 }, blanks(50), 2, { leftTold }).shapes.filter(
        (s) => s.kind === "dimension",
      );
    expect(told(true)).toMatchObject([{ value: { value: 148 } }]);
    expect(told(false)).toEqual([]);
  });
});
