import { Box, chakra } from "@chakra-ui/react";
import type { Machine } from "../../../core/shop/index.ts";
import type { BriefCard, Step } from "../../../core/steps/index.ts";
import type { Phrase, Warning } from "../../../core/working/index.ts";
import { Warnings } from "../../instruments/notice.tsx";
import { Words } from "../../instruments/words.tsx";
import { MoveLine } from "./move-card.tsx";
import { PickupCard } from "./pickup-card.tsx";

/** What a press in Brief gives with it, as a list to do before what it ends at; every warning of it stands below. */
export function FoldedSteps({ card, machine }: { card: BriefCard; machine: Machine }) {
  const { folded, last, before } = card;
  const first = folded[0];
  const notes = unlike(folded.flatMap((s) => s.notes));
  return (
    <>
      {folded.map((step) => (
        <Box key={`${step.op} ${step.id}`}>
          {step.pickup ? (
            <PickupCard step={step} pickup={step.pickup} />
          ) : step.move ? (
            <MoveLine of={step.move} machine={machine} />
          ) : (
            <Listed
              title={step.title}
              lead={step === first}
              ticks={step.ticks.flatMap((t) => (t.done ? [] : [t.phrase]))}
            />
          )}
        </Box>
      ))}
      {before.length > 0 && isTicked(last) && (
        <Listed title={last.title} lead={first === undefined} ticks={before.map((t) => t.phrase)} />
      )}
      {card.hold && before.length === 0 && isTicked(last) && (
        <Listed title={last.title} lead={first === undefined} ticks={[]} />
      )}
      <Warnings
        // What stops stands at the top of the step already.
        of={isTicked(last) ? unlike([...notes, ...last.notes.filter((n) => n.severity !== "stop")]) : notes}
      />
    </>
  );
}

/** What is locked before a cut, told below where it stops: it is set first, then locked. */
export const ThenLocked = ({ card: { last, before } }: { card: BriefCard }) =>
  isTicked(last) ? null : <Listed title={null} lead={false} ticks={before.map((t) => t.phrase)} />;

/** A step that has nothing but ticks: no card of its own says what it is. */
const isTicked = ({ pass, move, touch, pickup, measure, kind }: Step): boolean =>
  !(pass ?? move ?? touch ?? pickup ?? measure) && kind !== "cleanup";

/** What two steps both warn of is said once. */
const unlike = (notes: readonly Warning[]): Warning[] => [
  ...new Map(notes.map((n) => [JSON.stringify(n.phrase), n])).values(),
];

function Listed({ title, lead, ticks }: { title: Phrase | null; lead: boolean; ticks: Phrase[] }) {
  const Title = lead ? chakra.h1 : chakra.h2;
  return (
    <>
      {title && (
        <Title
          fontSize={lead ? { base: "22px", md: "30px" } : { base: "17px", md: "20px" }}
          mt="4px"
          mb="4px"
        >
          <Words of={title} />
        </Title>
      )}
      <chakra.ul pl="24px" listStyleType="'○  '" fontSize={{ base: "17px", md: "20px" }} mb="6px">
        {ticks.map((phrase, i) => (
          <chakra.li key={i} py="3px">
            <Words of={phrase} />
          </chakra.li>
        ))}
      </chakra.ul>
    </>
  );
}
