import { describe, expect, test } from "vitest";
import type { Job } from "../core/job/index.ts";
import { plan } from "../core/plan/index.ts";
import { demoShop, type Shop } from "../core/shop/index.ts";
import {
  appended,
  beginningOf,
  eventsToFinish,
  type Record,
  type Step,
  turnsOf,
} from "../core/steps/index.ts";
import { block, dim, featureList, featureOf } from "./support/cheek-block.ts";
import { demoJobs } from "./support/demo-jobs.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { faceCuts } from "./support/faces.ts";
import { featureSetupsOf } from "../core/route/index.ts";

/** What is told at the machine hangs together: tools and zeros, slack, walls, warnings. */

const planOf = (job: Job, records: Record[] = [], shop: Shop = demoShop) =>
  plan({ job, records, shop, piece: 1 });
const featureSteps = (job: Job, shop: Shop = demoShop): Step[] =>
  planOf(job, [], shop).steps.filter((s) => s.pickup || s.move || s.kind === "check");

/** Slack on every axis, and dials only. */
const worn: Shop = {
  ...demoShop,
  machines: demoShop.machines.map((m) => ({
    ...m,
    axes: {
      x: { ...m.axes.x, backlash: 0.2, readout: null },
      y: { ...m.axes.y, backlash: 0.2, readout: null },
      z: m.axes.z,
    },
  })),
};

describe.each(demoJobs().map((job) => [job.id, job] as const))("%s", (_id, job) => {
  test("every zero is taken with what stands in the spindle, every cut with its own cutter and speed", () => {
    let spindle: { tool: string; rpm: number | null } = { tool: "", rpm: null };
    const made = planOf(job);
    for (const step of featureSteps(job)) {
      const face = faceCuts(made).find((s) => s.key === step.op);
      const operation = featureSetupsOf(made.setups)
        .flatMap((s) => s.operations)
        .find((o) => o.key === step.op);
      if (step.kind === "check")
        spindle = step.tool
          ? { tool: step.tool.id ?? "held for the touch", rpm: step.tool.rpm }
          : {
              tool: face?.cut.cutter ?? operation?.cutter ?? "",
              rpm: face?.cut.rpm ?? operation?.set?.rpm ?? null,
            };
      if (step.pickup) {
        const { toucher } = step.pickup;
        expect(spindle.tool).toBe(toucher.kind === "cutter" ? toucher.id : "held for the touch");
        if (toucher.kind === "finder") expect(spindle.rpm).toBeLessThanOrEqual(1000);
      }
      if (step.move && operation)
        expect(spindle).toEqual({ tool: operation.cutter, rpm: operation.set?.rpm ?? null });
    }
  });

  test("with slack every stop is come to from the side of its zero, or has the slack in its figure", () => {
    const toward = { x: 0, y: 0, z: 0 };
    for (const step of featureSteps(job, worn)) {
      if (step.pickup)
        toward[step.pickup.axis] = { left: 1, front: 1, right: -1, back: -1, above: -1 }[
          step.pickup.from.at(-1)!
        ];
      for (const { axis, from, approach, counted, settled } of step.move?.targets ?? []) {
        if (axis === "z") continue;
        const way = from === null ? 0 : Math.sign(settled.stop - counted - from);
        if (approach !== null) expect(approach).toBe(toward[axis]);
        else expect(counted).toBeCloseTo(way === toward[axis] ? 0 : way * 0.2, 9);
      }
    }
  });
});

describe("walls", () => {
  const slot = featureOf("slot", "slot", "top", { sizes: { width: "14 ±0.02", depth: "8" } });
  const job = block(["part/features", featureList([slot])]);

  test("are cut pass by pass as planned, the last one to the wall", () => {
    const made = planOf(job);
    const operations = featureSetupsOf(made.setups)
      .flatMap((s) => s.operations)
      .filter((o) => o.cut?.kind === "side");
    expect(operations.length).toBe(2);
    for (const o of operations) {
      const feeds = made.steps
        .filter((s) => s.op === o.key && s.move?.move.kind === "feed")
        .map((s) => s.move!.move);
      expect(feeds.map((m) => m.takes)).toEqual([
        ...o.cut!.passes.map((p) => p.depth),
        ...(o.cut!.spring ? [o.cut!.passes.at(-1)!.depth] : []),
      ]);
      expect(feeds.every((m) => m.round === "pass" && m.levels === feeds.length)).toBe(true);
    }
  });
});

