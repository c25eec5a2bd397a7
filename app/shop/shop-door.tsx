import { Box, chakra } from "@chakra-ui/react";
import { type StarterSet, starterSets } from "../../core/shop/index.ts";
import { Button } from "../instruments/button.tsx";
import { Notice } from "../instruments/notice.tsx";
import { Section, StationTitle } from "../instruments/section.tsx";
import { FirstQuestions } from "./first-questions.tsx";
import { useShop } from "./use-shop.ts";

/** First look at the shop: sets to start from, and what is still missing to plan with one's own. */
export function ShopDoor() {
  const { mine } = useShop();
  const missing = (
    [
      ["machines", "a machine"],
      ["cutters", "cutters"],
      ["vises", "a vise"],
    ] as const
  ).filter(([list]) => mine[list].every((i) => i.retired));
  return (
    <>
      <StationTitle above="Shop">What you own</StationTitle>
      {missing.length > 0 ? (
        <Notice severity="note">
          Still missing: {missing.map(([, name]) => name).join(", ")}. Until they are entered, plans use those
          of the demo shop and say so. Answer three questions, or add your own in a drawer.
        </Notice>
      ) : (
        <Notice severity="good">
          Plans use your own machines, cutters and vises. Nothing you do not own is proposed without saying
          so.
        </Notice>
      )}
      {missing.length > 0 ? (
        <FirstQuestions />
      ) : (
        <>
          <Sets title="Another machine to start from" sets={starterSets.machines} list="machines" />
          <Sets title="Another drawer to start from" sets={starterSets.drawers} list="cutters" />
        </>
      )}
      <chakra.p mt="14px" color="quiet" maxW="640px">
        The values in a set are typical: correct them to yours. Backlash, run-out and the force your machine
        can take are worth an hour with an indicator.
      </chakra.p>
    </>
  );
}

function Sets({ title, sets, list }: { title: string; sets: StarterSet[]; list: "machines" | "cutters" }) {
  const { mine, addSet } = useShop();
  return (
    <Section title={title}>
      <Box display="grid" gap="10px" gridTemplateColumns={{ base: "1fr", md: "repeat(3, minmax(0, 1fr))" }}>
        {sets.map((set) => {
          const there = set.adds[list].every((item) => mine[list].some((own) => own.id === item.id));
          return (
            <Box
              key={set.id}
              borderWidth="1px"
              borderColor="ink"
              p="12px"
              display="flex"
              flexDirection="column"
              gap="8px"
            >
              <b>{set.name}</b>
              <chakra.span fontSize="14px" color="quiet" flex="1">
                {set.what}
              </chakra.span>
              <Button look={there ? "plain" : "strong"} disabled={there} onClick={() => addSet(set.adds)}>
                {there ? "In the shop" : `Add the ${set.name.toLowerCase()}`}
              </Button>
            </Box>
          );
        })}
      </Box>
    </Section>
  );
}
