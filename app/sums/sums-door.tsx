import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { sums } from "../../core/sums/index.ts";
import { TopLine } from "../frame/top-line.tsx";
import { StationTitle } from "../instruments/section.tsx";

const DoorLink = chakra(Link);

/** Every sum with what it answers. */
export function SumsDoor() {
  return (
    <>
      <TopLine place="Sums" />
      <Box as="main" px={{ base: "14px", md: "28px" }} py="18px" maxW="980px">
        <StationTitle above="Sums">One calculation, without a job</StationTitle>
        <Box as="ul" listStyleType="none">
          {sums.map((sum) => (
            <Box as="li" key={sum.id} borderTopWidth="1px">
              <DoorLink to={`/sums/${sum.id}`} display="block" py="10px" minH="44px">
                <chakra.b fontSize="17px" textDecoration="underline">
                  {sum.title}
                </chakra.b>
                <chakra.span display="block" color="quiet" fontSize="14.5px">
                  {sum.what}
                </chakra.span>
              </DoorLink>
            </Box>
          ))}
        </Box>
      </Box>
    </>
  );
}
