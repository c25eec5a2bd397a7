import { chooseCut, cutTask, cutWith } from "../core/cutting/index.ts";
import { cutKinds, materials } from "../core/handbook/index.ts";
import { plan } from "../core/job/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { cheekBlock } from "../tests/support/cheek-block.ts";

/** Times of the core on its own, in the bundle's form. Built and run by bench.mjs. */

/** Nothing is known from an earlier run: each round asks for cutters that were never seen. */
const drawer = (round: number) =>
  Array.from({ length: 200 }, (_, i) => {
    const cutter = demoShop.cutters[i % demoShop.cutters.length]!;
    const grown = cutter.diameter * (1 + ((i * 7 + round) % 50) / 1000);
    return { ...cutter, id: `${cutter.id}-${i}`, diameter: grown, shank: cutter.shank };
  });

const percentile = (values: number[], p: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))]!;
const told = (name: string, times: number[]) =>
  console.log(
    `${name}: p50 ${percentile(times, 0.5).toFixed(2)} ms, p95 ${percentile(times, 0.95).toFixed(2)} ms, first ${times[0]!.toFixed(1)} ms`,
  );
function timed(times: number[], work: () => unknown) {
  const start = performance.now();
  work();
  times.push(performance.now() - start);
}

for (const kind of cutKinds) {
  const [one, ranking]: [number[], number[]] = [[], []];
  const machine = demoShop.machines[kind === "slab" || kind === "groove" ? 2 : 0]!;
  for (let round = 0; round < 20; round++) {
    const material = materials[round % materials.length]!;
    const place = { machine, material, shop: { holders: [], houseRules: [] } };
    const task = cutTask({
      kind,
      length: 100,
      across: kind === "slot" || kind === "groove" ? 25 : 40 + round / 10,
      total: 3,
      halfTolerance: 0.05,
    });
    const cutters = drawer(round);
    timed(ranking, () => chooseCut(task, cutters, place));
    for (const cutter of drawer(round + 100).slice(0, 20)) timed(one, () => cutWith(task, cutter, place));
  }
  told(`conditions for one operation, ${kind}`, one);
  told(`ranking 200 cutters, ${kind}`, ranking);
}

const plans: number[] = [];
for (let i = 0; i < 60; i++) {
  const job = cheekBlock();
  job.part.sizes.length!.nominal += i / 10;
  timed(plans, () => plan({ job, records: [], shop: demoShop, piece: 1 }));
}
told("whole plan", plans);
