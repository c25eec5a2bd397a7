import { data } from "react-router";
import { type Shop, type ShopItem, type ShopList, shopListNames } from "../../core/shop/index.ts";
import {
  addMissing,
  database,
  importItems,
  loadMine,
  restoreShop,
  saveItem,
  type ShopSaved,
} from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import { ShopFrame } from "../shop/shop-frame.tsx";
import { ShopSkeleton } from "../shop/shop-skeleton.tsx";
import type { Route } from "./+types/shop.ts";

export const meta = () => [{ title: "Shop · Firm Arbor" }];

/** What a page of the shop can ask for. Each answers with the shop as it was, so that it can be undone. */
export type ShopIntent =
  | { intent: "save"; list: ShopList; id: string; from: ShopItem | null; to: ShopItem | null }
  | { intent: "addSet"; adds: Shop }
  | { intent: "import"; list: ShopList; items: ShopItem[] }
  | { intent: "restore"; shop: Shop };

export type ShopAnswer = { saved: ShopSaved; before: Shop };

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const list = shopListNames.find((l) => l === params.list) ?? null;
  // eslint-disable-next-line @typescript-eslint/only-throw-error -- React Router's way to answer with a status
  if (params.list && !list) throw data("There is no such drawer in the shop.", { status: 404 });
  return { mine: await loadMine(database()), list, item: new URL(request.url).searchParams.get("item") };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs): Promise<ShopAnswer> {
  const db = database();
  const before = await loadMine(db);
  const asked = (await request.json()) as ShopIntent;
  switch (asked.intent) {
    case "save":
      return { saved: await saveItem(db, asked.list, asked.id, asked.from, asked.to), before };
    case "addSet":
      await addMissing(db, asked.adds);
      return { saved: { ok: true }, before };
    case "import":
      await importItems(db, asked.list, asked.items);
      return { saved: { ok: true }, before };
    case "restore":
      await restoreShop(db, asked.shop);
      return { saved: { ok: true }, before };
  }
}

export function HydrateFallback() {
  return <ShopSkeleton />;
}

export default function ShopPage({ loaderData }: Route.ComponentProps) {
  const { mine, list, item } = loaderData;
  return <ShopFrame mine={mine} list={list} itemId={item} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="What was entered before is still kept in this browser." />;
}
