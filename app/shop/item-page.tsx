import { Box, chakra } from "@chakra-ui/react";
import { useId, useState } from "react";
import { Link, useNavigate } from "react-router";
import { outlineOf } from "../../core/figure/index.ts";
import { materialsWith, noOwnValues } from "../../core/handbook/index.ts";
import { type LengthUnit, mm, showParts, showQuantity } from "../../core/quantity/index.ts";
import {
  checkItem,
  fieldText,
  holdersFor,
  readField,
  type ShopField,
  shopFields,
  type ShopItem,
  type ShopList,
  shopListWords,
  takes,
  valueOfField,
  withField,
} from "../../core/shop/index.ts";
import type { Outcome, Phrase } from "../../core/working/index.ts";
import { sayDone } from "../instruments/done.ts";
import { Button } from "../instruments/button.tsx";
import { EntryAngle } from "../instruments/entry-angle.tsx";
import { Input, Labeled, Select, TextArea } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { FigureView } from "../instruments/figure-view.tsx";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle } from "../instruments/section.tsx";
import { Words } from "../instruments/words.tsx";
import type { CheckedItem } from "../../core/sums/index.ts";
import { OwnChecks } from "./own-checks.tsx";
import { useShop } from "./use-shop.ts";

/** A value as it stands in its field: lengths in the person's unit. */
function textOf(item: ShopItem, field: ShopField, unit: LengthUnit): string {
  const value = valueOfField(item, field.key);
  if ((field.kind === "length" || field.kind === "signed") && unit === "in" && typeof value === "number")
    return (
      showParts(mm(value), "in", 5)
        .number.replace("−", "-")
        .replace(/\.?0+$/, "") || "0"
    );
  return fieldText(item, field);
}

