import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { mm, quantity, tidy } from "../../../core/quantity/index.ts";
import { faceOf, type FaceSetup, travelOf } from "../../../core/route/index.ts";
import type { Machine, Vise } from "../../../core/shop/index.ts";
import { askToProve, canProve, depthAxis, type LivePass, type Step } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Lanes } from "../../instruments/lanes.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { Pace } from "../../instruments/pace.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure } from "../../instruments/words.tsx";

/** One pass: where to stop in the largest letters, readout and dial from one zero, then feed and spindle. */
export function CutCard({
  step,
  pass,
  setup,
  machine,
  vise,
}: {
  step: Step;
  pass: LivePass;
  setup: FaceSetup;
  machine: Machine;
  vise: Vise;
}) {
  const { plan } = useJob();
  const submit = useSubmit();
  const op = faceOf(setup);
  const { cut, sweep, face } = op;
  const passes = plan.ladders[op.key] ?? [];
  const previous = passes.findLast((p) => p.number < pass.number)?.stop ?? 0;
  const axis = depthAxis(op);
  const screw = machine.axes[axis];
  const name = axis.toUpperCase();
  const handle =
    axis === "x"
      ? "Move the table along"
      : axis === "y"
        ? "Move the table across"
        : machine.depthBy === "knee"
          ? "Raise the knee"
          : "Lower the head";
  const { travel } = travelOf({ cut, face, seat: setup.seat }, vise, pass.last);
  const vf = pass.last ? cut.finishVf : cut.vf;
  const lead = machine.axes[cut.feedAlong].lead;
  return (
    <>
      <chakra.h1 fontSize={{ base: "19px", md: "26px" }} fontWeight="400" color="quiet">
        Pass {pass.number} of {passes.length}. {handle}{" "}
        {op.matched && pass.last
          ? `until the cutter marks the dye, about at ${name}`
          : screw.readout === null
            ? `by the dial to this depth in ${name}`
            : `until ${name} reads`}
      </chakra.h1>
      <chakra.p
        fontSize={{ base: "76px", md: "112px" }}
        lineHeight="1.05"
        fontWeight="700"
        letterSpacing="-0.02em"
        data-testid="stop"
      >
        <Figure of={mm(pass.reads)} />
      </chakra.p>
      {sweep.side !== null && (
        <chakra.p fontSize={{ base: "20px", md: "26px" }}>
          <chakra.b color="accent">Z</chakra.b>{" "}
          <b>
            <Figure of={mm(-sweep.down)} />
          </b>{" "}
          for all passes: go down there beside the part, clear of it
        </chakra.p>
      )}
      <chakra.p fontSize={{ base: "20px", md: "26px" }}>
        <chakra.b color="accent">
          <Figure of={mm(tidy(previous - pass.stop))} />
        </chakra.b>{" "}
        deeper than {pass.number === 1 ? "zero" : "the last pass"}
        {pass.dial && screw.readout === null && (
          <>
            {" "}
            · dial, from zero: <b>{pass.dial.turns}</b> {pass.dial.turns === 1 ? "turn" : "turns"}{" "}
            <b>{pass.dial.divisions}</b> of {pass.dial.divisionsPerTurn}
          </>
        )}
      </chakra.p>
      <chakra.p fontSize="16px" color="quiet">
        {!op.matched && (
          <>
            The block is then <Figure of={mm(pass.sizeAfter)} />.{" "}
          </>
        )}
        Turn past the backlash and come to the stop in one direction.
      </chakra.p>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr 1fr" }}
        gap={{ base: "8px", md: "20px" }}
        borderTopWidth="1px"
        borderBottomWidth="1px"
        py="12px"
        mt="14px"
      >
        <Fact label="cut" value={`to the ${travel}`}>
          cutter travels{cut.lanes > 1 && `; ${cut.lanes} lanes`}
        </Fact>
        <Fact
          label="feed"
          value={
            <>
              {cut.feedBy === "power" ? "power " : "hand "}
              <Figure of={quantity("feed", vf)} />
            </>
          }
        >
          by hand: <Pace seconds={(60 * lead) / vf} large />
        </Fact>
        <Fact label="spindle" value={<Figure of={quantity("spindleSpeed", cut.rpm)} />}>
          {cut.setting}
        </Fact>
      </Box>
      <Box py="10px" fontSize={{ base: "16px", md: "18px" }}>
        <Lanes of={sweep} machine={machine} />
      </Box>
      <Warnings of={step.notes} />
      {canProve(op, pass, passes) && (
        <Button disabled={submit.busy} onClick={() => void submit.append(askToProve(op.key, pass))}>
          A light pass first, to prove the setting
        </Button>
      )}
    </>
  );
}

function Fact({ label, value, children }: { label: string; value: ReactNode; children: ReactNode }) {
  return (
    <Box minW="0">
      <chakra.div fontSize="15px" color="quiet">
        {label}
      </chakra.div>
      <chakra.div fontSize={{ base: "20px", md: "28px" }} fontWeight="700" lineHeight="1.15">
        {value}
      </chakra.div>
      <chakra.div fontSize={{ base: "13px", md: "15px" }} color="quiet">
        {children}
      </chakra.div>
    </Box>
  );
}
