import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { Step } from "../../../core/steps/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { useBothUnits, useButtonSide, useMachineTheme } from "../../instruments/local-setting.ts";
import { BothUnits } from "../../instruments/both-units.ts";
import { Notice } from "../../instruments/notice.tsx";
import { Words } from "../../instruments/words.tsx";
import { MachineTop } from "./machine-top.tsx";

/** A grid told from the side the buttons lie at; what stands in it reads as ever, and comes in the same order. */
const sided = (buttons: "left" | "right") => ({
  direction: buttons === "right" ? "rtl" : "ltr",
  "& > *": { direction: "ltr" },
});

/** The whole screen of a step: what to do at the left, what it belongs to at the right. */
export function MachineFrame({
  step,
  busy,
  side,
  children,
}: {
  step: Step | undefined;
  busy: boolean;
  side: ReactNode;
  children: ReactNode;
}) {
  const { plan } = useJob();
  const [theme] = useMachineTheme();
  const [buttons] = useButtonSide();
  const [both] = useBothUnits();
  return (
    <Box
      data-theme={theme}
      bg="ground"
      color="ink"
      minH="100vh"
      display="flex"
      flexDirection="column"
      flex="1"
    >
      <MachineTop step={step} total={plan.steps.length} />
      <Box
        as="main"
        aria-busy={busy}
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(400px, 36%)" }}
        flex="1"
        css={sided(buttons)}
      >
        <Box
          px={{ base: "16px", md: "30px" }}
          py={{ base: "12px", md: "20px" }}
          display="flex"
          flexDirection="column"
          minW="0"
        >
          <BothUnits value={both === "on"}>{children}</BothUnits>
        </Box>
        <Box
          bg="band"
          px="22px"
          py="18px"
          borderLeftWidth={{ base: "0", lg: "1px" }}
          borderTopWidth={{ base: "1px", lg: "0" }}
        >
          {side}
        </Box>
      </Box>
    </Box>
  );
}

/** Bars of the steps that belong together, and what is said when this is not the step to do now. */
export function StepHead({
  mine,
  step,
  current,
  lost,
}: {
  mine: readonly Step[];
  step: Step;
  current: Step | undefined;
  /** The step in the address is gone. */
  lost: boolean;
}) {
  const { job, piece } = useJob();
  return (
    <>
      <Box
        display="flex"
        gap={mine.length > 30 ? "1px" : "6px"}
        alignItems="center"
        mb="14px"
        aria-hidden="true"
      >
        {mine.map((s) => (
          <Box
            key={`${s.op} ${s.id}`}
            flex="1"
            height="8px"
            bg={s.done ? "good" : s === step ? "accent" : "rule"}
            outline={s === current && s !== step ? "2px solid" : undefined}
          />
        ))}
      </Box>
      {lost && (
        <Notice severity="note">
          The step in the address is no longer in the plan; this is the one to do now.
        </Notice>
      )}
      {step !== current && (
        <Notice severity="note">
          {step.done ? "This step is done." : "This step waits."} Now:{" "}
          <Words of={current?.title ?? { parts: ["all steps are done"] }} />{" "}
          {current && (
            <Link to={machinePath(job.id, piece, current)} style={{ textDecoration: "underline" }}>
              Go to it
            </Link>
          )}
        </Notice>
      )}
    </>
  );
}

/** What the hands need of a step, at the thumb on a phone: the reading pad and the buttons stay in sight while the rest scrolls. */
export const StepHands = ({ children }: { children: ReactNode }) => (
  <Box
    display={{ base: "block", md: "contents" }}
    mt="auto"
    position="sticky"
    bottom="0"
    bg="ground"
    borderTopWidth="1px"
    zIndex="1"
  >
    {children}
  </Box>
);

/** The buttons of a step; three small ones in a row where a pad stands above them on a phone. */
export function StepFoot({ narrow, children }: { narrow: boolean; children: ReactNode }) {
  const [buttons] = useButtonSide();
  return (
    <Box
      mt={{ base: "0", md: "auto" }}
      pt={{ base: "8px", md: "18px" }}
      display="grid"
      gridTemplateColumns={{
        base: narrow ? "repeat(3, minmax(0, 1fr))" : "1fr 1fr",
        md: "repeat(auto-fit, minmax(180px, 1fr))",
      }}
      gap={{ base: "8px", md: "12px" }}
      position={{ md: "sticky" }}
      bottom="0"
      bg="ground"
      pb="10px"
      css={{
        ...sided(buttons),
        ...(narrow && {
          "@media (max-width: 699px)": { "& > button": { fontSize: "16px", px: "6px", minH: "52px" } },
        }),
      }}
    >
      {children}
    </Box>
  );
}

export const StepTitle = ({ children }: { children: ReactNode }) => (
  <chakra.h1 fontSize={{ base: "28px", md: "40px" }} mb="12px" lineHeight="1.15">
    {children}
  </chakra.h1>
);
