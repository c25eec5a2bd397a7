import { axisNames, type Face } from "../../core/frame/index.ts";
import { applyChanges, changeOf, type Job, newJob } from "../../core/job/index.ts";
import { type Feature, type Mate, newMate, type Shaft } from "../../core/part/index.ts";
import type { Stock } from "../../core/stock/index.ts";
import type { LengthUnit } from "../../core/quantity/index.ts";
import { cheekBlockWithFeatures, dim, featureList, featureOf, read } from "./cheek-block.ts";

/** The parts of the Larkmoor winch beside its cheek block. All sizes are invented. */

/** A job with decisions put in one after the other; throws on one that is none. */
function made(id: string, name: string, machine: string, changes: [path: string, to: unknown][]): Job {
  return changes.reduce(
    (job, [path, to]) => {
      const applied = applyChanges(job, [changeOf(job, path, to)]);
      if (!applied.ok) throw new Error(`${id}: ${path} could not be set`);
      return applied.job;
    },
    newJob(id, name, machine, "vise-125"),
  );
}

const sizes = (texts: readonly [string, string, string], unit: LengthUnit = "mm"): [string, unknown][] =>
  axisNames.map((axis, i) => [`part/sizes/${axis}`, dim(texts[i]!, unit)]);
const lump = (values: readonly [number, number, number], unit: LengthUnit = "mm"): [string, unknown][] =>
  axisNames.map((axis, i) => {
    const given = values[i]!;
    const value = unit === "mm" ? given : given * 25.4;
    return [`stock/measured/${axis}/p1`, { value, written: read(given, unit).written }];
  });
const conditions = (condition: string): [string, unknown][] =>
  (["left", "right", "front", "back", "bottom", "top"] as Face[]).map((face) => [
    `stock/conditions/${face}`,
    condition,
  ]);
const features = (...list: Feature[]): [string, unknown] => ["part/features", featureList(list)];
const shaft = (unit: LengthUnit, ...sections: [diameter: string, length: string][]): [string, unknown] => {
  const list = sections.map(([diameter, length], i) => ({
    id: `section-${i + 1}`,
    diameter: dim(diameter, unit),
    length: dim(length, unit),
  }));
  const kept: Shaft = { byId: Object.fromEntries(list.map((s) => [s.id, s])), order: list.map((s) => s.id) };
  return ["part/shaft", kept];
};
const mates = (...list: Mate[]): [string, unknown] => [
  "part/mates",
  { byId: Object.fromEntries(list.map((m) => [m.id, m])), order: list.map((m) => m.id) },
];

const pawlPlate = () =>
  made("pawl-plate", "Pawl plate", "knee", [
    ["sheet", "Larkmoor winch, sheet 5"],
    ["part/material", "steel-medium"],
    ...sizes(["90 ±0.1", "50 ±0.1", "16 ±0.1"]),
    ["stock/form", "hotRolled"],
    ...lump([93.2, 53.4, 19.1]),
    ...conditions("hotRolled"),
    features(
      featureOf("pocket", "seat", "top", {
        sizes: { first: "34", second: "22", depth: "6", radius: "6" },
        first: "left 30",
      }),
      featureOf("hole", "pivot", "top", {
        sizes: { diameter: "10 H7" },
        first: "=seat",
        choices: { form: "reamed" },
      }),
      featureOf("slope", "nose", "top", {
        sizes: { width: "10" },
        numbers: { angle: 30 },
        choices: { side: "right" },
      }),
      featureOf("hole", "stops", "top", {
        sizes: { depth: "13", threadDepth: "10", pitchSecond: "30" },
        numbers: { countFirst: 1, countSecond: 2 },
        first: "right 26",
        second: "front 10",
        choices: { form: "tapped", screw: "M5", pattern: "grid" },
      }),
      featureOf("cornerRadius", "corners", "top", { sizes: { radius: "5" } }),
    ),
  ]);

const drumShaft = () =>
  made("drum-shaft", "Drum shaft", "knee", [
    ["sheet", "Larkmoor winch, sheet 8"],
    ["part/material", "steel-medium"],
    shaft("mm", ["25 h6", "38"], ["30 h7", "120"], ["25 h6", "52"]),
    features(
      featureOf("keyway", "drum-key", "top", { sizes: { length: "36" }, first: "left 98" }),
      featureOf("hole", "end", "right", {
        sizes: { depth: "24", threadDepth: "16" },
        choices: { form: "tapped", screw: "M8" },
      }),
    ),
  ]);

