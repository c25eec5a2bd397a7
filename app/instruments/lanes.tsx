import { Box } from "@chakra-ui/react";
import type { FaceSweep } from "../../core/recipes/index.ts";
import type { Machine } from "../../core/shop/index.ts";
import { laneWords, returnWords } from "../../core/steps/index.ts";
import { Words } from "./words.tsx";

/** Where the lanes of a face lie, in the order they are cut, and how the cutter comes back between them. */
export const Lanes = ({ of, machine }: { of: FaceSweep; machine: Machine }) => (
  <Box as="ol" listStyleType="none">
    {[...laneWords(of), returnWords(of, machine)].map((words, i) => (
      <Box as="li" key={i} py="2px">
        <Words of={words} />
      </Box>
    ))}
  </Box>
);
