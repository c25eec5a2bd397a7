import { Undo2 } from "lucide-react";
import { Box } from "@chakra-ui/react";
import { Link, useFetcher } from "react-router";
import { type Shop, type ShopList, shopListNames, shopListWords } from "../../core/shop/index.ts";
import { TopLine } from "../frame/top-line.tsx";
import { Button } from "../instruments/button.tsx";
import { Icon } from "../instruments/icon.tsx";
import { useKeyboard } from "../instruments/keyboard.ts";
import { SideList } from "../instruments/side-list.tsx";
import { Notice } from "../instruments/notice.tsx";
import type { ShopSaved } from "../../store/index.ts";
import { ItemPage } from "./item-page.tsx";
import { ListPage } from "./list-page.tsx";
import { ShopDoor } from "./shop-door.tsx";
import type { ShopIntent } from "./shop-intent.ts";
import { ShopContext, type ShopContextValue } from "./use-shop.ts";

/** The shop: its drawers at the left, one of them open. Every change is kept at once and can be undone. */
export function ShopFrame({
  mine,
  undos,
  list,
  itemId,
}: {
  mine: Shop;
  /** How many changes can be undone. */
  undos: number;
  list: ShopList | null;
  itemId: string | null;
}) {
  const fetcher = useFetcher<ShopSaved>();
  const busy = fetcher.state !== "idle";
  const send = (intent: ShopIntent) =>
    // As text: what is left out of a thing is no JSON value of its own.
    void fetcher.submit(JSON.stringify(intent), { method: "post", encType: "application/json" });
  const undo = () => {
    if (undos > 0) send({ intent: "undo" });
  };
  useKeyboard(
    { "Ctrl+z": ["undo a change of the shop", undo] },
    { single: false, onInstrument: () => undefined },
  );
  const value: ShopContextValue = {
    mine,
    save: (of, id, from, to) => send({ intent: "save", list: of, id, from, to }),
    addSet: (adds) => send({ intent: "addSet", adds }),
    importList: (of, items) => send({ intent: "import", list: of, items }),
    saved: busy ? null : (fetcher.data ?? null),
  };
  const item = list && itemId ? mine[list].find((i) => i.id === itemId) : undefined;
  return (
    <ShopContext.Provider value={value}>
      <TopLine place="Shop" detail={busy ? "saving" : "saved in this browser"}>
        <Button onClick={undo} disabled={undos === 0} title="Undo (Ctrl+Z)">
          <Icon of={Undo2} /> Undo
        </Button>
      </TopLine>
      <Box display="flex" flexDirection={{ base: "column", md: "row" }} alignItems="stretch">
        <SideList
          label="Drawers of the shop"
          chosen={list}
          rooms={shopListNames.map((of) => ({
            id: of,
            to: `/shop/${of}`,
            name: shopListWords[of].many,
            more: mine[of].filter((item) => !item.retired).length || "none yet",
          }))}
        />
        <Box as="main" flex="1" minW="0" px={{ base: "14px", md: "24px" }} py="16px">
          {list === null ? (
            <ShopDoor />
          ) : itemId === null ? (
            <ListPage list={list} key={list} />
          ) : item ? (
            <ItemPage list={list} item={item} key={`${list}/${item.id}`} />
          ) : (
            <Notice severity="note">
              That {shopListWords[list].one} is not in the shop.{" "}
              <Link to={`/shop/${list}`} style={{ textDecoration: "underline" }}>
                All {shopListWords[list].many.toLowerCase()}
              </Link>
            </Notice>
          )}
        </Box>
      </Box>
    </ShopContext.Provider>
  );
}
