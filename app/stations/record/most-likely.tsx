import { Box, chakra } from "@chakra-ui/react";
import { type Spot, spotWords } from "../../../core/inspect/index.ts";
import type { Suspicion } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { Section, Table } from "../../instruments/section.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** What most likely made the sizes what they are, each with the one test that would tell it from the others. */
export function MostLikely({ things }: { things: readonly (readonly Suspicion[])[] }) {
  return (
    <>
      {things.map((rivals, i) => (
        <Section key={i} title={i === 0 ? "Most likely" : "And what that leaves"}>
          <Box as="ol" listStyleType="none">
            {rivals.map(({ suspect, explains, fits }, k) => (
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
                <HowItFits fits={fits} />
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

const placeOf = ({ id, at }: Suspicion["fits"][number]["reading"]): string =>
  at ? `${id}, ${spotWords({ x: Math.sign(at.x) as Spot["x"], y: Math.sign(at.y) as Spot["y"] })}` : id;

/** The working of a share: every reading the cause shows in, how far it is off, and what is left without it. */
function HowItFits({ fits }: { fits: Suspicion["fits"] }) {
  return (
    <chakra.details fontSize="13px" color="quiet">
      <chakra.summary cursor="pointer" minH="24px">
        How it fits
      </chakra.summary>
      <Table label="How it fits" figures={[1, 2, 3]} head={["read", "off by", "it makes", "left"]}>
        {fits.slice(0, 12).map(({ reading, makes }, i) => (
          <tr key={i}>
            <td>{placeOf(reading)}</td>
            <td>
              <Figure of={mm(reading.off)} decimals={3} />
            </td>
            <td>
              <Figure of={mm(makes)} decimals={3} />
            </td>
            <td>
              <Figure of={mm(reading.off - makes)} decimals={3} />
            </td>
          </tr>
        ))}
      </Table>
    </chakra.details>
  );
}
