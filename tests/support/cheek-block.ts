import type { Face } from "../../core/frame/index.ts";
import { fitDeviations } from "../../core/handbook/index.ts";
import { changeOf, applyChanges, type Job, newJob } from "../../core/job/index.ts";
import { type Dimension, type LengthUnit, parseDimension } from "../../core/quantity/index.ts";
import type { Feature } from "../../core/part/index.ts";
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

/** The cheek block with what is cut into it: a step, two slots and holes. */
export function cheekBlockWithFeatures(): Job {
  const from = (from: Face | "center", text: string | null = null) => ({
    from,
    at: text === null ? null : dim(text),
  });
  const features: Feature[] = [
    {
      id: "step",
      kind: "step",
      face: "top",
      side: "left",
      first: from("center"),
      second: from("center"),
      sizes: { width: dim("18"), depth: dim("14") },
    },
    {
      id: "slot-long",
      kind: "slot",
      face: "front",
      along: "length",
      first: from("center"),
      second: from("bottom", "10"),
      sizes: { width: dim("10 +0.1/0"), depth: dim("8"), length: null },
    },
    {
      id: "slot-closed",
      kind: "slot",
      face: "top",
      along: "length",
      first: from("right", "26"),
      second: from("front", "16"),
      sizes: { width: dim("8"), depth: dim("12"), length: dim("30") },
    },
    {
      id: "pin",
      kind: "hole",
      face: "top",
      first: from("left", "40"),
      second: from("center"),
      sizes: { diameter: dim("12 H7"), depth: null },
    },
    {
      id: "bolt",
      kind: "hole",
      face: "right",
      first: from("center"),
      second: from("top", "12"),
      sizes: { diameter: dim("8.5"), depth: dim("22") },
    },
  ];
  return block([
    "part/features",
    { byId: Object.fromEntries(features.map((f) => [f.id, f])), order: features.map((f) => f.id) },
  ]);
}

/** The cheek block with some decisions changed. */
export const block = (...changes: [path: string, to: unknown][]): Job =>
  changes.reduce((job, [path, to]) => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    if (!applied.ok) throw new Error(path);
    return applied.job;
  }, cheekBlock());
