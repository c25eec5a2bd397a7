import { Box, chakra } from "@chakra-ui/react";
import { mm, showQuantity } from "../../core/quantity/index.ts";
import type { FaceProgress, LivePass } from "../../core/steps/index.ts";
import { useUnit } from "./local-setting.ts";

interface PassLadderProps {
  passes: LivePass[];
  corrections: FaceProgress["corrections"];
  /** Number of the pass that is next; its rung is marked. */
  current: number | null;
}

/** The stack of passes in one face: each rung a depth with its stop; rungs fill as cut, readings are pinned on. */
export function PassLadder({ passes, corrections, current }: PassLadderProps) {
  const [unit] = useUnit();
  const number = (value: number) => showQuantity(mm(value), unit);
  return (
    <Box as="ol" listStyleType="none" role="list">
      {passes.map((pass) => {
        const read = corrections.find((c) => c.afterPass === pass.number);
        const now = pass.number === current;
        return (
          <Box as="li" key={pass.number} mb="4px">
            <Box
              display="grid"
              gridTemplateColumns="26px 1fr auto auto"
              gap="12px"
              px="10px"
              py="8px"
              borderWidth={now ? "2px" : "1px"}
              borderStyle="solid"
              borderColor={now ? "accent" : "rule"}
              bg={pass.done ? "goodSoft" : now ? "accentSoft" : "transparent"}
              fontWeight={now ? 700 : 400}
            >
              <span aria-hidden="true">{pass.done ? "✓" : now ? "▸" : pass.number}</span>
              <span>
                <chakra.span srOnly>
                  Pass {pass.number}, {pass.done ? "cut" : now ? "next" : "to come"}:{" "}
                </chakra.span>
                {pass.last ? "last pass" : pass.kind === "finish" ? "last pass" : "rough"}
              </span>
              <span>{number(pass.depth)}</span>
              <chakra.span minW="84px" textAlign="right" title="stop at, from zero">
                {number(pass.reads)}
              </chakra.span>
            </Box>
            {read && (
              <Box px="10px" py="6px" borderWidth="1px" borderStyle="dashed" borderColor="quiet" mt="4px">
                ◇ read {read.readings.map(number).join(", ")}
              </Box>
            )}
          </Box>
        );
      })}
      {passes.length === 0 && <chakra.li color="quiet">Nothing to take off.</chakra.li>}
    </Box>
  );
}
