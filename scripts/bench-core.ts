import { chooseCut, cutTask, cutWith } from "../core/cutting/index.ts";
import { cutKinds, materials } from "../core/handbook/index.ts";
import { axisOf, faceNames, facesOf } from "../core/frame/index.ts";
import {
  adviceFor,
  batchOf,
  batchOrdersOf,
  compareHoldings,
  compareRoutes,
  judgedBy,
  piecesOf,
  plan,
  planningDays,
  seriesFor,
  standingOf,
  usualTimes,
} from "../core/plan/index.ts";
import { exhaustiveOrder, type ExtraOperation, keyOfSetup, searchOrder } from "../core/route/index.ts";
import {
  accuse,
  fitPlane,
  formVerdict,
  type Seen,
  type Spot,
  spotsRound,
  squareReversed,
  type SuspectFacts,
  suspectsOf,
} from "../core/inspect/index.ts";
import { appended, type RecordEvent } from "../core/steps/index.ts";
import { balanceLump, type FacePoint, nest } from "../core/stock/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { threeViews } from "../core/figure/index.ts";
import { checkDrawing, cutoutOf, drawnSite } from "../core/part/index.ts";
import { block, cheekBlock, dim, featureList, featureOf } from "../tests/support/cheek-block.ts";
import { demoJobs } from "../tests/support/demo-jobs.ts";
import { movesOf } from "../tests/support/moves.ts";
import { walk } from "../tests/support/walker.ts";
import { jobOf } from "../tests/parts/described.ts";

/** Times of the core on its own, in the bundle's form. Built and run by bench.mjs. */

/** Nothing is known from an earlier run: each round asks for cutters that were never seen. */
const drawer = (round: number) =>
  Array.from({ length: 200 }, (_, i) => {
    const cutter = demoShop.cutters[i % demoShop.cutters.length]!;
    const grown = cutter.diameter * (1 + ((i * 7 + round) % 50) / 1000);
    return { ...cutter, id: `${cutter.id}-${i}`, diameter: grown, shank: cutter.shank };
  });

/** The same shop as one that nothing is remembered of. */
const shopAnew = () => ({ ...demoShop });

const percentile = (values: number[], p: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * p))]!;
/**
 * A fixed piece of work, like that of a plan: objects made, sorted by text, summed. What it takes just before a round says how
 * busy the machine is then: figures as multiples of it compare from one machine and one hour to the next.
 */
function fixedWork(): number {
  let seed = 1;
  const rows = Array.from({ length: 4000 }, () => {
    seed = (seed * 16807) % 2147483647;
    return { key: `k${seed}`, value: Math.sqrt(seed) };
  });
  rows.sort((a, b) => (a.key < b.key ? -1 : 1));
  return rows.reduce((sum, { value }, i) => sum + value * Math.sin(i), 0);
}
function fixedMs(): number {
  const start = performance.now();
  if (!Number.isFinite(fixedWork())) throw new Error("the fixed work came out wrong");
  return performance.now() - start;
}
for (let i = 0; i < 20; i++) fixedMs();

interface Timed {
  ms: number;
  /** As a multiple of the fixed work. */
  multiple: number;
}
const told = (name: string, times: Timed[]) => {
  const ms = times.map((t) => t.ms);
  const multiples = times.map((t) => t.multiple);
  console.log(
    `${name}: p50 ${percentile(ms, 0.5).toFixed(2)} ms, p95 ${percentile(ms, 0.95).toFixed(2)} ms, first ${ms[0]!.toFixed(1)} ms; of the fixed work p50 ${percentile(multiples, 0.5).toFixed(2)} ×, p95 ${percentile(multiples, 0.95).toFixed(2)} ×`,
  );
};
function timed(times: Timed[], work: () => unknown) {
  const fixed = Math.min(fixedMs(), fixedMs());
  const start = performance.now();
  work();
  const ms = performance.now() - start;
  times.push({ ms, multiple: ms / fixed });
}

