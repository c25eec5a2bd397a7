import { useParams } from "react-router";
import { keyFromSlug, keySlug, setupWith } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { OperationsTable } from "../../instruments/operations-table.tsx";
import { ReasonLine, StationTitle } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { StandIns } from "../../instruments/stand-ins.tsx";
import { Words } from "../../instruments/words.tsx";
import { CutView } from "./cut-view.tsx";

/** With what, how fast, how deep? */
export function CutsStation() {
  const { job, plan, reason, setReason } = useJob();
  const view = useStationView("cuts");
  const key = keyFromSlug(useParams().operation);
  const asked = setupWith(plan.setups, key);
  const setup = asked ?? plan.setups[0];
  const operation = setup?.operations.find((o) => o.key === key) ?? setup?.operations[0];
  if (!setup || !operation)
    return (
      <>
        <StationTitle above="Cuts">With what, how fast, how deep?</StationTitle>
        <StandIns />
        <Notice severity="note">
          {plan.refusal ? (
            <>
              <Words of={plan.refusal.reason} /> <Words of={plan.refusal.suggestion} />
            </>
          ) : job.part.shaft ? (
            "A shaft comes turned; cuts come from the features drawn on it (1)."
          ) : (
            "Cuts are planned once the drawing (1) has a material and three sizes."
          )}
        </Notice>
      </>
    );
  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      {key !== null && !asked && (
        <Notice severity="note">That cut is no longer in the plan; this is the first one.</Notice>
      )}
      <StandIns />
      <StationViews
        station="cuts"
        without={
          operation.by === "hand" || (operation.by !== "face" && operation.tilt !== null) ? ["moves"] : []
        }
        title={view === "all" ? "With what, how fast, how deep?" : null}
        to={(to) => `/jobs/${job.id}/cuts/${keySlug(operation.key)}${to && `/${to}`}`}
      >
        {view === "all" ? (
          <OperationsTable label="All cuts" setups={plan.setups} chosen={operation.key} />
        ) : (
          <CutView key={operation.key} setup={setup} operation={operation} />
        )}
      </StationViews>
    </>
  );
}
