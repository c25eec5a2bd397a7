import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { appended } from "../steps/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { walk } from "../../tests/support/walker.ts";
import { demoShop } from "../shop/index.ts";
import { batchOf, isMeasured, piecesOf, type PieceStanding, standingOf, verdictOf } from "./batch.ts";
import { plan } from "./make-plan.ts";

const piece = (number: number, some: Partial<PieceStanding> = {}): PieceStanding => ({
  piece: number,
  scrapped: null,
  begun: true,
  done: 9,
  steps: 9,
  setup: null,
  setups: [],
  verdict: "good",
  ...some,
});
const scrapped = { id: "a.1", reason: "bored too wide" };
const rules = (quantity: number, added: number, pieces: PieceStanding[]) =>
  batchOf({ quantity, added }, pieces).warnings.map((w) => w.phrase.id);

test.each([
  ["all good", 2, 0, [piece(1), piece(2)], []],
  ["one scrapped and none added", 2, 0, [piece(1), piece(2, { scrapped })], ["M36.short"]],
  ["one scrapped and one added", 2, 1, [piece(1), piece(2, { scrapped }), piece(3)], []],
  ["one cut that is not planned", 1, 0, [piece(1), piece(2)], ["M36.beyond"]],
  [
    "one looked at that is not planned",
    1,
    0,
    [piece(1), piece(2, { begun: false, done: 0, verdict: "open" })],
    [],
  ],
  ["one cut and not read", 1, 0, [piece(1, { verdict: "open" })], ["M36.open"]],
  ["one that is not good", 1, 0, [piece(1, { verdict: "notGood" })], ["M36.open"]],
  ["one that is not good and half cut", 1, 0, [piece(1, { verdict: "notGood", done: 5 })], []],
  ["one nobody can be sure of", 1, 0, [piece(1, { verdict: "unsure" })], ["M36.open"]],
])("%s: what does not add up is said", (_what, quantity, added, pieces, expected) => {
  expect(rules(quantity, added, pieces)).toEqual(expected);
});

test("where nothing is said against it, every piece that is wanted is good or still to be cut", () => {
  const anyPiece = fc.record({
    done: fc.integer({ min: 0, max: 9 }),
    gone: fc.boolean(),
    verdict: fc.constantFrom("good", "notGood", "unsure", "open" as const),
  });
  fc.assert(
    fc.property(fc.array(anyPiece, { minLength: 1, maxLength: 6 }), fc.nat(3), (some, added) => {
      const pieces = some.map(({ done, gone, verdict }, i) =>
        piece(i + 1, { done, verdict, scrapped: gone ? scrapped : null }),
      );
      const quantity = Math.max(1, pieces.length - added);
      const { warnings, good, possible } = batchOf({ quantity, added }, pieces);
      if (warnings.length > 0) return;
      const open = pieces.filter((p) => !p.scrapped && p.done < p.steps && p.verdict !== "good").length;
      expect(good + open).toBe(possible);
      expect(possible).toBeGreaterThanOrEqual(quantity);
    }),
  );
});

describe("a piece", () => {
  const job = { ...cheekBlock(), quantity: 2 };
  const { records } = walk(job);
  const whole = plan({ job, records, shop: demoShop, piece: 1 });

  test("stands by its own records", () => {
    expect(piecesOf(job, records)).toEqual([1, 2]);
    const other = plan({ job, records, shop: demoShop, piece: 2 });
    const [first, second] = [standingOf(whole, records, 1), standingOf(other, records, 2)];
    expect([first.done, first.setup, first.begun]).toEqual([first.steps, null, true]);
    expect([second.done, second.setup, second.begun, second.verdict]).toEqual([0, 1, false, "open"]);
  });

  test("is scrapped until that is taken back", () => {
    const gone = appended(records, { type: "scrapped", reason: "dropped" });
    expect(standingOf(whole, gone, 1).scrapped?.reason).toBe("dropped");
    const back = appended(gone, { type: "withdrawn", of: gone.at(-1)!.id });
    expect(standingOf(whole, back, 1).scrapped).toBeNull();
  });

  test("is good only when every size that is asked for is read and good", () => {
    const { requirements } = whole;
    const judged = (verdict: string) => [
      ...requirements.slice(1),
      { ...requirements[0]!, verdict: { verdict, largest: 0, smallest: 0, rework: 0 } as never },
    ];
    const read = requirements.map((r) => ({ ...r, verdict: { verdict: "good" } as never }));
    expect(verdictOf({ requirements: read, missing: [] })).toBe("good");
    expect(verdictOf({ requirements: read, missing: [{ name: { parts: ["slot"] }, why: null }] })).toBe(
      "open",
    );
    expect(verdictOf({ requirements: judged("under"), missing: [] })).toBe("notGood");
    expect(verdictOf({ requirements: [], missing: [] })).toBe("open");
  });
});

test.each([
  [1, [1, 2, 3, 4, 5, 6, 7]],
  [3, [1, 4, 7]],
  [5, [1, 6, 7]],
  [99, [1, 7]],
])("one of %i pieces is measured: the first and the last always", (every, measured) => {
  const pieces = [1, 2, 3, 4, 5, 6, 7];
  expect(pieces.filter((p) => isMeasured(p, every, pieces))).toEqual(measured);
});
