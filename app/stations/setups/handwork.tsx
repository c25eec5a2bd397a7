import { Box, chakra } from "@chakra-ui/react";
import { handFacts, handKinds } from "../../../core/handbook/index.ts";
import type { Handwork } from "../../../core/job/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NumberEntry, numberEntry } from "../../instruments/number-entry.tsx";
import { Section } from "../../instruments/section.tsx";
import { TextEntry } from "../../instruments/text-entry.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";

const minutesEntry = numberEntry("count");

/** Work at saw, bench and grinder beside the milling: each is a step at the machine with its caution and its check. */
export function HandworkList() {
  const { job } = useJob();
  const list = useOrdered("handwork");
  const { byId, order } = job.handwork;
  const add = () => {
    const id = newId();
    const hand: Handwork = { id, kind: "file", where: "", when: "after", minutes: handFacts.file.minutes };
    list.add(id, hand);
  };
  return (
    <Section title="Work by hand, before or after the setups">
      <Box as="ul" listStyleType="none">
        {order
          .flatMap((id) => byId[id] ?? [])
          .map((hand) => (
            <Item key={hand.id} hand={hand} onRemove={() => list.remove(hand.id)} />
          ))}
      </Box>
      <Box className="no-print" mt="4px">
        <Button onClick={add}>Add work by hand</Button>
      </Box>
    </Section>
  );
}

function Item({ hand, onRemove }: { hand: Handwork; onRemove: () => void }) {
  const submit = useSubmit();
  const at = `handwork/byId/${hand.id}`;
  const { caution, check } = handFacts[hand.kind];
  return (
    <Box as="li" borderTopWidth="1px" py="6px">
      <Box display="flex" gap="6px 12px" flexWrap="wrap" alignItems="flex-start">
        <Choice
          label="What"
          value={hand.kind}
          options={handKinds.map((kind) => [kind, handFacts[kind].text] as const)}
          onChoose={(kind) => void submit.set(at, { ...hand, kind, minutes: handFacts[kind].minutes })}
        />
        <TextEntry label="Where, and what for" path={`${at}/where`} value={hand.where} />
        <Choice
          label="When"
          value={hand.when}
          options={[
            ["before", "before the first setup"],
            ["after", "after the last"],
          ]}
          onChoose={(when) => void submit.set(`${at}/when`, when)}
        />
        <NumberEntry
          label="Minutes"
          path={`${at}/minutes`}
          kind={minutesEntry}
          value={hand.minutes}
          width="80px"
          terse
        />
        <Box pt="18px" className="no-print">
          <Button look="quiet" onClick={onRemove}>
            remove
          </Button>
        </Box>
      </Box>
      <chakra.p fontSize="13.5px" color="quiet">
        {caution} Checked: {check.charAt(0).toLowerCase() + check.slice(1)}.
      </chakra.p>
    </Box>
  );
}
