import { describe, expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { demoJobs } from "../../tests/support/demo-jobs.ts";
import { extentOfOutline, faceNames } from "../frame/index.ts";
import { siteOfPart } from "../part/index.ts";
import { drawnCutouts } from "./drawn-cutouts.ts";
import { checkBar, template } from "./template.ts";

const jobs = demoJobs().filter((j) => !j.part.shaft);

describe.each(faceNames)("the %s face", (face) => {
  test.each(jobs.map((j) => [j.name, j] as const))(
    "%s: as large as it is, and all that opens lies on it",
    (_n, job) => {
      const site = siteOfPart(job.part)!;
      const figure = template(face, site, drawnCutouts(job.part, site), "mm");
      const paths = figure.shapes.flatMap((s) => (s.kind === "path" ? s.outlines.map(extentOfOutline) : []));
      const [outside, ...inside] = paths;
      const sizes = [outside!.x[1] - outside!.x[0], outside!.y[1] - outside!.y[0]];
      for (const size of sizes)
        expect(Object.values(site.sizes).some((s) => Math.abs(s - size) < 1e-6)).toBe(true);
      for (const box of inside) {
        expect(box.x[1]).toBeGreaterThan(outside!.x[0]);
        expect(box.x[0]).toBeLessThan(outside!.x[1]);
        expect(box.y[1]).toBeGreaterThan(outside!.y[0]);
        expect(box.y[0]).toBeLessThan(outside!.y[1]);
      }
    },
  );
});

test("what is at the right from above is at the right from the front, and at the left from behind", () => {
  const job = cheekBlock();
  const site = siteOfPart(job.part)!;
  const all = drawnCutouts(job.part, site);
  const middle = (face: (typeof faceNames)[number]) => {
    const drawn = template(face, site, all, "mm").shapes.flatMap((s) =>
      s.kind === "path" ? s.outlines.map(extentOfOutline) : [],
    );
    return drawn.map((b) => (b.x[0] + b.x[1]) / 2);
  };
  const [top, bottom] = [middle("top"), middle("bottom")];
  // A hole that goes through is as far from the left on both.
  expect(bottom.slice(1).every((x) => top.some((t) => Math.abs(t - x) < 1e-6))).toBe(true);
});

test.each([
  ["mm", 50],
  ["in", 50.8],
] as const)("the bar to try a print by, in %s", (unit, length) => {
  expect(checkBar(unit)).toBeCloseTo(length, 9);
});
