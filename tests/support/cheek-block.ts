import type { Face } from "../../core/frame/index.ts";
import { fitDeviations } from "../../core/handbook/index.ts";
import { applyChanges, changeOf, type Job, newJob } from "../../core/job/index.ts";
import { type Dimension, type LengthUnit, parseDimension } from "../../core/quantity/index.ts";
import { type Feature, type FeatureKind, fromEdge, type Locate, rulesOf } from "../../core/part/index.ts";
import type { LengthEntry } from "../../core/stock/index.ts";

/** A dimension as a person types it; throws on text that is none. */
export function dim(text: string, unit: LengthUnit = "mm"): Dimension {
  const read = parseDimension(text, unit, fitDeviations);
  if (!read.ok) throw new Error(`${text}: ${read.problem.id}`);
  return read.value;
}

export const read = (value: number, unit: LengthUnit = "mm"): LengthEntry => ({
  value,
  written: { text: String(value), unit },
});

/** The cheek block of the Larkmoor winch as a plain block, with its lump measured. */
export function cheekBlock(): Job {
  const job = newJob("cheek-block", "Cheek block", "knee", "vise-125");
  const changes: [string, unknown][] = [
    ["sheet", "Larkmoor winch, sheet 3"],
    ["part/material", "steel-low-rolled"],
    ["part/sizes/length", dim("96 ±0.1")],
    ["part/sizes/width", dim("60 ±0.05")],
    ["part/sizes/height", dim("38 ±0.05")],
    ["part/squareness", 0.05],
    ["part/parallelism", 0.04],
    ["stock/measured/length/p1", read(99.4)],
    ["stock/measured/length/p2", read(98.9)],
    ["stock/measured/width/p1", read(63.6)],
    ["stock/measured/width/p2", read(63.3)],
    ["stock/measured/height/p1", read(41.2)],
    ["stock/measured/height/p2", read(41.1)],
  ];
  return changes.reduce((current, [path, to]) => {
    const applied = applyChanges(current, [changeOf(current, path, to)]);
    if (!applied.ok) throw new Error(`${path} could not be set`);
    return applied.job;
  }, job);
}

/** A feature of a kind with what is entered of it; sizes and places as a person types them. */
export function featureOf<K extends FeatureKind>(
  kind: K,
  id: string,
  face: Face,
  given: {
    sizes?: Record<string, string>;
    numbers?: Record<string, number>;
    /** `left 10`, `center`, `center right 10`, `=other`, `=other right 10`. */
    first?: string;
    second?: string;
    choices?: Record<string, unknown>;
  } = {},
): Extract<Feature, { kind: K }> {
  const made: Feature = rulesOf(kind).make(id, face);
  const sizes = Object.entries(given.sizes ?? {}).map(([key, text]) => [key, dim(text)]);
  return {
    ...made,
    ...given.choices,
    first: given.first === undefined ? made.first : placed(given.first),
    second: given.second === undefined ? made.second : placed(given.second),
    sizes: { ...made.sizes, ...(Object.fromEntries(sizes) as object) },
    numbers: { ...made.numbers, ...given.numbers },
  } as unknown as Extract<Feature, { kind: K }>;
}

/** A place as `featureOf` takes it. */
export function placed(text: string): Locate {
  const [from, ...rest] = text.split(" ");
  if (from !== "center" && !from!.startsWith("=")) return fromEdge(from as Face, dim(rest.join(" ")));
  const [toward, ...at] = rest;
  return {
    from: from === "center" ? "center" : "feature",
    of: from === "center" ? null : from!.slice(1),
    toward: (toward as Face | undefined) ?? null,
    at: toward === undefined ? null : dim(at.join(" ")),
  };
}

export const featureList = (features: readonly Feature[]): Job["part"]["features"] => ({
  byId: Object.fromEntries(features.map((f) => [f.id, f])),
  order: features.map((f) => f.id),
});

/** The cheek block with what is cut into it: a step, two slots and holes. */
export function cheekBlockWithFeatures(): Job {
  return block([
    "part/features",
    featureList([
      featureOf("step", "step", "top", { sizes: { width: "18", depth: "14" }, choices: { side: "left" } }),
      featureOf("slot", "slot-long", "front", {
        sizes: { width: "10 +0.1/0", depth: "8" },
        second: "bottom 10",
      }),
      featureOf("slot", "slot-closed", "top", {
        sizes: { width: "8", depth: "12", length: "30" },
        first: "right 26",
        second: "front 16",
        choices: { end: "closed" },
      }),
      featureOf("hole", "pin", "top", {
        sizes: { diameter: "12 H7" },
        first: "left 40",
        choices: { form: "reamed" },
      }),
      featureOf("hole", "bolt", "right", { sizes: { diameter: "8.5", depth: "22" }, second: "top 12" }),
    ]),
  ]);
}

/** The cheek block with some decisions changed. */
export const block = (...changes: [path: string, to: unknown][]): Job =>
  changes.reduce((job, [path, to]) => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(path);
    return applied.job;
  }, cheekBlock());
