import { counted } from "../../../core/working/index.ts";
import { chakra } from "@chakra-ui/react";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import type { Plan, Rehearsal } from "../../../core/plan/index.ts";
import { featureNames, featuresOf } from "../../../core/part/index.ts";
import { type Finding, findingPhrase, findingRows } from "../../../core/rehearse/index.ts";
import { keyFromSlug, keySlug } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { LongWork } from "../../instruments/long-work.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { setupNumbered } from "../../instruments/setup-place.ts";
import { useLongWork } from "../../instruments/use-long-work.ts";
import { Words } from "../../instruments/words.tsx";

/** Rows shown at first. */
const shownAtFirst = 12;

/** The told steps obeyed to the letter, before any metal: what goes wrong, with the step it belongs to. */
export function WalkedThrough() {
  const { plan, walkThrough, stopWalk } = useJob();
  const { found, progress, stopped, again } = useLongWork(plan, walkThrough);
  if (plan.steps.length === 0) return null;
  const count = found?.findings.length ?? 0;
  return (
    <Section title={found ? `Walked through: ${counted(count, "finding")}` : "Walked through to the end"}>
      {found ? (
        <Findings of={found} plan={plan} />
      ) : (
        <LongWork
          says={
            progress
              ? `Following every step to the letter: setup ${setupNumbered(progress.setup, plan)}, step ${progress.done} of ${progress.of}…`
              : "Following every step to the letter…"
          }
          done={progress && progress.done / progress.of}
          stopped={stopped ? { says: "Stopped before the last step.", again: "Walk it through" } : null}
          onStop={stopWalk}
          onAgain={again}
        />
      )}
    </Section>
  );
}

function Findings({ of: { findings, finished }, plan }: { of: Rehearsal; plan: Plan }) {
  const { job } = useJob();
  const [all, setAll] = useState(false);
  const rows = useMemo(() => findingRows(findings), [findings]);
  const names = useMemo(() => featureNames(featuresOf(job.part)), [job.part]);
  const shown = all ? rows : rows.slice(0, shownAtFirst);
  return (
    <>
      {plan.setups.some((s) => s.seat.together) && (
        <Notice severity="note">
          One piece was followed, alone in the vise: of two held at once the second is not seen here.
        </Notice>
      )}
      {findings.length === 0 && (
        <Notice severity="good">
          {finished
            ? "Every step was followed to the letter, and the part comes out as drawn."
            : "Every planned step was followed to the letter. They do not finish the part."}
        </Notice>
      )}
      {rows.length > 0 && (
        <Table
          label="What goes wrong when every step is followed to the letter"
          head={["setup", "step", "what happens"]}
        >
          {shown.map(({ first, worst, more }, i) => (
            <tr key={i}>
              <td>{setupNumbered(first.setup, plan)}</td>
              <td>
                <StepName of={first} plan={plan} jobId={job.id} />
                {more > 0 && <chakra.span color="quiet"> and {counted(more, "more step")}</chakra.span>}
              </td>
              <td>
                <Words of={findingPhrase(worst, names)} />
              </td>
            </tr>
          ))}
        </Table>
      )}
      {shown.length < rows.length && (
        <Button onClick={() => setAll(true)} mt="6px">
          Show all {rows.length}
        </Button>
      )}
      <chakra.p fontSize="12.5px" color="quiet" mt="4px">
        This simulates a person who does exactly what the steps say, on stock as you measured it, with typical
        backlash, jaws and paper (guess). It checks the steps; it does not replace your own look at the setup.
      </chakra.p>
    </>
  );
}

/** A step by its title, linked to its setup; what is found at the end belongs to none. */
function StepName({ of: { op, step }, plan, jobId }: { of: Finding; plan: Plan; jobId: string }) {
  if (step === "end") return <>at the end</>;
  const title = plan.steps.find((s) => s.op === op && s.id === step)?.title;
  const key = keyFromSlug(op.replace("/", "."));
  const name = title ? <Words of={title} /> : step;
  return key ? (
    <Link to={`/jobs/${jobId}/setups/${keySlug(key)}`} style={{ textDecoration: "underline" }}>
      {name}
    </Link>
  ) : (
    <>{name}</>
  );
}
