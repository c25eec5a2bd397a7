import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Accused, type Spot, spotsRound, spotWords, type Verdict } from "../../../core/inspect/index.ts";
import {
  adviceFor,
  faceSpan,
  madeBy,
  type Requirement,
  scrappedIn,
  suspicions,
} from "../../../core/plan/index.ts";
import { mm, showDimension } from "../../../core/quantity/index.ts";
import type { ReadingOf } from "../../../core/steps/index.ts";
import { capital, phraseText } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { CutTwice } from "./cut-twice.tsx";
import { LimitsBar } from "./limits-bar.tsx";
import { SpotFace } from "./spot-face.tsx";

const verdicts: Record<Verdict, { shape: string; words: string; color: string }> = {
  good: { shape: "✓", words: "good", color: "good" },
  withinU: { shape: "▲", words: "good, but near a limit", color: "warn" },
  rework: { shape: "▲", words: "rework", color: "warn" },
  under: { shape: "■", words: "under size", color: "stop" },
  over: { shape: "■", words: "over size", color: "stop" },
  cannotTell: { shape: "○", words: "cannot tell with this instrument", color: "warn" },
};

/** Every required size against its readings: the one looked at drawn, with what would make it right and what most likely made it so. */
export function ThisPiece({ when }: { when: (iso: string) => string }) {
  const { job, plan, piece, records, unit } = useJob();
  const [asked, setOf] = useState<ReadingOf | null>(null);
  const judged = plan.requirements.filter((r) => r.verdict);
  const scrapped = scrappedIn(records, piece);
  // What is not good is looked at first.
  const worst = plan.requirements.find(
    (r) => r.of !== "parallelism" && r.verdict && r.verdict.verdict !== "good" && !r.accepted,
  );
  const of: ReadingOf = asked ?? (worst?.of as ReadingOf | undefined) ?? "length";
  return (
    <>
      {scrapped && (
        <Notice severity="stop">
          Piece {piece} is scrapped: {scrapped.reason || "no reason given"}.
        </Notice>
      )}
      {plan.requirements.length > 0 && <Looked key={of} of={of} />}
      <Table
        label="Required sizes and readings"
        figures={[1, 4]}
        maxH="330px"
        head={["required", "limits", "", "readings", "U", "verdict"]}
      >
        {plan.requirements.map((r) => (
          <RequirementRow
            key={r.of}
            requirement={r}
            unit={unit}
            chosen={r.of === of}
            onChoose={r.of === "parallelism" ? null : () => setOf(r.of as ReadingOf)}
          />
        ))}
        {!plan.requirements.some((r) => r.of === "squareness") && plan.requirements.length > 0 && (
          <chakra.tr bg={of === "squareness" ? "accentSoft" : "transparent"}>
            <th scope="row">
              <chakra.button
                type="button"
                textDecoration="underline"
                cursor="pointer"
                color="ink"
                minH="28px"
                onClick={() => setOf("squareness")}
              >
                squareness
              </chakra.button>
            </th>
            <td colSpan={5}>not asked for on the drawing; a reading of it is saved</td>
          </chakra.tr>
        )}
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
    </>
  );
}

