import { demoShop, type Shop, shopSchema } from "../core/shop/index.ts";
import type { Database } from "./database.ts";

const key = "mine";

/** What is owned: the demo shop until the person's own is entered. */
export async function loadShop(db: Database): Promise<Shop> {
  const stored = shopSchema.safeParse(await db.shop.get(key));
  return stored.success ? stored.data : demoShop;
}

/** Adds what a job file used and this shop lacks; what is here stays as it is. Returns the names added. */
export async function addMissing(db: Database, used: Shop): Promise<string[]> {
  const mine = await loadShop(db);
  const added: string[] = [];
  const merged = Object.fromEntries(
    Object.entries(mine).map(([list, items]) => {
      const missing = used[list as keyof Shop].filter((item) => !items.some((own) => own.id === item.id));
      added.push(...missing.map((item) => ("name" in item ? item.name : item.id)));
      return [list, [...items, ...missing]];
    }),
  ) as unknown as Shop;
  if (added.length > 0) await db.shop.put(merged, key);
  return added;
}
