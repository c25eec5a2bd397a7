import { Box, chakra } from "@chakra-ui/react";
import { startTransition, type KeyboardEvent, useEffect, useId, useRef, useState } from "react";
import { fitDeviations } from "../../core/handbook/index.ts";
import { type Change, type Conflict, valueAt } from "../../core/job/index.ts";
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
import { Button } from "./button.tsx";
import { Input, Labeled } from "./field.tsx";
import { useJob } from "./job-context.tsx";
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
      problem: say`${mm(nominal)} is no size on a manual mill: check the unit and the decimal point.`,
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
export const numberEntry = (kind: "angle" | "count"): EntryKind<number> => ({
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
  hideLabel?: boolean;
  width?: string;
  /** Whether the field may stay empty without a word. */
  optional?: boolean;
  /** Says what was understood in the other unit only. */
  terse?: boolean;
  /** Only the field itself, its label for those who cannot see it; it still says what is wrong. */
  bare?: boolean;
  /** Takes the keyboard when it appears. */
  fresh?: boolean;
}

/** Committed this long after the last key, ms; at once on Enter and on leaving the field. */
const commitAfter = 400;

/**
 * The one number entry. Type what the drawing says; under it stands what was understood. Wrong text explains itself and is
 * kept, blocking only what depends on it. Up and down step by a hundredth (a thousandth of an inch).
 */
export function NumberEntry<T>({
  label,
  path,
  kind,
  value,
  hideLabel,
  width = "150px",
  optional,
  terse,
  bare,
  fresh,
}: NumberEntryProps<T>) {
  const { job, unit, drafts, keepDraft, preview } = useJob();
  const submit = useSubmit();
  const id = useId();
  const draft = drafts[path];
  const [editing, setEditing] = useState<{ text: string; from: unknown } | null>(null);
  const [settled, setSettled] = useState<typeof submit.answer>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const shown = value === null ? "" : kind.show(value, unit);
  // What the browser did not keep stays here; leaving the field sends it again.
  const [sent, setSent] = useState("");
  const text = editing?.text ?? draft ?? (submit.lost ? sent : shown);
  const outcome = text.trim() === "" ? null : kind.parse(text, unit);
  // A kept size is told as it is, not as its text reads that was rounded for the other unit.
  const asKept = value !== null && text === shown ? kind.exact(value) : null;
  const understood = outcome?.ok ? (asKept ?? outcome.understood) : null;
  const { answer } = submit;
  const refused = answer && !answer.ok && answer !== settled ? answer.conflicts[0] : undefined;
  const conflict = refused?.path === path ? refused : null;

  useEffect(() => () => clearTimeout(timer.current), []);

  const commit = (entered: string, from: unknown) => {
    clearTimeout(timer.current);
    if (entered === shown && draft === undefined) return;
    const parsed = entered.trim() === "" ? null : kind.parse(entered, unit);
    if (parsed && !parsed.ok) {
      keepDraft(path, entered);
      return;
    }
    keepDraft(path, "");
    setSent(entered);
    // The preview goes when what was saved is there, and no sooner: between the two the old size would show again.
    void submit
      .change([{ path, from, to: parsed ? parsed.value : null } as Change])
      .then(() => startTransition(() => preview(path, null)));
  };
  const type = (entered: string) => {
    const from = editing ? editing.from : valueAt(job, path);
    setEditing({ text: entered, from });
    setSettled(answer);
    const parsed = kind.parse(entered, unit);
    preview(path, parsed.ok ? ({ path, from, to: parsed.value } as Change) : null);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      commit(entered, from);
      if (kind.parse(entered, unit).ok)
        setEditing((now) =>
          now
            ? {
                text: now.text,
                from: kind.parse(now.text, unit).ok ? valueOf(kind, now.text, unit) : now.from,
              }
            : now,
        );
    }, commitAfter);
  };
  const leave = () => {
    if (editing) {
      if (timer.current !== undefined) commit(editing.text, editing.from);
      setEditing(null);
    } else if (submit.lost && draft === undefined) commit(sent, valueAt(job, path));
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    // Enter keeps the size and leaves the field, so that single keys act again.
    if (event.key === "Enter") event.currentTarget.blur();
    if (event.key === "Escape") {
      clearTimeout(timer.current);
      preview(path, null);
      keepDraft(path, "");
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
        ? words("Nothing is written here yet.")
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
        minH={bare ? "0" : "18px"}
        role="status"
      >
        {bare && (outcome === null || outcome.ok) ? null : problem ? (
          <>
            {outcome && !outcome.ok ? <span aria-hidden="true">■ </span> : null}
            <Words of={problem} />
          </>
        ) : understood ? (
          understoodAs(understood, terse)
        ) : null}
      </chakra.div>
      {conflict && (
        <ConflictView
          conflict={conflict}
          show={(v) => (v === null ? "nothing" : kind.show(v as T, unit))}
          onMine={() => {
            void submit.change([{ path, from: conflict.theirs, to: conflict.yours }]);
            setSettled(answer);
          }}
          onTheirs={() => {
            setSettled(answer);
            preview(path, null);
          }}
        />
      )}
    </Labeled>
  );
}

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

function ConflictView({
  conflict,
  show,
  onMine,
  onTheirs,
}: {
  conflict: Conflict;
  show: (value: unknown) => string;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <Box role="alert" borderLeftWidth="4px" borderColor="warn" bg="warnSoft" p="8px" mt="4px" fontSize="14px">
      Changed in another tab meanwhile. There: <b>{show(conflict.theirs)}</b>. Yours:{" "}
      <b>{show(conflict.yours)}</b>.
      <Box display="flex" gap="6px" mt="6px">
        <Button onClick={onMine}>Keep mine</Button>
        <Button onClick={onTheirs}>Keep the other</Button>
      </Box>
    </Box>
  );
}
