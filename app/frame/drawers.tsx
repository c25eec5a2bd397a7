import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { NavLink } from "react-router";
import { type Plan, type Station, stations } from "../../core/plan/index.ts";
import { Words } from "../instruments/words.tsx";

export const stationNames: Record<Station, string> = {
  drawing: "Drawing",
  stock: "Stock",
  setups: "Setups",
  cuts: "Cuts",
  machine: "Machine",
  record: "Record",
};

const DrawerLink = chakra(NavLink);

/** The six stations as drawer fronts at the left; a strip at the bottom on a phone. */
export const Drawers = memo(function Drawers({
  jobId,
  plan,
  onChoose,
}: {
  jobId: string;
  plan: Plan | null;
  onChoose?: () => void;
}) {
  return (
    <Box
      as="nav"
      aria-label="Stations"
      className="no-print"
      display={{ base: "grid", md: "block" }}
      gridTemplateColumns="repeat(6, 1fr)"
      width={{ base: "100%", md: "144px" }}
      flexShrink="0"
      pt={{ base: "0", md: "12px" }}
      borderTopWidth={{ base: "1px", md: "0" }}
      position="sticky"
      bottom={{ base: "0", md: "auto" }}
      top={{ base: "auto", md: "0" }}
      alignSelf={{ base: "stretch", md: "flex-start" }}
      bg="ground"
      zIndex="2"
      order={{ base: 2, md: 0 }}
    >
      {stations.map((station, i) => (
        <DrawerLink
          key={station}
          to={`/jobs/${jobId}/${station}`}
          onClick={onChoose}
          display="block"
          px={{ base: "2px", md: "13px" }}
          py={{ base: "6px", md: "9px" }}
          mb={{ base: "0", md: "7px" }}
          minH="52px"
          textAlign={{ base: "center", md: "left" }}
          borderWidth={{ base: "0", md: "1px 0" }}
          borderStyle="solid"
          borderColor="rule"
          bg="ground"
          position="relative"
          css={{
            "&.active": {
              background: "var(--chakra-colors-strong)",
              color: "var(--chakra-colors-on-strong)",
            },
            "&.active .status": { color: "inherit" },
          }}
        >
          <chakra.span display="block" fontWeight="700" fontSize={{ base: "12px", md: "15.5px" }}>
            {i + 1} {stationNames[station]}
          </chakra.span>
          <chakra.span
            className="status"
            display="block"
            fontSize="12.5px"
            lineHeight="1.3"
            color="quiet"
            hideBelow="md"
          >
            {plan ? <Words of={plan.status[station]} /> : " "}
          </chakra.span>
        </DrawerLink>
      ))}
    </Box>
  );
});
