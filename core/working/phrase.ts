import { decimalsIn, type LengthUnit, type Quantity, showQuantity } from "../quantity/index.ts";

/** A quantity that is to be shown with more or fewer decimals than its kind usually has. */
export interface Precise {
  quantity: Quantity;
  decimals: number;
}

export type PhrasePart = string | Quantity | Precise | Phrase;

/** Words with quantities in them: rendered in the person's unit by whoever shows it. */
export interface Phrase {
  /** Names the rule it comes from (a mistake id, for example), so that it can be found and tested. */
  id?: string;
  parts: PhrasePart[];
}

type Said = string | number | Quantity | Precise | Phrase;

function phrase(strings: TemplateStringsArray, values: Said[], id?: string): Phrase {
  const parts: PhrasePart[] = [];
  strings.forEach((text, i) => {
    if (text) parts.push(text);
    const value = values[i];
    if (value !== undefined) parts.push(typeof value === "number" ? String(value) : value);
  });
  return id === undefined ? { parts } : { id, parts };
}

/** Tagged template: words with quantities. */
export function say(strings: TemplateStringsArray, ...values: Said[]): Phrase {
  return phrase(strings, values);
}

/** As `say`, with the id of the rule: ``rule("M01.short")`…` ``. */
export function rule(id: string) {
  return (strings: TemplateStringsArray, ...values: Said[]): Phrase => phrase(strings, values, id);
}

/** Plain words without quantities. */
export const words = (text: string): Phrase => ({ parts: [text] });

export const precise = (quantity: Quantity, decimals: number): Precise => ({ quantity, decimals });

/** Letters that run from right to left, and marks that turn the direction of what follows. */
const turns = /[\u0590-\u08ff\u200e\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufeff]/;
const isolates = /[\u2066-\u2069]/g;

/** A name within a sentence: it turns round neither the words nor the figures beside it. */
const isolated = (text: string): string =>
  turns.test(text) ? `\u2068${text.replace(isolates, "")}\u2069` : text;

/** The phrase as text in a display unit. */
export function phraseText(p: Phrase, unit: LengthUnit): string {
  return p.parts
    .map((part) => {
      if (typeof part === "string") return isolated(part);
      if ("parts" in part) return phraseText(part, unit);
      if ("decimals" in part)
        return showQuantity(part.quantity, unit, decimalsIn(part.quantity, unit, part.decimals));
      return showQuantity(part, unit);
    })
    .join("");
}
