import { describe, expect, test } from "vitest";
import type { Job } from "../job/index.ts";
import { plan } from "../plan/index.ts";
import { isFaceSetup, setupWith } from "../route/index.ts";
import { demoShop } from "../shop/index.ts";
import { keeperBlocks } from "../../tests/support/finished-job.ts";
import { eventsFor } from "../../tests/support/walker.ts";
import { beginningOf, keptSettings, type Record, type RecordEvent } from "./index.ts";

const job = keeperBlocks();

/** Records with events of a piece put after them. */
function after(records: Record[], piece: number, events: readonly RecordEvent[]): Record[] {
  const made = [...records];
  for (const event of events) {
    const seq = (made.at(-1)?.seq ?? 0) + 1;
    made.push({
      seq,
      id: `t.${seq}`,
      follows: made.at(-1)?.id ?? null,
      at: "1970-01-01T00:00:00.000Z",
      by: "",
      piece,
      ...event,
    });
  }
  return made;
}

/** A piece walked until a condition on its current step. */
function walked(
  start: Record[],
  piece: number,
  until: (setup: number, kind: string) => boolean,
  of: Job = job,
): Record[] {
  let records = start;
  for (let i = 0; i < 600; i++) {
    const made = plan({ job: of, records, shop: demoShop, piece });
    const step = made.steps[made.current];
    if (!step || until(step.setup, step.kind)) return records;
    records = after(records, piece, [
      ...beginningOf(made.setups, step.op, records, piece),
      ...eventsFor(
        step,
        records.filter((r) => r.piece === piece),
        {},
        0,
      ),
    ]);
  }
  throw new Error("the walk does not end");
}

const offered = (records: Record[], piece: number) => {
  const made = plan({ job, records, shop: demoShop, piece });
  const step = made.steps[made.current]!;
  const setup = setupWith(made.setups, step.op)!;
  return { made, setup, kept: keptSettings(setup, made.steps, made.current, records, piece, () => 0.06) };
};

describe("settings kept from the piece before", () => {
  const slot = plan({ job, records: [], shop: demoShop, piece: 1 }).setups.find((s) => !isFaceSetup(s))!;
  // Both pieces squared, then the slot of piece 1 cut to its end.
  const squared = walked(
    walked([], 1, (s) => s === slot.number),
    2,
    (s) => s === slot.number,
  );
  const slotted = walked(squared, 1, () => false);

  test("what is left standing in the very setup is offered: axes that lie where they did, by the cutter that cut all of it", () => {
    const placed = walked(slotted, 2, (s, kind) => s === slot.number && kind !== "place" && kind !== "clamp");
    const { setup, kept, made } = offered(placed, 2);
    expect(kept!.from).toBe(1);
    expect(kept!.axes).toContain("y");
    expect(kept!.axes.includes("x")).toBe(setup.seat.stop);
    expect(kept!.differ).toBeLessThanOrEqual(0.06);
    for (const event of kept!.events) expect(event).toMatchObject({ keptFrom: 1 });
    // Kept, those steps are done, and what cuts comes nearer.
    const next = after(placed, 2, [
      ...beginningOf(made.setups, made.steps[made.current]!.op, placed, 2),
      ...kept!.events,
    ]);
    const then = plan({ job, records: next, shop: demoShop, piece: 2 });
    const open = (of: typeof made) => of.steps.filter((s) => !s.done).length;
    expect(open(then)).toBe(
      open(made) - new Set(kept!.events.map((e) => ("tick" in e ? e.tick : e.type))).size,
    );
    // A finder that has to go in for X takes the cutter out: Z is then set anew.
    expect(kept!.axes.includes("z")).toBe(setup.seat.stop);
    for (const axis of kept!.axes)
      expect(then.steps.filter((s) => s.setup === slot.number && s.pickup?.axis === axis)[0]!.done).toBe(
        true,
      );
  });

  test.each<[string, (records: Record[]) => Record[]]>([
    ["before the part is placed", (records) => records],
    [
      "where another setup was done since",
      (records) =>
        walked(
          walked(records, 3, (s) => s === 2),
          2,
          (s, kind) => s === slot.number && kind === "check",
        ),
    ],
  ])("nothing is offered %s", (_what, made) => {
    expect(offered(made(slotted), 2).kept).toBeNull();
  });

  test("nothing is offered to the first piece", () => {
    expect(
      offered(
        walked([], 1, (s, kind) => s === 1 && kind === "touch"),
        1,
      ).kept,
    ).toBeNull();
  });

  test("a zero that was lost is not kept", () => {
    const op = slot.operations[0].key;
    const lost = after(slotted, 1, [{ type: "stale", op, cause: "knee" }]);
    const placed = walked(lost, 2, (s, kind) => s === slot.number && kind !== "place" && kind !== "clamp");
    expect(offered(placed, 2).kept).toBeNull();
  });
});
