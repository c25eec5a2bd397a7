import type { Entered } from "./entered.ts";
import type { Keeps } from "./checks/keeps.ts";
import type { Figure as Drawing } from "../figure/index.ts";
import {
  factorOf,
  type LengthUnit,
  parseQuantity,
  type Quantity,
  type QuantityKind,
  quantity,
  showParts,
  showQuantity,
  unitOf,
} from "../quantity/index.ts";
import {
  entryProblem,
  type Outcome,
  type Phrase,
  type Refusal,
  say,
  type Warning,
  type WorkingBody,
  words,
} from "../working/index.ts";

interface SumField {
  key: string;
  label: string;
  /** What is first written there, in the display unit it is for. */
  usual: Record<LengthUnit, string>;
  help?: string;
}

/** A number with its kind: lengths as on a drawing, others in the display unit or with a unit after them. */
export interface NumberField extends SumField {
  kind: QuantityKind;
  /** May be left empty: that part of the sum is then left out. */
  mayBeEmpty?: boolean;
  signed?: boolean;
}

export interface ChoiceField extends SumField {
  options: readonly (readonly [value: string, text: string])[];
}

export type Field = NumberField | ChoiceField;

export interface Figure {
  label: string;
  value: Quantity;
  decimals?: number;
}

export interface Answer {
  /** The results, the one asked for first. */
  figures: Figure[];
  working: WorkingBody;
  warnings: Warning[];
  /** What it looks like, to scale. */
  drawing?: Drawing;
  /** Rows of a table, such as passes: label and quantities. */
  rows?: { head: string[]; of: Quantity[][] };
}

/** One calculation on its own, without a job. */
export interface Sum {
  id: string;
  title: string;
  /** What it answers, in a line. */
  what: string;
  fields: Field[];
  work: (entered: Entered) => Outcome<Answer>;
  /** Set where it finds something of a thing in the shop. */
  keeps?: Keeps;
}

export const isChoice = (field: Field): field is ChoiceField => "options" in field;

/** Numbers the same in both units. */
export const both = (text: string): Record<LengthUnit, string> => ({ mm: text, in: text });

/** A number field, given short. */
export const number = (
  key: string,
  label: string,
  kind: QuantityKind,
  usual: string | Record<LengthUnit, string>,
  more: Partial<NumberField> = {},
): NumberField => ({ key, label, kind, usual: typeof usual === "string" ? both(usual) : usual, ...more });

export const choice = (
  key: string,
  label: string,
  options: ChoiceField["options"],
  usual: string,
  help?: string,
): ChoiceField => ({ key, label, options, usual: both(usual), ...(help ? { help } : {}) });

/** A field as read: its text, what was understood, or what is wrong with it. */
export interface ReadField {
  key: string;
  text: string;
  value: number | string;
  understood: Phrase | null;
  problem: Phrase | null;
}

export interface WorkedSum {
  id: string;
  unit: LengthUnit;
  fields: ReadField[];
  answer: Answer | null;
  refusal: Pick<Refusal, "reason" | "suggestion"> | null;
}

function readOne(field: Field, text: string, unit: LengthUnit): ReadField {
  const base = { key: field.key, text, understood: null, problem: null };
  if (isChoice(field)) {
    const known = field.options.some(([value]) => value === text);
    return known
      ? { ...base, value: text }
      : { ...base, value: "", problem: say`"${text}" is not one of the choices.` };
  }
  if (text.trim() === "" && field.mayBeEmpty) return { ...base, value: NaN };
  const read = parseQuantity(text, field.kind, unit, field.signed);
  if (!read.ok) {
    return {
      ...base,
      value: NaN,
      problem: numberProblem(field, read.problem.id === "not-a-number", entryProblem(read.problem)),
    };
  }
  const other = unit === "mm" ? "in" : "mm";
  const value = quantity(field.kind, read.value);
  const twice = unitOf(field.kind, "mm") !== unitOf(field.kind, "in");
  return {
    ...base,
    value: read.value,
    understood: twice
      ? words(`${showQuantity(value, unit)} · ${showQuantity(value, other)}`)
      : unitOf(field.kind, unit)
        ? words(showQuantity(value, unit))
        : null,
  };
}

function numberProblem(field: NumberField, notNumber: boolean, said: Phrase): Phrase {
  if (!notNumber || field.kind === "length" || field.kind === "chip") return said;
  const unit = unitOf(field.kind, "mm");
  return say`Type a number${unit ? `, such as ${field.usual.mm} ${unit}` : ""}.`;
}

/**
 * Works a sum from the texts of its fields, as they stand in a URL; what is not given is what is usual. Never throws: a text
 * that cannot be read is told at its field, a sum that cannot be is a refusal.
 */
export function workSum(sum: Sum, texts: (key: string) => string | null, unit: LengthUnit): WorkedSum {
  const fields = sum.fields.map((field) => readOne(field, texts(field.key) ?? field.usual[unit], unit));
  const base = { id: sum.id, unit, fields, answer: null, refusal: null };
  if (fields.some((f) => f.problem)) return base;
  const of = (key: string) => {
    const found = fields.find((f) => f.key === key);
    if (!found) throw new Error(`the sum ${sum.id} has no field ${key}`);
    return found.value;
  };
  const outcome = sum.work({ n: (key) => of(key) as number, c: (key) => of(key) as string });
  return outcome.ok
    ? { ...base, answer: outcome.value }
    : { ...base, refusal: { reason: outcome.reason, suggestion: outcome.suggestion } };
}

/**
 * The texts of a sum's fields written anew in the other unit: in round figures where they mean just the same, else as they
 * were with their unit after them. What cannot be read stays as typed.
 */
export function textsIn(sum: Sum, worked: WorkedSum, unit: LengthUnit): Record<string, string> {
  return Object.fromEntries(
    worked.fields.map(({ key, text, value }) => {
      const field = sum.fields.find((f) => f.key === key)!;
      if (isChoice(field) || typeof value === "string" || Number.isNaN(value)) return [key, text];
      const { kind, signed } = field;
      const shown = showParts(
        quantity(kind, value),
        unit,
        kind === "length" || kind === "chip" ? 4 : undefined,
      );
      const round = shown.number
        .replace("−", "-")
        .replace(/(\.\d*?)0+$/, "$1")
        .replace(/\.$/, "");
      const meansTheSame = (written: string) => {
        const read = parseQuantity(written, kind, unit, signed);
        return read.ok && Math.abs(read.value - value) <= 1e-9 * Math.abs(value);
      };
      const named = `${text} ${unitOf(kind, worked.unit)}`;
      const long = String(Number((value * factorOf(kind, unit)).toPrecision(9)));
      return [key, [round, text, named].find(meansTheSame) ?? long];
    }),
  );
}
