import Papa from "papaparse";
import {
  blankItem,
  checkItem,
  fieldText,
  readField,
  type ShopField,
  shopFields,
  type ShopItem,
  type ShopList,
  withField,
} from "../shop/index.ts";
import { done, type Outcome, type Phrase, refused, say, words } from "../working/index.ts";

/** More lines than any workshop owns: refused before they are read. */
export const mostCsvLines = 2000;

/** A list of the shop as CSV: one line an item, one column a field, lengths in mm. */
export function writeShopCsv(list: ShopList, items: readonly ShopItem[]): string {
  const fields = shopFields[list];
  return Papa.unparse(
    {
      fields: ["id", ...fields.map((f) => f.key), "retired"],
      data: items.map((item) => [
        item.id,
        ...fields.map((field) => fieldText(item, field)),
        item.retired ? "yes" : "no",
      ]),
    },
    { escapeFormulae: formula },
  );
}

/** What a spreadsheet would work out instead of showing; a number with a sign is a number. */
const formula = /^(?:[=@\t\r]|[+-](?![\d.,]+$))/;
/** The mark in front of such a cell, as it was written. */
const unmarked = (cell: string): string =>
  cell.startsWith("'") && formula.test(cell.slice(1)) ? cell.slice(1) : cell;

/** A line that was left out: its number in the file, and why. */
export interface RejectedLine {
  line: number;
  reason: Phrase;
}

export interface ReadCsv {
  items: ShopItem[];
  rejected: RejectedLine[];
}

/** Columns a list cannot do without: those of its table. */
const required = (list: ShopList) => shopFields[list].filter((f) => f.column && !f.mayBeEmpty);

/** An id from a name: letters and digits, parted by hyphens. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9.]+/g, "-")
    .replace(/^-|-$/g, "") || "item";

/**
 * Reads a list from CSV; columns that are not given take their usual values. Lines that cannot be are rejected one by one
 * with the reason; a file with wrong columns, or too long a one, is refused whole.
 */
export function readShopCsv(list: ShopList, text: string): Outcome<ReadCsv> {
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: "greedy" });
  const [head, ...lines] = parsed.data;
  const fields = shopFields[list];
  const known = ["id", ...fields.map((f) => f.key), "retired"];
  if (!head || lines.length === 0)
    return refused(
      words("The file has no lines to read."),
      words("Write the columns in its first line and one item in each line below."),
    );
  if (lines.length > mostCsvLines)
    return refused(
      say`The file has ${lines.length} lines; at most ${mostCsvLines} are read at once.`,
      words("Split it, and import the parts one after the other."),
    );
  const columns = head.map((c) => c.trim());
  const strange = columns.filter((c) => !known.includes(c));
  const missing = required(list).filter((f) => !columns.includes(f.key));
  if (strange.length > 0 || missing.length > 0) {
    const notKnown = strange.length > 0 ? `not known: ${strange.slice(0, 6).join(", ")}. ` : "";
    const lacking = missing.length > 0 ? `missing: ${missing.map((f) => f.key).join(", ")}.` : "";
    return refused(
      say`The columns do not match: ${notKnown}${lacking}`,
      say`The columns are: ${known.join(", ")}. Export the list once to see them filled in.`,
    );
  }
  const given = fields.filter((f) => columns.includes(f.key));
  const taken = new Set<string>();
  const result: ReadCsv = { items: [], rejected: [] };
  lines.forEach((cells, i) => {
    const at = (column: string) => unmarked(cells[columns.indexOf(column)]?.trim() ?? "");
    const outcome = readLine(list, given, at, taken);
    if (outcome.ok) result.items.push(outcome.value);
    else result.rejected.push({ line: i + 2, reason: say`${outcome.reason} ${outcome.suggestion}` });
  });
  return done(result);
}

function readLine(
  list: ShopList,
  given: ShopField[],
  at: (column: string) => string,
  taken: Set<string>,
): Outcome<ShopItem> {
  const id = at("id") || slug(at("name"));
  if (taken.has(id))
    return refused(say`The id "${id}" is used in an earlier line.`, words("Give each item its own id."));
  let item: ShopItem = { ...blankItem(list, id), retired: /^(yes|true|1)$/i.test(at("retired")) };
  for (const field of given) {
    const read = readField(at(field.key), field);
    if (!read.ok) return read;
    item = withField(item, field.key, read.value);
  }
  const wrong = checkItem(list, item).find((f) => f.severity === "stop");
  if (wrong) return refused(wrong.phrase, words(""));
  taken.add(id);
  return done(item);
}