describe("what speaks against a setup", () => {
  const hole = featureOf("hole", "hole", "top", { sizes: { diameter: "8.5" }, second: "front 13" });
  const job = block(
    ["part/features", featureList([hole])],
    [
      "overrides/byId",
      {
        a: {
          id: "a",
          at: "hole/spot",
          what: "fixed",
          value: "front",
          reason: "",
          since: "2026-11-26T08:00:00Z",
        },
        b: {
          id: "b",
          at: "hole/spot",
          what: "parallels",
          value: "parallels-32",
          reason: "",
          since: "2026-11-26T08:00:00Z",
        },
      },
    ],
    ["overrides/order", ["a", "b"]],
  );

  test("outlives the first tick of the setup, and every one after it", () => {
    let records: Record[] = [];
    const said = () =>
      [...phraseIds(featureSetupsOf(planOf(job, records).setups).map((s) => s.warnings))].filter((id) =>
        id.startsWith("M12"),
      );
    const before = said();
    expect(before).toContain("M12.side");
    for (let i = 0; i < 400; i++) {
      const made = planOf(job, records);
      const step = made.steps[made.current];
      if (!step) break;
      records = appended(records, ...beginningOf(made.setups, step.op, records), ...eventsToFinish(step));
      if (step.op.startsWith("hole/")) expect(said()).toEqual(before);
    }
    expect(records.some((r) => r.type === "begun" && r.op.startsWith("hole/"))).toBe(true);
  });
});

describe("a size that is read short", () => {
  /** Walks to the end of the features, reading so much short the first time each final size is asked for. */
  function walked(job: Job, short: number) {
    let records: Record[] = [];
    const told: Step[] = [];
    for (let i = 0; i < 600; i++) {
      const made = planOf(job, records);
      const step = made.steps[made.current];
      if (!step) break;
      told.push(step);
      const { measure } = step;
      const fit = measure?.fit;
      const first = fit && measure.final && !/-2$/.test(step.id);
      const reading = fit ? measure.expected + (first ? (fit.measured.grows ? -short : short) : 0) : null;
      records = appended(
        records,
        ...beginningOf(made.setups, step.op, records),
        ...eventsToFinish(step, reading === null ? {} : { reading }),
      );
    }
    return told;
  }
  const slot = block([
    "part/features",
    featureList([featureOf("slot", "slot", "top", { sizes: { width: "14 ±0.02", depth: "8" } })]),
  ]);

  test("a wall is cut once more that much further out, deburred sizes are read, and it is measured again", () => {
    const told = walked(slot, 0.1);
    const at = told.findIndex((s) => s.id === "measure-width" && s.measure && s.measure.final);
    const again = told.slice(at + 1).filter((s) => s.id.startsWith("again-1-"));
    expect(told[at - 1]!.kind).toBe("deburr");
    expect(again.length).toBeGreaterThan(1);
    const wall = told.findLast(
      (s) => s.op === "slot/wall-back" && s.id.startsWith("move-") && s.move!.move.to.y,
    );
    const further = again.find((s) => s.move!.move.to.y !== undefined)!;
    expect(Math.abs(further.move!.move.to.y! - wall!.move!.move.to.y!)).toBeCloseTo(0.1, 6);
    expect(told.find((s) => s.id === "measure-width-2")!.title.parts.at(-1)).toBe(" again");
  });

  test("a floor is gone over again that much deeper", () => {
    const key = demoJobs().find((j) => j.id === "drum-shaft")!;
    const told = walked(key, 0.3);
    const again = told.filter((s) => s.id.startsWith("again-1-") && s.move!.move.to.z !== undefined);
    const deepest = (steps: Step[]) => Math.min(...steps.map((s) => s.move!.move.to.z!));
    const floor = told.filter(
      (s) => s.op === again[0]!.op && s.id.startsWith("move-") && s.move!.move.to.z !== undefined,
    );
    expect(deepest(again)).toBeCloseTo(deepest(floor) - 0.3, 6);
  });

  test("within its limits nothing is cut again", () => {
    expect(walked(slot, 0).filter((s) => s.id.startsWith("again-"))).toEqual([]);
  });
});

test.each([
  ["96 ±0.1", 2],
  ["96 ±0.2", 1],
  ["96 ±0.5", 0],
] as const)("%s is read so often before its last passes: %d", (length, readings) => {
  const made = planOf(block(["part/sizes/length", dim(length)], ["machine", "bench"]));
  const { steps } = made;
  const sized = faceCuts(made).find((s) => s.axis === "length" && s.sized)!;
  const passes = steps.filter((s) => s.op === sized.key && s.pass).length;
  const before = steps.filter((s) => s.op === sized.key && s.measure && !s.measure.final).length;
  expect(before).toBe(Math.min(readings, passes - 1));
});

