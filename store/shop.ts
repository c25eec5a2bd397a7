import {
  type OwnHandbook,
  type Material,
  materialSchema,
  noOwnValues,
  ownHandbookSchema,
} from "../core/handbook/index.ts";
import { sameJson } from "../core/job/index.ts";
import {
  type Bar,
  checkItem,
  demoShop,
  emptyShop,
  type Shop,
  type ShopFinding,
  type ShopItem,
  type ShopList,
  shopListNames,
  shopSchema,
  upgradeShop,
} from "../core/shop/index.ts";
import { type Database, shopKey } from "./database.ts";

/** Lists without which nothing can be planned: while one is empty, the demo shop's stands in, and it is said. */
const needed = ["machines", "cutters", "vises"] as const satisfies ShopList[];

export interface Equipment {
  /** What is owned, with stand-ins where a list is still empty. Without the bars: no plan hangs on what lies in the rack. */
  shop: Shop;
  /** With bars that are used up: what was sawn from them is known still. */
  rack: Bar[];
  standIns: ShopList[];
  own: OwnHandbook;
}

/** What the person entered; empty until then. Throws when what is kept cannot be read: nothing is then overwritten. */
export async function loadMine(db: Database): Promise<Shop> {
  const stored: unknown = await db.shop.get(shopKey);
  if (stored === undefined) return emptyShop;
  // One kept by an earlier version lacks what came since: it is filled in, and written so with the next change.
  const parsed = shopSchema.safeParse(upgradeShop(stored as { [key: string]: unknown }));
  if (!parsed.success)
    throw new Error(
      `the shop kept in this browser cannot be read (${parsed.error.issues[0]?.path.join("/") ?? ""}): reload to get the newer app`,
    );
  return parsed.data;
}

/** What plans reckon with: the person's shop, stand-ins said, and their own handbook values. */
export async function loadEquipment(db: Database): Promise<Equipment> {
  const mine = await loadMine(db);
  const standIns = needed.filter((list) => mine[list].every((item) => item.retired));
  // Holders, parallels and rods come with the drawer they belong to.
  const withDrawer: Partial<Shop> = standIns.includes("cutters")
    ? { holders: [...mine.holders, ...demoShop.holders], instruments: mine.instruments }
    : {};
  const withVise: Partial<Shop> = standIns.includes("vises")
    ? { parallels: [...mine.parallels, ...demoShop.parallels], rods: [...mine.rods, ...demoShop.rods] }
    : {};
  const shop = {
    ...mine,
    bars: [],
    ...withDrawer,
    ...withVise,
    ...Object.fromEntries(standIns.map((list) => [list, [...mine[list], ...demoShop[list]]])),
    instruments: mine.instruments.length > 0 ? mine.instruments : demoShop.instruments,
  };
  return {
    shop,
    rack: mine.bars.filter((bar) => !bar.retired || bar.sawn.length > 0),
    standIns,
    own: await loadOwn(db),
  };
}

/** The shop as plans reckon with it. */
export const loadShop = async (db: Database): Promise<Shop> => (await loadEquipment(db)).shop;

export type ShopSaved =
  | { ok: true }
  /** Changed elsewhere since it was opened: what stands there now. */
  | { ok: false; theirs: ShopItem | null }
  | { ok: false; findings: ShopFinding[] };

/** The list without the item of this id, or with it replaced in its place; a new one goes to the end. */
function put(items: readonly ShopItem[], id: string, item: ShopItem | null): ShopItem[] {
  const at = items.findIndex((i) => i.id === id);
  const others = items.filter((i) => i.id !== id);
  if (!item) return others;
  return at === -1 ? [...items, item] : items.with(at, item);
}

/**
 * Keeps an item in one transaction. What stands there now must be `from` (null: nothing), else nothing is written. An item
 * that cannot be is refused with what is wrong.
 * @param to null takes it out
 */
export async function saveItem(
  db: Database,
  list: ShopList,
  id: string,
  from: ShopItem | null,
  to: ShopItem | null,
): Promise<ShopSaved> {
  const findings = to ? checkItem(list, to).filter((f) => f.severity === "stop") : [];
  if (findings.length > 0) return { ok: false, findings };
  return db.transaction("rw", db.shop, async () => {
    const mine = await loadMine(db);
    const now = (mine[list] as ShopItem[]).find((i) => i.id === id) ?? null;
    if (!sameJson(now, from)) return { ok: false, theirs: now };
    await db.shop.put({ ...mine, [list]: put(mine[list], id, to) }, shopKey);
    return { ok: true };
  });
}

/** Keeps several items of a list, or none: what stands there now must be each one's `from`. */
export async function saveItems(
  db: Database,
  list: ShopList,
  pairs: readonly { from: ShopItem; to: ShopItem }[],
): Promise<ShopSaved> {
  const findings = pairs.flatMap(({ to }) => checkItem(list, to).filter((f) => f.severity === "stop"));
  if (findings.length > 0) return { ok: false, findings };
  return db.transaction("rw", db.shop, async () => {
    const mine = await loadMine(db);
    const nowOf = (id: string) => (mine[list] as ShopItem[]).find((i) => i.id === id) ?? null;
    const changed = pairs.find(({ from }) => !sameJson(nowOf(from.id), from));
    if (changed) return { ok: false, theirs: nowOf(changed.from.id) };
    const items = pairs.reduce<ShopItem[]>((all, { to }) => put(all, to.id, to), mine[list]);
    await db.shop.put({ ...mine, [list]: items }, shopKey);
    return { ok: true };
  });
}

