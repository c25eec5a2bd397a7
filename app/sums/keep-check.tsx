import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { Link, useFetcher } from "react-router";
import { ageOfCheck, type Shop } from "../../core/shop/index.ts";
import { mm, showQuantity } from "../../core/quantity/index.ts";
import { type CheckedItem, type Sum, withCheck, type WorkedSum } from "../../core/sums/index.ts";
import type { ShopSaved } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { Choice } from "../instruments/choice.tsx";
import { Notice } from "../instruments/notice.tsx";

/** The shop comes when a check is looked at: sums need none. */
async function loadShop(): Promise<Shop> {
  const [{ database }, { loadMine }] = await Promise.all([
    import("../../store/database.ts"),
    import("../../store/shop.ts"),
  ]);
  return loadMine(database());
}

const now = () => new Date().toISOString();

/** What a check found is kept with the thing it was made of: it replaces the guess, has a date, and goes stale. */
export function KeepCheck({ sum, worked }: { sum: Sum; worked: WorkedSum }) {
  const { keeps } = sum;
  const fetcher = useFetcher<ShopSaved>();
  const [shop, setShop] = useState<Shop | null>(null);
  const [chosen, setChosen] = useState("");
  useEffect(() => {
    let current = true;
    if (fetcher.state === "idle")
      void loadShop().then(
        (mine) => current && setShop(mine),
        () => current && setShop(null),
      );
    return () => {
      current = false;
    };
  }, [fetcher.state]);
  if (!keeps || !shop) return null;
  const items = (shop[keeps.list] as CheckedItem[]).filter((item) => keeps.fits(item));
  const item = items.find((i) => i.id === chosen) ?? items[0];
  if (!item)
    return (
      <Notice severity="note">
        Nothing in your shop to keep this with. Enter it in the{" "}
        <Link to={`/shop/${keeps.list}`} style={{ textDecoration: "underline" }}>
          shop
        </Link>
        : then every plan uses it.
      </Notice>
    );
  const last = item.checks?.[sum.id];
  const age = last && ageOfCheck(last, keeps.lasts, now());
  const save = () => {
    const entered = {
      n: (key: string) => Number(worked.fields.find((f) => f.key === key)?.value ?? NaN),
      c: (key: string) => String(worked.fields.find((f) => f.key === key)?.value ?? ""),
    };
    const texts = Object.fromEntries(worked.fields.map((f) => [f.key, f.text]));
    const to = withCheck(item, sum.id, keeps, entered, { on: now().slice(0, 10), texts, unit: worked.unit });
    const intent = { intent: "save", list: keeps.list, id: item.id, from: item, to };
    void fetcher.submit(JSON.stringify(intent), {
      method: "post",
      action: "/shop",
      encType: "application/json",
    });
  };
  const refused = fetcher.data && !fetcher.data.ok;
  return (
    <Box className="no-print" borderWidth="1.5px" borderColor="accent" p="10px" mb="12px">
      <Box display="flex" gap="10px" alignItems="flex-end" flexWrap="wrap">
        <Choice
          label="Keep it with"
          value={item.id}
          options={items.map((i) => [i.id, i.name] as const)}
          onChoose={setChosen}
        />
        <Button look="strong" disabled={!worked.answer || fetcher.state !== "idle"} onClick={save}>
          Save to the shop
        </Button>
      </Box>
      <chakra.p fontSize="14px" mt="6px" role="status" color={refused ? "stop" : "quiet"}>
        {refused
          ? "Not saved: it was changed in another tab, or the figure cannot be. Look at it in the shop."
          : last && age
            ? `Last tried ${last.on}: ${showQuantity(mm(last.found), worked.unit, worked.unit === "mm" ? 3 : 4)}${age.stale ? `, ${age.days} days ago: try it anew` : ""}.`
            : "Not tried yet."}{" "}
        <Link to={`/shop/${keeps.list}?item=${item.id}`} style={{ textDecoration: "underline" }}>
          {item.name}
        </Link>
      </chakra.p>
    </Box>
  );
}
