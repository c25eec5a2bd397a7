import { chakra } from "@chakra-ui/react";
import { mm } from "../../../core/quantity/index.ts";
import type { Step, StepMeasure } from "../../../core/steps/index.ts";
import { isMeasured, piecesOf } from "../../../core/plan/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { StepTitle } from "./machine-frame.tsx";

/** A size that is measured: what it should read now, what is wanted, and what the reading leaves. */
export function MeasureCard({ step, measure }: { step: Step; measure: StepMeasure }) {
  const { expected, fit } = measure;
  return (
    <>
      <StepTitle>
        <Words of={step.title} />
      </StepTitle>
      <chakra.p fontSize="22px" mb="8px">
        {measure.final && fit ? "Wanted" : "Should read now"}:{" "}
        <b>
          <Figure of={mm(expected)} decimals={3} />
        </b>
        {fit && <Wanted fit={fit} final={measure.final} />}
      </chakra.p>
      {fit && fit.left !== null && (
        <chakra.p fontSize="26px" fontWeight="700" role="status">
          {fit.left >= 0 ? "Left" : "Past it by"}: <Figure of={mm(Math.abs(fit.left))} decimals={3} />
        </chakra.p>
      )}
      <Warnings of={step.notes} />
      {!measure.required && <MayBeLeft />}
    </>
  );
}

/** What a size of a feature is to be in the end, and within what. */
const Wanted = ({ fit: { measured }, final }: { fit: NonNullable<StepMeasure["fit"]>; final: boolean }) => (
  <>
    {!final && (
      <>
        ; in the end{" "}
        <b>
          <Figure of={mm(measured.target)} decimals={3} />
        </b>
      </>
    )}
    <chakra.span color="quiet" fontSize="18px">
      {" "}
      (limits <Figure of={mm(measured.limits.lower)} decimals={3} /> to{" "}
      <Figure of={mm(measured.limits.upper)} decimals={3} />)
    </chakra.span>
  </>
);

/** Of a batch not every piece is measured, where that was chosen: this one may go on without. */
function MayBeLeft() {
  const { job, piece, records } = useJob();
  const { every } = job.batch;
  const pieces = piecesOf(job, records);
  if (every === null || every < 2 || pieces.length < 2 || isMeasured(piece, every, pieces)) return null;
  return (
    <Notice severity="note">
      One of {every} pieces is measured, and this is none of them: the reading may be skipped. Take it all the
      same where the cut sounded or looked otherwise.
    </Notice>
  );
}
