import { chakra } from "@chakra-ui/react";
import { type KeyboardEvent, memo, useEffect, useEffectEvent, useId, useRef, useState } from "react";
import { fitDeviations } from "../../core/handbook/index.ts";
import { type Change, sameJson, valueAt } from "../../core/job/index.ts";
import {
  convertedText,
  type Dimension,
  fromMm,
  largestSize,
  type LengthUnit,
  mm,
  nearest64,
  parseQuantity,
  parseDimension,
  showDimension,
  smallestSize,
} from "../../core/quantity/index.ts";
import { entryProblem, type Phrase, say, words } from "../../core/working/index.ts";
import { Input, Labeled } from "./field.tsx";
import { useEntry } from "./job-context.tsx";
import { useSubmit } from "./use-submit.ts";
import { Words } from "./words.tsx";

/** How a typed text becomes a value kept at a path, and back. */
export interface EntryKind<T> {
  parse: (
    text: string,
    unit: LengthUnit,
  ) => { ok: true; value: T; understood: Dimension | null } | { ok: false; problem: Phrase };
  show: (value: T, unit: LengthUnit) => string;
  /** What a kept value is, exactly: shown in the other unit its text is rounded. Null for what is no length. */
  exact: (value: T) => Dimension | null;
}

type Read<T> = { ok: true; value: T; understood: Dimension } | { ok: false; problem: Phrase };

function read(text: string, unit: LengthUnit): Read<Dimension> {
  const outcome = parseDimension(text, unit, fitDeviations);
  if (!outcome.ok) return { ok: false, problem: entryProblem(outcome.problem) };
  const { nominal } = outcome.value;
  if (nominal <= 0) return { ok: false, problem: words("A size must be above zero.") };
  if (nominal < smallestSize || nominal > largestSize)
    return {
      ok: false,
      problem: say`${mm(nominal)} is not a size for a manual mill: check the unit and the decimal point.`,
    };
  return { ok: true, value: outcome.value, understood: outcome.value };
}

/** A drawn size with its tolerance. */
export const dimensionEntry: EntryKind<Dimension> = {
  parse: read,
  show: showDimension,
  exact: (value) => value,
};

/** A bare length as a dimension. */
const bareLength = (value: number, written: Dimension["written"]): Dimension => ({
  nominal: value,
  upper: null,
  lower: null,
  fit: null,
  written,
});

/** A bare length with how it was written; no tolerance. */
export const lengthEntry = {
  parse(text: string, unit: LengthUnit): Read<{ value: number; written: Dimension["written"] }> {
    const outcome = read(text, unit);
    if (!outcome.ok) return outcome;
    if (outcome.value.upper !== null)
      return { ok: false, problem: words("A measured size has no tolerance: type what you read.") };
    return { ...outcome, value: { value: outcome.value.nominal, written: outcome.value.written } };
  },
  show: (value: { value: number; written: Dimension["written"] }, unit: LengthUnit) =>
    showDimension(bareLength(value.value, value.written), unit),
  exact: (value: { value: number; written: Dimension["written"] }): Dimension | null =>
    bareLength(value.value, value.written),
};

/** A bare length kept as mm only. */
export const plainLength: EntryKind<number> = {
  parse(text, unit) {
    const outcome = lengthEntry.parse(text, unit);
    return outcome.ok ? { ...outcome, value: outcome.value.value } : outcome;
  },
  show: (value, unit) => convertedText(bareLength(value, { text: "", unit: "mm" }), unit),
  exact: (value) => bareLength(value, { text: "", unit: "mm" }),
};

/** A plain number that is no length: an angle in degrees, a count. */
export const numberEntry = (kind: "angle" | "count" | "money" | "ratio"): EntryKind<number> => ({
  parse(text, unit) {
    const outcome = parseQuantity(text, kind, unit);
    return outcome.ok
      ? { ...outcome, understood: null }
      : {
          ok: false,
          problem: words(
            `"${text.trim()}" is not a number. Type for example ${kind === "angle" ? "30" : "4"}.`,
          ),
        };
  },
  show: (value) => String(value),
  exact: () => null,
});

