import { FileOutput, Plus } from "lucide-react";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { outlineOf } from "../../core/figure/index.ts";
import { readShopCsv, type ReadCsv, writeShopCsv } from "../../core/exchange/index.ts";
import { mm, showQuantity } from "../../core/quantity/index.ts";
import {
  blankItem,
  fieldText,
  holderOf,
  type ShopField,
  shopFields,
  type ShopItem,
  type ShopList,
  shopListWords,
  valueOfField,
} from "../../core/shop/index.ts";
import type { Phrase } from "../../core/working/index.ts";
import { newId } from "../../store/index.ts";
import { sayDone } from "../instruments/done.ts";
import { DataTable } from "../instruments/data-table.tsx";
import { Button } from "../instruments/button.tsx";
import { Icon } from "../instruments/icon.tsx";
import { download } from "../instruments/download.ts";
import { FileChoice } from "../instruments/file-choice.tsx";
import { Field } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { FigureView } from "../instruments/figure-view.tsx";
import { StationTitle } from "../instruments/section.tsx";
import { Words } from "../instruments/words.tsx";
import { useShop } from "./use-shop.ts";

/** Value of a field as it stands in the table, in the person's unit. */
function useShown() {
  const [unit] = useUnit();
  const { mine } = useShop();
  return (item: ShopItem, field: ShopField): string => {
    const value = valueOfField(item, field.key);
    if (value === null || value === undefined || value === "") return "–";
    if ((field.kind === "length" || field.kind === "signed") && typeof value === "number")
      return showQuantity(mm(value), unit, unit === "mm" ? (Math.abs(value) < 0.1 ? 3 : 2) : 4);
    if (field.options) return field.options.find(([v]) => v === value)?.[1] ?? fieldText(item, field);
    if (field.list) return mine[field.list].find((i) => i.id === value)?.name ?? fieldText(item, field);
    return `${fieldText(item, field)}${field.unit ? ` ${field.unit}` : ""}`;
  };
}

/** Where an item stands: as a search, so that one kept document serves them all. */
const itemPath = (list: ShopList, id: string) => `/shop/${list}?item=${encodeURIComponent(id)}`;

/** One drawer: everything in it, to search, sort, add, copy, retire, and carry in and out as CSV. */
export function ListPage({ list }: { list: ShopList }) {
  const { mine, save } = useShop();
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const shown = useShown();
  const words = shopListWords[list];
  const fields = shopFields[list].filter((f) => f.column);
  const search = params.get("find") ?? "";
  const sortKey = params.get("sort") ?? "";
  const down = params.get("down") === "1";
  const withRetired = params.get("retired") === "1";
  const put = (values: { [key: string]: string }) =>
    setParams(
      (now) => {
        for (const [key, value] of Object.entries(values))
          if (value) now.set(key, value);
          else now.delete(key);
        return now;
      },
      { replace: true },
    );
  const items = mine[list] as ShopItem[];
  const drawn = items.filter((item) => withRetired || !item.retired);
  const columns = fields.map((field, i) => ({
    id: field.key,
    head: field.label,
    value: (item: ShopItem) => sortValue(item, field),
    figure: isFigure(field),
    cell: (item: ShopItem) =>
      i === 0 ? <NameCell list={list} item={item} name={shown(item, field)} /> : shown(item, field),
  }));
  const retired = items.filter((i) => i.retired).length;
  const add = (item: ShopItem) => {
    save(list, item.id, null, item);
    void navigate(itemPath(list, item.id));
  };
  return (
    <>
      <StationTitle above="Shop">{words.many}</StationTitle>
      <Box className="no-print" display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end" mb="10px">
        <Field
          label="Search"
          type="search"
          value={search}
          onChange={(e) => put({ find: e.target.value })}
          width="220px"
        />
        <Button look="strong" onClick={() => add(blankItem(list, newId()))}>
          <Icon of={Plus} /> Add a {words.one}
        </Button>
        {items.length > 0 && (
          <Button onClick={() => download(`${list}.csv`, writeShopCsv(list, items), "text/csv")}>
            <Icon of={FileOutput} /> Export as CSV
          </Button>
        )}
        <CsvImport list={list} />
        {retired > 0 && (
          <Button
            look="quiet"
            aria-pressed={withRetired}
            onClick={() => put({ retired: withRetired ? "" : "1" })}
          >
            {withRetired ? "Hide" : "Show"} {retired} retired
          </Button>
        )}
      </Box>
      {items.length === 0 ? (
        <Notice severity="note">
          This drawer is empty. Add a {words.one}, import a CSV file, or{" "}
          <Link to="/shop" style={{ textDecoration: "underline" }}>
            start from a set
          </Link>
          .
        </Notice>
      ) : (
        <DataTable
          label={words.many}
          rows={drawn}
          columns={columns}
          keyOf={(item) => item.id}
          search={search}
          holds={(item, wanted) => fields.some((f) => shown(item, f).toLowerCase().includes(wanted))}
          sorted={sortKey ? { by: sortKey, down } : null}
          onSort={(to) => put({ sort: to?.by ?? "", down: to?.down ? "1" : "" })}
          actions={(item) => (
            <ItemActions
              list={list}
              item={item}
              onCopy={() => add({ ...item, id: newId(), name: `${item.name}, copy` })}
            />
          )}
          none={<Notice severity="note">Nothing here matches "{search}". Try a shorter word.</Notice>}
          maxH="calc(100vh - 220px)"
          rowProps={(item) => ({ opacity: item.retired ? 0.75 : 1 })}
        />
      )}
    </>
  );
}

