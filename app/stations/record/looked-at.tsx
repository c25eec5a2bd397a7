import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Accused, type Spot, spotsRound, spotWords } from "../../../core/inspect/index.ts";
import { adviceFor, faceSpan, madeBy, type Requirement, suspicions } from "../../../core/plan/index.ts";
import { mm, showDimension } from "../../../core/quantity/index.ts";
import type { ReadingOf } from "../../../core/steps/index.ts";
import { capital, phraseText } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { Section } from "../../instruments/section.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { SpotFace } from "./spot-face.tsx";
import { verdicts } from "./verdicts.ts";

/** The size that is looked at: its face as it lay with what was read where, a reading more, what to do, and what made it so. */
export function LookedAt({ of }: { of: ReadingOf }) {
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
              <Worked at={`verdict#${of}`}>
                <span aria-hidden="true">{verdict.shape}</span> {verdict.words}
              </Worked>
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
              Next: at the <b>{spotWords(spot)}</b>, as it lay in {setup ? setupPlace(setup, plan) : ""}.{" "}
              {pressed ? (
                <Button look="quiet" onClick={() => setPressed(null)}>
                  Back to the order round the block
                </Button>
              ) : (
                "Or press another place."
              )}
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
