import { Printer } from "lucide-react";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { axisNames } from "../../../core/frame/index.ts";
import { type Requirement, scrappedIn, verdictOf } from "../../../core/plan/index.ts";
import { mm, quantity, showDimension } from "../../../core/quantity/index.ts";
import type { Verdict } from "../../../core/inspect/index.ts";
import { effective, type ReadingOf } from "../../../core/steps/index.ts";
import { database, files } from "../../../store/index.ts";
import { phraseText } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Icon } from "../../instruments/icon.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { download, fileName } from "../../instruments/download.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { recordPath } from "../../instruments/job-paths.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { PieceSwitch } from "../../instruments/pieces.tsx";
import { PersonName } from "../../instruments/person-name.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { Section, StationTitle, Table } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { CutTwice } from "./cut-twice.tsx";
import { Pieces } from "./pieces.tsx";
import { timeAtMachine } from "./time-taken.ts";

const verdicts: Record<Verdict, { shape: string; words: string; color: string }> = {
  good: { shape: "✓", words: "good", color: "good" },
  withinU: { shape: "▲", words: "good, but within the uncertainty of a limit", color: "warn" },
  rework: { shape: "▲", words: "rework", color: "warn" },
  under: { shape: "■", words: "under size", color: "stop" },
  over: { shape: "■", words: "over size", color: "stop" },
  cannotTell: { shape: "○", words: "cannot tell with this instrument", color: "warn" },
};

const when = (iso: string) => new Date(iso).toLocaleString([], { dateStyle: "short", timeStyle: "short" });

/** Is it good? Every required size against its readings; all pieces; what happened; time, notes and files. */
export function RecordStation() {
  const { job, plan, piece, records } = useJob();
  const view = useStationView("record");
  const good = scrappedIn(records, piece) === null && verdictOf(plan) === "good";
  return (
    <StationViews
      station="record"
      title={view === "pieces" ? "Is it good?" : null}
      to={(to) => `${recordPath(job.id, piece)}${to && `/${to}`}`}
    >
      {view !== "pieces" && (
        <>
          <StationTitle>{good ? "The part is good" : "Is it good?"}</StationTitle>
          <PieceSwitch to={(of) => `${recordPath(job.id, of)}${view && `/${view}`}`} />
        </>
      )}
      {view === "" && <ThisPiece />}
      {view === "pieces" && <Pieces />}
      {view === "log" && <Log />}
      {view === "files" && <TimeAndFiles />}
    </StationViews>
  );
}

