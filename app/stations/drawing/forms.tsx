import { Box } from "@chakra-ui/react";
import { faceNames } from "../../../core/frame/index.ts";
import {
  checkForm,
  facesFor,
  featureNames,
  featuresOf,
  type Form,
  formKinds,
  formsOf,
  isOfFeature,
  isOfFeatureAlone,
} from "../../../core/part/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { Section } from "../../instruments/section.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Words } from "../../instruments/words.tsx";

const words = {
  flat: "flat",
  parallel: "parallel to",
  square: "square to",
  symmetric: "in the middle",
  angle: "at its angle",
  position: "in its place",
} as const;

/** What the limit of each is. */
const limitWords: Record<Form["kind"], string> = {
  flat: "within",
  parallel: "within",
  square: "within, over 100 mm",
  symmetric: "sides alike within",
  angle: "within, over 100 mm",
  position: "within a diameter of",
};

/** Flatness, parallelism, squareness, symmetry, angle and place by name, each with its own limit: they are read at the record. */
export function Forms() {
  const { job } = useJob();
  const list = useOrdered("part/form");
  const add = () => {
    const id = newId();
    const form: Form = { id, kind: "parallel", face: "top", to: "bottom", feature: null, limit: null };
    list.add(id, form);
  };
  return (
    <Section title="Form, angle and place: by name">
      <Box as="ul" listStyleType="none">
        {formsOf(job.part).map((form) => (
          <FormItem key={form.id} form={form} />
        ))}
      </Box>
      <Box className="no-print" mt="4px">
        <Button onClick={add}>Add a limit</Button>
      </Box>
    </Section>
  );
}

function FormItem({ form }: { form: Form }) {
  const { job } = useJob();
  const submit = useSubmit();
  const list = useOrdered("part/form");
  const { id, kind, face, to, feature } = form;
  const features = featuresOf(job.part);
  const names = featureNames(features);
  const at = `part/form/byId/${id}`;
  const faces = facesFor(kind, face);
  /** The other face follows: none for a flatness, the one across for a pair. */
  const become = (next: Partial<Form>) => {
    const now = { ...form, ...next };
    const can = facesFor(now.kind, now.face);
    const other = now.to !== null && can.includes(now.to) ? now.to : (can[0] ?? null);
    void submit.set(at, { ...now, to: other, feature: isOfFeature(now.kind) ? now.feature : null });
  };
  const middle = kind === "symmetric";
  const alone = isOfFeatureAlone(kind);
  const first = (
    <Choice
      label={middle ? "between the" : "Face"}
      value={face}
      options={faceNames.map((f) => [f, f] as const)}
      onChoose={(f) => become({ face: f })}
    />
  );
  const kinds = (
    <Choice
      label="is"
      value={kind}
      options={formKinds.map((k) => [k, words[k]] as const)}
      onChoose={(k) => become({ kind: k })}
    />
  );
  return (
    <Box as="li" borderTopWidth="1px" py="6px">
      <Box display="flex" gap="8px 14px" flexWrap="wrap" alignItems="flex-end">
        {isOfFeature(kind) && (
          <Choice
            label="What"
            value={feature ?? ""}
            empty="choose"
            options={[...names]}
            onChoose={(f) => become({ feature: f })}
          />
        )}
        {isOfFeature(kind) ? (
          <>
            {kinds}
            {!alone && first}
          </>
        ) : (
          <>
            {first}
            {kinds}
          </>
        )}
        {faces.length > 0 && (
          <Choice
            label={middle ? "and the" : "Other face"}
            value={to ?? ""}
            options={faces.map((f) => [f, f] as const)}
            onChoose={(f) => become({ to: f })}
          />
        )}
        <NumberEntry
          label={limitWords[kind]}
          path={`${at}/limit`}
          kind={plainLength}
          value={form.limit}
          width="120px"
          optional
        />
        <Button onClick={() => list.remove(form.id)}>Remove</Button>
      </Box>
      {checkForm(form, formsOf(job.part), features).map((w, i) => (
        <Notice key={i} severity={w.severity}>
          <Words of={w.phrase} />
        </Notice>
      ))}
    </Box>
  );
}