test("a tap is turned by hand: no speed, no feed, and its own advice", () => {
  const job = block([
    "part/features",
    featureList([
      featureOf("hole", "thread", "top", {
        sizes: { depth: "20", threadDepth: "12" },
        choices: { form: "tapped", screw: "M5" },
      }),
    ]),
  ]);
  const steps = planOf(job).steps.filter((s) => s.op === "thread/tap");
  const check = steps.find((s) => s.kind === "check")!;
  expect(check.ticks.map((t) => t.id)).toEqual(["cutter", "neutral", "wrench", "guard"]);
  expect(phraseIds(steps.map((s) => s.notes))).toContain("M31.byHand");
  expect(steps.filter((s) => s.move).every((s) => s.move!.move.vf === null)).toBe(true);
});

describe("a tick that cannot be given honestly has another answer", () => {
  const walkTo = (job: Job, id: string, shop: Shop = demoShop) => {
    let records: Record[] = [];
    for (let i = 0; i < 200; i++) {
      const made = planOf(job, records, shop);
      const step = made.steps[made.current]!;
      const tick = step.ticks.find((t) => t.id === id);
      if (tick && step.ticks.filter((t) => !t.done)[0] === tick) return { records, step, made };
      const events = eventsToFinish(step);
      const stopAt = events.findIndex((e) => e.type === "tick" && e.tick === id);
      records = appended(
        records,
        ...beginningOf(made.setups, step.op, records),
        ...(stopAt > 0 ? events.slice(0, stopAt) : events),
      );
    }
    throw new Error(`never asked: ${id}`);
  };
  const after = (job: Job, id: string, answer: string) => {
    const { records, step } = walkTo(job, id);
    const made = planOf(job, appended(records, { type: "tick", op: step.op, tick: answer }));
    const again = made.steps.find((s) => s.op === step.op && s.id === step.id)!;
    return { step: again, current: made.steps[made.current]!, tick: again.ticks.find((t) => t.id === id)! };
  };

  test("under a raw face one loose parallel may stay, with what to do", () => {
    const { tick, current, step } = after(block(), "tried", "tried-loose");
    expect([tick.done, tick.other!.given, tick.other!.then.phrase.id]).toEqual([true, true, "M50.raw"]);
    expect(current.id).not.toBe(step.id);
  });

  /** Held by its lowest quarter between bought faces: in the other schools one of them is cut first. */
  const milled = (...faces: string[]) =>
    block(
      ...faces.map((face): [string, unknown] => [`stock/conditions/${face}`, "milled"]),
      [
        "overrides/byId/s",
        { id: "s", at: "route", what: "school", value: "twoSetups", reason: "", since: "" },
      ],
      ["overrides/order", ["s"]],
    );

  test("where two bought faces meet one may be loose too: they need not be square", () => {
    const { tick } = after(milled("front", "bottom"), "tried", "tried-loose");
    expect([tick.done, tick.other!.then.phrase.id]).toEqual([true, "M50.bought"]);
  });

  test("under a machined face it may not: the step waits", () => {
    const job = block();
    const machined = faceCuts(planOf(job)).find((s) => s.seat.tap && s.seat.parallels)!;
    let records: Record[] = [];
    for (let i = 0; i < 400; i++) {
      const made = planOf(job, records);
      const step = made.steps[made.current]!;
      if (step.op === machined.key && step.kind === "clamp") break;
      records = appended(records, ...beginningOf(made.setups, step.op, records), ...eventsToFinish(step));
    }
    const at = planOf(job, records);
    const clamp = at.steps[at.current]!;
    const ticks = eventsToFinish(clamp).slice(0, -1);
    const loose = { type: "tick", op: machined.key, tick: "tried-loose" } as const;
    const made = planOf(
      job,
      appended(records, ...beginningOf(at.setups, clamp.op, records), ...ticks, loose),
    );
    const tried = made.steps[made.current]!.ticks.find((t) => t.id === "tried")!;
    expect([tried.done, tried.other!.given, tried.other!.then.phrase.id]).toEqual([false, true, "M50.loose"]);
  });

  test("on the bare bed a feeler under a corner is an answer too, and lets nobody go on", () => {
    const low = block(
      ["part/sizes/height", dim("100")],
      ...(["p1", "p2", "p3", "p4"] as const).map((point): [string, unknown] => [
        `stock/measured/height/${point}`,
        { value: 104, written: { text: "104", unit: "mm" } },
      ]),
    );
    const { tick, current, step } = after(low, "bedded", "bedded-under");
    expect([tick.done, tick.other!.given, tick.other!.then.phrase.id]).toEqual([false, true, "M50.bed"]);
    expect(current.id).toBe(step.id);
  });

  test("a spindle that turns the wrong way stops the walk until it was looked at again", () => {
    const { step, current, tick } = after(block(), "rotation", "wrong-way");
    expect(current.id).toBe(step.id);
    expect([tick.done, tick.other!.given, tick.other!.then.severity]).toEqual([false, true, "stop"]);
  });

  test("which way it must turn goes by the hand of the cutter and the arbor", () => {
    const [knee, horizontal] = ["knee", "horizontal"].map((id) =>
      demoShop.machines.find((m) => m.id === id)!,
    );
    const mill = demoShop.cutters.find((c) => c.kind === "endMill")!;
    const slab = demoShop.cutters.find((c) => c.kind === "sideAndFace" || c.kind === "slabMill")!;
    expect(turnsOf(mill, knee!)).toEqual({ way: "clockwise", seen: "from above" });
    expect(turnsOf({ ...mill, hand: "left" }, knee!).way).toBe("counterclockwise");
    expect(turnsOf(slab, horizontal!)).toEqual({
      way: "counterclockwise",
      seen: "from the outer end of the arbor",
    });
  });
});

