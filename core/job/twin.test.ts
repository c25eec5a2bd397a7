import { describe, expect, test } from "vitest";
import { axisNames } from "../frame/index.ts";
import { featuresOf } from "../part/index.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { read } from "../../tests/support/cheek-block.ts";
import { jobSchema } from "./job.ts";
import { mirroredAlong, mirroredPart, turnedPlaces, twinOf } from "./twin.ts";

const blocks = demoJobs().filter((job) => !job.part.shaft);
const ids = { job: "twin", here: "here", there: "there" };

describe.each(blocks.map((job) => [job.name, job] as const))("%s in the mirror", (_name, job) => {
  test.each(axisNames)("twice along the %s it is itself", (axis) => {
    expect(mirroredPart(mirroredPart(job.part, axis), axis)).toEqual(job.part);
  });

  test("its twin is a job of its own, linked both ways, known again as its mirror", () => {
    const { twin, mate } = twinOf(job, "length", ids);
    expect(jobSchema.parse(twin)).toEqual(twin);
    expect(mate).toMatchObject({ kind: "handed", job: "twin" });
    expect(twin.part.mates.byId.there).toMatchObject({ kind: "handed", job: job.id });
    expect(mirroredAlong(job.part, twin.part)).not.toBeNull();
    expect(twin.stock.measured.length.p1).toBeNull();
  });

  test("its plan cuts as much in the same number of clampings", () => {
    const { twin } = twinOf(job, "length", ids);
    const of = (j: typeof job) =>
      plan({ job: { ...j, stock: job.stock }, records: [], shop: demoShop, piece: 1 });
    const [here, there] = [of(job), of(twin)];
    expect(there.refusal).toEqual(here.refusal);
    expect(there.features?.refused.length).toBe(here.features?.refused.length);
    expect(there.requirements.length).toBe(here.requirements.length);
    expect(Math.abs(there.minutes.total / here.minutes.total - 1)).toBeLessThan(0.15);
  });

  test("the places that turn round are those that are off the middle, with their signs", () => {
    const turned = turnedPlaces(job.part, "length");
    const { twin } = twinOf(job, "length", ids);
    const there = turnedPlaces(twin.part, "length");
    expect(there.map((t) => t.id)).toEqual(turned.map((t) => t.id));
    there.forEach((t, i) => expect(t.here).toBeCloseTo(turned[i]!.there, 6));
    expect(turned.length).toBeLessThanOrEqual(featuresOf(job.part).length);
  });
});

test("one that was changed since is no mirror any more", () => {
  const [job] = blocks;
  const { twin } = twinOf(job!, "length", ids);
  const part = {
    ...twin.part,
    sizes: { ...twin.part.sizes, length: { ...twin.part.sizes.length!, nominal: read(99).value } },
  };
  expect(mirroredAlong(job!.part, part)).toBeNull();
});
