import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useId, useRef, useState } from "react";
import {
  cannotBe,
  divisionsTyped,
  formTyped,
  noSizeFrom,
  type Question,
  type ReadingWayId,
  readingWays,
} from "../../core/inspect/index.ts";
import { formOf } from "../../core/part/index.ts";
import {
  fromMm,
  type LengthUnit,
  mm,
  parseLength,
  showFixed,
  showQuantity,
} from "../../core/quantity/index.ts";
import { canMeasure, type Instrument, instrumentById, type MeasuredHow } from "../../core/shop/index.ts";
import type { ReadingOf } from "../../core/steps/index.ts";
import { capital, entryProblem, phraseText, rule, say, type Phrase } from "../../core/working/index.ts";
import { Button } from "./button.tsx";
import { Choice } from "./choice.tsx";
import { Input, Labeled } from "./field.tsx";
import { useJob } from "./job-context.tsx";
import { moreOf, nothingMore, ReadingMore } from "./reading-more.tsx";
import { Figure, Words } from "./words.tsx";
import { WorkingSheet } from "./workings-margin.tsx";

export interface TakenReading {
  value: number;
  written: { text: string; unit: LengthUnit };
  instrument: string;
  questioned: string[];
  held?: "clamped" | "free";
  atMost?: boolean;
  temperatures?: { part: number; instrument: number };
  against?: string;
  way?: ReadingWayId;
}

interface ReadingPadProps {
  of: ReadingOf;
  /** What it is called, where that is more than `of`. */
  name?: Phrase | undefined;
  /** How it is measured: only instruments that can are offered. */
  how: MeasuredHow;
  /** mm */
  expected: number;
  /** Smallest earlier reading or the size before, mm; null where nothing is known. */
  before: number | null;
  readings: number[];
  initialText?: string;
  onReading: (reading: TakenReading) => void;
  /** Enter in an empty field: measuring is finished. */
  onFinished?: () => void;
  /** Big keys for a touch screen; the field alone where there is a keyboard. */
  keypad?: boolean;
}

const keys = ["7", "8", "9", "4", "5", "6", "1", "2", "3", "0", ".", "⌫"];

/** A place may be compared by the machine's own readout or dials, from the edge that was picked up. */
const byReadout = { id: "readout", name: "the machine's readout or dials" } as const;

/** A size that the instrument does not reach was not read with it. */
const outOfReach = (instrument: Instrument, how: MeasuredHow, value: number): Question[] =>
  how === "form" || how === "place" || canMeasure(instrument, how, value)
    ? []
    : [
        {
          phrase: rule(
            "M35.reach",
          )`${instrument.name} does not measure ${mm(value)}. Choose the instrument you read it with.`,
          perhaps: null,
        },
      ];

const noSize = (value: number) => say`The block cannot be ${mm(value)}. Type what the instrument shows.`;

