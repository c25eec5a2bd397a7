import { useParams } from "react-router";
import { keyFromSlug, keyOfSetup, setupWith } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Notice } from "../../instruments/notice.tsx";
import { PartDrawing } from "../../instruments/part-drawing.tsx";
import { StationTitle } from "../../instruments/section.tsx";
import { RoutesCompared } from "./routes-compared.tsx";
import { SetupView } from "./setup-view.tsx";
import { Refusal, RefusedFeatures } from "./what-cannot.tsx";

/** How do I hold it, in which order? */
export function SetupsStation() {
  const { job, plan } = useJob();
  const key = keyFromSlug(useParams().operation);
  const asked = setupWith(plan.setups, key);
  const setup = asked ?? plan.setups[0];
  const { vise } = useEquipment();
  if (setup && vise)
    return <SetupView key={keyOfSetup(setup)} setup={setup} vise={vise} gone={key !== null && !asked} />;
  return (
    <>
      <StationTitle above="Setups">How do I hold it, in which order?</StationTitle>
      {plan.refusal ? (
        <>
          <Refusal />
          <RoutesCompared />
        </>
      ) : (
        <Notice severity="note">
          {job.part.shaft
            ? "A shaft comes turned, so nothing is squared; setups come from its features. Draw its seats and holes (1)."
            : "Setups are planned once the drawing (1) has a material and three sizes. The stock (2) makes them exact."}
        </Notice>
      )}
      <RefusedFeatures />
      {job.part.shaft && <PartDrawing />}
    </>
  );
}
