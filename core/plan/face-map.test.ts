import { expect, test } from "vitest";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { walk } from "../../tests/support/walker.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import { faceMap } from "./face-map.ts";

const [job] = demoJobs();

test("nothing is marked before a face is cut; then each that is done, with the size that was read or is planned", () => {
  const start = walk(job!, { until: () => true });
  expect(faceMap(start.plan, start.records, 1)!.marks).toEqual({});
  const third = walk(job!, { until: (s) => s.setup === 4 });
  const map = faceMap(third.plan, third.records, 1)!;
  const done = faceSetupsOf(third.plan.setups).slice(0, 3).map(faceOf);
  expect(Object.keys(map.marks).sort()).toEqual(done.map((o) => o.face).sort());
  const sized = done.find((o) => o.sized)!;
  expect(map.marks[sized.face]).toEqual({
    axis: sized.axis,
    size: expect.closeTo(sized.to, 1) as number,
    read: true,
    on: "1970-01-01",
  });
  expect(map.now.faces[sized.face].order).not.toBeNull();
});

test("a shaft has none", () => {
  const shaft = demoJobs().find((j) => j.part.shaft)!;
  const { plan, records } = walk(shaft, { until: () => true });
  expect(faceMap(plan, records, 1)).toBeNull();
});
