import { parseLength, showFixed } from "../quantity/index.ts";
import { done, entryProblem, type Outcome, refused, say, words } from "../working/index.ts";
import type { ShopField } from "./fields.ts";
import type { SpeedRange } from "./machine.ts";
import { readSpeedText, speedText } from "./speed-text.ts";

type Item = { [key: string]: unknown };

/** The value at a dotted path; undefined where there is none. */
export const valueOfField = (item: object, key: string): unknown =>
  key
    .split(".")
    .reduce<unknown>(
      (value, part) => (typeof value === "object" && value !== null ? (value as Item)[part] : undefined),
      item,
    );

/** The item with the value at a dotted path replaced. */
export function withField<T extends object>(item: T, key: string, value: unknown): T {
  const [first, ...rest] = key.split(".") as [string, ...string[]];
  const inner = (item as Item)[first];
  const next =
    rest.length === 0
      ? value
      : withField(typeof inner === "object" && inner !== null ? inner : {}, rest.join("."), value);
  return { ...item, [first]: next };
}

/** A value of the shop as text, lengths in mm without their unit: what stands in a CSV cell. */
export function fieldText(item: object, field: ShopField): string {
  const value = valueOfField(item, field.key) as string | number | boolean | object | null | undefined;
  if (value === null || value === undefined) return "";
  switch (field.kind) {
    case "yes":
      return value === true ? "yes" : "no";
    case "feeds":
      return (value as number[]).join(" ");
    case "speeds":
      return speedText(value as SpeedRange[]);
    case "length":
    case "signed":
    case "number":
      return String(Number(showFixed(value as number, 6).replace("−", "-")));
    case "text":
    case "whole":
    case "choice":
    case "date":
    case "from":
      return typeof value === "object" ? "" : String(value);
  }
}

/** Reads a cell or form field; lengths without a unit are in the given one. Refuses with what is wrong and what to do. */
export function readField(text: string, field: ShopField, unit: "mm" | "in" = "mm"): Outcome<unknown> {
  const clean = text.trim();
  const label = field.label;
  if (clean === "") {
    if (field.kind === "feeds") return done([]);
    if (field.mayBeEmpty) return done(field.kind === "text" || field.kind === "date" ? "" : null);
    return refused(say`${label} is empty.`, words("Fill it in."));
  }
  const number = Number(clean.replace(",", ".").replace("−", "-"));
  switch (field.kind) {
    case "text":
    case "date":
    case "from":
      return done(clean);
    case "choice": {
      const found = field.options?.find(
        ([value, words]) =>
          value.toLowerCase() === clean.toLowerCase() || words.toLowerCase() === clean.toLowerCase(),
      );
      return found
        ? done(found[0])
        : refused(
            say`${label}: "${clean}" is not known.`,
            say`Use one of: ${(field.options ?? []).map(([value]) => value).join(", ")}.`,
          );
    }
    case "yes":
      if (/^(yes|y|true|1)$/i.test(clean)) return done(true);
      if (/^(no|n|false|0)$/i.test(clean)) return done(false);
      return refused(say`${label}: "${clean}" is neither yes nor no.`, words("Write yes or no."));
    case "length":
    case "signed": {
      if (/^[-−]?0(?:[.,]0+)?(?:\s*(?:mm|in))?$/.test(clean)) return done(0);
      const read = parseLength(clean, unit, field.kind === "signed");
      return read.ok
        ? done(read.value)
        : refused(say`${label}: ${entryProblem(read.problem)}`, words("Type a size."));
    }
    case "number":
      return Number.isFinite(number)
        ? done(number)
        : refused(say`${label}: "${clean}" is not a number.`, words("Type a number."));
    case "whole":
      return Number.isInteger(number)
        ? done(number)
        : refused(say`${label}: "${clean}" is not a whole number.`, words("Type a whole number."));
    case "feeds": {
      const feeds = clean.split(/[\s,]+/).map(Number);
      if (!feeds.every((f) => Number.isFinite(f) && f > 0))
        return refused(
          say`${label}: "${clean}" is not a row of feeds.`,
          words("Type them in mm/min, slow to fast."),
        );
      return done([...feeds].sort((a, b) => a - b));
    }
    case "speeds":
      return readSpeedText(clean);
  }
}
