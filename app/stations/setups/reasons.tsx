import { Box, chakra } from "@chakra-ui/react";
import type { Phrase } from "../../../core/working/index.ts";
import { Words } from "../../instruments/words.tsx";

/** Why a setup is as it is, one reason a line. */
export const Reasons = ({ of }: { of: readonly Phrase[] }) => (
  <Box as="ul" listStyleType="none">
    {of.map((why, i) => (
      <Box as="li" key={i} display="flex" gap="10px" py="7px" borderBottomWidth="1px">
        <chakra.span color="accent" aria-hidden="true">
          →
        </chakra.span>
        <span>
          <Words of={why} />
        </span>
      </Box>
    ))}
  </Box>
);
