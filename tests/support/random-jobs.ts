import { axesAcross, axisNames, type Face, faceNames, facesOf, type Sizes } from "../../core/frame/index.ts";
import { faceConditions, materials } from "../../core/handbook/index.ts";
import { applyChanges, changeOf, type Job, newJob } from "../../core/job/index.ts";
import {
  checkFeatures,
  type Feature,
  type FeatureKind,
  featuresOf,
  fromEdge,
  kindsFor,
  limitsOf,
  type Part,
  rulesOf,
  siteOfPart,
  withChoice,
} from "../../core/part/index.ts";
import { chance, type Chance } from "../../core/rehearse/index.ts";
import { schoolNames } from "../../core/squaring/index.ts";
import { demoShop, type Machine, newCutter, type Shop } from "../../core/shop/index.ts";
import { dim, featureList, read } from "./cheek-block.ts";

/** Whole jobs with their shop, drawn by a seed: whatever a person may bring. The same seed gives the same job. */

/** From which seed on a choice is drawn. */
const drawnSince: { [choice: string]: number | undefined } = { corners: 20_000 };

class Draw {
  readonly chance: Chance;
  readonly #seed: number;
  constructor(seed: number) {
    this.#seed = seed;
    this.chance = chance(seed);
  }
  between(low: number, high: number, step = 0.5): number {
    return Math.round((low + (high - low) * this.chance.next()) / step) * step;
  }
  one<T>(list: readonly T[]): T {
    return list[Math.min(list.length - 1, Math.floor(this.chance.next() * list.length))]!;
  }
  /** What a seed draws from: choices that came later are drawn by later seeds only, so that an earlier one stays the job it was. */
  known<T extends readonly [string, ...unknown[]]>(options: readonly T[]): T[] {
    return options.filter(([value]) => this.#seed >= (drawnSince[value] ?? 0));
  }
  is(share: number): boolean {
    return this.chance.next() < share;
  }
}

const text = (value: number): string => String(Math.round(value * 100) / 100);

/** A machine of the demo shop with readout or dials, slack, knee or head as drawn. */
function machineOf(d: Draw): Machine {
  const base = d.one(demoShop.machines.filter((m) => m.kind === "vertical"));
  const readout = d.is(0.5);
  const slack = d.between(0.02, 0.4, 0.02);
  const axis = (screw: Machine["axes"]["x"], has: boolean) => ({
    ...screw,
    backlash: slack,
    readout: has ? 0.005 : null,
  });
  return {
    ...base,
    id: "any",
    depthBy: d.one(["knee", "head"] as const),
    axes: {
      x: axis(base.axes.x, readout),
      y: axis(base.axes.y, readout),
      z: axis(base.axes.z, readout && d.is(0.4)),
    },
  };
}

/** The demo drawer with gaps, and now and then a cutter more. */
function shopOf(d: Draw): Shop {
  const machine = machineOf(d);
  const kept = demoShop.cutters.filter(() => !d.is(0.15));
  const size = d.one([4, 5, 14, 18]);
  const more = newCutter({
    id: `em-${size}`,
    name: `${size} end mill, new`,
    kind: "endMill",
    material: "coatedCarbide",
    diameter: size,
    teeth: 3,
    fluteLength: size * 2.2,
    centerCutting: d.is(0.6),
    hand: d.is(0.05) ? "left" : "right",
  });
  return {
    ...demoShop,
    machines: [machine],
    cutters: d.is(0.5) ? [...kept, more] : kept,
    instruments: d.is(0.7)
      ? demoShop.instruments
      : demoShop.instruments.filter((i) => i.kind !== "edgeFinder"),
  };
}

/** What a size of a feature may be, by what it is called, in a part of such sizes. */
function featureSize(key: string, feature: Feature, sizes: Sizes, d: Draw): number {
  const [a, b] = axesAcross(feature.face);
  const across = Math.min(sizes[a], sizes[b]);
  const along = Math.max(sizes[a], sizes[b]);
  const deep = sizes[axisNames.find((axis) => axis !== a && axis !== b)!];
  const drills = demoShop.cutters.filter((c) => c.kind === "twistDrill").map((c) => c.diameter);
  if (/depth|Depth|foot|Height/.test(key) && key !== "foot") return d.between(1.5, Math.max(2, deep * 0.45));
  switch (key) {
    case "diameter":
      return d.one(drills);
    case "headDiameter":
      return 15;
    case "length":
      return d.between(along * 0.2, along * 0.5);
    case "radius":
      return d.between(2, 8);
    case "leg":
      return d.between(0.5, 3);
    case "pitchFirst":
    case "pitchSecond":
      return d.between(across * 0.15, across * 0.3);
    case "circle":
      return d.between(across * 0.3, across * 0.6);
    case "pin":
      return 6;
    case "first":
    case "second":
      return d.between(across * 0.25, across * 0.6);
    case "bossFirst":
    case "bossSecond":
      return d.between(across * 0.1, across * 0.2);
    default:
      return d.between(Math.min(4, across * 0.2), Math.max(5, across * 0.35));
  }
}

function featureOf(kind: FeatureKind, id: string, sizes: Sizes, d: Draw): Feature {
  const rules = rulesOf(kind);
  const face: Face = d.is(0.7) ? "top" : d.one(faceNames);
  const bare = rules.make(id, face);
  const chosen = rules
    .choices(bare)
    .reduce((now, { key, options }) => withChoice(now, key, d.one(d.known(options))[0]), bare);
  const filled = Object.fromEntries(
    rules.fields(chosen).flatMap(({ key, unit, empty }) => {
      if (unit !== "length" || (empty !== null && d.is(0.6))) return [];
      const tight = d.is(0.15) ? " ±0.03" : "";
      return [[key, dim(`${text(featureSize(key, chosen, sizes, d))}${tight}`)]];
    }),
  );
  const numbers = Object.fromEntries(
    rules.fields(chosen).flatMap(({ key, unit, empty }) => {
      if (unit === "length" || (empty !== null && d.is(0.7))) return [];
      return [[key, unit === "count" ? d.between(2, 4, 1) : d.one([30, 45, 60, 90])]];
    }),
  );
  const place = (which: 0 | 1) => {
    const axis = axesAcross(face)[which];
    const edge = facesOf(axis)[d.is(0.6) ? 0 : 1];
    return fromEdge(edge, dim(text(d.between(sizes[axis] * 0.2, sizes[axis] * 0.8))));
  };
  const located = Object.fromEntries(
    rules.places(chosen).flatMap((which) => (d.is(0.25) ? [] : [[which, place(which === "first" ? 0 : 1)]])),
  );
  const made = {
    ...chosen,
    ...located,
    sizes: { ...chosen.sizes, ...filled },
    numbers: { ...chosen.numbers, ...numbers },
  } as unknown as Feature;
  if (made.kind !== "outline") return made;
  const [a, b] = axesAcross(face);
  const [w, h] = [sizes[a] * 0.2, sizes[b] * 0.2];
  return {
    ...made,
    corners: [
      { x: -w, y: -h, bulge: 0 },
      { x: w, y: -h, bulge: d.is(0.5) ? 0.4 : 0 },
      { x: w, y: h, bulge: 0 },
      { x: -w, y: h, bulge: 0 },
    ],
  };
}

/** Up to so many features that the drawing check does not block. */
function featuresFor(part: Part, count: number, shop: Shop, d: Draw): Feature[] {
  const kinds = kindsFor(part.shaft ? "shaft" : "block");
  const site = siteOfPart(part)!;
  const list: Feature[] = [];
  for (let i = 0, tries = 0; i < count && tries < 40; tries++) {
    const feature = featureOf(d.one(kinds), `f-${list.length + 1}`, site.sizes, d);
    const all = [...list, feature];
    const withAll: Part = { ...part, features: featureList(all) };
    const found = checkFeatures(all, {
      site: siteOfPart(withAll)!,
      shop,
      machine: shop.machines[0]!,
      limitsOf: (size) => limitsOf(size, part),
    });
    if (found.some((f) => f.severity === "stop")) continue;
    list.push(feature);
    i++;
  }
  return list;
}

const forms = ["block", "block", "block", "plate", "casting", "shaft"] as const;
export type RandomForm = (typeof forms)[number];

export interface RandomJob {
  seed: number;
  form: RandomForm;
  job: Job;
  shop: Shop;
}

/** Schools a person chose. The plate is left to the plan: a school more would make another job of every seed. */
const chosenSchools = schoolNames.filter((s) => s !== "plate");

/** How many readings of a size there are, each as likely: seldom none, since a setup waits for what was left out. */
const usualPoints = [0, 1, 1, 1, 2, 2, 2, 2, 4, 4, 4, 4] as const;
/** The same with a size left out as often as not. */
export const oftenLeftOut = [0, 1, 2, 4] as const;

/** The job of a seed. */
export function randomJob(seed: number, readings: readonly number[] = usualPoints): RandomJob {
  const d = new Draw(seed);
  const shop = shopOf(d);
  const form = d.one(forms);
  const set = (job: Job, path: string, to: unknown): Job => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(`seed ${seed}: ${path} could not be set`);
    return applied.job;
  };
  let job = newJob(`any-${seed}`, `Any ${seed}`, "any", "vise-125");
  job = set(job, "part/material", form === "casting" ? "iron-grey" : d.one(materials).id);
  if (!job.part.material) job = set(job, "part/material", materials[0]!.id);
  if (form === "shaft") {
    const thick = d.between(12, 45);
    const sections = [thick, ...(d.is(0.6) ? [thick - d.between(2, 5)] : [])].map((diameter, i) => ({
      id: `s-${i}`,
      diameter: dim(`${text(Math.max(8, diameter))} h7`),
      length: dim(text(d.between(30, 160))),
    }));
    job = set(job, "part/shaft", {
      byId: Object.fromEntries(sections.map((s) => [s.id, s])),
      order: sections.map((s) => s.id),
    });
  } else {
    const large = d.is(0.15);
    const drawn: Sizes = {
      length: d.between(12, large ? 400 : 120),
      width: d.between(10, large ? 250 : 100),
      height: form === "plate" ? d.between(3, 12) : d.between(6, large ? 120 : 70),
    };
    for (const axis of axisNames) {
      // The limits of fits are tabled up to 250 mm: beyond, the drawing asks for plain ones.
      const drawnTolerance = d.one(["", " ±0.05", " ±0.1", " +0.1/0", " h9"]);
      const tolerance = drawnTolerance === " h9" && drawn[axis] > 250 ? " ±0.1" : drawnTolerance;
      job = set(job, `part/sizes/${axis}`, dim(`${text(drawn[axis])}${tolerance}`));
    }
    const rough = form === "casting" ? "cast" : form === "plate" ? "plate" : "sawn";
    job = set(job, "stock/form", rough);
    for (const face of faceNames)
      job = set(job, `stock/conditions/${face}`, form === "casting" ? "cast" : d.one(faceConditions));
    for (const axis of axisNames) {
      // Readings light, heavy, uneven, or left out.
      const spare = d.between(form === "casting" ? 4 : 1.5, form === "casting" ? 8 : 6, 0.1);
      const points = d.one(readings);
      for (let p = 1; p <= points; p++) {
        const value = Math.round((drawn[axis] + spare - d.between(0, 0.6, 0.01)) * 100) / 100;
        job = set(job, `stock/measured/${axis}/p${p}`, read(value));
      }
    }
    if (d.is(0.3)) job = set(job, "part/squareness", 0.1);
    if (d.is(0.4)) job = withOverride(job, "school", "route", d.one(chosenSchools));
  }
  const count = Math.floor(d.chance.next() ** 1.5 * 9);
  const features = featuresFor(job.part, count, shop, d);
  if (features.length > 0) job = set(job, "part/features", featureList(features));
  return { seed, form, job: withOwn(job, shop, d), shop };
}

function withOverride(job: Job, what: string, at: string, value: unknown): Job {
  const id = `o-${job.overrides.order.length + 1}`;
  const override = { id, at, what, value, reason: "own", since: "2026-11-25T08:00:00Z" };
  const applied = applyChanges(job, [
    changeOf(job, "overrides", {
      byId: { ...job.overrides.byId, [id]: override },
      order: [...job.overrides.order, id],
    }),
  ]);
  return applied.ok ? applied.job : job;
}

/** Now and then something the person set: a depth, a cutter, parallels, how a zero is picked up. */
function withOwn(job: Job, shop: Shop, d: Draw): Job {
  let own = job;
  if (!job.part.shaft && d.is(0.2))
    own = withOverride(own, "depth", `${d.one(faceNames)}/face`, d.between(0.3, 3, 0.1));
  if (!job.part.shaft && d.is(0.15))
    own = withOverride(own, "parallels", `${d.one(faceNames)}/face`, d.one(shop.parallels).id);
  const [feature] = featuresOf(job.part);
  if (feature && d.is(0.3))
    own = withOverride(own, "pickup", `${feature.id}/rough`, d.one(["paper", "sides", "indicator"] as const));
  return own;
}
