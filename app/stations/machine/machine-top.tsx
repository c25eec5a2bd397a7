import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { setupWith } from "../../../core/route/index.ts";
import type { Step } from "../../../core/steps/index.ts";
import { Drawers } from "../../frame/drawers.tsx";
import { TopLine } from "../../frame/top-line.tsx";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { machinePath } from "../../instruments/job-paths.ts";
import { PieceSwitch } from "../../instruments/pieces.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useTelling } from "../../instruments/local-setting.ts";

import { MachineSettings } from "./machine-settings.tsx";

/** Keeps the screen awake where the browser allows; over plain http it does not, and that is said. */
function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const ask = () => {
      if (!("wakeLock" in navigator) || document.visibilityState !== "visible") return;
      navigator.wakeLock
        .request("screen")
        .then((got) => {
          if (gone) void got.release();
          lock = got;
          setAwake(true);
          got.addEventListener("release", () => setAwake(false));
        })
        .catch(() => setAwake(false));
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      gone = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
  return awake;
}

/** At the machine ribbon and drawers fold into one button. */
export function MachineTop({ step, total }: { step: Step | undefined; total: number }) {
  const { job, plan, piece } = useJob();
  const [open, setOpen] = useState(false);
  const [telling] = useTelling();
  const awake = useAwake();
  const setup = setupWith(plan.setups, step?.op ?? null);
  const at = step ? plan.steps.indexOf(step) + 1 : total;
  return (
    <>
      <TopLine place={job.name} detail={setup ? setupPlace(setup, plan) : ""}>
        <chakra.span fontSize="13.5px" color="quiet" hideBelow="lg">
          {awake ? "screen stays on" : "screen may go dark here"}
        </chakra.span>
        <PieceSwitch to={(of) => machinePath(job.id, of)} />
        <chakra.span fontSize="15px" whiteSpace="nowrap">
          {step && `${at} of ${total}`}
          {telling === "brief" && ", brief"}
        </chakra.span>
        <Button onClick={() => setOpen(!open)} aria-expanded={open} css={{ minHeight: "44px" }}>
          Stations
        </Button>
      </TopLine>
      {open && (
        <Box
          position="absolute"
          top="46px"
          right="0"
          bg="ground"
          borderWidth="2px"
          borderStyle="solid"
          borderColor="ink"
          zIndex="5"
          p="10px"
          width={{ base: "100%", md: "auto" }}
          display={{ base: "block", md: "flex" }}
          gap="20px"
          maxH="calc(100vh - 46px)"
          overflowY="auto"
        >
          <Drawers jobId={job.id} status={plan.status} piece={piece} onChoose={() => setOpen(false)} />
          <MachineSettings />
        </Box>
      )}
    </>
  );
}
