import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { Link, useLocation } from "react-router";
import type { Plan } from "../../core/plan/index.ts";
import { stationAt, stationList, stationPath } from "../instruments/stations.ts";
import { Words } from "../instruments/words.tsx";

const DrawerLink = chakra(Link);

/** The six stations as drawer fronts at the left; a strip at the bottom on a phone. */
export const Drawers = memo(function Drawers({
  jobId,
  status,
  piece,
  onChoose,
}: {
  jobId: string;
  status: Plan["status"] | null;
  piece: number;
  onChoose?: () => void;
}) {
  // By the station alone: an address without a piece leads to the same drawer.
  const here = stationAt(useLocation().pathname, jobId);
  return (
    <Box
      as="nav"
      aria-label="Stations"
      className="no-print"
      display={{ base: "grid", md: "block" }}
      gridTemplateColumns={`repeat(${stationList.length}, 1fr)`}
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
      {stationList.map((station) => (
        <DrawerLink
          key={station.id}
          to={stationPath(jobId, station, piece)}
          onClick={onChoose}
          aria-current={station === here ? "page" : undefined}
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
            "&[aria-current]": {
              background: "var(--chakra-colors-strong)",
              color: "var(--chakra-colors-on-strong)",
            },
            "&[aria-current] .status": { color: "inherit" },
          }}
        >
          <chakra.span display="block" fontWeight="700" fontSize={{ base: "12px", md: "15.5px" }}>
            {station.key} {station.name}
          </chakra.span>
          <chakra.span
            className="status"
            display="block"
            fontSize="12.5px"
            lineHeight="1.3"
            color="quiet"
            hideBelow="md"
          >
            {status ? <Words of={status[station.id]} /> : " "}
          </chakra.span>
        </DrawerLink>
      ))}
    </Box>
  );
});
