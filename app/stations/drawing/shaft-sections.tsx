import { Box } from "@chakra-ui/react";
import { changeOf } from "../../../core/job/index.ts";
import { sectionsOf, type Shaft } from "../../../core/part/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { dimensionEntry, NumberEntry } from "../../instruments/number-entry.tsx";
import { Section } from "../../instruments/section.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

/** A shaft of one section, nothing entered. */
export function newShaft(): Shaft {
  const id = newId();
  return { byId: { [id]: { id, diameter: null, length: null } }, order: [id] };
}

/** Diameter and length of every section, from the left end to the right. */
export function ShaftSections({ shaft }: { shaft: Shaft }) {
  const { job } = useJob();
  const submit = useSubmit();
  const { order } = shaft;
  const add = () => {
    const id = newId();
    void submit.change([
      changeOf(job, `part/shaft/byId/${id}`, { id, diameter: null, length: null }),
      changeOf(job, "part/shaft/order", [...order, id]),
    ]);
  };
  const takeOut = (id: string) =>
    void submit.change([
      changeOf(job, `part/shaft/byId/${id}`, null),
      changeOf(
        job,
        "part/shaft/order",
        order.filter((other) => other !== id),
      ),
    ]);
  return (
    <Section title="Sections of the shaft, from the left end">
      <Box as="ol" listStyleType="none">
        {sectionsOf(shaft).map(({ id, diameter, length }, i) => (
          <Box
            as="li"
            key={id}
            display="flex"
            gap="10px 14px"
            flexWrap="wrap"
            alignItems="flex-start"
            mb="6px"
          >
            <NumberEntry
              label={`Diameter of section ${i + 1}`}
              path={`part/shaft/byId/${id}/diameter`}
              kind={dimensionEntry}
              value={diameter}
            />
            <NumberEntry
              label={`Length of section ${i + 1}`}
              path={`part/shaft/byId/${id}/length`}
              kind={dimensionEntry}
              value={length}
            />
            {order.length > 1 && (
              <Box pt="20px" className="no-print">
                <Button onClick={() => takeOut(id)}>Remove section {i + 1}</Button>
              </Box>
            )}
          </Box>
        ))}
      </Box>
      <Box className="no-print">
        <Button onClick={add}>Add a section</Button>
      </Box>
    </Section>
  );
}
