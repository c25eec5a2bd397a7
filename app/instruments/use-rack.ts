import { useFetcher } from "react-router";
import type { ShopItem } from "../../core/shop/index.ts";
import type { ShopSaved } from "../../store/index.ts";
import type { ShopIntent } from "../shop/shop-intent.ts";
import { sayDone } from "./done.ts";

/** Changes of what is owned from outside the shop: bars that are reserved or sawn, a saw that was measured. */
export function useRack() {
  const fetcher = useFetcher<ShopSaved>();
  const send = (intent: ShopIntent) =>
    void fetcher.submit(JSON.stringify(intent), {
      method: "post",
      action: "/shop/bars",
      encType: "application/json",
    });
  const answer = fetcher.state === "idle" ? fetcher.data : undefined;
  return {
    busy: fetcher.state !== "idle",
    /** What came back for the last change, where it was not kept. */
    refused: answer && !answer.ok ? answer : null,
    /** Keeps a thing against what stood there; said with its undo. Null takes it out. */
    save: (list: "bars" | "saws", from: ShopItem, to: ShopItem | null, said?: string) => {
      send({ intent: "save", list, id: from.id, from, to });
      if (said) sayDone(said, () => send({ intent: "save", list, id: from.id, from: to, to: from }));
    },
    /** Keeps several bars, or none of them. */
    saveAll: (pairs: { from: ShopItem; to: ShopItem }[], said: string) => {
      send({ intent: "saveAll", list: "bars", pairs });
      sayDone(said, () =>
        send({
          intent: "saveAll",
          list: "bars",
          pairs: pairs.map(({ from, to }) => ({ from: to, to: from })),
        }),
      );
    },
  };
}