for (const kind of cutKinds) {
  const [one, ranking]: [Timed[], Timed[]] = [[], []];
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

const plans: Timed[] = [];
for (let i = 0; i < 60; i++) {
  const job = cheekBlock();
  job.part.sizes.length!.nominal += i / 10;
  timed(plans, () => plan({ job, records: [], shop: demoShop, piece: 1 }));
}
told("whole plan, another length each time", plans);
const again: Timed[] = [];
for (let i = 0; i < 60; i++)
  timed(again, () => plan({ job: cheekBlock(), records: [], shop: demoShop, piece: 1 }));
told("whole plan again, as after a tick", again);

/** A block with twelve features of different kinds, from three sides; each round other sizes, so nothing is known. */
const manyFeatures = (round: number) => {
  const grown = (size: number) => String(size + round / 100);
  return block([
    "part/features",
    featureList([
      featureOf("slot", "f-1", "front", { sizes: { width: grown(10), depth: "8" }, second: "bottom 10" }),
      featureOf("slot", "f-2", "top", {
        sizes: { width: grown(8), depth: "9", length: "28" },
        first: "right 26",
        second: "front 12",
        choices: { end: "closed" },
      }),
      featureOf("pocket", "f-3", "top", {
        sizes: { first: grown(24), second: "20", depth: "6", radius: "5" },
        first: "left 40",
        second: "back 20",
      }),
      featureOf("step", "f-4", "top", { sizes: { width: grown(9), depth: "7" }, choices: { side: "left" } }),
      featureOf("chamfer", "f-5", "top", { sizes: { leg: "1" }, choices: { edge: "right" } }),
      ...[1, 2, 3, 4, 5].map((i) =>
        featureOf("hole", `f-${5 + i}`, i > 3 ? "right" : "top", {
          sizes: { diameter: ["5", "6", "8.5", "9", "6.8"][i - 1]!, depth: "15" },
          first: i > 3 ? `front ${i * 9}` : `left ${i * 20}`,
          second: i > 3 ? "top 12" : "front 30",
        }),
      ),
      featureOf("slope", "f-11", "top", {
        sizes: { width: grown(5) },
        numbers: { angle: 30 },
        choices: { side: "back" },
      }),
      featureOf("cornerRadius", "f-12", "right", { sizes: { radius: "4", depth: "10" } }),
    ]),
  ]);
};
const withFeatures: Timed[] = [];
for (let i = 0; i < 40; i++) {
  const job = manyFeatures(i);
  timed(withFeatures, () => plan({ job, records: [], shop: demoShop, piece: 1 }));
}
told("plan with twelve features, other sizes each time", withFeatures);
const ticked: Timed[] = [];
const same = manyFeatures(0);
for (let i = 0; i < 40; i++) timed(ticked, () => plan({ job: same, records: [], shop: demoShop, piece: 1 }));
told("plan with twelve features again, as after a tick", ticked);

/** A plate too wide for the vise with twelve holes and pockets, other sizes each round; then all that can hold it, heldAnyhow. */
const widePlate = (round: number) =>
  jobOf({
    name: "Plate",
    material: "aluminum-6061",
    block: [String(220 + round / 10), "150", "16"],
    stock: "plate",
    over: [0, 0, 0],
    finished: faceNames,
    features: Array.from({ length: 12 }, (_, i) =>
      i % 4 === 0
        ? featureOf("pocket", `p-${i}`, "top", {
            sizes: { first: "20", second: String(18 + round / 50), depth: "5", radius: "5" },
            first: `left ${40 + i * 12}`,
            second: "center",
          })
        : featureOf("hole", `h-${i}`, "top", {
            sizes: { diameter: ["5", "6", "8.5", "9"][i % 4]! },
            first: `left ${20 + i * 16}`,
            second: i % 2 === 0 ? "front 30" : "back 30",
          }),
    ),
  });
const strapped: Timed[] = [];
const heldAnyhow: Timed[] = [];
for (let i = 0; i < 30; i++) {
  const job = widePlate(i);
  timed(strapped, () => plan({ job, records: [], shop: demoShop, piece: 1 }));
  const made = plan({ job, records: [], shop: demoShop, piece: 1 });
  const [setup] = made.setups;
  if (!setup?.seat.table) throw new Error("the plate is not strapped");
  timed(heldAnyhow, () => compareHoldings(made, job, shopAnew(), keyOfSetup(setup)));
}
told("plan of a strapped plate with twelve features among all devices", strapped);
told("the same in every way to hold it", heldAnyhow);

/** After every record of a walk: the plan of the block with all its features, as the machine's station asks for it. */
const afterRecords: Timed[] = [];
for (const job of demoJobs().filter((j) => j.id === "cheek-block")) {
  const { records } = walk(job);
  for (let i = 1; i < records.length; i += 3)
    timed(afterRecords, () => plan({ job, records: records.slice(0, i), shop: demoShop, piece: 1 }));
}
told("after a tick, a cut or a reading of the cheek block's walk", afterRecords);

/** The search for the order of a block: of six faces, with twelve more operations, and on four against every order. */
function moves(tolerance: number | null, spare: number, groundEnds: boolean, extras: ExtraOperation[] = []) {
  const job = cheekBlock();
  job.part.squareness = tolerance;
  job.part.parallelism = tolerance;
  job.part.sizes.width!.nominal -= spare / 100;
  if (groundEnds) {
    job.stock.conditions = { ...job.stock.conditions, left: "ground", right: "ground" };
    const to = job.part.sizes.length!.nominal;
    for (const p of ["p1", "p2"] as const)
      job.stock.measured.length[p] = { value: to, written: { text: String(to), unit: "mm" } };
  }
  return movesOf(job, extras);
}
/** Made-up operations: slots, holes and a chamfer on every side, some after others, one that cuts an edge away. */
const twelve = Array.from({ length: 12 }, (_, i): ExtraOperation => {
  const up = faceNames[(i * 5) % 6]!;
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(up));
  return {
    key: `extra-${i}`,
    approaches: i % 4 === 3 ? facesOf(axisOf(up)) : [up],
    needs: [beside[i % 4]!, beside[(i + 1) % 4]!],
    after: i % 5 === 4 ? [`extra-${i - 1}`] : [],
    destroys: i === 11 ? [beside[2]!] : [],
    minutes: 2 + i,
  };
});
for (const [name, tolerance] of [
  ["no tolerance", null],
  ["met", 0.05],
  ["missed by all", 0.02],
] as const) {
  const times: Timed[] = [];
  let expansions = 0;
  for (let i = 0; i < 20; i++) {
    timed(times, () => {
      expansions = searchOrder(moves(tolerance, i, false))!.expansions;
    });
  }
  told(`best order of six faces, ${name} (${expansions} states)`, times);
  const more: Timed[] = [];
  let proven = false;
  for (let i = 0; i < 20; i++) {
    timed(more, () => {
      const found = searchOrder(moves(tolerance, i, false, twelve))!;
      ({ expansions, proven } = found);
    });
  }
  told(`with twelve more operations, ${name} (${expansions} states, ${proven ? "proven" : "stopped"})`, more);
}
for (const tolerance of [null, 0.05]) {
  const [all, found] = [exhaustiveOrder(moves(tolerance, 0, true))!, searchOrder(moves(tolerance, 0, true))!];
  console.log(
    `four faces, tolerance ${tolerance ?? "none"}: ${all.expansions} states one by one, ${found.expansions} by search (${(all.expansions / found.expansions).toFixed(0)} ×), cost ${all.cost.toFixed(2)} and ${found.cost.toFixed(2)} min`,
  );
}
const compared: Timed[] = [];
for (let i = 0; i < 10; i++) timed(compared, () => compareRoutes(cheekBlock(), demoShop));
told("ways compared", compared);

