import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { StationTitle } from "../instruments/section.tsx";
import { HandbookFrame, handbookPages } from "./handbook-frame.tsx";

const DoorLink = chakra(Link);

/** The pages of the handbook with what stands on each. */
export function HandbookDoor() {
  return (
    <HandbookFrame place="contents">
      <StationTitle above="Handbook">What is known, with its source</StationTitle>
      <Box as="ul" listStyleType="none" maxW="760px">
        {handbookPages.map(([to, name, what]) => (
          <Box as="li" key={to} borderTopWidth="1px">
            <DoorLink to={to} display="block" py="10px">
              <chakra.b fontSize="17px" textDecoration="underline">
                {name}
              </chakra.b>
              <chakra.span display="block" color="quiet" fontSize="14.5px">
                {what}
              </chakra.span>
            </DoorLink>
          </Box>
        ))}
      </Box>
    </HandbookFrame>
  );
}
