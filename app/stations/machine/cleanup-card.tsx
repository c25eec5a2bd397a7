import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { partsOfFace, type Spot, spotWords } from "../../../core/inspect/index.ts";
import { cleanShare, stillGives } from "../../../core/plan/index.ts";
import { type Mm, mm } from "../../../core/quantity/index.ts";
import { faceOf, type FaceSetup } from "../../../core/route/index.ts";
import {
  type FaceProgress,
  farthestRun,
  moreFor,
  pastRaw,
  type RecordEvent,
  type Step,
} from "../../../core/steps/index.ts";
import { say } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { LengthProblem, readLength } from "../../instruments/typed-length.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { StepTitle } from "./machine-frame.tsx";

const canBeDeep = (value: number): boolean => value > 0 && value <= farthestRun;
const notDeep = say`Type how far below the cut it lies: above 0, ${mm(farthestRun)} at most.`;

/** Is the face clean all over? What is not gets one more pass, as far as the size allows. */
export function CleanupCard({
  step,
  setup,
  state,
  enabled,
  onAnswer,
}: {
  step: Step;
  setup: FaceSetup;
  /** Where the face stands; undefined before it was begun. */
  state: FaceProgress | undefined;
  enabled: boolean;
  onAnswer: (...events: RecordEvent[]) => void;
}) {
  const { plan, unit } = useJob();
  const [raw, setRaw] = useState<readonly Spot[]>([]);
  const [text, setText] = useState("");
  const deep = readLength(text, { unit, may: canBeDeep, told: notDeep });
  const gives = state && plan.spares && plan.target ? stillGives(state, plan.spares, plan.target) : null;
  const answer = (clean: boolean) =>
    onAnswer({
      type: "cleanup",
      op: faceOf(setup).key,
      clean,
      ...(!clean && raw.length > 0 ? { raw: [...raw] } : {}),
      ...(!clean && raw.length > 0 && deep.value !== null ? { deep: deep.value } : {}),
    });
  const press = (spot: Spot) => setRaw(partsOfFace.filter((part) => raw.includes(part) !== (part === spot)));
  return (
    <>
      <StepTitle>
        <Words of={step.title} />
      </StepTitle>
      <Box fontSize="20px" mb="14px">
        <Warnings of={step.notes} />
      </Box>
      <Box display="flex" gap="12px" flexWrap="wrap">
        <Button
          look="strong"
          size="machine"
          disabled={!enabled || raw.length > 0}
          onClick={() => answer(true)}
        >
          Clean all over
        </Button>
        <Button
          look="warn"
          size="machine"
          disabled={!enabled || (raw.length > 0 && deep.problem !== null)}
          onClick={() => answer(false)}
        >
          {raw.length > 0 ? `Clean to about ${cleanShare(raw)} %` : "Not clean yet"}
        </Button>
      </Box>
      <Box display="flex" gap="14px 24px" flexWrap="wrap" mt="16px" alignItems="flex-start">
        <Box>
          <chakra.p fontSize="15px" color="quiet" id="raw-parts">
            Still raw somewhere? Press where, seen from above.
          </chakra.p>
          <Box
            role="group"
            aria-labelledby="raw-parts"
            display="grid"
            gridTemplateColumns="repeat(3, 1fr)"
            width="260px"
            borderWidth="2px"
            borderColor="ink"
            mt="4px"
          >
            {partsOfFace.map((spot) => (
              <chakra.button
                key={spotWords(spot)}
                type="button"
                minH="48px"
                fontSize="15px"
                borderWidth="0.5px"
                borderColor="rule"
                bg={raw.includes(spot) ? "warnSoft" : "metal"}
                color="ink"
                fontWeight={raw.includes(spot) ? 700 : 400}
                cursor="pointer"
                disabled={!enabled}
                aria-pressed={raw.includes(spot)}
                onClick={() => press(spot)}
              >
                {spotWords(spot)}
                {raw.includes(spot) && " ▒"}
              </chakra.button>
            ))}
          </Box>
        </Box>
        {raw.length > 0 && (
          <Box flex="1" minW="220px">
            <Field
              label="How deep it lies below the cut, by an indicator or feeler"
              value={text}
              inputMode="decimal"
              width="130px"
              disabled={!enabled}
              onChange={(e) => setText(e.target.value)}
            />
            {gives !== null && <StillGives gives={gives} deep={deep.value} />}
            <LengthProblem of={deep} />
          </Box>
        )}
      </Box>
    </>
  );
}

/** What one more pass would take, and whether the size still gives that. */
function StillGives({ gives, deep }: { gives: Mm; deep: Mm | null }) {
  const takes = <Figure of={mm(moreFor(deep))} />;
  return (
    <chakra.p fontSize="16px" mt="6px" role="status">
      {gives >= moreFor(deep) ? (
        <>
          One more pass of {takes} {deep === null ? "is planned" : "goes past it"}; the size still gives{" "}
          <Figure of={mm(gives)} />, all that the face across does not need.
        </>
      ) : gives > 0 ? (
        <>
          The size still gives <Figure of={mm(gives)} />, {takes} would be needed: it may stay raw there. The
          plan says what rests on it.
        </>
      ) : (
        "It is at size, and nothing more can come off: it stays raw there. The plan says what rests on it."
      )}
      {deep !== null && gives > 0 && (
        <>
          {" "}
          {takes} is <Figure of={mm(deep)} /> and <Figure of={mm(pastRaw)} /> below it.
        </>
      )}
    </chakra.p>
  );
}