/** Reading entry with a keypad for oily hands. A reading that cannot be is asked about, never swallowed. */
export function ReadingPad({
  of,
  name,
  how: plainly,
  expected: wanted,
  before: earlier,
  readings,
  initialText = "",
  onReading,
  onFinished,
  keypad = true,
}: ReadingPadProps) {
  const { job, shop, unit } = useJob();
  const id = useId();
  const ways = readingWays(job.part, of);
  const [wayId, setWay] = useState<ReadingWayId | "plain">("plain");
  const way = ways?.others.find((w) => w.id === wayId) ?? null;
  const how = way?.how ?? plainly;
  // An error of form may be nothing at all, and says nothing of how large the block is.
  const ofForm = how === "form";
  const expected = way?.shown(wanted) ?? wanted;
  const before = way ? null : earlier;
  const able = shop.instruments.filter((i) => !i.retired && canMeasure(i, how, expected));
  // None that proves it: whatever reads a size at all may be entered, and the record says that it cannot tell.
  const offered =
    able.length > 0 ? able : shop.instruments.filter((i) => !i.retired && i.kind !== "edgeFinder");
  const best = [...offered].sort((a, b) => a.uncertainty - b.uncertainty)[0];
  const [text, setText] = useState(initialText);
  const [picked, setInstrument] = useState(best?.id ?? "");
  // Another way to read it may need another instrument.
  const instrumentId =
    picked === byReadout.id || offered.some((i) => i.id === picked) ? picked : (best?.id ?? "");
  const [problem, setProblem] = useState<Phrase | null>(null);
  const [asked, setAsked] = useState<{ value: number; questions: Question[] } | null>(null);
  const instrument = instrumentById(shop, instrumentId) ?? best;

  const [more, setMore] = useState(nothingMore);

  const accept = (shown: number, written: string, questioned: string[], writtenUnit: LengthUnit = unit) => {
    const value = way ? way.size(shown) : shown;
    if (value === null || (value <= 0 && !ofForm)) {
      setProblem(noSizeFrom(shown));
      return;
    }
    onReading({
      ...moreOf(more),
      ...(way ? { way: way.id } : {}),
      value,
      written: { text: written, unit: writtenUnit },
      instrument: instrumentId === byReadout.id ? byReadout.id : (instrument?.id ?? ""),
      questioned,
    });
    setText("");
    setMore((now) => ({ ...now, atMost: false }));
    setAsked(null);
    setProblem(null);
  };
  const field = useRef<HTMLInputElement>(null);
  // With a mouse there is a keyboard: the field is ready to type in. On a touch screen it would only raise the keys.
  useEffect(() => {
    if (keypad && matchMedia("(pointer: fine)").matches) field.current?.focus();
  }, [keypad]);
  const enter = () => {
    if (text.trim() === "" && readings.length > 0 && onFinished) {
      onFinished();
      return;
    }
    const typed = formTyped(job.part, of, text, unit);
    if (typed !== null) {
      if (moreOf(more) !== null) accept(typed, text.trim(), []);
      return;
    }
    const inDivisions = ofForm && instrument ? divisionsTyped(text, instrument.resolution) : null;
    if (inDivisions) {
      if (moreOf(more) !== null) accept(Math.abs(inDivisions.value), text.trim(), []);
      return;
    }
    const read = parseLength(text, unit);
    if (!read.ok) {
      setProblem(entryProblem(read.problem));
      return;
    }
    if (read.value < 0 || (read.value === 0 && !ofForm)) {
      setProblem(noSize(read.value));
      return;
    }
    if (moreOf(more) === null) return;
    setProblem(null);
    const typedUnit: LengthUnit = /("|in|inch|thou)\s*$/i.test(text)
      ? "in"
      : /mm\s*$/i.test(text)
        ? "mm"
        : unit;
    const questions =
      ofForm || !instrument
        ? []
        : questionsOn({ value: read.value, text: text.trim(), unit: typedUnit }, instrument);
    if (questions.length > 0) setAsked({ value: read.value, questions });
    else accept(read.value, text.trim(), []);
  };
  /** That it cannot be comes before that the instrument does not reach it: then it is most likely a slip. */
  function questionsOn(typed: { value: number; text: string; unit: LengthUnit }, by: Instrument): Question[] {
    const cannot = cannotBe(typed, expected, before, by);
    return cannot.length > 0 ? cannot : outOfReach(by, how, typed.value);
  }
  const press = (key: string) => {
    setAsked(null);
    setText(key === "⌫" ? text.slice(0, -1) : text + key);
  };
  const called = capital((name ? phraseText(name, unit) : of).replace(/^the /, ""));
  return (
    <Box
      borderWidth={keypad ? "2px" : "0"}
      borderStyle="solid"
      borderColor="accent"
      p={keypad ? { base: "8px", md: "14px" } : "0"}
      maxW="560px"
    >
      <Box
        display="flex"
        gap="12px"
        flexWrap={{ base: able.length === 0 || ways ? "wrap" : "nowrap", md: "wrap" }}
        alignItems="flex-end"
        mb="6px"
      >
        <Labeled label={`${called}, ${unit}`} htmlFor={`${id}-text`} flex="1" minW="150px">
          <Input
            id={`${id}-text`}
            ref={field}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setAsked(null);
            }}
            onKeyDown={(e) => {
              if (e.key === "Enter") enter();
            }}
            inputMode={keypad ? "none" : "decimal"}
            width="100%"
            minH={keypad ? { base: "52px", md: "60px" } : "44px"}
            fontSize={keypad ? "34px" : "24px"}
            fontWeight="700"
            aria-invalid={problem !== null}
            aria-describedby={`${id}-said`}
          />
        </Labeled>
        <Choice
          label="Instrument"
          value={instrumentId}
          options={[
            ...offered.map((i) => [i.id, i.name] as const),
            ...(how === "place" ? [[byReadout.id, byReadout.name] as const] : []),
          ]}
          onChoose={setInstrument}
        />
        {ways && ways.others.length > 0 && (
          <Choice
            label="Read"
            value={wayId}
            options={[
              ["plain", phraseText(ways.plain, unit)] as const,
              ...ways.others.map((w) => [w.id, phraseText(w.says, unit)] as const),
            ]}
            onChoose={setWay}
          />
        )}
        {!keypad && (
          <Button look="strong" onClick={enter} css={{ minHeight: "44px" }}>
            Enter
          </Button>
        )}
        {able.length === 0 && (
          <chakra.p fontSize="15px" color="warn" flexBasis="100%">
            ▲ No instrument in the shop can measure this; the verdict will be "cannot tell".
          </chakra.p>
        )}
      </Box>
      <chakra.p
        id={`${id}-said`}
        role="status"
        minH={keypad ? "22px" : "0"}
        color={problem ? "stop" : "quiet"}
        fontSize="15px"
      >
        {problem ? (
          <Words of={problem} />
        ) : way ? (
          <>
            It should show <Figure of={mm(expected)} decimals={3} />, <Words of={way.says} />.
          </>
        ) : !keypad ? (
          ""
        ) : readings.length > 0 ? (
          `Read so far: ${readings.map((r) => showQuantity(mm(r), unit)).join(", ")}`
        ) : (
          "Type what the instrument shows, then Enter."
        )}
      </chakra.p>
      {way && (
        <chakra.details fontSize="14px" mb="6px">
          <chakra.summary cursor="pointer" minH="28px">
            How that follows
          </chakra.summary>
          <WorkingSheet
            unit={unit}
            working={{ key: way.id, title: way.says, lines: way.working(wanted), limits: [], notes: [] }}
          />
        </chakra.details>
      )}
      {!keypad && (
        <ReadingMore
          how={how}
          square={formOf(job.part, of)?.kind === "square"}
          shop={shop}
          typed={more}
          onType={setMore}
        />
      )}
      {asked && (
        <Box role="alert" bg="warnSoft" borderLeftWidth="5px" borderColor="warn" p="12px" mb="10px">
          {asked.questions.map((q) => (
            <chakra.p key={q.phrase.id} fontSize="17px" mb="6px">
              <chakra.b color="warn">▲ Please check. </chakra.b>
              <Words of={q.phrase} />
            </chakra.p>
          ))}
          <Box display="flex" gap="8px" flexWrap="wrap">
            {asked.questions.flatMap((q) =>
              q.perhaps === null
                ? []
                : [
                    <Button
                      key={`${q.phrase.id}-perhaps`}
                      onClick={() =>
                        accept(q.perhaps!, showFixed(fromMm(q.perhaps!, unit), unit === "mm" ? 3 : 4), [
                          q.phrase.id ?? "",
                        ])
                      }
                      css={{ minHeight: "48px" }}
                    >
                      I meant {showQuantity(mm(q.perhaps), unit, unit === "mm" ? 2 : 4)}
                    </Button>,
                  ],
            )}
            <Button
              onClick={() =>
                accept(
                  asked.value,
                  text.trim(),
                  asked.questions.map((q) => q.phrase.id ?? ""),
                )
              }
              css={{ minHeight: "48px" }}
            >
              Yes, save it {showQuantity(mm(asked.value), unit, unit === "mm" ? 3 : 4)}
            </Button>
            <Button
              onClick={() => {
                setAsked(null);
                setText("");
              }}
              css={{ minHeight: "48px" }}
            >
              Read again
            </Button>
          </Box>
        </Box>
      )}
      {keypad && (
        <Box display="grid" gridTemplateColumns="repeat(3, 1fr) 1.2fr" gap="6px">
          {keys.map((key, i) => (
            <chakra.button
              key={key}
              type="button"
              onClick={() => press(key)}
              minH={{ base: "48px", md: "52px" }}
              fontSize="24px"
              fontWeight="600"
              bg="sheet"
              color="ink"
              borderWidth="1px"
              borderStyle="solid"
              borderColor="rule"
              gridColumn={(i % 3) + 1}
              gridRow={Math.floor(i / 3) + 1}
              cursor="pointer"
              aria-label={key === "⌫" ? "Delete" : key}
            >
              {key}
            </chakra.button>
          ))}
          <Button look="strong" size="machine" onClick={enter} css={{ gridColumn: 4, gridRow: "1 / span 4" }}>
            Enter
          </Button>
        </Box>
      )}
    </Box>
  );
}
