import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Spot, spotWords } from "../../../core/inspect/index.ts";
import { cleanShare, moreAllowed, type Plan } from "../../../core/plan/index.ts";
import { mm, parseQuantity } from "../../../core/quantity/index.ts";
import { faceOf, type FaceSetup } from "../../../core/route/index.ts";
import { farthestRun, moreFor, type RecordEvent, type Step } from "../../../core/steps/index.ts";
import { entryProblem } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { StepTitle } from "./machine-frame.tsx";

/** The parts of a face as they are seen from above: the back row first. */
const parts: readonly Spot[] = ([1, 0, -1] as const).flatMap((y) =>
  ([-1, 0, 1] as const).map((x) => ({ x, y })),
);

/** Is the face clean all over? What is not gets one more pass, as far as the size allows. */
export function CleanupCard({
  step,
  setup,
  enabled,
  onAnswer,
}: {
  step: Step;
  setup: FaceSetup;
  enabled: boolean;
  onAnswer: (...events: RecordEvent[]) => void;
}) {
  const { plan, unit } = useJob();
  const [raw, setRaw] = useState<readonly Spot[]>([]);
  const [text, setText] = useState("");
  const deep = text.trim() === "" ? null : parseQuantity(text, "length", unit);
  const tooFar = deep?.ok && (deep.value <= 0 || deep.value > farthestRun);
  const op = faceOf(setup);
  const answer = (clean: boolean) =>
    onAnswer({
      type: "cleanup",
      op: op.key,
      clean,
      ...(!clean && raw.length > 0 ? { raw: [...raw] } : {}),
      ...(!clean && raw.length > 0 && deep?.ok ? { deep: deep.value } : {}),
    });
  const press = (spot: Spot) =>
    setRaw(
      raw.includes(spot) ? raw.filter((s) => s !== spot) : parts.filter((s) => s === spot || raw.includes(s)),
    );
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
          disabled={!enabled || (raw.length > 0 && (tooFar === true || deep?.ok === false))}
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
            {parts.map((spot) => (
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
            <StillGives plan={plan} op={op} deep={deep?.ok && !tooFar ? deep.value : null} />
            {deep?.ok === false && (
              <chakra.p color="stop" role="status">
                <Words of={entryProblem(deep.problem)} />
              </chakra.p>
            )}
            {tooFar && (
              <chakra.p color="stop" role="status">
                Type how far below the cut it lies: above 0, <Figure of={mm(farthestRun)} /> at most.
              </chakra.p>
            )}
          </Box>
        )}
      </Box>
    </>
  );
}

/** What one more pass would take, and whether the size still gives that. */
function StillGives({
  plan: { spares, target },
  op,
  deep,
}: {
  plan: Pick<Plan, "spares" | "target">;
  op: ReturnType<typeof faceOf>;
  deep: number | null;
}) {
  if (!spares || !target) return null;
  const gives = op.sized ? 0 : moreAllowed(op, spares, target);
  const takes = moreFor(deep);
  return (
    <chakra.p fontSize="16px" mt="6px" role="status">
      {gives >= takes ? (
        <>
          One more pass of <Figure of={mm(takes)} /> {deep === null ? "is planned" : "goes past it"}; the size
          still gives <Figure of={mm(gives)} />.
        </>
      ) : gives > 0 ? (
        <>
          The size still gives <Figure of={mm(gives)} />, <Figure of={mm(takes)} /> would be needed: it may
          stay raw there. The plan says what rests on it.
        </>
      ) : (
        "It is at size, and nothing more can come off: it stays raw there. The plan says what rests on it."
      )}
    </chakra.p>
  );
}