const isFigure = ({ kind }: ShopField) =>
  kind === "length" || kind === "signed" || kind === "number" || kind === "whole";

/** What an item is sorted by: a number as it is, a word as it is shown. */
function sortValue(item: ShopItem, field: ShopField): string | number | null {
  const value = valueOfField(item, field.key);
  return typeof value === "number" || typeof value === "string"
    ? value === ""
      ? null
      : value
    : fieldText(item, field) || null;
}

const ItemLink = chakra(Link);

/** Pixels a mm: one scale a drawer, so that sizes compare. */
const outlineScale: Partial<Record<ShopList, number>> = { holders: 0.3, vises: 0.3 };

/** An item by its name, with what speaks against it. */
function NameCell({ list, item, name }: { list: ShopList; item: ShopItem; name: string }) {
  const { mine } = useShop();
  const cutter = list === "cutters" ? mine.cutters.find((c) => c.id === item.id) : undefined;
  const holder = cutter ? holderOf(cutter, mine) : null;
  const outline = outlineOf(list, item, mine);
  return (
    <Box display="flex" gap="10px" alignItems="center">
      {outline && (
        <Box width="96px" display="flex" justifyContent="flex-end" flexShrink={0} overflow="hidden">
          <FigureView figure={outline} perMm={outlineScale[list] ?? 0.5} />
        </Box>
      )}
      <Box>
        <ItemLink
          to={itemPath(list, item.id)}
          fontSize="14.5px"
          color="ink"
          textDecoration="underline"
          display="inline-block"
          minH="28px"
        >
          {name}
        </ItemLink>
        {item.retired && <chakra.span color="quiet"> retired</chakra.span>}
        {holder && !holder.ok && (
          <chakra.div color="warn" fontSize="12.5px" maxW="340px" fontWeight="400">
            <span aria-hidden="true">▲ </span>
            <Words of={holder.reason} />
          </chakra.div>
        )}
      </Box>
    </Box>
  );
}

function ItemActions({ list, item, onCopy }: { list: ShopList; item: ShopItem; onCopy: () => void }) {
  const { save } = useShop();
  return (
    <>
      <Button look="quiet" onClick={onCopy} aria-label={`Copy ${item.name}`}>
        copy
      </Button>
      <Button
        look="quiet"
        aria-label={`${item.retired ? "Bring back" : "Retire"} ${item.name}`}
        onClick={() => {
          const turned = { ...item, retired: !item.retired };
          save(list, item.id, item, turned);
          if (turned.retired) sayDone(`${item.name} retired.`, () => save(list, item.id, turned, item));
        }}
      >
        {item.retired ? "bring back" : "retire"}
      </Button>
    </>
  );
}

/** Reads a CSV, shows what would come in and which lines are skipped, and waits for a press. */
function CsvImport({ list }: { list: ShopList }) {
  const { mine, importList } = useShop();
  const [read, setRead] = useState<ReadCsv | null>(null);
  const [problem, setProblem] = useState<{ reason: Phrase; suggestion: Phrase } | null>(null);
  const choose = async (file: File) => {
    setRead(null);
    setProblem(null);
    const outcome = readShopCsv(list, await file.text());
    if (outcome.ok) setRead(outcome.value);
    else setProblem(outcome);
  };
  const known = new Set((mine[list] as ShopItem[]).map((i) => i.id));
  const replaced = read?.items.filter((i) => known.has(i.id)).length ?? 0;
  const many = shopListWords[list].many.toLowerCase();
  return (
    <Box flexBasis={read || problem ? "100%" : "auto"}>
      <FileChoice label="Import CSV" accept=".csv,text/csv" onChoose={(file) => void choose(file)} />
      {problem && (
        <Notice severity="stop" role="alert">
          <Words of={problem.reason} /> <Words of={problem.suggestion} /> Nothing was changed.
        </Notice>
      )}
      {read && (
        <Notice severity={read.rejected.length > 0 ? "warn" : "note"} role="status">
          {read.items.length} {many} can be read, {replaced} of them replace what is here
          {read.rejected.length > 0 && `; ${read.rejected.length} lines are skipped`}.{" "}
          <Button
            look="strong"
            disabled={read.items.length === 0}
            onClick={() => {
              importList(list, read.items);
              setRead(null);
            }}
          >
            Take {read.items.length}
          </Button>{" "}
          <Button onClick={() => setRead(null)}>Import none</Button>
          {read.rejected.length > 0 && (
            <Box
              as="ul"
              listStyleType="none"
              maxH="220px"
              overflowY="auto"
              mt="6px"
              fontSize="14px"
              tabIndex={0}
            >
              {read.rejected.map((r) => (
                <li key={r.line}>
                  Line {r.line}: <Words of={r.reason} />
                </li>
              ))}
            </Box>
          )}
        </Notice>
      )}
    </Box>
  );
}
