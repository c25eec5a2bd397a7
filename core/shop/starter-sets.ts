import type { CutterKind, ToolMaterial } from "../handbook/index.ts";
import { toMm } from "../quantity/index.ts";
import { type Cutter, newCutter } from "./cutter.ts";
import type { Holder, HolderKind } from "./holder.ts";
import type { Aid, AidKind, Parallels, Vise } from "./holding-devices.ts";
import type { Instrument } from "./instrument.ts";
import type { AxisScrew, Machine, SpeedRange } from "./machine.ts";
import { emptyShop, type Shop } from "./shop.ts";

/** Ordinary machines and drawers to start a shop from; everything in them can be edited. All values are usual ones. */

const inch = (size: number) => toMm(size, "in");

const screw = (
  lead: number,
  division: number,
  readout: number | null,
  powerFeeds: number[] = [],
): AxisScrew => ({ lead, division, backlash: 0.2, readout, powerFeeds });

const steps = (name: string, rpm: number[], reversed = false): SpeedRange => ({
  name,
  speeds: { kind: "steps", rpm },
  change: "standstill",
  reversed,
  baseRpm: null,
  slipTorque: null,
});

const machine = (
  given: Pick<Machine, "id" | "name" | "kind" | "class" | "motorPower" | "ranges" | "axes"> &
    Partial<Machine>,
): Machine => ({
  retired: false,
  efficiency: 0.75,
  drive: "stepBelt",
  taper: "",
  ownForce: null,
  ownSpring: null,
  daylight: 430,
  tSlot: 14,
  travel: { x: 650, y: 250, z: 380 },
  depthBy: "knee",
  quillTravel: null,
  quillDivision: null,
  tramAlong: null,
  tramAcross: null,
  tramSweep: 200,
  rate: null,
  ...given,
});

export const kneeMill: Machine = machine({
  id: "knee",
  name: "Knee mill, two-axis readout",
  kind: "vertical",
  class: "knee",
  quillTravel: 125,
  quillDivision: 0.05,
  motorPower: 1.5,
  ranges: [steps("low range", [80, 135, 210, 325], true), steps("high range", [660, 1115, 1750, 2720])],
  taper: "R8",
  axes: {
    x: screw(5, 0.02, 0.005, [22, 38, 65, 110, 190, 320, 540]),
    y: screw(5, 0.02, 0.005),
    z: screw(2.5, 0.02, null),
  },
});

export const benchMill: Machine = machine({
  id: "bench",
  name: "Bench mill, dials only",
  kind: "vertical",
  class: "bench",
  motorPower: 0.6,
  drive: "gears",
  ranges: [steps("low", [100, 200, 400]), steps("high", [800, 1250, 2000])],
  taper: "MT3",
  daylight: 300,
  tSlot: 12,
  travel: { x: 350, y: 150, z: 250 },
  axes: { x: screw(2.54, 0.0254, null), y: screw(2.54, 0.0254, null), z: screw(2.54, 0.0254, null) },
  depthBy: "head",
});

export const horizontalMill: Machine = machine({
  id: "horizontal",
  name: "Horizontal mill, older",
  kind: "horizontal",
  class: "heavy",
  motorPower: 2.2,
  drive: "gears",
  ranges: [steps("", [36, 55, 84, 128, 195, 300, 460, 700])],
  taper: "ISO 40",
  daylight: 400,
  tSlot: 14,
  travel: { x: 600, y: 200, z: 350 },
  axes: {
    x: screw(6, 0.05, null, [16, 25, 40, 63, 100, 160, 250]),
    y: screw(6, 0.05, null),
    z: screw(3, 0.05, null),
  },
});

type Row = [
  id: string,
  name: string,
  kind: CutterKind,
  material: ToolMaterial,
  diameter: number,
  teeth: number,
  flute: number,
  more?: Partial<Cutter>,
];
const drawer = (rows: Row[]): Cutter[] =>
  rows.map(([id, name, kind, material, diameter, teeth, fluteLength, more]) =>
    newCutter({ id, name, kind, material, diameter, teeth, fluteLength, ...more }),
  );

const forScale = { wall: "poor", floor: "fair", scale: "good" } as const;