/** Every required size against its readings, and a reading more. */
function ThisPiece() {
  const { job, plan, piece, records, unit } = useJob();
  const submit = useSubmit();
  const [of, setOf] = useState<ReadingOf>("length");
  const judged = plan.requirements.filter((r) => r.verdict);
  const scrapped = scrappedIn(records, piece);
  const requirement = plan.requirements.find((r) => r.of === of);
  return (
    <>
      {scrapped && (
        <Notice severity="stop">
          Piece {piece} is scrapped: {scrapped.reason || "no reason given"}.
        </Notice>
      )}
      <Table
        label="Required sizes and readings"
        figures={[1, 2, 3]}
        head={["required", "limits", "readings", "U", "verdict"]}
      >
        {plan.requirements.map((r) => (
          <RequirementRow key={r.of} requirement={r} unit={unit} />
        ))}
      </Table>
      {plan.missing.length > 0 && (
        <Notice severity={judged.length > 0 ? "warn" : "note"}>
          <b>Not cut yet:</b>{" "}
          {plan.missing.map(({ name, why }, i) => (
            <span key={i}>
              {i > 0 && "; "}
              <Words of={name} />
              {why && (
                <>
                  {" "}
                  (<Words of={why} />)
                </>
              )}
            </span>
          ))}
          . The part is not finished until they are.
        </Notice>
      )}
      {plan.requirements.length === 0 && (
        <Notice severity="note">
          {job.part.shaft
            ? "Diameters of a shaft are checked at the Stock (2)."
            : "Nothing to inspect yet. Fill in the drawing first (1)."}
        </Notice>
      )}
      <Warnings of={plan.rechecks} />
      <CutTwice when={when} />
      {plan.requirements.map(({ of, name, limits, deviation }) =>
        deviation ? (
          <Notice key={of} severity="warn">
            Deviation from the drawing: {name ? <Words of={name} /> : of}{" "}
            <b>
              <Figure of={mm(limits.lower)} decimals={3} /> to <Figure of={mm(limits.upper)} decimals={3} />
            </b>{" "}
            instead of{" "}
            <b>
              {deviation.drawn ? (
                <>
                  <Figure of={mm(deviation.drawn.lower)} decimals={3} /> to{" "}
                  <Figure of={mm(deviation.drawn.upper)} decimals={3} />
                </>
              ) : (
                "nothing"
              )}
            </b>
            . <Words of={deviation.reason} />
          </Notice>
        ) : null,
      )}

      <Section title="Reading at the inspection">
        <Box display="flex" gap="16px" flexWrap="wrap" alignItems="flex-start" className="no-print">
          <Choice
            label="Of"
            value={of}
            options={[
              ...axisNames.map((a) => [a, a] as const),
              ["squareness", "squareness, gap over 100 mm"] as const,
              ...plan.requirements.flatMap((r) =>
                r.name && r.of !== "parallelism" ? [[r.of, phraseText(r.name, unit)] as const] : [],
              ),
            ]}
            onChoose={setOf}
          />
          <ReadingPad
            key={of}
            of={of}
            name={requirement?.name}
            how={requirement?.how ?? (of === "squareness" ? "form" : "outside")}
            expected={requirement ? (requirement.limits.lower + requirement.limits.upper) / 2 : 0}
            before={null}
            keypad={false}
            readings={requirement?.readings.map((r) => r.value) ?? []}
            onReading={(reading) => void submit.append({ type: "reading", op: null, of, ...reading })}
          />
        </Box>
      </Section>
    </>
  );
}

/** Changes after the first cut, notes and troubles, newest last. */
function Log() {
  const { piece, records } = useJob();
  // A change of a decision is of all pieces.
  const log = effective(records)
    .filter((r) => r.type === "changed" || r.type === "note" || r.type === "stale" || r.type === "scrapped")
    .filter((r) => r.type === "changed" || r.piece === piece);
  return (
    <>
      <PersonName />
      {log.length === 0 ? (
        <chakra.p color="quiet">No change after the first cut, no note, no trouble.</chakra.p>
      ) : (
        <Table label="Log" head={["when", "who", "what", "why"]}>
          {log.map((r) => (
            <tr key={r.id}>
              <td>{when(r.at)}</td>
              <td>{r.by || "—"}</td>
              <td>
                {r.type === "changed"
                  ? r.changes.map((c) => c.path.replaceAll("/", " ")).join("; ")
                  : r.type === "note"
                    ? r.text
                    : r.type === "scrapped"
                      ? "scrapped"
                      : `zero stale: ${r.cause}`}
              </td>
              <td>{"reason" in r ? r.reason || "no reason given" : ""}</td>
            </tr>
          ))}
        </Table>
      )}
    </>
  );
}