test("own speed, feed, depth and direction of a feature are applied or refused with the reason", () => {
  const job = (what: string, value: unknown, at = "slot/rough") =>
    block(
      [
        "part/features",
        featureList([
          featureOf("slot", "slot", "top", { sizes: { width: "14 ±0.02", depth: "8" } }),
          featureOf("hole", "hole", "top", { sizes: { diameter: "8.5" }, first: "left 20" }),
        ]),
      ],
      ["overrides/byId", { o: { id: "o", at, what, value, reason: "", since: "2026-11-26T08:00:00Z" } }],
      ["overrides/order", ["o"]],
    );
  const made = (what: string, value: unknown, at = "slot/rough") => {
    const { overrides, setups } = planOf(job(what, value, at));
    const operation = featureSetupsOf(setups)
      .flatMap((s) => s.operations)
      .find((o) => o.key === at)!;
    return { state: overrides[0]!.state, id: overrides[0]!.why.id, operation };
  };
  const plain = made("depth", 500).operation;
  expect(made("depth", 500)).toMatchObject({ state: "impossible", id: "M21.hard" });
  const shallow = made("depth", 1);
  expect(shallow.state).toBe("applied");
  expect(shallow.operation.levels.length).toBeGreaterThan(plain.levels.length);
  const slow = made("speed", 660);
  expect(slow).toMatchObject({ state: "applied", operation: { cutter: plain.cutter, set: { rpm: 660 } } });
  expect(made("speed", 1000)).toMatchObject({ state: "impossible", id: "M21.noSpeed" });
  expect(made("feed", 40, "hole/drill").operation.set!.vf).toBe(40);
  expect(made("depth", 2, "hole/drill").state).toBe("impossible");
  expect(made("direction", "climb", "slot/wall-front")).toMatchObject({
    state: "impossible",
    id: "M17.climb",
  });
});

test("without slack a wall that is wanted so is climbed: the same stops from the other end", () => {
  const tight: Shop = {
    ...demoShop,
    machines: demoShop.machines.map((m) => ({
      ...m,
      axes: { x: { ...m.axes.x, backlash: 0 }, y: { ...m.axes.y, backlash: 0 }, z: m.axes.z },
    })),
  };
  const features = featureList([
    featureOf("slot", "slot", "top", { sizes: { width: "14 ±0.02", depth: "8" } }),
  ]);
  const feeds = (job: Job) =>
    planOf(job, [], tight)
      .steps.filter((s) => s.op === "slot/wall-front" && s.move?.move.kind === "feed")
      .map((s) => s.move!.move);
  const usual = feeds(block(["part/features", features]));
  const climbing = feeds(
    block(
      ["part/features", features],
      [
        "overrides/byId",
        {
          o: {
            id: "o",
            at: "slot/wall-front",
            what: "direction",
            value: "climb",
            reason: "",
            since: "2026-11-26T08:00:00Z",
          },
        },
      ],
      ["overrides/order", ["o"]],
    ),
  );
  expect(usual.every((m) => m.cuts === "conventional")).toBe(true);
  expect(climbing.length).toBe(usual.length);
  expect(climbing.every((m) => m.cuts === "climb")).toBe(true);
  expect(Math.sign(climbing[0]!.to.x!)).not.toBe(0);
  expect(climbing[0]!.to.x).not.toBeCloseTo(usual[0]!.to.x!, 1);
});
