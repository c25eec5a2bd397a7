import fc from "fast-check";
import { expect, test } from "vitest";
import { type KeptRecord, recordId } from "./record.ts";
import { inOrder, union, unseen } from "./merged.ts";

/** Two devices that write by turns, now and then learning all the other knows; their clocks are off. */
const written = fc
  .record({
    turns: fc.array(fc.record({ device: fc.integer({ min: 0, max: 1 }), learns: fc.boolean() }), {
      minLength: 1,
      maxLength: 30,
    }),
    behind: fc.integer({ min: -90, max: 90 }),
  })
  .map(({ turns, behind }) => {
    const known: [KeptRecord[], KeptRecord[]] = [[], []];
    const counts = [0, 0];
    turns.forEach(({ device, learns }, minute) => {
      const mine = device === 0 ? 0 : 1;
      if (learns) known[mine] = union(known[mine], known[1 - mine]!);
      const at = String(1000 + minute + mine * behind);
      const id = recordId(`d${mine}`, ++counts[mine]!);
      const follows = inOrder(known[mine]).at(-1)?.id ?? null;
      known[mine] = [...known[mine], { id, follows, at, by: "", piece: 1, type: "note", text: id }];
    });
    return known;
  });

const ids = (records: readonly KeptRecord[]) => records.map((r) => r.id);

test("two devices put the same records in the same order, whoever begins and however often", () => {
  fc.assert(
    fc.property(written, ([a, b]) => {
      const both = union(a, b);
      expect(ids(union(b, a))).toEqual(ids(both));
      expect(ids(union(both, a))).toEqual(ids(both));
      expect(new Set(ids(both)).size).toBe(both.length);
      expect(ids(inOrder([...both].reverse()))).toEqual(ids(both));
      expect(both.map((r) => r.seq)).toEqual(both.map((_, i) => i + 1));
    }),
  );
});

test("every record stands after the one it follows, whatever the clocks say", () => {
  fc.assert(
    fc.property(written, ([a, b]) => {
      const places = new Map(union(a, b).map((r) => [r.id, r.seq]));
      for (const r of [...a, ...b]) {
        if (r.follows !== null) expect(places.get(r.id)!).toBeGreaterThan(places.get(r.follows)!);
      }
    }),
  );
});

const note = (id: string, follows: string | null, minute: number): KeptRecord => ({
  id,
  follows,
  at: `2026-11-25T08:0${minute}:00.000Z`,
  by: "",
  piece: 1,
  type: "note",
  text: id,
});

test.each([
  ["that follow each other in a circle", [note("a.1", "b.1", 1), note("b.1", "a.1", 2)], 2],
  ["of which one follows what is not here", [note("a.2", "a.1", 2), note("b.1", null, 1)], 2],
  ["none", [], 0],
])("records %s are all there", (_what, records, count) => {
  expect(inOrder(records)).toHaveLength(count);
});

test("records are unseen of each other only where neither device knew the other's", () => {
  const all = union([note("a.1", null, 1), note("a.2", "a.1", 2)], [note("b.1", "a.1", 3)]);
  const byId = new Map(all.map((r) => [r.id, r]));
  const apart = (a: string, b: string) => unseen(byId.get(a)!, byId.get(b)!, byId);
  expect([apart("a.2", "b.1"), apart("a.1", "b.1"), apart("a.1", "a.2")]).toEqual([true, false, false]);
});