// prettier-ignore
export const metricCutters: Cutter[] = drawer([
  ["face-63", "63 face mill, 5 inserts", "faceMill", "coatedCarbide", 63, 5, 8, { maxDepth: 4, stickout: 40, shank: 22 }],
  ["face-50-old", "50 face mill, kept for scale", "faceMill", "carbide", 50, 4, 8, { maxDepth: 4, stickout: 40, shank: 22, condition: "expendable", rating: forScale }],
  ["shell-50", "50 shell mill", "shellMill", "hss", 50, 8, 36, { maxDepth: 5, stickout: 40, shank: 22 }],
  ["fly-80", "80 fly cutter", "flyCutter", "hss", 80, 1, 6, { enteringAngle: 75, stickout: 40, shank: 22 }],
  ["em-20", "20 end mill, long", "endMill", "hss", 20, 4, 75, { stickout: 80 }],
  ["em-16", "16 end mill", "endMill", "cobalt", 16, 4, 38, { stickout: 45 }],
  ["rough-16", "16 roughing end mill", "roughing", "cobalt", 16, 4, 38, { stickout: 45, rating: { wall: "poor", floor: "fair", scale: "fair" } }],
  ["em-12", "12 end mill", "endMill", "hss", 12, 4, 26, { stickout: 34 }],
  ["em-10", "10 end mill, carbide", "endMill", "coatedCarbide", 10, 4, 25, { stickout: 32, condition: "new" }],
  ["em-10-2", "10 end mill, 2 flutes", "endMill", "hss", 10, 2, 22, { stickout: 28, centerCutting: true }],
  ["em-8", "8 end mill", "endMill", "hss", 8, 4, 19, { stickout: 25 }],
  ["em-6", "6 end mill, 2 flutes", "endMill", "hss", 6, 2, 13, { stickout: 18, centerCutting: true }],
  ["ball-8", "8 ball end mill", "ballEnd", "hss", 8, 2, 19, { stickout: 26, centerCutting: true }],
  ["saf-80", "80 side-and-face cutter, 10 wide", "sideAndFace", "hss", 80, 18, 10, { helix: 0, shank: 27 }],
  ["wood-606", "Woodruff cutter for keys 606, 3/4 × 3/16 in", "woodruff", "hss", 19.05, 8, 4.76, { shank: 12, stickout: 45 }],
  ["slab-63", "63 slab mill, 70 long", "slabMill", "hss", 63, 8, 70, { shank: 27, helix: 30 }],
  ["saw-100", "100 slitting saw, 2 thick", "slittingSaw", "hss", 100, 48, 2, { shank: 27 }],
  ["chamfer-12", "12 chamfer cutter, 90°", "chamfer", "hss", 12, 4, 6, { enteringAngle: 45 }],
  ["spot-10", "10 spotting drill", "spotDrill", "hss", 10, 2, 20],
  ["drill-4.2", "4.2 drill", "twistDrill", "hss", 4.2, 2, 43, { stickout: 48 }],
  ["drill-5", "5 drill", "twistDrill", "hss", 5, 2, 52, { stickout: 57 }],
  ["drill-6", "6 drill", "twistDrill", "hss", 6, 2, 57, { stickout: 62 }],
  ["drill-6.8", "6.8 drill", "twistDrill", "hss", 6.8, 2, 69, { stickout: 74 }],
  ["drill-7.1", "7.1 drill", "twistDrill", "hss", 7.1, 2, 69, { stickout: 74 }],
  ["drill-8.5", "8.5 drill", "twistDrill", "hss", 8.5, 2, 75, { stickout: 80 }],
  ["drill-9", "9 drill", "twistDrill", "hss", 9, 2, 81, { stickout: 86 }],
  ["drill-9.8", "9.8 drill", "twistDrill", "hss", 9.8, 2, 87, { stickout: 92 }],
  ["drill-11.8", "11.8 drill", "twistDrill", "hss", 11.8, 2, 94, { stickout: 100 }],
  ["reamer-10", "10 reamer", "reamer", "hss", 10, 6, 38, { stickout: 80 }],
  ["reamer-12", "12 reamer", "reamer", "hss", 12, 6, 44, { stickout: 85 }],
  ["tap-m5", "M5 tap", "tap", "hss", 5, 3, 16, { shank: 6, stickout: 45, pitch: 0.8 }],
  ["tap-m8", "M8 tap", "tap", "hss", 8, 3, 22, { shank: 8, stickout: 55, pitch: 1.25 }],
  ["tap-m10", "M10 tap", "tap", "hss", 10, 4, 24, { shank: 7, stickout: 60, pitch: 1.5 }],
  ["bore-15", "15 counterbore for M8", "counterbore", "hss", 15, 3, 15, { shank: 12, stickout: 50 }],
  ["sink-82", "16 countersink, 82°", "countersink", "hss", 16, 3, 9, { shank: 10, stickout: 40, enteringAngle: 49 }],
  ["sink-16", "16 countersink, 90°", "countersink", "hss", 16, 3, 8, { shank: 10, stickout: 40, enteringAngle: 45 }],
]);