/** One thing that is owned: every field is kept as soon as it is left and can be; what cannot be says why and stays typed. */
export function ItemPage({ list, item }: { list: ShopList; item: ShopItem }) {
  const { mine, save, saved } = useShop();
  const [unit] = useUnit();
  const navigate = useNavigate();
  const [waitingTexts, setTyped] = useState<{ [key: string]: string }>({});
  /** What the last save was made of: it comes back into its fields when another tab was first. */
  const [sent, setSent] = useState<{ [key: string]: string }>({});
  const conflict = saved !== null && !saved.ok && "theirs" in saved;
  const typed = conflict ? { ...sent, ...waitingTexts } : waitingTexts;
  const fields = shopFields[list];
  const words = shopListWords[list];
  const reads = new Map<string, Outcome<unknown>>(
    Object.entries(typed).map(([key, text]) => [
      key,
      readField(
        text,
        fields.find((f) => f.key === key)!,
        unit,
      ),
    ]),
  );
  /** The item with all that is typed and can be read. */
  const draft = [...reads].reduce(
    (made, [key, read]) => (read.ok ? withField(made, key, read.value) : made),
    item,
  );
  const findings = checkItem(list, draft);
  const stops = findings.filter((f) => f.severity === "stop");
  const unread = [...reads.values()].some((r) => !r.ok);
  const waiting = Object.keys(typed).length > 0;

  const keep = (next: ShopItem = draft, left = typed) => {
    if (checkItem(list, next).some((f) => f.severity === "stop")) return;
    setSent(left);
    // What cannot be read stays in its field.
    setTyped(
      Object.fromEntries(
        Object.entries(left).filter(
          ([key, text]) =>
            !readField(
              text,
              fields.find((f) => f.key === key)!,
              unit,
            ).ok,
        ),
      ),
    );
    if (JSON.stringify(next) !== JSON.stringify(item)) save(list, item.id, item, next);
  };
  const chooseNow = (field: ShopField, text: string) => {
    const left = { ...typed, [field.key]: text };
    const read = readField(text, field, unit);
    setTyped(left);
    if (read.ok) keep(withField(draft, field.key, read.value), left);
  };
  const groups = [...new Set(fields.map((f) => f.group))];
  const outline = outlineOf(list, draft, mine);
  return (
    <>
      <StationTitle
        above={
          <Link to={`/shop/${list}`} style={{ textDecoration: "underline" }}>
            {words.many}
          </Link>
        }
      >
        {item.name}
      </StationTitle>
      {outline && (
        <Box my="6px">
          <FigureView figure={outline} perMm={Math.min(4, 420 / outline.width, 120 / outline.height)} />
        </Box>
      )}
      {item.retired && (
        <Notice severity="note">
          Retired: left out of all plans.{" "}
          <Button onClick={() => save(list, item.id, item, { ...item, retired: false })}>
            Bring it back
          </Button>
        </Notice>
      )}
      {conflict && (
        <Notice severity="warn" role="alert">
          It was changed in another tab, so your last change was not saved. Yours is still in its field: press
          Enter there to save it.
        </Notice>
      )}
      {(stops.length > 0 || unread) && waiting && (
        <Notice severity="stop" role="status">
          Not saved yet: {unread ? "a field cannot be read." : null}{" "}
          {stops.map((f) => (
            <span key={f.key + f.severity}>
              <Words of={f.phrase} />{" "}
            </span>
          ))}
        </Notice>
      )}
      {findings
        .filter((f) => f.severity === "ask")
        .map((f) => (
          <Notice key={f.key} severity="warn" role="status">
            <Words of={f.phrase} />
          </Notice>
        ))}
      <Box columnGap="28px" columns={{ base: 1, lg: groups.length > 3 ? 2 : 1 }}>
        {groups.map((group) => (
          <Box
            as="fieldset"
            key={group}
            mb="14px"
            borderTopWidth="1.5px"
            borderColor="ink"
            pt="8px"
            breakInside="avoid"
          >
            <chakra.legend fontSize="14px" fontWeight="600" color="quiet" pr="10px">
              {group}
            </chakra.legend>
            <Box
              display="grid"
              gap="4px 18px"
              gridTemplateColumns={{
                base: "1fr 1fr",
                md: "repeat(3, minmax(0, 1fr))",
                lg: `repeat(${groups.length > 3 ? 3 : 4}, minmax(0, 1fr))`,
              }}
            >
              {fields
                .filter((f) => f.group === group)
                .map((field) => (
                  <ItemField
                    key={field.key}
                    list={list}
                    field={field}
                    text={typed[field.key] ?? textOf(item, field, unit)}
                    problem={problemOf(reads.get(field.key), stops, field, waiting)}
                    unit={unit}
                    item={draft}
                    onType={(text) => setTyped({ ...typed, [field.key]: text })}
                    onChoose={(text) => chooseNow(field, text)}
                    onLeave={() => keep()}
                  />
                ))}
            </Box>
            {group === "Inserts" && entersAtAngle(draft) && <EntryAngle />}
          </Box>
        ))}
      </Box>
      <OwnChecks list={list} item={item as CheckedItem} />
      <Box
        className="no-print"
        display="flex"
        gap="10px"
        flexWrap="wrap"
        mt="20px"
        borderTopWidth="1px"
        pt="12px"
      >
        {!item.retired && (
          <Button onClick={() => save(list, item.id, item, { ...item, retired: true })}>
            Retire: keep for old jobs, leave out of new plans
          </Button>
        )}
        <Button
          look="warn"
          onClick={() => {
            save(list, item.id, item, null);
            sayDone(`${item.name} removed from the shop.`, () => save(list, item.id, null, item));
            void navigate(`/shop/${list}`);
          }}
        >
          Remove it from the shop
        </Button>
        <chakra.span color="quiet" fontSize="13.5px" alignSelf="center">
          Either can be undone. {mine[list].length} in this drawer.
        </chakra.span>
      </Box>
    </>
  );
}

/** Whether its entering angle is anything but the square shoulder of an end mill: then it is drawn. */
const entersAtAngle = (item: ShopItem): boolean =>
  "enteringAngle" in item && (item.enteringAngle !== 90 || item.inserts !== "none");

