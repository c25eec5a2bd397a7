import { Box, chakra } from "@chakra-ui/react";
import { type OtherAnswer, outOfLine, type Step, type Try } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { Words } from "../../instruments/words.tsx";
import { IndicatorTries } from "./indicator-tries.tsx";

/** A step made of ticks, in their order: a later one waits for those before it. */
export function TickCard({
  step,
  enabled,
  onTick,
  onRun,
}: {
  step: Step;
  enabled: boolean;
  onTick: (tick: string) => void;
  /** An indicator run is noted for a tick. */
  onRun: (tick: string, run: Try) => Promise<boolean>;
}) {
  const next = step.ticks.findIndex((t) => !t.done);
  return (
    <>
      <chakra.h1 fontSize={{ base: "22px", md: "32px" }} mb="10px">
        <Words of={step.title} />
      </chakra.h1>
      <Box as="ol" listStyleType="none" role="list">
        {step.ticks.map((tick, i) => {
          const open = i === next;
          return (
            <Box as="li" key={tick.id} mb="8px">
              <chakra.button
                type="button"
                disabled={!enabled || !open || outOfLine(tick) !== null}
                aria-pressed={tick.done}
                onClick={() => onTick(tick.id)}
                width="100%"
                minH="56px"
                textAlign="left"
                display="flex"
                gap="14px"
                alignItems="center"
                px="14px"
                py="8px"
                fontSize={{ base: "18px", md: "22px" }}
                fontWeight={open ? 700 : 400}
                color="ink"
                bg={tick.done ? "goodSoft" : "transparent"}
                borderWidth={open && enabled ? "2px" : "1px"}
                borderStyle="solid"
                borderColor={open && enabled ? "accent" : "rule"}
                cursor={open && enabled ? "pointer" : "default"}
              >
                <chakra.span aria-hidden="true" fontSize="24px" width="26px" flexShrink="0">
                  {tick.done ? "✓" : "○"}
                </chakra.span>
                <span>
                  <Words of={tick.phrase} />
                </span>
              </chakra.button>
              {tick.run && open && (
                <IndicatorTries of={tick.run} enabled={enabled} onRun={(run) => onRun(tick.id, run)} />
              )}
              {tick.other && (open || tick.other.given) && (
                <Other of={tick.other} enabled={enabled && open} onTick={onTick} />
              )}
            </Box>
          );
        })}
      </Box>
      <Warnings of={step.notes} />
    </>
  );
}

/** The other honest answer to a tick, and what to do then. */
function Other({
  of,
  enabled,
  onTick,
}: {
  of: OtherAnswer;
  enabled: boolean;
  onTick: (tick: string) => void;
}) {
  return of.given ? (
    <Box mt="6px">
      <Warnings of={[of.then]} />
    </Box>
  ) : (
    <Box mt="6px" ml="40px">
      <Button size="machine" look="warn" disabled={!enabled} onClick={() => onTick(of.id)}>
        <Words of={of.says} />
      </Button>
    </Box>
  );
}