/** What was understood: in both units, with the nearest 1/64; terse gives the other unit only. */
export function understoodAs(d: Dimension, terse = false): string {
  if (terse) return convertedText(d, d.written.unit === "mm" ? "in" : "mm");
  const inches = fromMm(d.nominal, "in");
  const near = nearest64(inches);
  const rule64 = Math.abs(near.errorIn) < 5e-5 ? `${near.text} in` : `near ${near.text} in`;
  return `${convertedText(d, "mm")} · ${convertedText(d, "in")} · ${rule64}`;
}

interface NumberEntryProps<T> {
  label: string;
  /** Path in the job it is kept at. */
  path: string;
  kind: EntryKind<T>;
  value: T | null;
  /** Its label for those only who cannot see it, always or from a width on. */
  hideLabel?: boolean | { base: boolean; md: boolean };
  width?: string;
  /** Whether the field may stay empty without a word. */
  optional?: boolean;
  /** Says what was understood in the other unit only. */
  terse?: boolean;
  /** Only the field itself, its label for those who cannot see it; it still says what is wrong. */
  bare?: boolean;
  /** Says nothing while what is typed is understood. */
  onlyProblems?: boolean;
  /** Takes the keyboard when it appears. */
  fresh?: boolean;
}

/** Committed this long after the last key, ms; at once on Enter and on leaving the field. */
const commitAfter = 400;

/**
 * The one number entry. Type what the drawing says; under it stands what was understood. Wrong text explains itself and is
 * kept, blocking only what depends on it. Up and down step by a hundredth (a thousandth of an inch).
 */
