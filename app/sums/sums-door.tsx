import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { sumGroups } from "../../core/sums/index.ts";
import { TopLine } from "../frame/top-line.tsx";
import { StationTitle } from "../instruments/section.tsx";

const DoorLink = chakra(Link);

/** Every sum with what it answers, by what it is about. */
export function SumsDoor() {
  return (
    <>
      <TopLine place="Sums" />
      <Box as="main" px={{ base: "14px", md: "28px" }} py="18px" maxW="1400px">
        <StationTitle above="Sums">One calculation, without a job</StationTitle>
        <Box columnWidth="270px" columnGap="26px">
          {sumGroups.map(([about, sums]) => (
            <Box as="section" key={about} aria-label={about} mb="16px">
              <chakra.h2 fontSize="14px" color="quiet" breakAfter="avoid">
                {about}
              </chakra.h2>
              <Box as="ul" listStyleType="none">
                {sums.map((sum) => (
                  <Box as="li" key={sum.id} borderTopWidth="1px" breakInside="avoid">
                    <DoorLink
                      to={`/sums/${sum.id}`}
                      display="block"
                      py="4px"
                      minH={sum.keeps ? "30px" : "44px"}
                    >
                      <chakra.b fontSize="16px" textDecoration="underline">
                        {sum.title}
                      </chakra.b>
                      {/* What is tried is named by its title: the list keeps to a screen and a half. */}
                      {!sum.keeps && (
                        <chakra.span display="block" color="quiet" fontSize="13px" lineHeight="1.25">
                          {sum.what}
                        </chakra.span>
                      )}
                    </DoorLink>
                  </Box>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
    </>
  );
}