// prettier-ignore
const inchCutters: Cutter[] = drawer([
  ["face-2.5in", "2 1/2 in face mill, 5 inserts", "faceMill", "coatedCarbide", inch(2.5), 5, 8, { maxDepth: 4, stickout: 40, shank: inch(0.75) }],
  ["fly-3in", "3 in fly cutter", "flyCutter", "hss", inch(3), 1, 6, { enteringAngle: 75, stickout: 40, shank: inch(0.75) }],
  ["em-1in", "1 in end mill", "endMill", "hss", inch(1), 4, inch(2), { stickout: inch(2.5), shank: inch(0.75) }],
  ["em-3-4in", "3/4 in end mill", "endMill", "hss", inch(0.75), 4, inch(1.625), { stickout: inch(2) }],
  ["rough-3-4in", "3/4 in roughing end mill", "roughing", "cobalt", inch(0.75), 4, inch(1.625), { stickout: inch(2) }],
  ["em-1-2in", "1/2 in end mill", "endMill", "hss", inch(0.5), 4, inch(1.25), { stickout: inch(1.5) }],
  ["em-3-8in", "3/8 in end mill, 2 flutes", "endMill", "hss", inch(0.375), 2, inch(0.75), { stickout: inch(1), centerCutting: true }],
  ["em-1-4in", "1/4 in end mill, 2 flutes", "endMill", "hss", inch(0.25), 2, inch(0.625), { stickout: inch(0.875), centerCutting: true }],
  ["spot-3-8in", "3/8 in spotting drill", "spotDrill", "hss", inch(0.375), 2, 20],
  ["drill-1-4in", "1/4 in drill", "twistDrill", "hss", inch(0.25), 2, 65, { stickout: 70 }],
  ["drill-3-8in", "3/8 in drill", "twistDrill", "hss", inch(0.375), 2, 85, { stickout: 90 }],
]);

const holder = (
  id: string,
  name: string,
  kind: HolderKind,
  from: number,
  to: number,
  reach: number,
): Holder => ({
  id,
  name,
  retired: false,
  kind,
  from,
  to,
  reach,
  collar: null,
  span: null,
  supported: false,
  tightness: "",
});
const arbor: Holder = {
  ...holder("arbor-27", "27 arbor with collars", "arbor", 27, 27, 120),
  collar: 40,
  span: 220,
  supported: true,
};
const colletSizes = [6, 8, 10, 12, 16, 20];
export const metricHolders: Holder[] = [
  ...colletSizes.map((size) => holder(`collet-${size}`, `${size} collet`, "collet", size - 0.5, size, 25)),
  holder("stub-22", "22 stub for shell and face mills", "shellArbor", 22, 22, 25),
  holder("chuck-13", "13 drill chuck", "drillChuck", 1, 13, 90),
  arbor,
];
const inchHolders: Holder[] = [
  ...([0.25, 0.375, 0.5, 0.75] as const).map((size) =>
    holder(`collet-${size}in`, `${size} in collet`, "collet", inch(size) - 0.2, inch(size), 25),
  ),
  holder("stub-3-4in", "3/4 in stub for shell and face mills", "shellArbor", inch(0.75), inch(0.75), 25),
  holder("chuck-1-2in", "1/2 in drill chuck", "drillChuck", 1, inch(0.5), 90),
];

const vise = (id: string, name: string, opening: number, jawWidth: number, jawDepth: number): Vise => ({
  id,
  name,
  retired: false,
  opening,
  jawWidth,
  jawDepth,
  jawThickness: 24,
  bedHeight: 45,
  jawChamfer: 0.8,
  relief: 2,
  fixedJaw: "back",
  screwLead: 5,
  pull: 40,
  pullChecked: "",
  stretch: null,
  mounting: "bolts",
  stretchBy: {},
  jawLift: null,
  jawSquareness: null,
  jawLine: null,
  bedAlong: null,
  bedAcross: null,
});
export const vise125 = vise("vise-125", "125 vise", 130, 125, 40);

const parallel = (height: number, id = String(height), name = String(height)): Parallels => ({
  id: `parallels-${id}`,
  name: `${name} parallels`,
  retired: false,
  height,
  thickness: height < 16 ? 6 : 8,
  unlike: null,
  length: 125,
});
export const metricParallels = [8, 10, 12, 16, 19, 22, 25, 28, 32, 36].map((h) => parallel(h));
const inchParallels = ["1/2", "5/8", "3/4", "7/8", "1", "1 1/8", "1 1/4", "1 3/8"].map((text, i) =>
  parallel(inch(0.5 + i / 8), `${text.replace(/[ /]/g, "-")}in`, `${text} in`),
);

