import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link } from "react-router";

const SideLink = chakra(Link);

/** A list of rooms at the left edge; on a phone a strip that scrolls sideways. */
export function SideList({
  label,
  chosen,
  rooms,
}: {
  label: string;
  chosen: string | null;
  rooms: readonly { id: string; to: string; name: string; more?: ReactNode }[];
}) {
  return (
    <Box
      as="nav"
      aria-label={label}
      className="no-print"
      width={{ base: "100%", md: "168px" }}
      flexShrink="0"
      borderRightWidth={{ md: "1px" }}
      borderBottomWidth={{ base: "1px", md: "0" }}
      display="flex"
      flexDirection={{ base: "row", md: "column" }}
      overflowX="auto"
    >
      {rooms.map(({ id, to, name, more }) => (
        <SideLink
          key={id}
          to={to}
          aria-current={id === chosen ? "page" : undefined}
          px="14px"
          py="10px"
          minH="44px"
          borderBottomWidth={{ md: "1px" }}
          bg={id === chosen ? "strong" : "transparent"}
          color={id === chosen ? "onStrong" : "ink"}
          whiteSpace={{ base: "nowrap", md: "normal" }}
        >
          <b>{name}</b>
          {more !== undefined && (
            <chakra.span display="block" fontSize="12.5px">
              {more}
            </chakra.span>
          )}
        </SideLink>
      ))}
    </Box>
  );
}
