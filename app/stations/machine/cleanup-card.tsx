import { Box } from "@chakra-ui/react";
import { faceOf, type FaceSetup } from "../../../core/route/index.ts";
import type { RecordEvent, Step } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { Words } from "../../instruments/words.tsx";
import { StepTitle } from "./machine-frame.tsx";

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
  const answer = (clean: boolean) => onAnswer({ type: "cleanup", op: faceOf(setup).key, clean });
  return (
    <>
      <StepTitle>
        <Words of={step.title} />
      </StepTitle>
      <Box fontSize="20px" mb="14px">
        <Warnings of={step.notes} />
      </Box>
      <Box display="flex" gap="12px" flexWrap="wrap">
        <Button look="strong" size="machine" disabled={!enabled} onClick={() => answer(true)}>
          Clean all over
        </Button>
        <Button look="warn" size="machine" disabled={!enabled} onClick={() => answer(false)}>
          Not clean yet
        </Button>
      </Box>
    </>
  );
}
