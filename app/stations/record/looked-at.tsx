import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link } from "react-router";
import type { Shop } from "../../../core/shop/index.ts";
import { formHint, type Spot, spotsRound, spotWords } from "../../../core/inspect/index.ts";
import { adviceFor, faceSpan, madeBy, type Requirement } from "../../../core/plan/index.ts";
import { formOf } from "../../../core/part/index.ts";
import { showDimension } from "../../../core/quantity/index.ts";
import { capital, phraseText } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { Section } from "../../instruments/section.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Words } from "../../instruments/words.tsx";
import { Acceptance } from "./acceptance.tsx";
import { WorkedByHand } from "./by-hand.tsx";
import { MostLikely } from "./most-likely.tsx";
import { Rework } from "./rework.tsx";
import { SpotFace } from "./spot-face.tsx";
import { Tried } from "../../instruments/tried.tsx";
import { TakenReadings } from "./taken-readings.tsx";
import { verdicts } from "./verdicts.ts";

/** The size that is looked at: its face as it lay with what was read where, a reading more, what to do, and what made it so. */
export function LookedAt({ of }: { of: Requirement["of"] }) {
  const { job, plan, shop, unit, suspicions } = useJob();
  const submit = useSubmit();
  const r = plan.requirements.find((q) => q.of === of);
  const form = formOf(job.part, of)?.kind ?? null;
  const hint = formHint(job.part, of);
  const setup = r ? madeBy(r, plan.setups) : undefined;
  const sizes = plan.target;
  const [pressed, setPressed] = useState<Spot | null>(null);
  const read = (spot: Spot) => r?.readings.some((q) => q.spot?.x === spot.x && q.spot.y === spot.y) ?? false;
  // The next corner round the block that was not read yet, unless one was pressed.
  const spot = setup ? (pressed ?? spotsRound.find((s) => !read(s)) ?? null) : null;
  const meant = r ? (r.limits.lower + r.limits.upper) / 2 : 0;
  const span = setup && sizes ? faceSpan(setup, sizes) : null;
  const advice =
    r && sizes
      ? adviceFor(r, { setups: plan.setups, sizes, shop, parallel: job.part.parallelism, form })
      : [];
  const accused = useAnswer("suspicions", plan, suspicions) ?? [];
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
          {spot && !r?.gauge && (
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
          {r?.gauge ? (
            <Tried of={r} gauge={r.gauge} />
          ) : of === "parallelism" ? (
            <chakra.p color="quiet">
              The largest spread of the readings of one size: read length, width and height at two places or
              more.
            </chakra.p>
          ) : (
            <ReadingPad
              key={of}
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
          )}
          {hint && (
            <chakra.p fontSize="14px" color="quiet">
              <Words of={hint} />
            </chakra.p>
          )}
          {r && <TakenReadings of={r} />}
          {r && <WorkedByHand of={r} />}
          {r && <Overdue of={r} shop={shop} />}
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
        {r && <Rework of={r} />}
        {accused.length > 0 && <MostLikely things={accused} />}
        {r && <Acceptance of={r} />}
        {advice.length === 0 && accused.length === 0 && (
          <chakra.p color="quiet" fontSize="14px" mt="14px">
            {r && r.readings.length > 0
              ? "Nothing here asks for a change."
              : r?.gauge
                ? "Wipe it, and try it by hand without force."
                : "Read it at the four corners and in the middle: a single reading proves one place only."}
          </chakra.p>
        )}
      </Box>
    </Box>
  );
}

/** Instruments whose check is overdue leave more in doubt: it is said where they were used. */
function Overdue({ of: r, shop }: { of: Requirement; shop: Shop }) {
  const late = new Set(r.readings.flatMap((q) => (q.overdue && q.counts ? [q.instrument] : [])));
  const names = shop.instruments.filter((i) => late.has(i.id)).map((i) => i.name);
  return names.length === 0 ? null : (
    <Notice severity="warn">
      The check of {names.join(", ")} was overdue: its readings are trusted less, U half as large again. Check
      it on a gauge block, and read once more.{" "}
      <Link to="/sums/check-instrument" style={{ textDecoration: "underline" }}>
        Instrument and block
      </Link>
    </Notice>
  );
}