/** Adds what is not there yet by id; what is there stays as it is. Returns the names added. */
export async function addMissing(db: Database, used: Shop): Promise<string[]> {
  return db.transaction("rw", db.shop, async () => {
    const mine = await loadMine(db);
    const added: string[] = [];
    const merged = Object.fromEntries(
      shopListNames.map((list) => {
        const missing = (used[list] as ShopItem[]).filter(
          (item) => !mine[list].some((own) => own.id === item.id),
        );
        added.push(...missing.map((item) => item.name));
        return [list, [...mine[list], ...missing]];
      }),
    ) as unknown as Shop;
    if (added.length > 0) await db.shop.put(merged, shopKey);
    return added;
  });
}

/** What is reserved of a bar and was sawn from it stands in no column: a file that brings the bar anew leaves it as it is. */
const withReserved = (item: ShopItem, known: ShopItem | undefined): ShopItem =>
  "claims" in item && known && "claims" in known ? { ...item, claims: known.claims, sawn: known.sawn } : item;

/** Puts read items into a list: those with an id that is there replace it. */
export async function importItems(db: Database, list: ShopList, items: ShopItem[]): Promise<void> {
  return db.transaction("rw", db.shop, async () => {
    const before = await loadMine(db);
    const known = new Map((before[list] as ShopItem[]).map((item) => [item.id, item]));
    const after = items.reduce<ShopItem[]>(
      (all, item) => put(all, item.id, withReserved(item, known.get(item.id))),
      before[list],
    );
    await db.shop.put({ ...before, [list]: after }, shopKey);
  });
}

/** Shops as they were before each change, oldest first; more than this many are forgotten. */
const mostUndone = 30;
const undoKey = (n: number) => `undo-${String(n).padStart(9, "0")}`;
const undoKeys = (db: Database) => db.shop.where(":id").startsWith("undo-").primaryKeys();

/** Runs a change of the shop and keeps how it was before, when it changed anything. */
export async function undoable<T>(db: Database, change: () => Promise<T>): Promise<T> {
  return db.transaction("rw", db.shop, async () => {
    const before = await loadMine(db);
    const result = await change();
    if (!sameJson(before, await loadMine(db))) {
      const keys = await undoKeys(db);
      await db.shop.put(before, undoKey(Number(keys.at(-1)?.slice(5) ?? 0) + 1));
      await db.shop.bulkDelete(keys.slice(0, -mostUndone));
    }
    return result;
  });
}

/** How many changes of the shop can be undone. */
export const shopUndos = (db: Database): Promise<number> => db.shop.where(":id").startsWith("undo-").count();

/** Puts the shop back as it was before the last change; false when there is none. */
export async function undoShop(db: Database): Promise<boolean> {
  return db.transaction("rw", db.shop, async () => {
    const last = (await undoKeys(db)).at(-1);
    const before = last === undefined ? undefined : await db.shop.get(last);
    if (!before) return false;
    await db.shop.put(before, shopKey);
    await db.shop.delete(last!);
    return true;
  });
}

/** The person's own handbook values. */
export async function loadOwn(db: Database): Promise<OwnHandbook> {
  const stored = ownHandbookSchema.safeParse(await db.own.get(shopKey));
  return stored.success ? stored.data : noOwnValues;
}

/** Adds own values of materials that have none here; those here stay as they are. Returns the names added. */
export async function addMissingMaterials(db: Database, came: OwnHandbook["materials"]): Promise<string[]> {
  return db.transaction("rw", db.own, async () => {
    const { materials } = await loadOwn(db);
    const missing = Object.entries(came).filter(([id]) => !(id in materials));
    if (missing.length > 0)
      await db.own.put({ materials: { ...materials, ...Object.fromEntries(missing) } }, shopKey);
    return missing.map(([, material]) => `own values of ${material.name}`);
  });
}

/** Keeps a changed or added material; null takes the person's values back. Refuses one that cannot be, in words. */
export async function saveMaterial(
  db: Database,
  id: string,
  material: Material | null,
): Promise<{ ok: true } | { ok: false; problem: string }> {
  const parsed = material ? materialSchema.safeParse(material) : null;
  if (parsed && !parsed.success) {
    const issue = parsed.error.issues[0];
    return { ok: false, problem: `${issue?.path.join(" ") ?? ""}: ${issue?.message ?? "not valid"}` };
  }
  await db.transaction("rw", db.own, async () => {
    const { materials } = await loadOwn(db);
    const others = Object.fromEntries(Object.entries(materials).filter(([other]) => other !== id));
    await db.own.put({ materials: parsed ? { ...others, [id]: parsed.data } : others }, shopKey);
  });
  return { ok: true };
}
