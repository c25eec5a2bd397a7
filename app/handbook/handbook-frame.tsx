import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link, useLocation } from "react-router";
import { TopLine } from "../frame/top-line.tsx";

const PageLink = chakra(Link);

export const handbookPages = [
  [
    "/handbook/materials",
    "Materials",
    "Speeds, feeds, forces, fluids and behavior of workshop materials, with source and spread.",
  ],
  [
    "/handbook/tables",
    "Tables",
    "Keys, threads, holes, fits, tolerances and T-slots, each with its standard.",
  ],
  ["/handbook/cautions", "Cautions", "The usual cautions by what is being done."],
  ["/handbook/words", "Words of the trade", "What the words on these screens mean."],
] as const;

/** Frame of the handbook's pages: readable, printable, without script too. */
export function HandbookFrame({ place, children }: { place: string; children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <>
      <TopLine place={`Handbook: ${place}`} />
      <Box
        as="nav"
        aria-label="Pages of the handbook"
        className="no-print"
        display="flex"
        gap="4px"
        px={{ base: "8px", md: "20px" }}
        borderBottomWidth="1px"
        bg="band"
        overflowX="auto"
      >
        {handbookPages.map(([to, name]) => {
          const chosen = pathname.startsWith(to);
          return (
            <PageLink
              key={to}
              to={to}
              px="10px"
              minH="40px"
              display="inline-flex"
              alignItems="center"
              whiteSpace="nowrap"
              fontWeight={chosen ? 700 : 500}
              borderBottomWidth="3px"
              borderColor={chosen ? "accent" : "transparent"}
              aria-current={chosen ? "page" : undefined}
            >
              {name}
            </PageLink>
          );
        })}
      </Box>
      <Box as="main" px={{ base: "14px", md: "28px" }} py="18px" maxW="1240px">
        {children}
      </Box>
    </>
  );
}