/** The size that is looked at: its face as it lay with what was read where, a reading more, what to do, and what made it so. */
function Looked({ of }: { of: ReadingOf }) {
  const { job, plan, shop, unit } = useJob();
  const { machine } = useEquipment();
  const submit = useSubmit();
  const r = plan.requirements.find((q) => q.of === of);
  const setup = r ? madeBy(r, plan.setups) : undefined;
  const sizes = plan.target;
  const [pressed, setPressed] = useState<Spot | null>(null);
  const read = (spot: Spot) => r?.readings.some((q) => q.spot?.x === spot.x && q.spot.y === spot.y) ?? false;
  // The next corner round the block that was not read yet, unless one was pressed.
  const spot = setup ? (pressed ?? spotsRound.find((s) => !read(s)) ?? null) : null;
  const meant = r ? (r.limits.lower + r.limits.upper) / 2 : 0;
  const span = setup && sizes ? faceSpan(setup, sizes) : null;
  const advice =
    r && sizes ? adviceFor(r, { setups: plan.setups, sizes, shop, parallel: job.part.parallelism }) : [];
  const accused = suspicions(plan, job, shop, machine);
  const verdict = r?.verdict ? verdicts[r.verdict.verdict] : null;
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.25fr) minmax(0, 1fr)" }}
      gap="8px 26px"
      mb="10px"
    >
      <Box>
        <chakra.h2 fontSize="18px" mb="4px">
          {r?.name ? capital(phraseText(r.name, unit)) : capital(of)}
          {r?.drawn && <> {showDimension(r.drawn, unit)}</>}
          {verdict && (
            <chakra.span color={verdict.color}>
              {" "}
              <span aria-hidden="true">{verdict.shape}</span> {verdict.words}
            </chakra.span>
          )}
        </chakra.h2>
        {r && setup && span && (
          <SpotFace
            readings={r.readings}
            meant={meant}
            span={span}
            chosen={spot}
            onChoose={setPressed}
            unit={unit}
          />
        )}
        <Box className="no-print" mt="6px">
          {spot && (
            <chakra.p fontSize="14px" color="quiet" mb="4px">
              Next: at the <b>{spotWords(spot)}</b>, as it lay in {setup ? setupPlace(setup, plan) : ""}.
              Press another place, or{" "}
              <Button look="quiet" onClick={() => setPressed(null)}>
                the next one
              </Button>
            </chakra.p>
          )}
          <ReadingPad
            key={`${of} ${r?.readings.length ?? 0}`}
            of={of}
            name={r?.name}
            how={r?.how ?? (of === "squareness" ? "form" : "outside")}
            expected={meant}
            before={null}
            keypad={false}
            readings={r?.readings.map((q) => q.value) ?? []}
            onReading={(reading) => {
              void submit.append({ type: "reading", op: null, of, ...reading, ...(spot ? { spot } : {}) });
              setPressed(null);
            }}
          />
          {r && <TakenReadings of={r} />}
        </Box>
      </Box>
      <Box>
        {advice.length > 0 && (
          <Section title="What would make it right">
            {advice.map((phrase, i) => (
              <Notice
                key={i}
                severity={r?.verdict?.verdict === "under" || r?.verdict?.verdict === "over" ? "stop" : "warn"}
              >
                <Words of={phrase} />
              </Notice>
            ))}
          </Section>
        )}
        {accused.length > 0 && <MostLikely things={accused} />}
        {r && <Acceptance of={r} />}
        {advice.length === 0 && accused.length === 0 && (
          <chakra.p color="quiet" fontSize="14px" mt="14px">
            {r && r.readings.length > 0
              ? "Nothing here asks for a change."
              : "Read it at the four corners and in the middle: a single reading proves one place only."}
          </chakra.p>
        )}
      </Box>
    </Box>
  );
}

/** What is not good accepted as it is, with the reason that goes into the record; or taken back. */
function Acceptance({ of: r }: { of: Requirement }) {
  const submit = useSubmit();
  const [reason, setReason] = useState("");
  const { accepted } = r;
  if (accepted)
    return (
      <Notice severity="note">
        Accepted as it is: {accepted.reason}. Its verdict stays on the sheet.{" "}
        <Button onClick={() => void submit.append({ type: "withdrawn", of: accepted.id })}>
          Take that back
        </Button>
      </Notice>
    );
  if (!r.verdict || r.verdict.verdict === "good") return null;
  const accept = () => {
    if (reason.trim() !== "") void submit.append({ type: "accepted", of: r.of, reason: reason.trim() });
  };
  return (
    <Box display="flex" gap="8px" alignItems="flex-end" mt="8px" className="no-print">
      <Field
        label="Accepted by whoever may: who, and why"
        grow
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        onKeyDown={(e) => e.key === "Enter" && accept()}
      />
      <Button disabled={reason.trim() === ""} onClick={accept}>
        Accept it
      </Button>
    </Box>
  );
}

