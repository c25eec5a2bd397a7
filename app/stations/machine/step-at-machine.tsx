import { useState } from "react";
import { Box } from "@chakra-ui/react";
import { type Spot, spotsRound } from "../../../core/inspect/index.ts";
import type { Axis } from "../../../core/frame/index.ts";
import { limitsOf } from "../../../core/part/index.ts";
import { piecesOf } from "../../../core/plan/index.ts";
import { faceOf, isFaceSetup, type Setup } from "../../../core/route/index.ts";
import { quantity } from "../../../core/quantity/index.ts";
import type { Machine, Vise } from "../../../core/shop/index.ts";
import {
  briefCard,
  eventsAtDye,
  eventsFolded,
  eventsOfBriefPress,
  eventsOfPress,
  heardOf,
  keptSettings,
  eventsToLeaveOut,
  leastCutMinutes,
  leastOfBrief,
  progressOf,
  type RecordEvent,
  type Step,
  withBeginnings,
} from "../../../core/steps/index.ts";
import { useTelling } from "../../instruments/local-setting.ts";
import { usePlanWorking, useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { CleanupCard } from "./cleanup-card.tsx";
import { CutCard } from "./cut-card.tsx";
import { FoldedSteps, ThenLocked } from "./folded-steps.tsx";
import { OperationSide, StepPicture } from "./operation-side.tsx";
import { MachineFrame, StepHands, StepHead } from "./machine-frame.tsx";
import { MeasureCard } from "./measure-card.tsx";
import { LiesBeside } from "./lies-beside.tsx";
import { KeptSettings } from "./kept-settings.tsx";
import { MoveCard } from "./move-card.tsx";
import { NextPiece } from "./next-piece.tsx";
import { padOf } from "./pad.ts";
import { PickupCard } from "./pickup-card.tsx";
import { SetupGateCard, useSetupGate } from "./setup-gate.tsx";
import { SpotRow } from "./spot-row.tsx";
import { StepButtons } from "./step-buttons.tsx";
import { StopReading } from "./stop-reading.tsx";
import { TickCard } from "./tick-card.tsx";
import { TouchCard } from "./touch-card.tsx";
import { useDoubt } from "./use-doubt.ts";
import { useOnceSettled } from "./use-once-settled.ts";
import { useReadAloud, useSayBack } from "./use-read-out.ts";
import { useStepKeys } from "./use-step-keys.ts";
import type { useWalk } from "./use-walk.ts";
import { Wrong } from "./wrong.tsx";

/** One step of a setup: placing, a tool, a zero, a pass or a move, a size; in Brief with what leads to it. */
export function StepAtMachine({
  step: walked,
  setup,
  machine,
  vise,
  walk,
}: {
  step: Step;
  setup: Setup;
  machine: Machine;
  vise: Vise;
  walk: ReturnType<typeof useWalk>;
}) {
  const { job, plan, records, piece } = useJob();
  const working = usePlanWorking();
  const rangeOf = (axis: Axis) => {
    const size = job.part.sizes[axis];
    if (!size) return 0;
    const { lower, upper } = limitsOf(size, job.part);
    return upper - lower;
  };
  const submit = useSubmit();
  const { current, lost, progress } = walk;
  const isCurrent = walked === current;
  const [telling] = useTelling();
  const card = isCurrent && telling === "brief" ? briefCard(plan.steps, plan.current) : null;
  const step = card?.last ?? walked;
  useReadAloud(isCurrent ? (card ? heardOf(card) : [step]) : [], machine);
  const sayBack = useSayBack();
  const state = progressOf(progress, step.op);
  const mine = plan.steps.filter((s) => s.op === step.op);
  /** Answers whether it was kept. */
  const keep = async (...events: RecordEvent[]): Promise<boolean> =>
    (await submit.append(...withBeginnings(events, plan.setups, records, piece, piecesOf(job, records)))).ok;
  const send = (...events: RecordEvent[]) => {
    if (events.length > 0) void keep(...events);
  };
  // What stops comes before the figure it is about: below it the buttons may lie over it.
  const stops = step.notes.filter((n) => n.severity === "stop");
  const shown: Step =
    stops.length > 0 ? { ...step, notes: step.notes.filter((n) => !stops.includes(n)) } : step;
  // At a cut what is to be locked first is asked by the large button, where the hand is.
  const atCut = step.pass !== null || step.move !== null;
  const asked = card ? (card.hold ?? undefined) : atCut ? step.ticks.find((t) => !t.done) : undefined;
  const placed = [...(card?.folded ?? []), step].find((s) => s.kind === "place");
  const gated = placed ?? step;
  const gate = useSetupGate(gated, (id) => progressOf(progress, gated.op)?.ticks.has(id) ?? false);
  // One press in Brief goes past the placing: it waits until the steps of the setup were followed, or that was stopped.
  const held = gate.holds || (card !== null && gate.progress !== null);
  /** An answer goes with everything that leads to it. */
  const answer = (...events: RecordEvent[]) => {
    if (!held && events.length > 0) send(...(card ? eventsFolded(card) : []), ...events);
  };
  // A step is pressed as it stands now: not while the last press is being saved or the plan goes on from it.
  const settling = submit.busy || working;
  const least = card ? leastOfBrief(card) : asked ? 0 : leastCutMinutes(step);
  const doubt = useDoubt(`${step.op} ${step.id} ${asked?.id ?? ""}`, least * 60_000);
  const tick = (id: string) => answer({ type: "tick", op: step.op, tick: id });
  const act = () => {
    if (isCurrent && !settling && !held && !doubt.ask())
      send(...(card ? eventsOfBriefPress(card) : eventsOfPress(step)));
  };
  const press = useOnceSettled(`${step.op} ${step.id}`, settling, act);
  /** The other honest answer to what the large button asks. */
  const otherAnswer = () => {
    if (asked)
      return asked.other && !asked.other.given
        ? { says: <Words of={asked.other.says} />, onOther: () => tick(asked.other!.id) }
        : null;
    return isFaceSetup(setup) && faceOf(setup).matched && step.pass && !step.pass.last
      ? { says: "The dye is marked", onOther: () => answer(...eventsAtDye(step)) }
      : null;
  };
  const { wrong, setWrong, extraPad, setExtraPad, sent, clearSent } = useStepKeys(step, walk, press.ask);
  const pad = padOf(step, {
    setup,
    mine,
    state,
    passes: (isFaceSetup(setup) && plan.ladders[faceOf(setup).key]) || [],
  });
  const measures = step.measure !== null && isCurrent;
  const open = measures || extraPad ? pad : null;
  /** A face is read place by place, round its corners unless another is pressed. */
  const places = open !== null && isFaceSetup(setup);
  const [pressed, setPressed] = useState<Spot | null>(null);
  const spot = places ? (pressed ?? spotsRound[open.readings.length] ?? null) : null;

  return (
    <MachineFrame
      step={step}
      busy={settling || press.waits}
      side={<OperationSide step={gated} setup={setup} vise={vise} />}
    >
      <StepHead
        mine={plan.steps.filter((s) => s.op === walked.op)}
        step={walked}
        current={current}
        lost={lost}
      />
      {isCurrent && <NextPiece atBreak={walked.kind === "place" && !walked.ticks.some((t) => t.done)} />}
      <Warnings of={[...plan.rechecks, ...stops]} />
      <LiesBeside step={step} setup={setup} />
      {isCurrent && (
        <KeptSettings
          of={keptSettings(setup, plan.steps, plan.current, records, piece, rangeOf)}
          enabled={!settling && !held}
          onKeep={(events) => send(...events)}
        />
      )}
      {isCurrent && (
        <StopReading step={step} setup={setup} enabled={!settling && !held} onKeep={(event) => keep(event)} />
      )}
      {card && <FoldedSteps card={card} machine={machine} />}
      {step.pass && isFaceSetup(setup) && (
        <CutCard step={shown} pass={step.pass} setup={setup} machine={machine} vise={vise} />
      )}
      {step.move && !isFaceSetup(setup) && (
        <MoveCard shown={step.move} step={shown} setup={setup} machine={machine} />
      )}
      {card && <ThenLocked card={card} />}
      {(step.pass ?? step.move) && (
        <Box hideFrom="lg" mt="10px">
          <StepPicture step={step} setup={setup} vise={vise} maxHeight="34vh" />
        </Box>
      )}
      {step.pickup && <PickupCard step={shown} pickup={step.pickup} />}
      {step.touch && <TouchCard step={shown} touch={step.touch} machine={machine} />}
      <SetupGateCard gate={gate} step={gated} enabled={isCurrent && !submit.busy} onPass={send} />
      {step.ticks.length > 0 && !atCut && !card && (
        <TickCard
          step={shown}
          enabled={isCurrent && !submit.busy && !gate.holds}
          onTick={tick}
          onRun={(of, run) => keep({ type: "aligned", op: step.op, tick: of, ...run })}
        />
      )}
      {asked?.other?.given && <Warnings of={[asked.other.then]} />}
      {step.kind === "cleanup" && isFaceSetup(setup) && (
        <CleanupCard
          step={shown}
          setup={setup}
          state={progress.faces.get(faceOf(setup).key)}
          enabled={isCurrent && !submit.busy}
          onAnswer={answer}
        />
      )}
      {step.measure && <MeasureCard step={shown} measure={step.measure} />}
      {places && <SpotRow chosen={spot} onChoose={setPressed} />}
      <StepHands>
        {open && (
          <Box mt={{ base: "0", md: "12px" }}>
            <ReadingPad
              key={`${open.key}-${sent}`}
              of={open.of}
              name={open.name}
              how={open.how}
              expected={open.expected}
              before={open.before}
              readings={open.readings}
              initialText={sent}
              {...(measures ? { onFinished: press.ask } : {})}
              onReading={(reading) => {
                clearSent();
                sayBack(reading.written.text);
                // A reading between is no answer to the step: what leads to it stays to be done.
                (measures ? answer : send)({
                  type: "reading",
                  op: step.op,
                  of: open.of,
                  ...reading,
                  ...(spot ? { spot } : {}),
                });
                setPressed(null);
              }}
            />
          </Box>
        )}
        <StepButtons
          done={
            asked ? (
              <Words of={asked.phrase} />
            ) : doubt.open ? (
              "Yes, it is cut"
            ) : (
              doneWords(step, card !== null)
            )
          }
          withIt={card && !atCut ? eventsFolded(card).length : 0}
          question={
            doubt.open && (
              <>
                That was quick: at this feed it takes at least <Figure of={quantity("seconds", least * 60)} />
                . Was it really cut?
              </>
            )
          }
          other={doubt.open ? { says: "Not yet", onOther: doubt.notYet } : otherAnswer()}
          enabled={isCurrent && !held}
          busy={submit.busy}
          measuring={
            measures
              ? {
                  read: step.measure!.readings.length > 0,
                  onLeave: step.measure?.required ? null : () => answer(...eventsToLeaveOut(step)),
                }
              : null
          }
          onDone={act}
          reading={pad && { open: open !== null, onToggle: () => setExtraPad(!extraPad) }}
          onWrong={() => setWrong(true)}
        />
      </StepHands>
      {wrong && (
        <Wrong
          clamping={setup.clamping}
          begun={progressOf(progress, walked.op) !== undefined}
          onClose={() => setWrong(false)}
          onStale={(cause) => {
            send({ type: "stale", op: walked.op, cause });
            setWrong(false);
          }}
        />
      )}
    </MachineFrame>
  );
}

/** What the large button says of a step; null where it is not done by one. */
function doneWords({ pickup, touch, pass, move, measure, kind }: Step, brief: boolean): string | null {
  if (pickup ?? touch) return "Zero is set";
  if (pass) return "Cut done";
  if (move) return move.move.kind === "go" ? "I am there" : "Cut done";
  return brief && !measure && kind !== "cleanup" ? "All of it done" : null;
}
