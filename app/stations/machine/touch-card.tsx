import { Box, chakra } from "@chakra-ui/react";
import { mm } from "../../../core/quantity/index.ts";
import type { Machine } from "../../../core/shop/index.ts";
import type { Step } from "../../../core/steps/index.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { PaperThickness } from "./paper-thickness.tsx";

/** Touch-off through paper: what to set at the touch, drawn with its sign; a stale zero is crossed out. */
export function TouchCard({
  step,
  touch,
  machine,
}: {
  step: Step;
  touch: NonNullable<Step["touch"]>;
  machine: Machine;
}) {
  const name = touch.axis.toUpperCase();
  const byDial = machine.axes[touch.axis].readout === null;
  return (
    <>
      <chakra.h1 fontSize={{ base: "24px", md: "32px" }} mb="4px">
        <Words of={step.title} />
      </chakra.h1>
      {touch.stale && (
        <Notice severity="stop" role="alert">
          <chakra.s>{name} zero</chakra.s> is stale: {touch.stale}. No cut until it is taken again.
        </Notice>
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "1fr 220px" }}
        gap="14px"
        alignItems="center"
      >
        <Box>
          <chakra.p fontSize="20px" color="quiet">
            {byDial ? `As the paper drags, set the ${name} collar to` : `As the paper drags, set ${name} to`}
          </chakra.p>
          <chakra.p fontSize={{ base: "60px", md: "84px" }} fontWeight="700" lineHeight="1.1">
            {byDial ? "0" : <Figure of={mm(touch.setting)} />}
          </chakra.p>
        </Box>
        <TouchPicture side={touch.axis !== "z"} />
      </Box>
      <Box mt="8px" fontSize="18px">
        <Warnings of={step.notes} />
      </Box>
      <chakra.p fontSize="15px" color="quiet">
        At zero the block would measure <Figure of={mm(touch.sizeAtZero)} />.
      </chakra.p>
      <PaperThickness now={touch.medium} />
    </>
  );
}

/** Cutter, paper and face: the paper lies between, so the cutter stands its thickness off. */
function TouchPicture({ side }: { side: boolean }) {
  return (
    <chakra.svg
      viewBox="0 0 110 80"
      role="img"
      aria-label={
        side
          ? "The flank of the cutter touches the end through paper."
          : "The cutter touches the face through paper."
      }
      width="100%"
      maxW="220px"
    >
      <g
        fill="none"
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.4"
        transform={side ? "rotate(90 55 40)" : undefined}
      >
        <rect x="34" y="8" width="40" height="26" fill="var(--chakra-colors-sheet)" />
        <rect x="10" y="38" width="90" height="30" fill="var(--chakra-colors-metal)" />
        <path d="M4 36H106" stroke="var(--chakra-colors-accent)" strokeWidth="3" />
      </g>
      <text x="4" y="78" style={{ fontSize: 9 }} fill="var(--chakra-colors-accent)">
        paper
      </text>
    </chakra.svg>
  );
}
