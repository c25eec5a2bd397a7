import { Box, type BoxProps } from "@chakra-ui/react";
import type { Plan } from "../../core/plan/index.ts";
import { WorkingSheet } from "../instruments/workings-margin.tsx";
import { useWorking } from "../planner/use-plan.ts";

const places = {
  beside: {
    hideBelow: "lg",
    width: "268px",
    flexShrink: "0",
    borderLeftWidth: "1px",
    px: "16px",
    py: "14px",
    order: 2,
  },
  below: {
    hideFrom: "lg",
    position: "fixed",
    left: "0",
    right: "0",
    bottom: { base: "54px", md: "0" },
    maxH: "55vh",
    overflowY: "auto",
    bg: "ground",
    borderTopWidth: "2px",
    borderColor: "ink",
    p: "16px",
    zIndex: "3",
  },
} satisfies Record<string, BoxProps>;

/** The working of the figure looked at: beside the station, or from below where there is no room beside it. */
export function Margin({
  of,
  plan,
  place,
  onTop,
}: {
  of: string | null;
  plan: Plan;
  place: keyof typeof places;
  /** Is given where a station puts what is chosen, above the working. */
  onTop?: (element: HTMLElement | null) => void;
}) {
  const working = useWorking(of, plan);
  return (
    <Box as="aside" aria-label="Workings" className="no-print" {...places[place]}>
      {/* It stays in sight beside the figure it is of. */}
      <Box
        position="sticky"
        top="14px"
        maxH={place === "beside" ? "calc(100vh - 28px)" : undefined}
        overflowY="auto"
      >
        <div ref={onTop} />
        <WorkingSheet working={working} />
      </Box>
    </Box>
  );
}
