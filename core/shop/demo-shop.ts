import type { AxisScrew, Machine } from "./machine.ts";
import type { Shop } from "./shop.ts";

/** The invented Larkmoor slipway: a knee mill with a two-axis readout, a bench mill with dials, gaps in the drawer. */

const screw = (lead: number, division: number, readout: number | null, powerFeeds: number[] = []): AxisScrew => ({
  lead,
  division,
  backlash: 0.2,
  readout,
  powerFeeds,
});

const kneeMill: Machine = {
  id: "knee",
  name: "Knee mill, two-axis readout",
  kind: "vertical",
  class: "knee",
  motorPower: 1.5,
  efficiency: 0.75,
  speeds: [80, 135, 210, 325, 660, 1115, 1750, 2720].map((rpm, i) => ({
    rpm,
    setting: i < 4 ? `belt ${i + 1}, low range` : `belt ${i - 3}, high range`,
  })),
  daylight: 430,
  axes: {
    x: screw(5, 0.02, 0.005, [22, 38, 65, 110, 190, 320, 540]),
    y: screw(5, 0.02, 0.005),
    z: screw(2.5, 0.02, null),
  },
  depthBy: "knee",
};

const benchMill: Machine = {
  id: "bench",
  name: "Bench mill, dials only",
  kind: "vertical",
  class: "bench",
  motorPower: 0.6,
  efficiency: 0.75,
  speeds: [100, 200, 400, 800, 1250, 2000].map((rpm, i) => ({
    rpm,
    setting: `gear ${i < 3 ? "L" : "H"}${(i % 3) + 1}`,
  })),
  daylight: 300,
  axes: { x: screw(2.54, 0.0254, null), y: screw(2.54, 0.0254, null), z: screw(2.54, 0.0254, null) },
  depthBy: "head",
};

const parallelHeights = [8, 10, 12, 16, 19, 22, 25, 28, 32, 36];

export const demoShop: Shop = {
  machines: [kneeMill, benchMill],
  cutters: [
    { id: "face-63", name: "63 face mill, 5 inserts", kind: "faceMill", material: "coatedCarbide", diameter: 63, teeth: 5, fluteLength: 8, maxDepth: 4, enteringAngle: 90, stickout: 60 },
    { id: "shell-50", name: "50 shell mill", kind: "shellMill", material: "hss", diameter: 50, teeth: 8, fluteLength: 36, maxDepth: 5, enteringAngle: 90, stickout: 70 },
    { id: "fly-80", name: "80 fly cutter", kind: "flyCutter", material: "hss", diameter: 80, teeth: 1, fluteLength: 6, maxDepth: null, enteringAngle: 75, stickout: 65 },
    { id: "em-20", name: "20 end mill, long", kind: "endMill", material: "hss", diameter: 20, teeth: 4, fluteLength: 75, maxDepth: null, enteringAngle: 90, stickout: 105 },
    { id: "em-16", name: "16 end mill", kind: "endMill", material: "cobalt", diameter: 16, teeth: 4, fluteLength: 38, maxDepth: null, enteringAngle: 90, stickout: 62 },
    { id: "em-10", name: "10 end mill, carbide", kind: "endMill", material: "coatedCarbide", diameter: 10, teeth: 4, fluteLength: 25, maxDepth: null, enteringAngle: 90, stickout: 45 },
  ],
  vises: [
    { id: "vise-125", name: "125 vise", opening: 130, jawWidth: 125, jawDepth: 40, jawThickness: 24, bedHeight: 45, jawChamfer: 0.8 },
  ],
  parallels: parallelHeights.map((height) => ({ id: `parallels-${height}`, height, thickness: height < 16 ? 6 : 8, length: 125 })),
  rods: [{ id: "rod-12", diameter: 12 }],
  instruments: [
    { id: "caliper", name: "Caliper 150", kind: "caliper", resolution: 0.01, uncertainty: 0.03, from: 0, to: 150 },
    { id: "mic-0-25", name: "Micrometer 0–25", kind: "micrometer", resolution: 0.01, uncertainty: 0.005, from: 0, to: 25 },
    { id: "mic-25-50", name: "Micrometer 25–50", kind: "micrometer", resolution: 0.01, uncertainty: 0.005, from: 25, to: 50 },
    { id: "mic-50-75", name: "Micrometer 50–75", kind: "micrometer", resolution: 0.01, uncertainty: 0.005, from: 50, to: 75 },
    { id: "mic-75-100", name: "Micrometer 75–100", kind: "micrometer", resolution: 0.01, uncertainty: 0.005, from: 75, to: 100 },
  ],
};
