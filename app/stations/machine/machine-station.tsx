import { counted } from "../../../core/working/index.ts";
import { chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { piecesOf, scrappedIn, unreadOf } from "../../../core/plan/index.ts";
import { setupWith } from "../../../core/route/index.ts";
import { ButtonLink } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { recordPath } from "../../instruments/job-paths.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Words } from "../../instruments/words.tsx";
import { LastReadings } from "./last-readings.tsx";
import { MachineFrame } from "./machine-frame.tsx";
import { NextPiece } from "./next-piece.tsx";
import { StepAtMachine } from "./step-at-machine.tsx";
import { useWalk } from "./use-walk.ts";

/** What do I do now? One step at a time, in letters readable at arm's length. */
export function MachineStation() {
  const { job, plan, piece, records } = useJob();
  const walk = useWalk();
  const { step } = walk;
  const setup = setupWith(plan.setups, step?.op ?? null);
  const { machine, vise } = useEquipment(setup);
  const scrapped = scrappedIn(records, piece);
  if (scrapped)
    return (
      <NotThisPiece title={`Piece ${piece} is scrapped`}>
        {scrapped.reason ? `${scrapped.reason}.` : "No reason was given."} Go on with another piece above, or
        undo the scrap at the Record.
      </NotThisPiece>
    );
  if (!piecesOf(job, records).includes(piece))
    return (
      <NotThisPiece title={`There is no piece ${piece}`}>
        {counted(job.quantity + job.added, "is", "are")} planned. Add a piece at the Record, or raise the
        quantity on the Drawing.
      </NotThisPiece>
    );
  // Each operation keeps its own pad and dialog.
  if (step && setup && machine && vise)
    return (
      <StepAtMachine key={step.op} step={step} setup={setup} machine={machine} vise={vise} walk={walk} />
    );
  const finished = plan.steps.length > 0;
  const unread = unreadOf(plan);
  if (finished && !plan.refusal && unread.length > 0)
    return (
      <MachineFrame step={undefined} busy={false} side={null}>
        <chakra.h1 fontSize="34px" mb="12px">
          All steps are done
        </chakra.h1>
        <LastReadings of={unread} />
      </MachineFrame>
    );
  return (
    <MachineFrame step={step} busy={false} side={null}>
      <NextPiece atBreak />
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
      <ButtonLink
        to={finished ? recordPath(job.id, piece) : `/jobs/${job.id}/drawing`}
        look="strong"
        size="machine"
      >
        {finished ? "To the record" : "To the drawing"}
      </ButtonLink>
    </MachineFrame>
  );
}

/** Nothing is cut of a piece that will never be good, or that nobody planned. */
function NotThisPiece({ title, children }: { title: string; children: ReactNode }) {
  const { job } = useJob();
  return (
    <MachineFrame step={undefined} busy={false} side={null}>
      <chakra.h1 fontSize="34px" mb="12px">
        {title}
      </chakra.h1>
      <chakra.p fontSize="20px" mb="20px">
        {children}
      </chakra.p>
      <ButtonLink to={recordPath(job.id, 1)} look="strong" size="machine">
        To the record
      </ButtonLink>
    </MachineFrame>
  );
}
