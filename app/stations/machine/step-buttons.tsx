import { TriangleAlert } from "lucide-react";
import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Button } from "../../instruments/button.tsx";
import { Icon } from "../../instruments/icon.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { StepFoot } from "./machine-frame.tsx";

/** Letters that stay on one line beside the other buttons. */
const shortest = 9;

/** The buttons at the foot of a step: done, its other answer, measured or left out, a reading between, what is wrong. */
export function StepButtons({
  question,
  withIt = 0,
  done,
  enabled,
  busy,
  measuring,
  onDone,
  other,
  reading,
  onWrong,
}: {
  /** Asked before what the large button says is taken for true; nothing where there is no doubt. */
  question?: ReactNode;
  /** How many points above are given with the answer. */
  withIt?: number;
  /** What the large button says; null where the step is not done by one. */
  done: ReactNode;
  enabled: boolean;
  busy: boolean;
  /** The measurement that is due now: whether anything was read, and how it is left out; null of leave for one that is required. */
  measuring: { read: boolean; onLeave: (() => void) | null } | null;
  onDone: () => void;
  /** The other honest answer to what the large button asks. */
  other: { says: ReactNode; onOther: () => void } | null;
  /** The pad for a reading nobody asked for; null where there is nothing to read. */
  reading: { open: boolean; onToggle: () => void } | null;
  onWrong: () => void;
}) {
  return (
    <StepFoot narrow={measuring !== null || other !== null}>
      {question && (
        <Box gridColumn="1 / -1">
          <Notice severity="warn" role="alert">
            {question}
          </Notice>
        </Box>
      )}
      {withIt > 0 && (
        <chakra.p gridColumn="1 / -1" fontSize="15px" color="quiet" mb="-4px">
          Your answer also ticks the {withIt === 1 ? "point" : `${withIt} points`} above: do them first.
        </chakra.p>
      )}
      {done && (
        <Button
          look="strong"
          size="machine"
          disabled={!enabled || busy}
          onClick={onDone}
          gridColumn={{
            base: "1 / -1",
            md: typeof done === "string" && done.length <= shortest ? "auto" : "1 / -1",
          }}
          css={{
            fontSize: typeof done === "string" ? "26px" : "21px",
            whiteSpace: "normal",
            lineHeight: 1.2,
          }}
        >
          <span>{done}</span>
          <chakra.span fontFamily="mono" fontSize="15px" fontWeight="400" hideBelow="md">
            space
          </chakra.span>
        </Button>
      )}
      {other && (
        <Button look="warn" size="machine" disabled={!enabled || busy} onClick={other.onOther}>
          {other.says}
        </Button>
      )}
      {measuring ? (
        <>
          <Button look="strong" size="machine" disabled={!measuring.read || busy} onClick={onDone}>
            Done measuring
          </Button>
          {measuring.onLeave && (
            <Button size="machine" disabled={busy} onClick={measuring.onLeave}>
              Skip this reading
            </Button>
          )}
        </>
      ) : (
        reading && (
          <Button size="machine" onClick={reading.onToggle} aria-expanded={reading.open}>
            Take a reading
          </Button>
        )
      )}
      <Button look="warn" size="machine" onClick={onWrong}>
        <Icon of={TriangleAlert} /> Something is wrong
      </Button>
    </StepFoot>
  );
}
