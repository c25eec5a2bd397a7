import { Box, chakra } from "@chakra-ui/react";
import { Fragment, type ReactNode } from "react";
import { Link } from "react-router";

const SideLink = chakra(Link);

/** A list of rooms at the left edge; on a phone a strip that scrolls sideways. */
export function SideList({
  label,
  chosen,
  rooms,
  dense = false,
}: {
  label: string;
  chosen: string | null;
  /** Many rooms: closer together where there is a pointer. */
  dense?: boolean;
  rooms: readonly {
    id: string;
    to: string;
    name: string;
    more?: ReactNode;
    /** Heads those that follow. */ under?: string;
  }[];
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
      {...(dense
        ? {
            position: { md: "sticky" },
            top: "0",
            maxH: { md: "calc(100vh - 44px)" },
            overflowY: { md: "auto" },
          }
        : {})}
    >
      {rooms.map(({ id, to, name, more, under }) => (
        <Fragment key={id}>
          {under && (
            <chakra.span px="14px" pt="10px" fontSize="13px" color="quiet" hideBelow="md">
              {under}
            </chakra.span>
          )}
          <SideLink
            to={to}
            aria-current={id === chosen ? "page" : undefined}
            flexShrink="0"
            px="14px"
            py={{ base: "10px", md: dense ? "3px" : "10px" }}
            minH={{ base: "44px", md: dense ? "28px" : "44px" }}
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
        </Fragment>
      ))}
    </Box>
  );
}