const drawn = Array.from({ length: 40 }, (_, i) => {
  const [x, y] = [30 + (i % 8) * 42, 30 + Math.floor(i / 8) * 50];
  const place = { first: `left ${x}`, second: `front ${y}` };
  return i % 4 === 0
    ? featureOf("pocket", `p${i}`, "top", {
        ...place,
        sizes: { first: "26", second: "20", depth: "8", radius: "6" },
      })
    : i % 4 === 1
      ? featureOf("slot", `s${i}`, "top", {
          ...place,
          sizes: { width: "8", depth: "6", length: "24" },
          choices: { end: "closed" },
        })
      : featureOf("hole", `h${i}`, "top", {
          ...place,
          sizes: { depth: "20", threadDepth: "15" },
          choices: { form: "tapped", screw: "M8" },
        });
});
const large = block(
  ["part/sizes/length", dim("400")],
  ["part/sizes/width", dim("300")],
  ["part/sizes/height", dim("60")],
  ["part/features", featureList(drawn)],
);
const [checks, pictures]: [Timed[], Timed[]] = [[], []];
for (let round = 0; round < 60; round++) {
  timed(checks, () => checkDrawing(large.part, demoShop, undefined, demoShop.machines[0]));
  timed(pictures, () => {
    const site = drawnSite(large.part);
    threeViews(
      site,
      drawn.map((f) => ({ id: f.id, name: f.id, number: 1, cutout: cutoutOf(f, site)! })),
    );
  });
}
told("drawing check of 40 features", checks);
told("three views of 40 features, worked", pictures);

