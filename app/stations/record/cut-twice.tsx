import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Words } from "../../instruments/words.tsx";

/** Cuts that two devices have recorded: each entry with when and who, to be taken back where it was one cut. */
export function CutTwice({ when }: { when: (iso: string) => string }) {
  const { plan } = useJob();
  const submit = useSubmit();
  return plan.twice.map(({ op, title, records }) => (
    <Notice key={`${op} ${records[0]?.id}`} severity="warn">
      Recorded on two devices: <Words of={title} />.
      {records.map(({ id, at, by }) => (
        <div key={id}>
          {when(at)}
          {by && `, ${by}`}{" "}
          <Button
            className="no-print"
            disabled={submit.busy}
            onClick={() => void submit.append({ type: "withdrawn", of: id })}
          >
            Remove this one
          </Button>
        </div>
      ))}
    </Notice>
  ));
}
