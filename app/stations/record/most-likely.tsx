import { Box, chakra } from "@chakra-ui/react";
import type { Accused } from "../../../core/inspect/index.ts";
import { Section } from "../../instruments/section.tsx";
import { Words } from "../../instruments/words.tsx";

/** What most likely made the sizes what they are, each with the one test that would tell it from the others. */
export function MostLikely({ things }: { things: readonly (readonly Accused[])[] }) {
  return (
    <>
      {things.map((rivals, i) => (
        <Section key={i} title={i === 0 ? "Most likely" : "And what that leaves"}>
          <Box as="ol" listStyleType="none">
            {rivals.map(({ suspect, explains }, k) => (
              <Box as="li" key={suspect.id} borderTopWidth="1px" py="4px" fontSize="14.5px">
                <Box display="flex" justifyContent="space-between" gap="10px">
                  <chakra.span fontWeight={k === 0 ? 600 : 400}>
                    <Words of={suspect.says} />
                  </chakra.span>
                  <chakra.span color="quiet" whiteSpace="nowrap" fontSize="13px">
                    explains {Math.round(explains * 100)} %
                  </chakra.span>
                </Box>
                {k === 0 && (
                  <chakra.p color="quiet" fontSize="13.5px">
                    To tell: <Words of={suspect.test} />
                  </chakra.p>
                )}
              </Box>
            ))}
          </Box>
        </Section>
      ))}
      <chakra.p fontSize="12.5px" color="quiet" mt="4px">
        By every reading of this piece, with the dials, cutters and setups of this job. A guess until tested.
      </chakra.p>
    </>
  );
}
