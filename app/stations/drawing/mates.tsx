import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { useFetcher } from "react-router";
import { type Axis, axisNames } from "../../../core/frame/index.ts";
import { changeOf } from "../../../core/job/index.ts";
import { gaps, type Mate, type mateKinds, newMate, sizesOfPart } from "../../../core/part/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { signedEntry } from "../../instruments/signed-entry.ts";
import { Section } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { MateLink } from "./mate-link.tsx";

const kindWords: Record<(typeof mateKinds)[number], string> = {
  fits: "one fits the other",
  drilled: "drilled together",
  handed: "a mirrored pair",
  sum: "halves that make a whole",
};

/** What must fit what: a slot on a tongue, a pair drilled together, halves that sum. */
export function Mates() {
  const { job } = useJob();
  const list = useOrdered("part/mates");
  const { byId, order } = job.part.mates;
  const add = () => {
    const id = newId();
    list.add(id, newMate(id));
  };
  return (
    <Section title="What it must fit">
      <Box as="ul" listStyleType="none">
        {order
          .flatMap((id) => byId[id] ?? [])
          .map((mate) => (
            <MateItem key={mate.id} mate={mate} />
          ))}
      </Box>
      <Box className="no-print" mt="4px">
        <Button onClick={add}>Add a mate</Button>
      </Box>
      <MakeTwin />
    </Section>
  );
}

/** The mirrored twin as a job of its own, planned from the first. */
function MakeTwin() {
  const { job } = useJob();
  const fetcher = useFetcher();
  const [axis, setAxis] = useState<Axis>("length");
  return (
    <Box className="no-print" display="flex" gap="10px" alignItems="flex-end" flexWrap="wrap" mt="14px">
      <Choice
        label="A left one and a right one? Mirrored along the"
        value={axis}
        options={axisNames.map((a) => [a, a] as const)}
        onChoose={setAxis}
      />
      <Button
        disabled={fetcher.state !== "idle"}
        onClick={() =>
          void fetcher.submit({ intent: "twin", id: job.id, axis }, { method: "post", action: "/?index" })
        }
      >
        Make its mirrored twin
      </Button>
    </Box>
  );
}

function MateItem({ mate }: { mate: Mate }) {
  const { job } = useJob();
  const submit = useSubmit();
  const list = useOrdered("part/mates");
  const sizes = sizesOfPart(job.part);
  const at = `part/mates/byId/${mate.id}`;
  const sized = mate.kind === "fits" || mate.kind === "sum";
  return (
    <Box
      as="li"
      display="flex"
      gap="10px 14px"
      flexWrap="wrap"
      alignItems="flex-start"
      borderTopWidth="1px"
      py="8px"
    >
      <Choice
        label="They are"
        value={mate.kind}
        options={Object.entries(kindWords) as [Mate["kind"], string][]}
        onChoose={(kind) => void submit.set(`${at}/kind`, kind)}
      />
      <TextEntry label="The other part" path={`${at}/other`} value={mate.other} />
      {sized && (
        <>
          <Choice
            label="Size of this part"
            value={sizes.some((s) => s.path === mate.size) ? mate.size : ""}
            empty="choose a size"
            options={sizes.map((s) => [s.path, s.name] as const)}
            onChoose={(size) => void submit.set(`${at}/size`, size)}
          />
          <NumberEntry
            label={mate.kind === "sum" ? "Both together" : "Size of the other"}
            path={`${at}/mate`}
            kind={dimensionEntry}
            value={mate.mate}
          />
        </>
      )}
      {mate.kind === "fits" && (
        <>
          <Choice
            label="This part"
            value={mate.outer ? "around" : "into"}
            options={[
              ["around", "goes around it"],
              ["into", "goes into it"],
            ]}
            onChoose={(way) => void submit.set(`${at}/outer`, way === "around")}
          />
          <Choice
            label="Gap"
            value={mate.gap}
            options={Object.entries(gaps).map(([key, gap]) => [key as Mate["gap"], gap.text] as const)}
            onChoose={(gap) =>
              void submit.change([
                changeOf(job, `${at}/gap`, gap),
                ...(gap === "own" && !mate.own ? [changeOf(job, `${at}/own`, { least: 0, most: 0.1 })] : []),
              ])
            }
          />
          {mate.gap === "own" && mate.own && (
            <>
              <NumberEntry
                label="Least gap"
                path={`${at}/own/least`}
                kind={signedEntry}
                value={mate.own.least}
                width="100px"
                terse
              />
              <NumberEntry
                label="Most gap"
                path={`${at}/own/most`}
                kind={signedEntry}
                value={mate.own.most}
                width="100px"
                terse
              />
            </>
          )}
          <Box mt="18px">
            <Check
              checked={mate.measured}
              onCheck={(measured) => void submit.set(`${at}/measured`, measured)}
            >
              measured, not drawn
            </Check>
          </Box>
          {mate.measured && (
            <>
              <TextEntry label="Measured by" path={`${at}/by`} value={mate.by} />
              <TextEntry label="On" path={`${at}/on`} value={mate.on} type="date" />
            </>
          )}
        </>
      )}
      <MateLink mate={mate} at={at} />
      <Box pt="18px" className="no-print">
        <Button onClick={() => list.remove(mate.id)}>Remove</Button>
      </Box>
    </Box>
  );
}
