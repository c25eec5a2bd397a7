import type { Bar } from "./bar.ts";
import { blankItem } from "./blank.ts";
import type { Shop } from "./shop.ts";
import {
  benchMill,
  horizontalMill,
  kneeMill,
  metricCutters,
  metricHolders,
  metricInstruments,
  metricParallels,
  usualAids,
  vise125,
} from "./starter-sets.ts";

const bar = (id: string, name: string, given: Partial<Bar>): Bar => ({
  ...blankItem("bars", id),
  name,
  ...given,
});

/** The invented Larkmoor slipway: knee mill with readout, bench mill with dials, an older horizontal mill, gaps in the drawer. */
export const demoShop: Shop = {
  // Made-up rates and prices.
  machines: [
    { ...kneeMill, rate: 24 },
    { ...benchMill, rate: 9 },
    { ...horizontalMill, rate: 18 },
  ],
  cutters: metricCutters.map((cutter) =>
    cutter.kind === "endMill" ? { ...cutter, price: 14 + cutter.diameter, life: 90 } : cutter,
  ),
  holders: metricHolders,
  vises: [vise125],
  parallels: metricParallels,
  rods: [{ id: "rod-12", name: "12 rod", retired: false, diameter: 12 }],
  aids: usualAids,
  instruments: metricInstruments,
  houseRules: [],
  saws: [
    {
      id: "band-saw",
      name: "Band saw by the door",
      retired: false,
      kind: "band",
      kerf: 1.6,
      blades: [6, 10, 14, 24],
      fitted: 10,
      speeds: [20, 35, 50, 75],
      takes: 150,
      throat: 12,
      runsOut: null,
    },
  ],
  bars: [
    bar("flat-35-28", "Flat 35 × 28, drawn", {
      across: 35,
      thick: 28,
      length: 640,
      where: "rack, left",
      price: 16,
    }),
    bar("flat-36-30-end", "Flat 36 × 30, end of a bar", {
      across: 36,
      thick: 30,
      length: 172,
      where: "box under the saw",
      offcut: true,
      price: 17,
    }),
    bar("flat-50-25", "Flat 50 × 25, drawn", {
      across: 50,
      thick: 25,
      length: 940,
      where: "rack, left",
      price: 22,
    }),
    bar("flat-65-45", "Flat 65 × 45, rolled", {
      material: "steel-low-rolled",
      form: "hotRolled",
      across: 65,
      thick: 45,
      length: 420,
      where: "rack, right",
      price: 38,
    }),
    bar("round-40", "Round 40, drawn", {
      section: "round",
      across: 40,
      thick: 40,
      length: 720,
      where: "rack, right",
      price: 19,
    }),
    bar("bronze-35-18", "Bronze strip 35 × 18", {
      material: "bronze",
      form: "plate",
      across: 35,
      thick: 18,
      length: 260,
      where: "cupboard",
      price: 95,
    }),
  ],
};