/** How long it took, what to remember, and the files of the job. */
function TimeAndFiles() {
  const { job, plan, piece, records } = useJob();
  const taken = timeAtMachine(effective(records).filter((r) => r.piece === piece));
  const save = async (what: "job" | "readings") => {
    const { exportJobFile, exportReadings } = await files();
    const text =
      what === "job" ? await exportJobFile(database(), job.id) : await exportReadings(database(), job.id);
    if (text === null) return;
    if (what === "job") download(`${fileName(job.name)}.firmarbor.json`, text, "application/json");
    else download(`${fileName(job.name)}-readings.csv`, text, "text/csv");
  };
  return (
    <>
      <Section title="Time">
        <p>
          {taken ? (
            <>
              At the machine:{" "}
              <b>
                <Figure of={quantity("time", taken.active)} />
              </b>{" "}
              (pauses over 15 min left out), planned <Figure of={quantity("time", plan.minutes.total)} />.
              From {when(taken.from)} to {when(taken.to)}.
            </>
          ) : (
            "Nothing done at the machine yet."
          )}
        </p>
      </Section>

      <Section title="Notes">
        <TextEntry label="What to remember" path="notes" value={job.notes} lines={3} />
      </Section>

      <Section title="Files">
        <Box display="flex" gap="10px" flexWrap="wrap" className="no-print">
          <Button look="strong" onClick={() => void save("job")}>
            Export the job
          </Button>
          <Button onClick={() => void save("readings")}>Readings as CSV</Button>
          <Button onClick={() => print()}>
            <Icon of={Printer} /> Print
          </Button>
        </Box>
        <chakra.p fontSize="13.5px" color="quiet" mt="6px">
          The job file is documented JSON; import it on the bench of another browser to go on there.
        </chakra.p>
      </Section>
    </>
  );
}

function RequirementRow({ requirement: r, unit }: { requirement: Requirement; unit: "mm" | "in" }) {
  const submit = useSubmit();
  const verdict = r.verdict ? verdicts[r.verdict.verdict] : null;
  return (
    <tr>
      <th scope="row">
        {r.name ? <Words of={r.name} /> : r.of}
        <chakra.span display="block" fontWeight="400">
          {r.drawn ? (
            showDimension(r.drawn, unit)
          ) : (
            <>
              at most <Figure of={mm(r.limits.upper)} decimals={3} />
            </>
          )}
        </chakra.span>
      </th>
      <td>
        {r.drawn ? (
          <>
            <Figure of={mm(r.limits.lower)} decimals={3} /> … <Figure of={mm(r.limits.upper)} decimals={3} />
          </>
        ) : (
          "—"
        )}
      </td>
      <td>
        {r.readings.length === 0 ? (
          r.of === "parallelism" && r.verdict ? (
            <Figure of={mm(r.verdict.largest)} decimals={3} />
          ) : (
            "none yet"
          )
        ) : (
          r.readings.map((reading) => (
            <chakra.span
              key={reading.id}
              display="inline-flex"
              alignItems="center"
              mr="10px"
              whiteSpace="nowrap"
            >
              <Figure of={mm(reading.value)} decimals={3} />
              {reading.questioned.length > 0 && (
                <chakra.span color="warn" title="queried, saved as typed">
                  &nbsp;▲
                </chakra.span>
              )}
              <chakra.button
                type="button"
                className="no-print"
                color="quiet"
                cursor="pointer"
                px="6px"
                minH="28px"
                aria-label={`Take back the reading ${reading.value}`}
                onClick={() => void submit.append({ type: "withdrawn", of: reading.id })}
              >
                ×
              </chakra.button>
            </chakra.span>
          ))
        )}
      </td>
      <td>
        {r.u > 0 ? (
          <>
            ±<Figure of={mm(r.u)} decimals={3} />
          </>
        ) : (
          "—"
        )}
      </td>
      <td>
        {verdict && r.verdict ? (
          <chakra.b color={verdict.color}>
            <Worked at={`verdict#${r.of}`}>
              <span aria-hidden="true">{verdict.shape}</span> {verdict.words}
              {r.verdict.rework > 0 && (
                <>
                  , <Figure of={mm(r.verdict.rework)} decimals={3} /> still to come off
                </>
              )}
            </Worked>
          </chakra.b>
        ) : (
          <chakra.span color="quiet">○ not judged yet</chakra.span>
        )}
        {r.verdict && r.readings.length === 1 && r.drawn && (
          <chakra.span display="block" fontSize="13px" color="quiet">
            by one point only
          </chakra.span>
        )}
      </td>
    </tr>
  );
}
