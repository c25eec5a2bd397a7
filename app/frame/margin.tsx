import { Box } from "@chakra-ui/react";
import type { Plan } from "../../core/plan/index.ts";
import { WorkingSheet } from "../instruments/workings-margin.tsx";
import { useWorking } from "../planner/use-plan.ts";

interface Looked {
  /** Key of the figure that is looked at. */
  of: string | null;
  plan: Plan;
}

/** The working of the figure looked at, beside the station; it stays in sight beside the figure it is of. */
export function WorkingsMargin({ of, plan }: Looked) {
  const working = useWorking(of, plan);
  return (
    <Box
      as="aside"
      aria-label="Workings"
      className="no-print"
      hideBelow="lg"
      width="268px"
      flexShrink="0"
      borderLeftWidth="1px"
      px="16px"
      py="14px"
      order={2}
    >
      <Box position="sticky" top="14px" maxH="calc(100vh - 28px)" overflowY="auto">
        <WorkingSheet working={working} />
      </Box>
    </Box>
  );
}

/** The same from below, where there is no room beside the station. */
export function MarginSheet({ of, plan }: Looked) {
  const working = useWorking(of, plan);
  return (
    <Box
      as="aside"
      aria-label="Workings"
      hideFrom="lg"
      position="fixed"
      left="0"
      right="0"
      bottom={{ base: "54px", md: "0" }}
      maxH="55vh"
      overflowY="auto"
      bg="ground"
      borderTopWidth="2px"
      borderColor="ink"
      p="16px"
      zIndex="3"
      className="no-print"
    >
      <WorkingSheet working={working} />
    </Box>
  );
}