function problemOf(
  read: Outcome<unknown> | undefined,
  stops: ReturnType<typeof checkItem>,
  field: ShopField,
  waiting: boolean,
): Phrase | null {
  if (read && !read.ok) return { parts: [read.reason, " ", read.suggestion] };
  return waiting ? (stops.find((f) => f.key === field.key)?.phrase ?? null) : null;
}

interface ItemFieldProps {
  list: ShopList;
  field: ShopField;
  text: string;
  problem: Phrase | null;
  unit: LengthUnit;
  item: ShopItem;
  onType: (text: string) => void;
  onChoose: (text: string) => void;
  onLeave: () => void;
}

function ItemField({ list, field, text, problem, unit, item, onType, onChoose, onLeave }: ItemFieldProps) {
  const { mine } = useShop();
  const id = useId();
  const isLength = field.kind === "length" || field.kind === "signed";
  const ofUnit = isLength ? unit : field.unit;
  const label = ofUnit ? `${field.label}, ${ofUnit}` : field.label;
  const value = valueOfField(item, field.key);
  const other =
    isLength && typeof value === "number"
      ? showQuantity(mm(value), unit === "mm" ? "in" : "mm", unit === "mm" ? 4 : 3)
      : "";
  const said = problem ? <Words of={problem} /> : [other, field.help].filter(Boolean).join(" · ");
  const choices = choicesOf(field, item, mine, list);
  const wide = field.kind === "speeds" || field.kind === "feeds";
  return (
    <Labeled label={label} htmlFor={id} gridColumn={wide ? { base: "1 / -1", md: "span 2" } : undefined}>
      {choices ? (
        <Select id={id} value={text} width="100%" onChange={(e) => onChoose(e.target.value)}>
          {choices.map(([v, words]) => (
            <option key={v} value={v}>
              {words}
            </option>
          ))}
        </Select>
      ) : field.kind === "speeds" ? (
        <TextArea
          id={id}
          value={text}
          rows={3}
          width="100%"
          py="6px"
          aria-invalid={problem !== null}
          aria-describedby={`${id}-said`}
          onChange={(e) => onType(e.target.value)}
          onBlur={onLeave}
        />
      ) : (
        <Input
          id={id}
          figure={field.kind !== "text"}
          value={text}
          width="100%"
          maxLength={200}
          type={field.kind === "date" ? "date" : "text"}
          aria-invalid={problem !== null}
          aria-describedby={`${id}-said`}
          onChange={(e) => onType(e.target.value)}
          onBlur={onLeave}
          onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
        />
      )}
      <chakra.div
        id={`${id}-said`}
        fontSize="12.5px"
        minH="18px"
        color={problem ? "stop" : "quiet"}
        role="status"
      >
        {problem && <span aria-hidden="true">■ </span>}
        {said}
      </chakra.div>
    </Labeled>
  );
}

/** What a field chooses from; null for one that is typed. */
function choicesOf(
  field: ShopField,
  item: ShopItem,
  mine: ReturnType<typeof useShop>["mine"],
  list: ShopList,
): (readonly [string, string])[] | null {
  const empty = field.mayBeEmpty ? [["", "any, or not known"] as const] : [];
  if (field.kind === "yes")
    return [
      ["yes", "yes"],
      ["no", "no"],
    ];
  if (field.kind === "choice") return [...empty, ...(field.options ?? [])];
  if (field.key === "material" && list === "houseRules")
    return [...empty, ...materialsWith(noOwnValues).map((m) => [m.id, m.name] as const)];
  if (field.kind !== "from" || !field.list) return null;
  const cutter = list === "cutters" ? mine.cutters.find((c) => c.id === item.id) : undefined;
  if (field.key === "holder" && cutter) {
    const now = { ...cutter, ...(item as typeof cutter) };
    const fits = new Set(holdersFor(now, mine).map((h) => h.id));
    return [
      ["", "the first that fits"],
      ...mine.holders
        .filter((h) => fits.has(h.id) || h.id === now.holder)
        .map((h) => [h.id, takes(h, now) ? h.name : `${h.name}: does not fit`] as const),
    ];
  }
  return [...empty, ...(mine[field.list] as ShopItem[]).map((i) => [i.id, i.name] as const)];
}