const crankShaft = () =>
  made("crank-shaft", "Crank shaft", "bench", [
    ["sheet", "Larkmoor winch, sheet 9"],
    ["part/material", "steel-low-drawn"],
    shaft("in", ["7/8", "2-1/4"], ["1-1/8", "4"], ["7/8", "3"]),
    features(featureOf("woodruff", "crank-key", "top", { first: "right 20 mm", choices: { key: "606" } })),
  ]);

const trackDogs = () =>
  made("track-dogs", "Track dogs", "knee", [
    ["sheet", "Larkmoor winch, sheet 11"],
    ["quantity", 6],
    ["part/material", "steel-low-drawn"],
    ...sizes(["45 ±0.1", "32 ±0.1", "25 ±0.1"]),
    ["stock/form", "coldDrawn"],
    ...lump([47.2, 35, 28]),
    ...conditions("drawn"),
    ["stock/conditions/left", "sawn"],
    ["stock/conditions/right", "sawn"],
    features(featureOf("tShape", "tongue", "top", { sizes: { stem: "18 -0.02/-0.04", depth: "9" } })),
    mates(
      newMate("channel", {
        size: "tongue/stem",
        other: "the channel of the slipway",
        mate: dim("18.02"),
        measured: true,
        outer: false,
        by: "the second shift",
        on: "2026-11-20",
      }),
    ),
  ]);

/** Three points on every face of the casting as it came, crooked by about a degree. */
function probedFoot(): Stock["points"] {
  const read: [face: Face, first: number, second: number, reads: number][] = [
    ["bottom", 10, 10, -2.2],
    ["bottom", 110, 12, -4.4],
    ["bottom", 60, 72, -3],
    ["top", 12, 10, 51.6],
    ["top", 108, 14, 49.2],
    ["top", 58, 70, 50.6],
    ["left", 10, 8, -3.2],
    ["left", 70, 10, -4.1],
    ["left", 40, 40, -3.9],
    ["right", 12, 8, 124.6],
    ["right", 68, 12, 123.9],
    ["right", 40, 38, 124.2],
    ["front", 12, 8, -2.6],
    ["front", 108, 10, -5.4],
    ["front", 60, 38, -4.2],
    ["back", 12, 10, 85],
    ["back", 110, 8, 82.4],
    ["back", 60, 40, 83.6],
  ];
  const points = read.map(([face, first, second, reads], i) => ({
    id: `point-${i + 1}`,
    face,
    first,
    second,
    reads,
  }));
  return { byId: Object.fromEntries(points.map((p) => [p.id, p])), order: points.map((p) => p.id) };
}

const castFoot = () =>
  made("cast-foot", "Cast-iron foot", "knee", [
    ["sheet", "Larkmoor winch, sheet 2"],
    ["part/material", "iron-grey"],
    ...sizes(["120 ±0.2", "80 ±0.2", "46 ±0.2"]),
    ["stock/form", "cast"],
    ...lump([128.5, 88.2, 54.4]),
    ...conditions("cast"),
    ["stock/points", probedFoot()],
    ["part/faces/top/ra", 3.2],
    ["part/faces/bottom/mayStayRaw", true],
    features(
      featureOf("hole", "feet", "top", {
        sizes: { pitchFirst: "90", pitchSecond: "50" },
        numbers: { countFirst: 2, countSecond: 2 },
        first: "left 15",
        second: "front 15",
        choices: { form: "counterbored", screw: "M8", pattern: "grid" },
      }),
      featureOf("slot", "keep", "top", { sizes: { width: "16", depth: "12" }, choices: { along: "width" } }),
    ),
  ]);

const wearStrip = () =>
  made("wear-strip", "Wear strip", "bench", [
    ["sheet", "Larkmoor winch, sheet 12"],
    ["part/material", "bronze"],
    ...sizes(["4", "1-1/4", "5/8"], "in"),
    ["stock/form", "plate"],
    ...lump([4.12, 1.35, 0.72], "in"),
    ...conditions("drawn"),
    ["stock/conditions/left", "sawn"],
    ["stock/conditions/right", "sawn"],
    features(
      featureOf("hole", "screws", "top", {
        sizes: { diameter: "0.281 in", headDiameter: "0.5 in", pitchFirst: "1.5 in" },
        numbers: { countFirst: 3, countSecond: 1, headAngle: 82 },
        first: "left 0.5 in",
        choices: { form: "countersunk", pattern: "grid" },
      }),
      featureOf("chamfer", "lead", "top", { sizes: { leg: "1/16 in" }, choices: { edge: "left" } }),
    ),
  ]);

/** All jobs that "Load the demo" brings, by the name of their file. */
export const demoJobs = (): Job[] => [
  cheekBlockWithFeatures(),
  pawlPlate(),
  drumShaft(),
  crankShaft(),
  trackDogs(),
  castFoot(),
  wearStrip(),
];
