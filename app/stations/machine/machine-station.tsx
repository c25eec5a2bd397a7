import { chakra } from "@chakra-ui/react";
import { setupWith } from "../../../core/route/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Words } from "../../instruments/words.tsx";
import { MachineFrame } from "./machine-frame.tsx";
import { StepAtMachine } from "./step-at-machine.tsx";
import { useWalk } from "./use-walk.ts";

/** What do I do now? One step at a time, in letters readable at arm's length. */
export function MachineStation() {
  const { job, plan } = useJob();
  const walk = useWalk();
  const { step } = walk;
  const { machine, vise } = useEquipment();
  if (step && machine && vise) {
    const setup = setupWith(plan.setups, step.op);
    // Each operation keeps its own pad and dialog.
    if (setup)
      return (
        <StepAtMachine key={step.op} step={step} setup={setup} machine={machine} vise={vise} walk={walk} />
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
