import type { Job } from "../../core/job/index.ts";
import type { FindingSort } from "../../core/rehearse/index.ts";
import { demoShop, newCutter, type Shop } from "../../core/shop/index.ts";
import type { StaleCause, Step } from "../../core/steps/index.ts";
import { block, featureList, featureOf } from "./cheek-block.ts";
import { demoJobs } from "./demo-jobs.ts";
import { randomJob } from "./random-jobs.ts";

/** Jobs in which a wrong was seen at the machine, as the literal machine sees it; none may come back once it is mended. */
export interface AuditCase {
  name: string;
  job: Job;
  shop: Shop;
  seed: number;
  upsets?: (step: Step) => StaleCause | null;
  finds: { sort: FindingSort; what?: RegExp; op?: RegExp };
}

const demo = (id: string): Job => demoJobs().find((j) => j.id === id)!;
const cheek = demo("cheek-block");

const bigDrill: Shop = {
  ...demoShop,
  cutters: [
    ...demoShop.cutters,
    newCutter({
      id: "drill-25",
      name: "25 drill",
      kind: "twistDrill",
      material: "hss",
      diameter: 25,
      teeth: 2,
      fluteLength: 90,
      stickout: 100,
      shank: 13,
    }),
  ],
};

/** Once, before a pass of a face that has a size. */
const once = (op: string, id: string, cause: StaleCause) => {
  let done = false;
  return (step: Step) => {
    if (done || step.op !== op || step.id !== id) return null;
    done = true;
    return cause;
  };
};

const random = (seed: number) => {
  const { job, shop } = randomJob(seed);
  return { job, shop, seed };
};

export const auditCases = (): AuditCase[] => [
  {
    name: "side walls in one stroke",
    job: cheek,
    shop: demoShop,
    seed: 1,
    finds: { sort: "tooMuch", what: /^wide/, op: /slot-closed\/wall/ },
  },
  {
    name: "a drill into the bed",
    job: block([
      "part/features",
      featureList([featureOf("hole", "big", "top", { sizes: { diameter: "25" }, first: "left 48" })]),
    ]),
    shop: bigDrill,
    seed: 1,
    finds: { sort: "hits", what: /cutter \| the bed/, op: /big\// },
  },
  {
    name: "a Woodruff cutter through the shaft",
    job: demo("crank-shaft"),
    shop: demoShop,
    seed: 1,
    finds: { sort: "ploughs", op: /crank-key/ },
  },
  {
    name: "the finder after the cutter",
    job: cheek,
    shop: demoShop,
    seed: 1,
    finds: { sort: "zeroTool", what: /^the finder/ },
  },
  {
    name: "slack between opposite walls",
    job: { ...cheek, machine: "bench" },
    shop: demoShop,
    seed: 1,
    finds: { sort: "slack", op: /slot-closed\/wall/ },
  },
  {
    name: "a back-off into the part on a head-type mill",
    job: demo("wear-strip"),
    shop: demoShop,
    seed: 1,
    finds: { sort: "backsIn" },
  },
  {
    name: "a chamfer at the jaw",
    ...random(7),
    finds: { sort: "hits", what: /jaw/, op: /chamfer/ },
  },
  {
    name: "a plunge after a second zero",
    job: cheek,
    shop: demoShop,
    seed: 4,
    upsets: once("front/face", "cut-2", "cutter"),
    finds: { sort: "tooMuch", what: /^deep/, op: /front\/face/ },
  },
  {
    name: "a part that stands on air over a step",
    ...random(14),
    finds: { sort: "onAir", op: /f-8/ },
  },
];
