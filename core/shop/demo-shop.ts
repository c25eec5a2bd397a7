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

/** The invented Larkmoor slipway: knee mill with readout, bench mill with dials, an older horizontal mill, gaps in the drawer. */
export const demoShop: Shop = {
  machines: [kneeMill, benchMill, horizontalMill],
  cutters: metricCutters,
  holders: metricHolders,
  vises: [vise125],
  parallels: metricParallels,
  rods: [{ id: "rod-12", name: "12 rod", retired: false, diameter: 12 }],
  aids: usualAids,
  instruments: metricInstruments,
  houseRules: [],
};
