import { chakra } from "@chakra-ui/react";
import { mm } from "../../../core/quantity/index.ts";
import type { Step, StepMeasure } from "../../../core/steps/index.ts";
import { Warnings } from "../../instruments/notice.tsx";
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
