import { usualKerf } from "../handbook/index.ts";
import { newCutter } from "./cutter.ts";
import type { ShopItem, ShopList } from "./shop.ts";
import { kneeMill, metricInstruments, usualAids, vise125 } from "./starter-sets.ts";

/** A new item of a list with usual values, to be edited: nothing is left to guess what a field is for. */
export function blankItem<L extends ShopList>(list: L, id: string): ShopItem<L> {
  const base = { id, retired: false };
  const blanks: { [K in ShopList]: () => ShopItem<K> } = {
    machines: () => ({ ...kneeMill, ...base, name: "New machine" }),
    cutters: () =>
      newCutter({
        ...base,
        name: "New cutter",
        kind: "endMill",
        material: "hss",
        diameter: 12,
        teeth: 4,
        fluteLength: 26,
        stickout: 34,
      }),
    holders: () => ({
      ...base,
      name: "New holder",
      kind: "collet",
      from: 11.5,
      to: 12,
      reach: 25,
      collar: null,
      span: null,
      supported: false,
      tightness: "",
    }),
    vises: () => ({ ...vise125, ...base, name: "New vise" }),
    parallels: () => ({
      ...base,
      name: "New parallels",
      height: 20,
      thickness: 8,
      length: 125,
      unlike: null,
    }),
    rods: () => ({ ...base, name: "New rod", diameter: 12 }),
    aids: () => ({ ...usualAids[0]!, ...base, name: "New holding aid" }),
    instruments: () => ({ ...metricInstruments[0]!, ...base, name: "New instrument" }),
    houseRules: () => ({
      ...base,
      name: "New rule",
      machine: null,
      material: null,
      cutterKind: null,
      what: "depth",
      factor: 1,
    }),
    saws: () => ({
      ...base,
      name: "New saw",
      kind: "band",
      kerf: usualKerf,
      blades: [14],
      fitted: 14,
      speeds: [],
      takes: 150,
      throat: 0,
      runsOut: null,
    }),
    bars: () => ({
      ...base,
      name: "New bar",
      material: "steel-low-drawn",
      form: "coldDrawn",
      section: "flat",
      across: 50,
      thick: 20,
      length: 1000,
      where: "",
      offcut: false,
      price: null,
      claims: [],
      sawn: [],
    }),
  };
  return blanks[list]();
}
