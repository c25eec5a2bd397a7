import type { OwnCheck, ShopItem, ShopList } from "../../shop/index.ts";
import type { Mm } from "../../quantity/index.ts";
import type { Entered } from "../entered.ts";

/** Lists whose things can be tried. */
export type CheckedList = Extract<ShopList, "machines" | "vises" | "cutters" | "parallels" | "instruments">;
export type CheckedItem = ShopItem<CheckedList>;

/** What a sum finds of a thing in the shop: it replaces a guess, has a date, and goes stale. */
export interface Keeps {
  list: CheckedList;
  /** Days until it is to be tried again (guess). */
  lasts: number;
  /** Whether it can be tried on this one. */
  fits: (item: CheckedItem) => boolean;
  /** The figure that is kept, mm. */
  found: (entered: Entered) => Mm;
  /** The thing with what was found. @param on the day, yyyy-mm-dd */
  into: (item: CheckedItem, entered: Entered, on: string) => CheckedItem;
}

/** What is kept of a check, written for the things of one list. */
export const keeps = <L extends CheckedList>(
  list: L,
  of: {
    lasts: number;
    fits?: (item: ShopItem<L>) => boolean;
    found: (entered: Entered) => Mm;
    into: (item: ShopItem<L>, entered: Entered, on: string) => ShopItem<L>;
  },
): Keeps => ({
  list,
  lasts: of.lasts,
  fits: (item) => !item.retired && (of.fits?.(item) ?? true),
  found: of.found,
  into: (item, entered, on) => of.into(item, entered, on),
});

/** A thing with the check that was made of it: what it says, and the record of it. */
export function withCheck(
  item: CheckedItem,
  id: string,
  kept: Keeps,
  entered: Entered,
  record: Omit<OwnCheck, "found">,
): CheckedItem {
  const made = kept.into(item, entered, record.on);
  return { ...made, checks: { ...item.checks, [id]: { ...record, found: kept.found(entered) } } };
}
