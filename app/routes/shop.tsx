import { data } from "react-router";
import { shopListNames } from "../../core/shop/index.ts";
import {
  addMissing,
  database,
  importItems,
  loadMine,
  saveItem,
  saveItems,
  type ShopSaved,
  shopUndos,
  undoable,
  undoShop,
} from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import type { ShopIntent } from "../shop/shop-intent.ts";
import { ShopFrame } from "../shop/shop-frame.tsx";
import { ShopSkeleton } from "../shop/shop-skeleton.tsx";
import type { Route } from "./+types/shop.ts";

export const meta = () => [{ title: "Shop · Firm Arbor" }];

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const list = shopListNames.find((l) => l === params.list) ?? null;
  if (params.list && !list) throw data("There is no such drawer in the shop.", { status: 404 });
  const db = database();
  return {
    mine: await loadMine(db),
    undos: await shopUndos(db),
    list,
    item: new URL(request.url).searchParams.get("item"),
  };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs): Promise<ShopSaved> {
  const db = database();
  const asked = (await request.json()) as ShopIntent;
  switch (asked.intent) {
    case "save":
      return undoable(db, () => saveItem(db, asked.list, asked.id, asked.from, asked.to));
    case "saveAll":
      return undoable(db, () => saveItems(db, asked.list, asked.pairs));
    case "addSet":
      await undoable(db, () => addMissing(db, asked.adds));
      return { ok: true };
    case "import":
      await undoable(db, () => importItems(db, asked.list, asked.items));
      return { ok: true };
    case "undo":
      await undoShop(db);
      return { ok: true };
  }
}

export function HydrateFallback() {
  return <ShopSkeleton />;
}

export default function ShopPage({ loaderData }: Route.ComponentProps) {
  const { mine, undos, list, item } = loaderData;
  return <ShopFrame mine={mine} undos={undos} list={list} itemId={item} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="What was entered before is still saved in this browser." />;
}
