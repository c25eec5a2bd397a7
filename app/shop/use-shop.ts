import { createContext, useContext } from "react";
import type { Shop, ShopItem, ShopList } from "../../core/shop/index.ts";
import type { ShopSaved } from "../../store/index.ts";

/** What a page of the shop knows and can do. */
export interface ShopContextValue {
  mine: Shop;
  /** Keeps an item against what stood there; null takes it out. Can be undone. */
  save: (list: ShopList, id: string, from: ShopItem | null, to: ShopItem | null) => void;
  addSet: (adds: Shop) => void;
  importList: (list: ShopList, items: ShopItem[]) => void;
  /** What came back for the last save; null while under way. */
  saved: ShopSaved | null;
}

export const ShopContext = createContext<ShopContextValue | null>(null);

export function useShop(): ShopContextValue {
  const value = useContext(ShopContext);
  if (!value) throw new Error("a drawer stands outside the shop");
  return value;
}
