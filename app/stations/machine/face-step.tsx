import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { faceView, jawSection } from "../../../core/figure/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { keySlug, type Setup, tellSetup } from "../../../core/route/index.ts";
import type { Machine, Vise } from "../../../core/shop/index.ts";
import type { FaceStep as FaceStepOf, RecordEvent } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { CutCard } from "./cut-card.tsx";
import { MachineFrame, StepHead } from "./machine-frame.tsx";
import { PickupCard } from "./pickup-card.tsx";
import { lookedAt, SetupGateCard, useSetupGate } from "./setup-gate.tsx";
import { StepButtons } from "./step-buttons.tsx";
import { TickCard } from "./tick-card.tsx";
import { TouchCard } from "./touch-card.tsx";
import { useStepKeys } from "./use-step-keys.ts";
import type { useWalk } from "./use-walk.ts";
import { Wrong } from "./wrong.tsx";

/** One step of a face's setup. */
export function FaceStep({
  step,
  setup,
  machine,
  vise,
  walk,
}: {
  step: FaceStepOf;
  setup: Setup;
  machine: Machine;
  vise: Vise;
  walk: ReturnType<typeof useWalk>;
}) {
  const { job, plan, working, shop } = useJob();
  const submit = useSubmit();
  const { current, lost, progress } = walk;
  const send = (...events: RecordEvent[]) => {
    const begin: RecordEvent[] = progress.has(setup.key)
      ? []
      : [{ type: "begun", op: setup.key, told: tellSetup(setup) }];
    void submit.append(...begin, ...events);
  };
  const isCurrent = step === current;
  const gate = useSetupGate(step, progress.get(setup.key)?.ticks.has(lookedAt) ?? false);
  const act = () => {
    if (!isCurrent || submit.busy || gate.holds) return;
    const op = step.op;
    if (step.pass)
      send({ type: "cut", op, pass: step.pass.number, stop: step.pass.stop, last: step.pass.last });
    else if (step.pickup) send({ type: "tick", op, tick: step.id });
    else if (step.touch)
      send({ type: "touched", op, sizeAtZero: step.touch.sizeAtZero, medium: step.touch.medium });
    else if (step.measure) {
      if (step.measure.readings.length > 0)
        send({ type: "measured", op, after: step.measure.after, skipped: false });
    } else {
      const open = step.ticks.find((t) => !t.done);
      if (open) send({ type: "tick", op, tick: open.id });
    }
  };
  const { wrong, setWrong, extraPad, setExtraPad, sent, clearSent } = useStepKeys(step, walk, act);

  const cutter = shop.cutters.find((c) => c.id === setup.cut.cutter);
  const passes = plan.ladders[setup.key] ?? [];
  const correction = plan.corrections[setup.key]?.at(-1);
  const mine = plan.steps.filter((s) => s.op === setup.key);
  const pad =
    step.measure && isCurrent
      ? step.measure
      : extraPad
        ? {
            of: setup.axis,
            expected: passes.findLast((p) => p.done)?.sizeAfter ?? setup.from,
            after: passes.filter((p) => p.done).length,
            final: false,
            readings: progress.get(setup.key)?.readings.get(passes.filter((p) => p.done).length) ?? [],
          }
        : null;

  const side = (
    <>
      <chakra.h2 fontSize="16px" color="quiet" mb="8px">
        Face {setup.after.faces[setup.face].order ?? setup.number}: from <Figure of={mm(setup.from)} /> to{" "}
        <Figure of={mm(setup.to)} />
      </chakra.h2>
      <PassLadder
        passes={passes}
        corrections={plan.corrections[setup.key] ?? []}
        current={step.pass && !step.pass.done ? step.pass.number : null}
      />
      {correction && (
        <chakra.p fontSize="16px" mt="10px" role="status">
          After pass {correction.afterPass} you read{" "}
          <b>
            {correction.readings.map((r, i) => (
              <span key={i}>
                {i > 0 && ", "}
                <Figure of={mm(r)} />
              </span>
            ))}
          </b>
          :{" "}
          {Math.abs(correction.off) < 0.0005 ? (
            "just as expected."
          ) : (
            <>
              the cut came out{" "}
              <b>
                <Figure of={mm(Math.abs(correction.off))} decimals={3} />
              </b>{" "}
              {correction.off > 0 ? "light" : "heavy"}, so every stop below is moved by it.
            </>
          )}
        </chakra.p>
      )}
      <Box mt="16px" maxW="360px" mx="auto">
        {step.kind === "cut" ? (
          <FigureView figure={faceView(setup, step.strokes, vise)} maxHeight="46vh" />
        ) : (
          cutter && <FigureView figure={jawSection(setup, vise, cutter, { small: false })} />
        )}
      </Box>
      <chakra.p mt="10px">
        <Link to={`/jobs/${job.id}/setups/${keySlug(setup.key)}`} style={{ textDecoration: "underline" }}>
          This setup, and why
        </Link>
      </chakra.p>
    </>
  );
  return (
    <MachineFrame step={step} busy={submit.busy || working} side={side}>
      <StepHead
        mine={mine}
        step={step}
        current={current}
        lost={lost}
        elsewhere={Boolean(submit.answer && !submit.answer.ok && "elsewhere" in submit.answer)}
      />
      <Warnings of={plan.rechecks} />
      {step.kind === "cut" && step.pass && (
        <CutCard
          vise={vise}
          step={step}
          pass={step.pass}
          setup={setup}
          machine={machine}
          of={passes.length}
          previous={passes.findLast((p) => p.number < step.pass!.number)?.stop ?? 0}
        />
      )}
      {step.kind === "cut" && (
        <Box hideFrom="lg" mt="10px">
          <FigureView figure={faceView(setup, step.strokes, vise)} maxHeight="34vh" />
        </Box>
      )}
      {step.pickup && <PickupCard pickup={step.pickup} title={step.title} />}
      {step.pickup && <Warnings of={step.notes} />}
      {step.touch && <TouchCard step={step} touch={step.touch} machine={machine} />}
      <SetupGateCard gate={gate} step={step} enabled={isCurrent && !submit.busy} onPass={send} />
      {step.ticks.length > 0 && (
        <TickCard
          step={step}
          enabled={isCurrent && !submit.busy && !gate.holds}
          onTick={(tick) => send({ type: "tick", op: step.op, tick })}
        />
      )}
      {step.kind === "cleanup" && (
        <>
          <chakra.h1 fontSize={{ base: "28px", md: "40px" }} mb="12px">
            <Words of={step.title} />
          </chakra.h1>
          <Box fontSize="20px" mb="14px">
            <Warnings of={step.notes} />
          </Box>
          <Box display="flex" gap="12px" flexWrap="wrap">
            <Button
              look="strong"
              size="machine"
              disabled={!isCurrent || submit.busy}
              onClick={() => send({ type: "cleanup", op: step.op, clean: true })}
            >
              Clean all over
            </Button>
            <Button
              look="warn"
              size="machine"
              disabled={!isCurrent || submit.busy}
              onClick={() => send({ type: "cleanup", op: step.op, clean: false })}
            >
              Not clean yet
            </Button>
          </Box>
        </>
      )}
      {step.kind === "measure" && step.measure && (
        <>
          <chakra.h1 fontSize={{ base: "28px", md: "40px" }}>
            <Words of={step.title} />
          </chakra.h1>
          <chakra.p fontSize="22px" mb="8px">
            Expected:{" "}
            <b>
              <Figure of={mm(step.measure.expected)} />
            </b>
          </chakra.p>
          <Warnings of={step.notes} />
        </>
      )}
      {pad && (
        <Box mt="12px">
          <ReadingPad
            key={`${setup.key}-${pad.after}-${sent}`}
            of={pad.of}
            how="outside"
            expected={pad.expected}
            before={smallestBefore(progress.get(setup.key)?.readings, pad.after, setup.from)}
            readings={pad.readings}
            initialText={sent}
            {...(step.measure && isCurrent ? { onFinished: act } : {})}
            onReading={(reading) => {
              clearSent();
              send({ type: "reading", op: setup.key, of: pad.of, ...reading });
            }}
          />
        </Box>
      )}
      <StepButtons
        done={step.kind === "cut" ? "Cut done" : step.touch || step.pickup ? "Zero is taken" : null}
        enabled={isCurrent}
        busy={submit.busy}
        measuring={
          step.measure && isCurrent
            ? {
                read: step.measure.readings.length > 0,
                onLeave:
                  step.measure.final && setup.sized
                    ? null
                    : () =>
                        send({ type: "measured", op: step.op, after: step.measure!.after, skipped: true }),
              }
            : null
        }
        onDone={act}
        reading={{ open: pad !== null, onToggle: () => setExtraPad(!extraPad) }}
        onWrong={() => setWrong(true)}
      />
      {wrong && (
        <Wrong
          clamping={setup.clamping}
          begun={progress.has(setup.key)}
          onClose={() => setWrong(false)}
          onStale={(cause) => {
            send({ type: "stale", op: setup.key, cause });
            setWrong(false);
          }}
        />
      )}
    </MachineFrame>
  );
}

/** Smallest reading before these passes, or the size the setup began with. */
function smallestBefore(readings: Map<number, number[]> | undefined, after: number, from: number): number {
  const earlier = [...(readings ?? [])].filter(([passes]) => passes < after).flatMap(([, values]) => values);
  return earlier.length > 0 ? Math.min(...earlier) : from;
}
