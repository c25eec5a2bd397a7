import { Box, chakra } from "@chakra-ui/react";
import { mm, quantity } from "../../../core/quantity/index.ts";
import type { FeatureSetup } from "../../../core/route/index.ts";
import type { Machine } from "../../../core/shop/index.ts";
import type { Step, StepMove } from "../../../core/steps/index.ts";
import { Pace } from "../../instruments/pace.tsx";
import { Figure } from "../../instruments/words.tsx";

type Axis = "x" | "y" | "z";

/** Which way the cutter goes along an axis, and what the hand turns for it. */
function direction(axis: Axis, from: number | null, to: number, machine: Machine): string {
  if (axis === "z") return machine.depthBy === "knee" ? "raise the knee" : "lower the head";
  if (from === null) return axis === "x" ? "table along" : "table across";
  return `cutter ${sideOf(axis, to > from ? 1 : -1)}`;
}

const sideOf = (axis: Axis, way: 1 | -1): string =>
  axis === "x" ? (way > 0 ? "to the right" : "to the left") : way > 0 ? "to the back" : "to the front";

const asks = {
  go: "Go to, spindle up clear",
  down: "Go down to",
  feed: "Feed to",
  in: "Feed in from the side to",
} as const;

const how = {
  conventional: "conventional: work on the left of the cutter's travel",
  climb: "climb: work on the right of the cutter's travel; feed steadily, never let it pull",
  full: "full width of the cutter",
  over: "over the face",
  down: "into solid metal, slowly",
  air: "nothing is cut yet",
} as const;

/** One move: where to stop on each axis in the largest letters, readout and dial from the one zero. */
export function MoveCard({
  shown,
  setup,
  step,
  machine,
}: {
  shown: StepMove;
  step: Step;
  setup: FeatureSetup;
  machine: Machine;
}) {
  const operation = setup.operations.find((o) => o.key === step.op)!;
  const { move, targets, of, quill } = shown;
  const several = targets.length > 1;
  const { set } = operation;
  // The quill goes straight down, by its lever.
  const lever = quill && move.axis === "z";
  const { lead, powerFeeds } = machine.axes[move.axis];
  // Roughing a wall and its last pass have feeds of their own.
  const vf = move.vf ?? set?.vf ?? 0;
  // Only the axis that has power feeds can use one.
  const by = set?.feedBy === "power" && powerFeeds.length > 0 && !lever ? "power" : "hand";
  return (
    <>
      <chakra.h1 fontSize={{ base: "19px", md: "26px" }} fontWeight="400" color="quiet">
        Move {move.number} of {of}
        {move.levels > 1 && `, ${move.round} ${move.level} of ${move.levels}`}
        {move.spring && ", spring pass at the same setting"}. {asks[move.kind]}
      </chakra.h1>
      <Box display="flex" flexWrap="wrap" gap={{ base: "2px 18px", md: "4px 44px" }} data-testid="stop">
        {targets.map(({ axis, settled, from, counted, approach }) => (
          <Box key={axis}>
            <chakra.p
              fontSize={several ? { base: "44px", md: "76px" } : { base: "54px", md: "104px" }}
              lineHeight="1.08"
              fontWeight="700"
              letterSpacing="-0.02em"
              whiteSpace="nowrap"
            >
              <chakra.span color="accent">{axis.toUpperCase()}</chakra.span> <Figure of={mm(settled.stop)} />
            </chakra.p>
            <chakra.p fontSize={{ base: "15px", md: "19px" }}>
              {lever ? "pull the quill down to its stop" : direction(axis, from, settled.stop, machine)}
              {settled.dial && machine.axes[axis].readout === null && !lever && (
                <>
                  {" "}
                  · dial, from zero: <b>{settled.dial.turns}</b> {settled.dial.turns === 1 ? "turn" : "turns"}{" "}
                  <b>{settled.dial.divisions}</b> of {settled.dial.divisionsPerTurn}
                </>
              )}
            </chakra.p>
            {approach !== null && (
              <chakra.p fontSize={{ base: "15px", md: "17px" }} color="quiet">
                approach it moving {sideOf(axis, approach)}, the way it was zeroed
              </chakra.p>
            )}
            {counted !== 0 && (
              <chakra.p fontSize={{ base: "15px", md: "17px" }} color="quiet">
                includes <Figure of={mm(Math.abs(counted))} /> backlash: you approach against the way it was
                zeroed
              </chakra.p>
            )}
          </Box>
        ))}
      </Box>
      <chakra.p fontSize={{ base: "17px", md: "21px" }} mt="6px">
        {move.notPast ? (
          <>
            Stop there, not past{" "}
            <b>
              <Figure of={mm(past(targets[0]!, move.exact))} />
            </b>
            .
          </>
        ) : move.kind === "feed" ? (
          "Run off the end: the exact stop does not matter."
        ) : (
          <>
            Within{" "}
            <b>
              <Figure of={mm(move.exact)} />
            </b>{" "}
            {move.cuts === "air" && move.kind === "go" ? "will do; lock the table." : "of it."}
          </>
        )}
      </chakra.p>
      {set && move.kind !== "go" && (
        <Box
          display="grid"
          gridTemplateColumns={{ base: "1fr 1fr", md: "1.2fr 1fr 1fr" }}
          gap={{ base: "8px", md: "20px" }}
          borderTopWidth="1px"
          borderBottomWidth="1px"
          py="10px"
          mt="12px"
        >
          <Fact label="cut" wide>
            <chakra.span fontSize={{ base: "16px", md: "20px" }}>
              {operation.opensFrom === null ? how[move.cuts] : "the wall of the hole, evenly"}
            </chakra.span>
          </Fact>
          <Fact label={`feed, by ${by}`}>
            <Figure of={quantity("feed", vf)} />
            <chakra.div fontSize="15px" fontWeight="400" color="quiet">
              {lever ? (
                <>
                  by its lever: <Figure of={mm(leverStroke)} /> in{" "}
                  <Figure of={quantity("seconds", (60 * leverStroke) / vf)} />
                </>
              ) : (
                <>
                  by hand: <Pace seconds={(60 * lead) / vf} large />
                </>
              )}
            </chakra.div>
          </Fact>
          <Fact label="spindle">
            <Figure of={quantity("spindleSpeed", set.rpm)} />
            <chakra.div fontSize="15px" fontWeight="400" color="quiet">
              {set.setting}
            </chakra.div>
          </Fact>
        </Box>
      )}
    </>
  );
}

