import { Box } from "@chakra-ui/react";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { ReasonLine, Section } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { Cost } from "./cost.tsx";
import { FaceTable } from "./face-table.tsx";
import { Forms } from "./forms.tsx";
import { Mates } from "./mates.tsx";
import { Sheet } from "./sheet.tsx";
import { Template } from "./template.tsx";
import { UnderstoodSizes } from "./understood-sizes.tsx";

/** What am I making? The sheet; faces and finish; what it must fit; what it costs; what the drawing check says. */
export function DrawingStation() {
  const { job, plan, reason, setReason } = useJob();
  const view = useStationView("drawing");
  const { part } = job;
  const mates = part.mates.order.length;
  const found = plan.findings.length;
  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      <StationViews
        station="drawing"
        title="What am I making?"
        to={(to) => `/jobs/${job.id}/drawing${to && `/${to}`}`}
        names={{
          fits: mates > 0 ? `Fits with (${mates})` : "Fits with",
          check: found > 0 ? <b>Check: ▲ {found}</b> : "Check: no problems",
        }}
      >
        {view === "" && <Sheet />}
        {view === "faces" && (
          <>
            {!part.shaft && <FaceTable faces={part.faces} />}
            <Form squareness={part.squareness} parallelism={part.parallelism} />
            {!part.shaft && <Forms />}
          </>
        )}
        {view === "fits" && <Mates />}
        {view === "cost" && <Cost />}
        {view === "template" && <Template />}
        {view === "check" && (
          <>
            {found === 0 ? (
              <Notice severity="good">No problems found. Next: Stock (2).</Notice>
            ) : (
              <Warnings of={plan.findings} />
            )}
            <UnderstoodSizes part={part} retargets={job.retargets} />
          </>
        )}
      </StationViews>
    </>
  );
}

/** How square and how parallel it has to be. */
function Form({ squareness, parallelism }: { squareness: number | null; parallelism: number | null }) {
  return (
    <Section title="Form">
      <Box display="flex" gap="18px" flexWrap="wrap">
        <NumberEntry
          label="Squareness required, over 100 mm (4 in)"
          path="part/squareness"
          kind={plainLength}
          value={squareness}
          optional
        />
        <NumberEntry
          label="Parallelism required, thickest to thinnest"
          path="part/parallelism"
          kind={plainLength}
          value={parallelism}
          optional
        />
      </Box>
    </Section>
  );
}