function NumberEntryField<T>({
  label,
  path,
  kind,
  value,
  hideLabel,
  width = "150px",
  optional,
  terse,
  bare,
  onlyProblems = bare ?? false,
  fresh,
}: NumberEntryProps<T>) {
  const { kept, unit, drafts, keepDraft, typing, preview } = useEntry();
  const submit = useSubmit();
  const id = useId();
  const draft = drafts[path];
  const [editing, setEditing] = useState<{ text: string; from: unknown; before: string } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const shown = value === null ? "" : kind.show(value, unit);
  // What was sent stands here until it shows; what the browser did not keep stays, and leaving the field sends it again.
  const [sent, setSent] = useState<{ text: string; over: T | null | undefined; unit: LengthUnit } | null>(
    null,
  );
  const refused = submit.answer !== undefined && !submit.answer.ok && !submit.lost && !submit.busy;
  const stands = submit.lost || (sent?.over === value && !refused);
  const underWay = sent && sent.unit === unit && stands ? sent.text : null;
  const text = editing?.text ?? draft ?? underWay ?? shown;
  const outcome = text.trim() === "" ? null : kind.parse(text, unit);
  // A kept size is told as it is, not as its text reads that was rounded for the other unit.
  const asKept = value !== null && text === shown ? kind.exact(value) : null;
  const understood = outcome?.ok ? (asKept ?? outcome.understood) : null;

  useEffect(() => () => clearTimeout(timer.current), []);

  /** Keeps what was entered. @param before the text that is kept already: the plan may show what is typed before it is kept */
  const commit = (entered: string, from: unknown, before: string | null) => {
    clearTimeout(timer.current);
    if (entered === before && draft === undefined) return;
    const parsed = entered.trim() === "" ? null : kind.parse(entered, unit);
    if (parsed && !parsed.ok) {
      keepDraft(path, entered);
      return;
    }
    if (draft !== undefined) keepDraft(path, "");
    // Where the plan shows it already it stands over nothing, and is needed only if it is lost.
    const over = parsed && sameJson(parsed.value, value) ? undefined : value;
    setSent({ text: entered, over, unit });
    void submit.change([{ path, from, to: parsed ? parsed.value : null } as Change]);
  };
  const left = useEffectEvent(() => {
    if (draft !== undefined && outcome?.ok) commit(draft, valueAt(kept(), path), null);
  });
  // What was understood when the page went away, and not kept yet, is kept now.
  useEffect(() => queueMicrotask(left), []);
  const type = (entered: string) => {
    const { from, before } = editing ?? { from: valueAt(kept(), path), before: shown };
    setEditing({ text: entered, from, before });
    typing(path, entered);
    const parsed = kind.parse(entered, unit);
    preview(path, parsed.ok ? { value: parsed.value } : null);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      commit(entered, from, before);
      if (kind.parse(entered, unit).ok)
        setEditing((now) =>
          now
            ? {
                ...now,
                from: kind.parse(now.text, unit).ok ? valueOf(kind, now.text, unit) : now.from,
                before: entered,
              }
            : now,
        );
    }, commitAfter);
  };
  const leave = () => {
    if (editing) {
      if (timer.current !== undefined) commit(editing.text, editing.from, editing.before);
      setEditing(null);
    } else if (submit.lost && sent && draft === undefined) commit(sent.text, valueAt(kept(), path), null);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    // Enter keeps the size and leaves the field, so that single keys act again.
    if (event.key === "Enter") event.currentTarget.blur();
    if (event.key === "Escape") {
      clearTimeout(timer.current);
      preview(path, null);
      keepDraft(path, "");
      // What stood there stands there again at once, whatever is still being planned.
      if (editing) setSent({ text: editing.before, over: value, unit });
      setEditing(null);
    }
    if ((event.key === "ArrowUp" || event.key === "ArrowDown") && outcome?.ok) {
      event.preventDefault();
      const step = (event.key === "ArrowUp" ? 1 : -1) * (unit === "mm" ? 0.01 : 0.001);
      const next = outcome.understood && steppedText(outcome.understood, step, unit);
      if (next) type(next);
    }
  };
  const problem =
    outcome && !outcome.ok
      ? outcome.problem
      : text.trim() === "" && !optional
        ? words("Nothing entered yet.")
        : null;
  return (
    <Labeled label={label} htmlFor={id} hidden={bare ?? hideLabel ?? false}>
      <Input
        figure
        id={id}
        value={text}
        width={width}
        autoFocus={fresh}
        spellCheck={false}
        aria-invalid={outcome !== null && !outcome.ok}
        aria-describedby={`${id}-said`}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
        onKeyDown={onKey}
        onFocus={(event) => event.target.select()}
      />
      <chakra.div
        id={`${id}-said`}
        fontSize="12.5px"
        maxW="max(230px, 100%)"
        color={outcome && !outcome.ok ? "stop" : "quiet"}
        minH={onlyProblems ? "0" : "18px"}
        role="status"
      >
        {onlyProblems && (outcome === null || outcome.ok) ? null : problem ? (
          <>
            {outcome && !outcome.ok ? <span aria-hidden="true">■ </span> : null}
            <Words of={problem} />
          </>
        ) : understood ? (
          understoodAs(understood, terse)
        ) : null}
      </chakra.div>
    </Labeled>
  );
}

/** Painted anew only when its own value or unit changes, not with every plan. */
export const NumberEntry = memo(NumberEntryField) as typeof NumberEntryField;

function valueOf<T>(kind: EntryKind<T>, text: string, unit: LengthUnit): unknown {
  const parsed = kind.parse(text, unit);
  return parsed.ok ? parsed.value : null;
}

/** The same text with its nominal stepped; null when the text has no plain number in front. */
function steppedText(d: Dimension, step: number, unit: LengthUnit): string | null {
  const in_ = d.written.unit;
  const factor = in_ === unit ? 1 : unit === "mm" ? 1 / 25.4 : 25.4;
  const next = fromMm(d.nominal, in_) + step * factor;
  if (next <= 0) return null;
  const shownNext = convertedText({ ...d, nominal: in_ === "mm" ? next : next * 25.4 }, in_);
  return shownNext;
}