// What the readings of a piece say, and where a part lies in a lump.
const measured: Timed[] = [];
const balanced: Timed[] = [];
const facts: SuspectFacts = {
  axes: {
    x: { lead: 5, division: 0.02, slack: 0.2 },
    y: { lead: 5, division: 0.02, slack: 0.2 },
    z: { lead: 2.5, division: 0.02, slack: 0.2 },
  },
  cutters: [{ id: "c", name: "10 end mill", diameter: 10 }],
  finder: 10,
  paper: 0.08,
  setups: [1, 2, 3].map((n) => ({ id: String(n), name: `setup ${n}` })),
};
const hundred = Array.from({ length: 100 }, (_, i): Seen => ({
  id: `size ${i % 10}`,
  kind: "size",
  off: 0.03 * Math.sin(i),
  sigma: 0.0025,
  nominal: 40 + (i % 10),
  axis: "z",
  setup: String(1 + (i % 3)),
  op: `op ${i % 10}`,
  cutter: "c",
  at: { x: (i % 3) - 1, y: (Math.floor(i / 3) % 3) - 1 },
  after: 0,
  against: false,
  mirrored: null,
  slender: 0,
}));
const probed = faceNames.flatMap((face, f) =>
  Array.from({ length: 10 }, (_, i): FacePoint => {
    const high = face === facesOf(axisOf(face))[1];
    const at = { length: 12 * i, width: (29 * i) % 80, height: (17 * i) % 46 };
    const edge = { length: 120, width: 80, height: 46 }[axisOf(face)];
    return { face, at: { ...at, [axisOf(face)]: high ? edge + 3 + Math.sin(f + i) : -3 + Math.cos(f + i) } };
  }),
);
for (let i = 0; i < 60; i++) {
  timed(measured, () => accuse(hundred, suspectsOf(facts, hundred)));
  timed(balanced, () => balanceLump(probed, { length: 120, width: 80, height: 46 }, { tilt: 0.05 }));
}
told("what made 100 readings so", measured);
told("a lump balanced by 60 points", balanced);

