import { chakra } from "@chakra-ui/react";
import { sawOrMill } from "../../../core/plan/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { Figure } from "../../instruments/words.tsx";
import { WorkingSheet } from "../../instruments/workings-margin.tsx";

/** Where the blank stands over so far that a saw could take it off: which is quicker, and what becomes chips. */
export function SawOrMill() {
  const { job, plan, shop, own } = useJob();
  const found = sawOrMill(job, plan, shop, own);
  if (found.length === 0) return null;
  return (
    <Section title="Saw it off, or mill it away?">
      <Table
        label="Saw or mill"
        figures={[1, 2, 3, 4, 5]}
        head={["along", "over", "milled away", "sawn and milled", "chips saved", "the saw leaves", ""]}
      >
        {found.map((of) => (
          <tr key={of.axis}>
            <th scope="row">{of.axis}</th>
            <td>
              <Figure of={mm(of.over)} />
            </td>
            <td>
              <Figure of={quantity("time", of.mill)} />
            </td>
            <td>
              <Figure of={quantity("time", of.saw.least)} /> to <Figure of={quantity("time", of.saw.most)} />
            </td>
            <td>
              <Figure of={quantity("volume", of.chips)} />
            </td>
            <td>
              <Figure of={mm(of.left)} />
            </td>
            <td>
              <b>
                {of.saw.most < of.mill ? "saw it" : of.saw.least > of.mill ? "mill it" : "about the same"}
              </b>
            </td>
          </tr>
        ))}
      </Table>
      {found.map((of) => (
        <chakra.details key={of.axis} fontSize="14px" mt="4px">
          <summary>Working, {of.axis}</summary>
          <WorkingSheet working={of.working} />
          <Warnings of={of.cut.warnings} />
        </chakra.details>
      ))}
    </Section>
  );
}
