import { Box, chakra } from "@chakra-ui/react";
import { useMemo } from "react";
import { Link } from "react-router";
import { featureSection, movesView } from "../../../core/figure/index.ts";
import type { Locating } from "../../../core/locate/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { type FeatureSetup, keySlug, tellOperation } from "../../../core/route/index.ts";
import type { Machine, Vise } from "../../../core/shop/index.ts";
import { howMeasured, type RecordEvent, type Step, type StepFit } from "../../../core/steps/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Warnings } from "../../instruments/notice.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { MachineFrame, StepHead, StepTitle } from "./machine-frame.tsx";
import { MoveCard } from "./move-card.tsx";
import { PickupCard } from "./pickup-card.tsx";
import { lookedAt, SetupGateCard, useSetupGate } from "./setup-gate.tsx";
import { StepButtons } from "./step-buttons.tsx";
import { TickCard } from "./tick-card.tsx";
import { useStepKeys } from "./use-step-keys.ts";
import type { useWalk } from "./use-walk.ts";
import { Wrong } from "./wrong.tsx";

/** One step of a setup in which features are cut: placing, a zero, a tool, a move, a size. */
export function FeatureStep({
  step,
  setup,
  locating,
  machine,
  vise,
  walk,
}: {
  step: Step;
  setup: FeatureSetup;
  locating: Locating;
  machine: Machine;
  vise: Vise;
  walk: ReturnType<typeof useWalk>;
}) {
  const { job, plan, working } = useJob();
  const submit = useSubmit();
  const { current, lost, features } = walk;
  const operation = setup.operations.find((o) => o.key === step.op)!;
  const way = plan.features?.routes.find((r) => r.feature === operation.feature)?.way ?? "";
  const { drawn, movesOf } = useDrawnSetup(setup, locating);
  const mine = plan.steps.filter((s) => s.op === step.op);
  const send = (...events: RecordEvent[]) => {
    const begin: RecordEvent[] = features.has(operation.key)
      ? []
      : [{ type: "featureBegun", op: operation.key, told: tellOperation(setup, operation, way) }];
    void submit.append(...begin, ...events);
  };
  const isCurrent = step === current;
  const gate = useSetupGate(step, features.get(operation.key)?.ticks.has(lookedAt) ?? false);
  const act = () => {
    if (!isCurrent || submit.busy || gate.holds) return;
    if (step.fit) {
      if (step.fit.readings.length > 0) send({ type: "measured", op: step.op, after: 0, skipped: false });
    } else if (step.move || step.pickup) send({ type: "tick", op: step.op, tick: step.id });
    else {
      const open = step.ticks.find((t) => !t.done);
      if (open) send({ type: "tick", op: step.op, tick: open.id });
    }
  };
  const { wrong, setWrong, extraPad, setExtraPad, sent, clearSent } = useStepKeys(step, walk, act);
  // The size of this operation can be read any time.
  const nextFit = (mine.find((s) => s.fit && !s.done) ?? mine.findLast((s) => s.fit))?.fit ?? null;
  const pad = step.fit && isCurrent ? step.fit : extraPad ? nextFit : null;
  const moves = movesOf(operation);
  const picture = useMemo(
    () => movesView({ ...drawn, operation, moves, at: step.move?.move.number ?? null }),
    [drawn, operation, moves, step.move],
  );

  const side = (
    <>
      <chakra.h2 fontSize="16px" color="quiet" mb="8px">
        <Words of={operation.title} />, {operation.toolName}
      </chakra.h2>
      <Box maxW="380px" mx="auto">
        {step.kind === "place" || step.kind === "clamp" || step.kind === "takeOut" ? (
          <FigureView figure={featureSection(setup, vise, false)} />
        ) : (
          <FigureView figure={picture} maxHeight="46vh" />
        )}
      </Box>
      {step.move && (
        <chakra.p fontSize="15px" color="quiet" mt="6px">
          Levels:{" "}
          {[...new Set(moves.flatMap((m) => (m.to.z === undefined ? [] : [m.to.z])))].map((z, i) => (
            <span key={z}>
              {i > 0 && ", "}
              <Figure of={mm(z)} />
            </span>
          ))}
        </chakra.p>
      )}
      <chakra.p mt="10px">
        <Link to={`/jobs/${job.id}/setups/${keySlug(step.op)}`} style={{ textDecoration: "underline" }}>
          This setup, and why
        </Link>
        {" · "}
        <Link to={`/jobs/${job.id}/cuts/${keySlug(step.op)}`} style={{ textDecoration: "underline" }}>
          All its moves
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
      {step.move && <MoveCard shown={step.move} operation={operation} machine={machine} />}
      {step.pickup && <PickupCard pickup={step.pickup} title={step.title} />}
      <SetupGateCard gate={gate} step={step} enabled={isCurrent && !submit.busy} onPass={send} />
      {step.ticks.length > 0 && (
        <TickCard
          step={step}
          enabled={isCurrent && !submit.busy && !gate.holds}
          onTick={(tick) => send({ type: "tick", op: step.op, tick })}
        />
      )}
      {step.fit && <FitCard step={step} fit={step.fit} />}
      {(step.move ?? step.pickup) && (
        <Box mt="8px" fontSize="17px">
          <Warnings of={step.notes} />
        </Box>
      )}
      {step.move && (
        <Box hideFrom="lg" mt="10px">
          <FigureView figure={picture} maxHeight="34vh" />
        </Box>
      )}
      {pad && (
        <Box mt="12px">
          <ReadingPad
            key={`${pad.path}-${pad.readings.length}-${sent}`}
            of={pad.path}
            how={howMeasured(pad.measured)}
            expected={pad.expected}
            before={null}
            readings={pad.readings}
            initialText={sent}
            {...(step.fit && isCurrent ? { onFinished: act } : {})}
            onReading={(reading) => {
              clearSent();
              send({ type: "reading", op: step.op, of: pad.path, ...reading });
            }}
          />
        </Box>
      )}
      <StepButtons
        done={
          step.pickup
            ? "Zero is taken"
            : step.move
              ? step.move.move.kind === "go"
                ? "I am there"
                : "Cut done"
              : null
        }
        enabled={isCurrent}
        busy={submit.busy}
        measuring={
          step.fit && isCurrent
            ? {
                read: step.fit.readings.length > 0,
                onLeave: () => send({ type: "measured", op: step.op, after: 0, skipped: true }),
              }
            : null
        }
        onDone={act}
        reading={nextFit && { open: pad !== null, onToggle: () => setExtraPad(!extraPad) }}
        onWrong={() => setWrong(true)}
      />
      {wrong && (
        <Wrong
          clamping={setup.clamping}
          begun={features.has(operation.key)}
          onClose={() => setWrong(false)}
          onStale={(cause) => {
            send({ type: "stale", op: step.op, cause });
            setWrong(false);
          }}
        />
      )}
    </MachineFrame>
  );
}

/** A size of a feature: what it should read now, what is wanted, and what the reading leaves. */
function FitCard({ step, fit }: { step: Step; fit: StepFit }) {
  const { measured, expected, left } = fit;
  return (
    <>
      <StepTitle>
        <Words of={step.title} />
      </StepTitle>
      <chakra.p fontSize="22px" mb="8px">
        {measured.before ? "Should read now" : "Wanted"}:{" "}
        <b>
          <Figure of={mm(expected)} decimals={3} />
        </b>
        {measured.before && (
          <>
            ; in the end{" "}
            <b>
              <Figure of={mm(measured.target)} decimals={3} />
            </b>
          </>
        )}
        <chakra.span color="quiet" fontSize="18px">
          {" "}
          (limits <Figure of={mm(measured.limits.lower)} decimals={3} /> to{" "}
          <Figure of={mm(measured.limits.upper)} decimals={3} />)
        </chakra.span>
      </chakra.p>
      {left !== null && (
        <chakra.p fontSize="26px" fontWeight="700" role="status">
          {left >= 0 ? "Left" : "Past it by"}: <Figure of={mm(Math.abs(left))} decimals={3} />
        </chakra.p>
      )}
      <Warnings of={step.notes} />
    </>
  );
}