/** What most likely made the sizes what they are, each with the one test that would tell it from the others. */
function MostLikely({ things }: { things: readonly (readonly Accused[])[] }) {
  return (
    <>
      {things.map((rivals, i) => (
        <Section key={i} title={i === 0 ? "Most likely" : "And what that leaves"}>
          <Box as="ol" listStyleType="none">
            {rivals.map(({ suspect, explains }, k) => (
              <Box as="li" key={suspect.id} borderTopWidth="1px" py="4px" fontSize="14.5px">
                <Box display="flex" justifyContent="space-between" gap="10px">
                  <chakra.span fontWeight={k === 0 ? 600 : 400}>
                    <Words of={suspect.says} />
                  </chakra.span>
                  <chakra.span color="quiet" whiteSpace="nowrap" fontSize="13px">
                    explains {Math.round(explains * 100)} %
                  </chakra.span>
                </Box>
                {k === 0 && (
                  <chakra.p color="quiet" fontSize="13.5px">
                    To tell: <Words of={suspect.test} />
                  </chakra.p>
                )}
              </Box>
            ))}
          </Box>
        </Section>
      ))}
      <chakra.p fontSize="12.5px" color="quiet" mt="4px">
        By every reading of this piece, with the dials, cutters and setups of this job. A guess until tested.
      </chakra.p>
    </>
  );
}

/** How many places were read, and from where to where. */
const Span = ({ of }: { of: readonly number[] }) => (
  <chakra.span whiteSpace="nowrap">
    {of.length > 1 && (
      <>
        {of.length} places, <Figure of={mm(Math.min(...of))} decimals={3} /> …{" "}
      </>
    )}
    <Figure of={mm(Math.max(...of))} decimals={3} />
  </chakra.span>
);

/** Every reading of a size, each to be taken back: it stays in what happened. */
function TakenReadings({ of: r }: { of: Requirement }) {
  const submit = useSubmit();
  if (r.readings.length === 0) return null;
  return (
    <Box fontSize="14px" mt="4px" className="no-print">
      {r.readings.map((reading) => (
        <chakra.span key={reading.id} display="inline-flex" alignItems="center" mr="10px" whiteSpace="nowrap">
          {reading.spot && <chakra.span color="quiet">{spotWords(reading.spot)}&nbsp;</chakra.span>}
          <Figure of={mm(reading.value)} decimals={3} />
          {reading.questioned.length > 0 && (
            <chakra.span color="warn" title="queried, saved as typed">
              &nbsp;▲
            </chakra.span>
          )}
          <chakra.button
            type="button"
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
      ))}
    </Box>
  );
}

/** What is required, its limits drawn with the readings in them, and its verdict; pressed, it is looked at above. */
function RequirementRow({
  requirement: r,
  unit,
  chosen,
  onChoose,
}: {
  requirement: Requirement;
  unit: "mm" | "in";
  chosen: boolean;
  onChoose: (() => void) | null;
}) {
  const verdict = r.verdict ? verdicts[r.verdict.verdict] : null;
  return (
    <chakra.tr bg={chosen ? "accentSoft" : "transparent"}>
      <th scope="row">
        {onChoose ? (
          <chakra.button
            type="button"
            textAlign="start"
            textDecoration="underline"
            cursor="pointer"
            color="ink"
            minH="28px"
            aria-current={chosen ? "true" : undefined}
            onClick={onChoose}
          >
            {r.name ? <Words of={r.name} /> : r.of}
          </chakra.button>
        ) : r.name ? (
          <Words of={r.name} />
        ) : (
          r.of
        )}
        {r.drawn && (
          <chakra.span fontWeight="700" color="ink">
            {" "}
            {showDimension(r.drawn, unit)}
          </chakra.span>
        )}
      </th>
      <td>
        {r.drawn ? (
          <>
            <Figure of={mm(r.limits.lower)} decimals={3} /> … <Figure of={mm(r.limits.upper)} decimals={3} />
          </>
        ) : (
          <>
            at most <Figure of={mm(r.limits.upper)} decimals={3} />
          </>
        )}
      </td>
      <td>
        {r.drawn && (
          <LimitsBar limits={r.limits} readings={r.readings.map((reading) => reading.value)} u={r.u} />
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
          <Span of={r.readings.map((reading) => reading.value)} />
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
        {r.accepted && (
          <chakra.span display="block" fontSize="13px">
            accepted{r.accepted.by && ` by ${r.accepted.by}`}: {r.accepted.reason}
          </chakra.span>
        )}
        {r.verdict && r.readings.length === 1 && r.drawn && (
          <chakra.span display="block" fontSize="13px" color="quiet">
            by one point only
          </chakra.span>
        )}
      </td>
    </chakra.tr>
  );
}
