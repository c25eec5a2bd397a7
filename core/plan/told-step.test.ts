import { describe, expect, test } from "vitest";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { noOwnValues } from "../handbook/index.ts";
import type { Instruction } from "../rehearse/index.ts";
import { demoShop } from "../shop/index.ts";
import type { Step } from "../steps/index.ts";
import { equipment } from "../job/index.ts";
import { plan } from "./make-plan.ts";
import { toldStep } from "./told-step.ts";

/** What every kind of step has to tell, whatever else it does. */
const tells: Partial<Record<Step["kind"], Instruction["do"]>> = {
  clamp: "clamp",
  check: "fit",
  touch: "zero",
  pickup: "zero",
  cut: "pass",
  move: "move",
  measure: "read",
  cleanup: "look",
  hand: "by hand",
  takeOut: "take out",
};

describe.each(demoJobs().map((job) => ({ id: job.id, job })))("the steps of $id as told", ({ job }) => {
  const made = plan({ job, records: [], shop: demoShop, piece: 1, own: noOwnValues });
  const { machine, vise } = equipment(job, demoShop, noOwnValues);
  const told = made.steps.map((step) => ({
    step,
    told: machine && vise ? toldStep(step, made, { machine, vise, shop: demoShop }) : [],
  }));

  test("each kind of step tells its own instruction, with the place it stands at", () => {
    expect(told.length).toBeGreaterThan(0);
    for (const { step, told: instructions } of told) {
      const own = tells[step.kind];
      if (own) expect(instructions[0]?.do, `${step.op} ${step.id}`).toBe(own);
      for (const { op, step: id, setup } of instructions)
        expect({ op, id, setup }).toEqual({ op: step.op, id: step.id, setup: step.setup });
    }
  });

  test("the stops are the figures on the card", () => {
    for (const { step, told: instructions } of told)
      for (const i of instructions) {
        if (i.do === "pass") expect(i.stop).toEqual(step.pass!.stop);
        if (i.do === "move")
          for (const { axis, settled } of step.move!.targets) expect(i.to[axis]).toEqual(settled.stop);
      }
  });

  test("what is taken out was put in", () => {
    const within = new Set<string>();
    for (const { told: instructions } of told)
      for (const i of instructions) {
        if (i.do === "place") {
          within.clear();
          for (const { id } of i.things) within.add(id);
        }
        if (i.do === "swap") within.add("straps");
        if (i.do === "take out") for (const thing of i.things) expect([...within]).toContain(thing);
      }
  });
});
