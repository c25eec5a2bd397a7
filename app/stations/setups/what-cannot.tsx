import { featureNames, featuresOf } from "../../../core/part/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { Words } from "../../instruments/words.tsx";

/** Why there is no further setup; nothing where there is. */
export function Refusal() {
  const { plan } = useJob();
  if (!plan.refusal) return null;
  return (
    <Notice severity="stop">
      Cut {plan.refusal.number} cannot be done: <Words of={plan.refusal.reason} />{" "}
      <Words of={plan.refusal.suggestion} />
    </Notice>
  );
}

/** Features that cannot be made here, each with the reason and what would help. */
export function RefusedFeatures() {
  const { plan, job } = useJob();
  const refused = plan.features?.refused ?? [];
  if (refused.length === 0) return null;
  const names = featureNames(featuresOf(job.part));
  return (
    <Section title="What cannot be cut here">
      {refused.map((r) => (
        <Notice key={r.feature} severity="stop">
          <b>{names.get(r.feature) ?? r.feature}</b>: <Words of={r.reason} /> <Words of={r.suggestion} />
        </Notice>
      ))}
    </Section>
  );
}
