import { Printer } from "lucide-react";
import { Box, chakra } from "@chakra-ui/react";
import type { inspectionCsv } from "../../../core/exchange/index.ts";
import { scrappedIn, timeAtMachine, verdictOf } from "../../../core/plan/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import { effective } from "../../../core/steps/index.ts";
import { database, files } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Icon } from "../../instruments/icon.tsx";
import { download, fileName } from "../../instruments/download.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { recordPath } from "../../instruments/job-paths.ts";
import { PieceSwitch } from "../../instruments/pieces.tsx";
import { Section, StationTitle } from "../../instruments/section.tsx";
import { StationViews, useStationView } from "../../instruments/station-views.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { Figure } from "../../instruments/words.tsx";
import { AsBuilt } from "./as-built.tsx";
import { BatchView } from "./batch.tsx";
import { MoneyView } from "./money.tsx";
import { Pieces } from "./pieces.tsx";
import { ThisPiece } from "./this-piece.tsx";
import { WhatHappened } from "./what-happened.tsx";

const when = (iso: string) => new Date(iso).toLocaleString([], { dateStyle: "short", timeStyle: "short" });

/** Views that are of the job and not of one piece: they have their own heading. */
const ofAll = new Set(["pieces", "batch", "money"]);

/** Is it good? Every required size against its readings; all pieces; what happened; time, notes and files. */
export function RecordStation() {
  const { job, plan, piece, records } = useJob();
  const view = useStationView("record");
  const good = scrappedIn(records, piece) === null && verdictOf(plan) === "good";
  return (
    <StationViews
      station="record"
      title={view === "pieces" ? "Is it good?" : null}
      to={(to) => `${recordPath(job.id, piece)}${to && `/${to}`}`}
    >
      {!ofAll.has(view) && (
        <>
          <StationTitle>{good ? "The part is good" : "Is it good?"}</StationTitle>
          <PieceSwitch to={(of) => `${recordPath(job.id, of)}${view && `/${view}`}`} />
        </>
      )}
      {view === "" && <ThisPiece when={when} />}
      {view === "pieces" && <Pieces />}
      {view === "batch" && <BatchView />}
      {view === "built" && <AsBuilt />}
      {view === "log" && <WhatHappened when={when} />}
      {view === "money" && <MoneyView />}
      {view === "files" && <TimeAndFiles />}
    </StationViews>
  );
}

/** What writes CSV comes when it is asked for. */
async function saveInspection(name: string, ...sheet: Parameters<typeof inspectionCsv>): Promise<void> {
  const { inspectionCsv: write } = await import("../../../core/exchange/index.ts");
  download(name, write(...sheet), "text/csv");
}

/** How long it took, what to remember, and the files of the job. */
function TimeAndFiles() {
  const { job, plan, piece, records, shop } = useJob();
  const taken = timeAtMachine(effective(records).filter((r) => r.piece === piece));
  const save = async (what: "job" | "readings") => {
    const { exportJobFile, exportReadings } = await files();
    const text =
      what === "job" ? await exportJobFile(database(), job.id) : await exportReadings(database(), job.id);
    if (text === null) return;
    if (what === "job") download(`${fileName(job.name)}.firmarbor.json`, text, "application/json");
    else download(`${fileName(job.name)}-readings.csv`, text, "text/csv");
  };
  return (
    <>
      <Section title="Time">
        <p>
          {taken ? (
            <>
              At the machine:{" "}
              <b>
                <Figure of={quantity("time", taken.active)} />
              </b>{" "}
              (pauses over 15 min left out), planned <Figure of={quantity("time", plan.minutes.total)} />.
              From {when(taken.from)} to {when(taken.to)}.
            </>
          ) : (
            "Nothing done at the machine yet."
          )}
        </p>
      </Section>

      <Section title="Notes">
        <TextEntry label="What to remember" path="notes" value={job.notes} lines={3} />
      </Section>

      <Section title="Files">
        <Box display="flex" gap="10px" flexWrap="wrap" className="no-print">
          <Button look="strong" onClick={() => void save("job")}>
            Export the job
          </Button>
          <Button
            onClick={() =>
              void saveInspection(
                `${fileName(job.name)}-piece-${piece}-inspection.csv`,
                plan.requirements,
                records,
                piece,
                shop,
              )
            }
          >
            Inspection sheet as CSV
          </Button>
          <Button onClick={() => void save("readings")}>Readings as CSV</Button>
          <Button onClick={() => print()}>
            <Icon of={Printer} /> Print
          </Button>
        </Box>
        <chakra.p fontSize="13.5px" color="quiet" mt="6px">
          The job file is documented JSON; import it on the bench of another browser to go on there.
        </chakra.p>
      </Section>
    </>
  );
}