const aid = (
  id: string,
  name: string,
  kind: AidKind,
  count: number,
  from: number,
  to: number,
  more: Partial<Aid> = {},
): Aid => ({
  id,
  name,
  retired: false,
  kind,
  count,
  from,
  to,
  thread: "",
  angle: null,
  comesBack: null,
  tried: "",
  ...more,
});
export const usualAids: Aid[] = [
  aid("v-blocks", "V-blocks, pair", "vBlocks", 2, 6, 50, { angle: 90 }),
  aid("straps", "Strap clamps", "strap", 4, 60, 125),
  aid("studs-m12", "Studs M12", "stud", 8, 50, 200, { thread: "M12" }),
  aid("tnuts-14", "T-nuts for a 14 slot", "tNut", 6, 14, 14, { thread: "M12" }),
  aid("jacks", "Screw jacks", "jack", 2, 40, 75),
  aid("stop", "Vise stop", "stop", 1, 0, 60),
  aid("backing-plate", "Backing plate, aluminum", "plate", 1, 12, 200),
];

const instrument = (
  id: string,
  name: string,
  kind: Instrument["kind"],
  uncertainty: number,
  from: number,
  to: number,
  resolution = 0.01,
): Instrument => ({
  id,
  name,
  retired: false,
  kind,
  resolution,
  uncertainty,
  from,
  to,
  lastCheck: "",
  every: null,
  error: null,
});
export const metricInstruments: Instrument[] = [
  instrument("caliper", "Caliper 150", "caliper", 0.03, 0, 150),
  instrument("finder-10", "Edge finder, 10 tip", "edgeFinder", 0.01, 10, 10),
  ...[0, 25, 50, 75].map((from) =>
    instrument(
      `mic-${from}-${from + 25}`,
      `Micrometer ${from}–${from + 25}`,
      "micrometer",
      0.005,
      from,
      from + 25,
    ),
  ),
  instrument("bore-gauges", "Telescopic gauges and micrometer", "telescopicGauge", 0.02, 8, 150),
  instrument("depth-mic-50", "Depth micrometer 0–50", "depthMicrometer", 0.01, 0, 50),
  instrument("square-100", "Engineer's square 100", "square", 0.01, 0, 100),
  instrument("lever-indicator", "Lever indicator", "indicator", 0.005, 0, 0.8),
];
const inchInstruments: Instrument[] = [
  instrument("caliper-6in", "Caliper 6 in", "caliper", 0.03, 0, inch(6), inch(0.0005)),
  instrument("finder-2in", "Edge finder, 0.2 in tip", "edgeFinder", 0.01, inch(0.2), inch(0.2), inch(0.0005)),
  ...[0, 1, 2, 3].map((from) =>
    instrument(
      `mic-${from}in`,
      `Micrometer ${from}–${from + 1} in`,
      "micrometer",
      0.005,
      inch(from),
      inch(from + 1),
      inch(0.0001),
    ),
  ),
];

const common: Pick<Shop, "vises" | "rods" | "aids"> = {
  vises: [vise125],
  rods: [{ id: "rod-12", name: "12 rod", retired: false, diameter: 12 }],
  aids: usualAids,
};

export interface StarterSet {
  id: string;
  name: string;
  what: string;
  adds: Shop;
}

/** Offered on first use: machines and drawers, any of them together. */
export const starterSets: { machines: StarterSet[]; drawers: StarterSet[] } = {
  machines: [
    {
      id: "bench",
      name: "Bench mill",
      what: "0.6 kW, six geared speeds, dials only",
      adds: { ...emptyShop, machines: [{ ...benchMill, name: "Bench mill" }] },
    },
    {
      id: "knee",
      name: "Knee mill",
      what: "1.5 kW, eight belt speeds, readout on two axes, power feed along",
      adds: { ...emptyShop, machines: [{ ...kneeMill, name: "Knee mill" }] },
    },
    {
      id: "horizontal",
      name: "Horizontal mill",
      what: "2.2 kW, eight geared speeds, arbor with support",
      adds: { ...emptyShop, machines: [{ ...horizontalMill, name: "Horizontal mill" }] },
    },
  ],
  drawers: [
    {
      id: "metric",
      name: "Metric drawer",
      what: `${metricCutters.length} cutters, holders, vise, parallels, calipers and micrometers`,
      adds: {
        ...emptyShop,
        ...common,
        cutters: metricCutters,
        holders: metricHolders,
        parallels: metricParallels,
        instruments: metricInstruments,
      },
    },
    {
      id: "inch",
      name: "Inch drawer",
      what: `${inchCutters.length} cutters, holders, vise, parallels, calipers and micrometers`,
      adds: {
        ...emptyShop,
        ...common,
        cutters: inchCutters,
        holders: inchHolders,
        parallels: inchParallels,
        instruments: inchInstruments,
      },
    },
  ],
};
