import { Box, chakra } from "@chakra-ui/react";
import { costKey } from "../../../core/plan/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import { faceSetupsOf, featureSetupsOf, type Setup } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

const minutes = (value: number) => quantity("time", value);
const minutesOf = (setups: readonly Setup[]) =>
  setups.reduce((sum, s) => sum + s.minutes.cutting + s.minutes.handling, 0);

/** Minutes by feature, and the changes of the drawing that would save most. */
export function Cost() {
  const { plan, cost: askCost } = useJob();
  const cost = useAnswer("cost", plan, askCost);
  const faces = faceSetupsOf(plan.setups);
  const cutIn = featureSetupsOf(plan.setups);
  if (plan.target === null)
    return (
      <Notice severity="note">
        The cost is worked out once the drawing is complete: material, three sizes and features.
      </Notice>
    );
  if (!cost)
    return (
      <chakra.p role="status" color="quiet">
        Working out what the drawing costs…
      </chakra.p>
    );
  return (
    <Section title="What the drawing costs">
      {cost.features.length > 0 && (
        <Table label="Minutes by feature" figures={[1]} head={["feature", "takes", "most of it with"]}>
          {cost.features.map(({ id, name, minutes: takes, cutter }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              <td>
                <Worked at={costKey(id)}>
                  {takes === null ? "not here" : <Figure of={minutes(takes)} />}
                </Worked>
              </td>
              <td>{cutter ?? ""}</td>
            </tr>
          ))}
        </Table>
      )}
      {faces.length > 0 && (
        <chakra.p fontSize="14.5px" mt="6px">
          Squaring the block takes <Figure of={minutes(minutesOf(faces))} /> in {faces.at(-1)?.clamping}{" "}
          setups
          {cutIn.length > 0 && (
            <>
              , its features <Figure of={minutes(minutesOf(cutIn))} /> in {cutIn.length} more, with placing
              and picking up zero
            </>
          )}
          .
        </chakra.p>
      )}
      {cost.savings.length > 0 ? (
        <Box as="ol" listStyleType="none" mt="6px" fontSize="14.5px">
          {cost.savings.slice(0, 3).map(({ phrase, saves, now, then }, i) => (
            <Box as="li" key={phrase.parts.length + i} py="2px">
              {i === 0 ? <b>Saves most: </b> : "Then: "}
              <Words of={phrase} /> About <Figure of={minutes(saves)} />: the plan takes{" "}
              <Figure of={minutes(now)} /> as it is, <Figure of={minutes(then)} /> then.
            </Box>
          ))}
        </Box>
      ) : (
        <chakra.p fontSize="14.5px" color="quiet" mt="4px">
          No single radius or tolerance would save much.
        </chakra.p>
      )}
    </Section>
  );
}
