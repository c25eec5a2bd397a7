import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { noSizeFrom, readingWay, type ReadingWayId, spotWords } from "../../../core/inspect/index.ts";
import type { Part } from "../../../core/part/index.ts";
import type { Requirement } from "../../../core/plan/index.ts";
import { mm, parseLength, showQuantity } from "../../../core/quantity/index.ts";
import { entryProblem, type Phrase, words } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";

type Taken = Requirement["readings"][number];

/** Every reading of a size, each to be put right or taken back with the reason: it stays in what happened. */
export function TakenReadings({ of: r }: { of: Requirement }) {
  const { job } = useJob();
  const [chosen, setChosen] = useState<string | null>(null);
  const reading = r.readings.find((q) => q.id === chosen);
  if (r.readings.length === 0) return null;
  return (
    <Box fontSize="14px" mt="4px" className="no-print">
      {r.readings.map((q) => (
        <chakra.button
          key={q.id}
          type="button"
          display="inline-flex"
          alignItems="center"
          mr="10px"
          minH="28px"
          whiteSpace="nowrap"
          cursor="pointer"
          textDecoration="underline"
          textUnderlineOffset="3px"
          aria-expanded={q.id === chosen}
          aria-label={`Put right or take back the reading ${q.value}`}
          onClick={() => setChosen(q.id === chosen ? null : q.id)}
        >
          {q.spot && <chakra.span color="quiet">{spotWords(q.spot)}&nbsp;</chakra.span>}
          <chakra.span opacity={q.counts ? 1 : 0.6}>
            {q.atMost && "≤ "}
            <Figure of={mm(q.read)} decimals={3} />
            {q.held && ` ${q.held}`}
            {q.way && (
              <chakra.span color="quiet">
                {" "}
                (showed {q.way.showed}, <Words of={saysOf(q.way.id, job.part, r.of)} />)
              </chakra.span>
            )}
          </chakra.span>
          {!q.counts && (
            <chakra.span color="quiet" title="a better instrument, or the part let go, was read after it">
              &nbsp;not used
            </chakra.span>
          )}
          {q.questioned.length > 0 && (
            <chakra.span color="warn" title="queried, saved as typed">
              &nbsp;▲
            </chakra.span>
          )}
        </chakra.button>
      ))}
      {reading && <PutRight key={reading.id} of={r} reading={reading} onDone={() => setChosen(null)} />}
    </Box>
  );
}

/** How a size was read, in words; the drawing may have changed since. */
const saysOf = (way: ReadingWayId, part: Part, of: string): Phrase =>
  readingWay(part, of, way)?.says ?? words("another way");

const reasons = [
  ["misread", "misread the instrument"],
  ["chip or burr in between", "a chip or burr in between"],
  ["wrong size or place", "wrong size or place"],
  ["wrong instrument entered", "wrong instrument entered"],
  ["typed wrong", "typed wrong"],
] as const;

/** One reading put right: what it is in truth, or nothing, and why. */
function PutRight({ of: r, reading, onDone }: { of: Requirement; reading: Taken; onDone: () => void }) {
  const { job, unit } = useJob();
  // Read another way, what is typed instead is what the instrument showed.
  const way = readingWay(job.part, r.of, reading.way?.id);
  const was =
    way && reading.way ? reading.way.showed : showQuantity(mm(reading.value), unit, unit === "mm" ? 3 : 4);
  const submit = useSubmit();
  const [text, setText] = useState("");
  const [reason, setReason] = useState<(typeof reasons)[number][0] | "">("");
  const [problem, setProblem] = useState<Phrase | null>(null);
  const keep = () => {
    const gone = { type: "withdrawn", of: reading.id, reason } as const;
    if (text.trim() === "") {
      void submit.append(gone).then((answer) => answer.ok && onDone());
      return;
    }
    const read = parseLength(text, unit);
    if (!read.ok) {
      setProblem(entryProblem(read.problem));
      return;
    }
    const { instrument, spot } = reading;
    if (r.of === "parallelism") return;
    const value = way ? way.size(read.value) : read.value;
    if (value === null || value <= 0) {
      setProblem(noSizeFrom(read.value));
      return;
    }
    void submit
      .append(gone, {
        type: "reading",
        op: null,
        of: r.of,
        value,
        written: { text: text.trim(), unit },
        instrument,
        questioned: [],
        ...(spot ? { spot } : {}),
        ...(way ? { way: way.id } : {}),
      })
      .then((answer) => answer.ok && onDone());
  };
  return (
    <Box borderWidth="1px" p="8px" mt="4px" display="flex" gap="8px" alignItems="flex-end" flexWrap="wrap">
      <Field
        label={`Instead of ${was}; empty: taken back`}
        value={text}
        inputMode="decimal"
        onChange={(e) => {
          setText(e.target.value);
          setProblem(null);
        }}
      />
      <Choice label="Why" value={reason} options={reasons} onChoose={setReason} empty="choose why" />
      <Button disabled={reason === "" || submit.busy} onClick={keep}>
        {text.trim() === "" ? "Take it back" : "Put it right"}
      </Button>
      {problem && (
        <chakra.p color="stop" flexBasis="100%">
          <Words of={problem} />
        </chakra.p>
      )}
    </Box>
  );
}