/** A move in one line, where it only leads to the cut that is told below it. */
export function MoveLine({ of: { move, targets, quill }, machine }: { of: StepMove; machine: Machine }) {
  return (
    <chakra.p fontSize={{ base: "18px", md: "22px" }} mb="6px" data-testid="lead">
      {asks[move.kind]}{" "}
      {targets.map(({ axis, settled, approach, counted }) => (
        <chakra.span key={axis} mr="14px">
          <b>
            <chakra.span color="accent">{axis.toUpperCase()}</chakra.span> <Figure of={mm(settled.stop)} />
          </b>
          {settled.dial && machine.axes[axis].readout === null && !(quill && axis === "z") && (
            <>
              {" "}
              (dial: {settled.dial.turns} + {settled.dial.divisions} of {settled.dial.divisionsPerTurn})
            </>
          )}
          {approach !== null && `, coming ${sideOf(axis, approach)}`}
          {counted !== 0 && ", backlash included"}
        </chakra.span>
      ))}
      {move.kind === "go"
        ? "then lock the table."
        : move.cuts === "air"
          ? "clear of the metal."
          : "into solid metal, slowly."}
    </chakra.p>
  );
}

/** What the pace of the quill's lever is told over, mm. */
const leverStroke = 10;

/** The reading that a stop may not pass: its tolerance further in the direction of the move. */
function past({ axis, settled, from }: StepMove["targets"][number], exact: number): number {
  const ahead = axis === "z" ? -1 : from === null || settled.stop >= from ? 1 : -1;
  return settled.stop + ahead * exact;
}

function Fact({ label, children, wide }: { label: string; children: React.ReactNode; wide?: boolean }) {
  return (
    <Box minW="0" gridColumn={wide ? { base: "1 / -1", md: "auto" } : undefined}>
      <chakra.div fontSize="15px" color="quiet">
        {label}
      </chakra.div>
      <chakra.div fontSize={{ base: "20px", md: "26px" }} fontWeight="700" lineHeight="1.15">
        {children}
      </chakra.div>
    </Box>
  );
}
