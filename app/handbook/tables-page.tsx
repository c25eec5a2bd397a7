import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { handbookTables } from "../../core/handbook/index.ts";
import { StationTitle } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";

const DoorLink = chakra(Link);

/** Every published table with what it is of. */
export function TablesPage() {
  return (
    <HandbookFrame place="tables">
      <StationTitle above="Handbook">Tables</StationTitle>
      <Box as="ul" listStyleType="none" columns={{ base: 1, md: 2 }} columnGap="36px">
        {handbookTables.map((table) => (
          <Box as="li" key={table.id} borderTopWidth="1px" breakInside="avoid">
            <DoorLink to={`/handbook/tables/${table.id}`} display="block" py="10px" minH="44px">
              <chakra.b fontSize="17px" textDecoration="underline">
                {table.title}
              </chakra.b>
              <chakra.span display="block" color="quiet" fontSize="14.5px">
                {table.what} {table.source}.
              </chakra.span>
            </DoorLink>
          </Box>
        ))}
      </Box>
    </HandbookFrame>
  );
}