// What a reading more changes: its verdict, what the next cut may take; form of many readings; a run of pieces.
const read = (of: string, value: number, spot: Spot): RecordEvent => ({
  type: "reading",
  op: null,
  of: of as "height",
  value,
  written: { text: String(value), unit: "mm" },
  instrument: "mic-25-50",
  questioned: [],
  spot,
});
const finishedJob = cheekBlock();
const finished = walk(finishedJob);
const afterReading: Timed[] = [];
const ofForm: Timed[] = [];
const runs: Timed[] = [];
let records = finished.records;
const made0 = plan({ job: finishedJob, records, shop: demoShop, piece: 1 });
const surface = Array.from({ length: 2000 }, (_, i): [number, number, number] => [
  i % 50,
  Math.floor(i / 50),
  0.001 * Math.sin(i * 1.7),
]);
const gaps = surface.map(([, , z]) => ({ value: Math.abs(z), atMost: false }));
const lot = Array.from({ length: 5000 }, (_, i) => ({
  ...appended([], read("height", 38 + 0.01 * Math.sin(i) + i * 1e-6, spotsRound[i % 4]!))[0]!,
  id: `lot.${i}`,
  seq: i + 1,
  piece: 1 + Math.floor(i / 10),
}));
const by = judgedBy(finishedJob, demoShop);
for (let i = 0; i < 60; i++) {
  records = appended(records, read("height", 38.06 + 0.001 * (i % 7), spotsRound[i % 5]!));
  timed(afterReading, () => {
    const made = plan({ job: finishedJob, records, shop: demoShop, piece: 1 });
    const r = made.requirements.find((q) => q.of === "height")!;
    adviceFor(r, { setups: made.setups, sizes: made.target!, shop: demoShop, parallel: 0.04 });
  });
  timed(ofForm, () => [
    fitPlane(surface),
    formVerdict(gaps, 0.05, 0.002),
    squareReversed(0.01, i / 1000, 80),
  ]);
  timed(runs, () =>
    seriesFor(
      made0.requirements.find((q) => q.of === "height")!,
      lot,
      by,
    ),
  );
}
told("verdict and next cut after a reading", afterReading);
told("plane, form and squareness of 2 000 readings", ofForm);
told("the run of 500 pieces, ten readings each", runs);

// Sixty blanks into twelve bars, other lengths each round; how far from the bound is told too.
const nested: Timed[] = [];
let farthest = 0;
for (let round = 0; round < 40; round++) {
  const random = seeded(round + 1);
  const blanks = Array.from({ length: 60 }, (_, i) => ({ id: `p${i}`, length: 20 + random() * 280 }));
  const bars = Array.from({ length: 12 }, (_, i) => ({ id: `b${i}`, length: 600 + random() * 2400 }));
  timed(nested, () => {
    const made = nest(bars, blanks, 2);
    if (made.missing.length === 0) farthest = Math.max(farthest, made.opened / made.bound - 1);
  });
}
told(`60 blanks nested into 12 bars, at most ${(100 * farthest).toFixed(2)} % over the bound`, nested);

// Twenty jobs of ten setups over four machines and two people.
const days: Timed[] = [];
for (let round = 0; round < 20; round++) {
  const random = seeded(round + 100);
  const jobs = Array.from({ length: 20 }, (_, i) => ({
    id: `j${i}`,
    name: `job ${i}`,
    due: i % 3 === 0 ? `2026-12-${String(2 + Math.floor(random() * 26)).padStart(2, "0")}` : "",
    ready: "",
    stretches: Array.from({ length: 10 }, (_, n) => ({
      machine: `m${Math.floor(random() * 4)}`,
      name: `setup ${n + 1}`,
      minutes: 5 + random() * 60,
    })),
  }));
  timed(days, () => {
    const work = planningDays(jobs, "2026-12-01", { ...usualTimes, people: 2 });
    while (!work.next().done);
  });
}
told("day plan, 20 jobs over 4 machines", days);

// Two hundred pieces counted, one of them begun: the others stand alike.
const batches: Timed[] = [];
for (let round = 0; round < 10; round++) {
  const job = { ...cheekBlock(), quantity: 200 };
  job.part.sizes.length!.nominal += round / 10;
  timed(batches, () => {
    const made = plan({ job, records: [], shop: demoShop, piece: 1 });
    const one = standingOf(made, [], 1);
    batchOf(
      job,
      piecesOf(job, []).map((piece) => ({ ...one, piece })),
    );
    batchOrdersOf(made, 200);
  });
}
told("batch of 200 pieces, planned and counted", batches);

/** A row of numbers between 0 and 1, the same for the same seed. */
function seeded(seed: number): () => number {
  let now = seed;
  return () => {
    now = (now * 16807) % 2147483647;
    return now / 2147483647;
  };
}
