import type { Shop, ShopItem, ShopList } from "../../core/shop/index.ts";

/** What a page of the shop can ask for. */
export type ShopIntent =
  | { intent: "save"; list: ShopList; id: string; from: ShopItem | null; to: ShopItem | null }
  | { intent: "saveAll"; list: ShopList; pairs: { from: ShopItem; to: ShopItem }[] }
  | { intent: "addSet"; adds: Shop }
  | { intent: "import"; list: ShopList; items: ShopItem[] }
  | { intent: "undo" };
