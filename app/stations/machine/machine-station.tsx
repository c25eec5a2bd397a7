import { chakra } from "@chakra-ui/react";
import { equipment } from "../../../core/job/index.ts";
import { isFaceStep } from "../../../core/steps/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Words } from "../../instruments/words.tsx";
import { FaceStep } from "./face-step.tsx";
import { FeatureStep } from "./feature-step.tsx";
import { MachineFrame } from "./machine-frame.tsx";
import { useWalk } from "./use-walk.ts";

/** What do I do now? One step at a time, in letters readable at arm's length. */
export function MachineStation() {
  const { job, plan, shop } = useJob();
  const walk = useWalk();
  const { step } = walk;
  const { machine, vise } = equipment(job, shop);
  if (step && machine && vise) {
    const face = isFaceStep(step) ? step : null;
    const setup = face && plan.setups.find((s) => s.key === face.op);
    // Each operation keeps its own pad and dialog.
    if (face && setup)
      return <FaceStep key={step.op} step={face} setup={setup} machine={machine} vise={vise} walk={walk} />;
    const at = plan.features?.setups.findIndex((s) => s.operations.some((o) => o.key === step.op)) ?? -1;
    const features = plan.features?.setups[at];
    if (features)
      return (
        <FeatureStep
          key={step.op}
          step={step}
          setup={features}
          locating={plan.features!.locatings[at]!}
          machine={machine}
          vise={vise}
          walk={walk}
        />
      );
  }
  const finished = plan.steps.length > 0;
  return (
    <MachineFrame step={step} busy={false} side={null}>
      <chakra.h1 fontSize="34px" mb="12px">
        {finished ? "All steps are done" : "No steps yet"}
      </chakra.h1>
      <chakra.p fontSize="20px" mb="20px">
        {finished
          ? "Judge the part at the Record."
          : job.part.shaft
            ? "A shaft comes turned: steps come from what is cut into it. Draw its seats and holes first."
            : "Steps come from the drawing, the stock and the setups. Fill in the drawing first."}
        {plan.refusal && (
          <>
            {" "}
            Cut {plan.refusal.number} cannot be done: <Words of={plan.refusal.reason} />{" "}
            <Words of={plan.refusal.suggestion} />
          </>
        )}
      </chakra.p>
      <ButtonLink to={`/jobs/${job.id}/${finished ? "record" : "drawing"}`} look="strong" size="machine">
        {finished ? "To the record" : "To the drawing"}
      </ButtonLink>
    </MachineFrame>
  );
}
