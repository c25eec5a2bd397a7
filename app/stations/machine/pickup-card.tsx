import { Box, chakra } from "@chakra-ui/react";
import { touchAtEdge, touchAtTop } from "../../../core/figure/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import type { Step } from "../../../core/steps/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { PaperThickness } from "./paper-thickness.tsx";

/** A datum picked up: what to set, with its sign drawn, and what is done in which order; a stale zero is crossed out. */
export function PickupCard({ step, pickup }: { step: Step; pickup: NonNullable<Step["pickup"]> }) {
  const NAME = pickup.axis.toUpperCase();
  const halved = pickup.faces.length > 1;
  const byReadout = pickup.by === "readout";
  // An indicator stands over the edge itself: nothing is moved on.
  const moves = !byReadout && pickup.off > 0;
  return (
    <>
      <chakra.h1 fontSize={{ base: "24px", md: "32px" }} mb="4px" lineHeight="1.15">
        <Words of={step.title} />
      </chakra.h1>
      {pickup.stale && (
        <Notice severity="stop" role="alert">
          <chakra.s>{NAME} zero</chakra.s> is stale: {pickup.stale}. No cut until it is picked up again.
        </Notice>
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "minmax(0, 1fr) 250px" }}
        gap="14px"
        alignItems="center"
      >
        <Box>
          <chakra.p fontSize="19px" color="quiet">
            {halved
              ? `Half of what ${NAME} reads from side to side, then`
              : moves
                ? "At the touch set the collar to 0, then move on by"
                : `At the touch, set ${byReadout ? NAME : `the ${NAME} collar`} to`}
          </chakra.p>
          <chakra.p fontSize={{ base: "54px", md: "76px" }} fontWeight="700" lineHeight="1.1">
            {halved ? (
              `${NAME} 0`
            ) : (
              <Figure of={mm(byReadout ? pickup.settings[0]! : pickup.off)} decimals={3} />
            )}
          </chakra.p>
        </Box>
        <Box hideBelow="md">
          <FigureView figure={pickup.axis === "z" ? touchAtTop() : touchAtEdge(pickup.side ?? "minus")} />
        </Box>
      </Box>
      <chakra.ol fontSize={{ base: "17px", md: "20px" }} pl="24px" mt="6px" listStyleType="decimal">
        {pickup.order.map((what, i) => (
          <chakra.li key={i} py="4px">
            <Words of={what} />
          </chakra.li>
        ))}
      </chakra.ol>
      <chakra.p fontSize="16px" color="quiet" mt="4px">
        The zero is then good to <Figure of={mm(pickup.error)} decimals={3} />.
      </chakra.p>
      {pickup.medium > 0 && <PaperThickness now={pickup.medium} />}
      <Box mt="8px" fontSize="17px">
        <Warnings of={step.notes} />
      </Box>
    </>
  );
}
