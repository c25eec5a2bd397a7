import * as z from "../zod.ts";
import { barSchema } from "./bar.ts";
import { cutterSchema } from "./cutter.ts";
import { holderSchema } from "./holder.ts";
import { aidSchema, parallelsSchema, rodSchema, viseSchema } from "./holding-devices.ts";
import { houseRuleSchema } from "./house-rule.ts";
import { instrumentSchema } from "./instrument.ts";
import { machineSchema } from "./machine.ts";
import { sawSchema } from "./saw.ts";

/** The lists of the shop and what stands in each. */
export const shopLists = {
  machines: machineSchema,
  cutters: cutterSchema,
  holders: holderSchema,
  vises: viseSchema,
  parallels: parallelsSchema,
  rods: rodSchema,
  aids: aidSchema,
  instruments: instrumentSchema,
  houseRules: houseRuleSchema,
  saws: sawSchema,
  bars: barSchema,
} as const;
export type ShopList = keyof typeof shopLists;
export const shopListNames = Object.keys(shopLists) as ShopList[];

export const shopSchema = z.object({
  machines: z.array(machineSchema),
  cutters: z.array(cutterSchema),
  holders: z.array(holderSchema),
  vises: z.array(viseSchema),
  parallels: z.array(parallelsSchema),
  rods: z.array(rodSchema),
  aids: z.array(aidSchema),
  instruments: z.array(instrumentSchema),
  houseRules: z.array(houseRuleSchema),
  saws: z.array(sawSchema),
  bars: z.array(barSchema),
});
/** What is owned. */
export type Shop = z.infer<typeof shopSchema>;
export type ShopItem<L extends ShopList = ShopList> = Shop[L][number];

export const emptyShop: Shop = {
  machines: [],
  cutters: [],
  holders: [],
  vises: [],
  parallels: [],
  rods: [],
  aids: [],
  instruments: [],
  houseRules: [],
  saws: [],
  bars: [],
};

export const instrumentById = (shop: Shop, id: string) => shop.instruments.find((i) => i.id === id);

const used = new WeakMap<Shop, Shop>();

/** The shop without what is retired: what plans use. Retired things stay for the jobs that name them. */
export function inUse(shop: Shop): Shop {
  const known = used.get(shop);
  if (known) return known;
  const made = Object.fromEntries(
    Object.entries(shop).map(([list, items]) => [
      list,
      (items as { retired: boolean }[]).filter((i) => !i.retired),
    ]),
  ) as unknown as Shop;
  used.set(shop, made);
  return made;
}
