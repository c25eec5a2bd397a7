import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { cutDirection, jawSection } from "../../../core/figure/index.ts";
import { equipment } from "../../../core/job/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { operationFromSlug, operationSlug, tellSetup } from "../../../core/route/index.ts";
import { foldProgress, type RecordEvent, type Step } from "../../../core/steps/index.ts";
import { Button, ButtonLink } from "../../instruments/button.tsx";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useMachineTheme, useSingleKeys } from "../../instruments/local-setting.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { ReadingPad } from "../../instruments/reading-pad.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { CutCard } from "./cut-card.tsx";
import { MachineTop } from "./machine-top.tsx";
import { TickCard } from "./tick-card.tsx";
import { TouchCard } from "./touch-card.tsx";
import { Wrong } from "./wrong.tsx";

const stepUrl = (jobId: string, step: Step, piece: number) =>
  `/jobs/${jobId}/machine/${operationSlug(step.op)}/${step.id}?piece=${piece}`;

/** What do I do now? One step at a time, in letters readable at arm's length. */
export function MachineStation() {
  const { job, plan, working, records, shop, piece } = useJob();
  const { operation, step: stepId } = useParams();
  const navigate = useNavigate();
  const submit = useSubmit();
  const [theme] = useMachineTheme();
  const [single] = useSingleKeys();
  const [wrong, setWrong] = useState(false);
  const [padText, setPadText] = useState("");
  const [extraPad, setExtraPad] = useState(false);
  const key = operationFromSlug(operation);
  const current = plan.steps[plan.current];
  const asked = plan.steps.find((s) => s.op === key && s.id === stepId);
  const step = asked ?? current;
  const progress = useMemo(() => foldProgress(records, piece), [records, piece]);
  const lost = stepId !== undefined && !asked;

  // The URL names the step; whoever looks at the step under way is led on when it is done. A revalidation can swallow a
  // navigation, so it is asked for again until it has happened.
  const following = useRef(false);
  const currentId = current ? `${current.op} ${current.id}` : "end";
  const askedId = asked ? `${asked.op} ${asked.id}` : null;
  useEffect(() => {
    if (askedId === currentId) following.current = true;
    else if (stepId === undefined ? current : following.current) {
      // After the last step the address without a step tells that all is done.
      void navigate(current ? stepUrl(job.id, current, piece) : `/jobs/${job.id}/machine?piece=${piece}`, {
        replace: true,
      });
    }
  }, [askedId, currentId, current, stepId, job.id, piece, navigate]);

  const move = (by: -1 | 1) => {
    const at = plan.steps.findIndex((s) => s === step);
    const to = plan.steps[at + by];
    if (!to) return;
    following.current = false;
    void navigate(stepUrl(job.id, to, piece));
  };
  const setup = plan.setups.find((s) => s.key === step?.op);
  const { machine, vise } = equipment(job, shop);
  const send = (...events: RecordEvent[]) => {
    if (!setup) return;
    const begin: RecordEvent[] = progress.has(setup.key)
      ? []
      : [{ type: "begun", op: setup.key, told: tellSetup(setup) }];
    void submit.append(...begin, ...events);
  };
  const isCurrent = step !== undefined && step === current;
  const act = () => {
    if (!step || !isCurrent || submit.busy) return;
    const op = step.op;
    if (step.pass)
      send({ type: "cut", op, pass: step.pass.number, stop: step.pass.stop, last: step.pass.last });
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
  useKeyboard(
    {
      j: () => move(1),
      k: () => move(-1),
      " ": act,
      m: () => setExtraPad(true),
      o: () => setup && void navigate(`/jobs/${job.id}/cuts/${operationSlug(setup.key)}`),
      Escape: () => {
        setWrong(false);
        setExtraPad(false);
      },
    },
    {
      single: single === "on",
      onInstrument: (text) => {
        setPadText(text);
        setExtraPad(true);
      },
    },
  );

  const frame = (body: React.ReactNode, side: React.ReactNode) => (
    <Box
      data-theme={theme}
      bg="ground"
      color="ink"
      minH="100vh"
      display="flex"
      flexDirection="column"
      flex="1"
    >
      <MachineTop step={step} total={plan.steps.length} />
      <Box
        as="main"
        aria-busy={submit.busy || working}
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 400px" }}
        flex="1"
      >
        <Box
          px={{ base: "16px", md: "30px" }}
          py={{ base: "12px", md: "20px" }}
          display="flex"
          flexDirection="column"
          minW="0"
        >
          {body}
        </Box>
        <Box
          bg="band"
          px="22px"
          py="18px"
          borderLeftWidth={{ base: "0", lg: "1px" }}
          borderTopWidth={{ base: "1px", lg: "0" }}
        >
          {side}
        </Box>
      </Box>
    </Box>
  );

  if (!step || !setup || !machine || !vise) {
    const finished = plan.steps.length > 0;
    return frame(
      <>
        <chakra.h1 fontSize="34px" mb="12px">
          {finished ? "All steps are done" : "No steps yet"}
        </chakra.h1>
        <chakra.p fontSize="20px" mb="20px">
          {finished
            ? "Judge the part at the Record."
            : job.part.shaft
              ? "A shaft comes turned, and the plan does not cut its seats: mill them by the sizes at the Drawing."
              : "Steps come from the drawing, the stock and the setups. Fill in the drawing first."}
          {plan.refusal && (
            <>
              {" "}
              Cut {plan.refusal.number} cannot be done: <Words of={plan.refusal.reason} />{" "}
              <Words of={plan.refusal.suggestion} />
            </>
          )}
        </chakra.p>
        <ButtonLink to={`/jobs/${job.id}/${finished ? "record" : "drawing"}`} look="strong" size="machine">
          {finished ? "To the record" : "To the drawing"}
        </ButtonLink>
      </>,
      null,
    );
  }
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

  return frame(
    <>
      <Box display="flex" gap="6px" alignItems="center" mb="14px" aria-hidden="true">
        {mine.map((s) => (
          <Box
            key={s.id}
            flex="1"
            height="8px"
            bg={s.done ? "good" : s === step ? "accent" : "rule"}
            outline={s === current && s !== step ? "2px solid" : undefined}
          />
        ))}
      </Box>
      {lost && (
        <Notice severity="note">
          The step in the address is no longer in the plan; this is the one to do now.
        </Notice>
      )}
      {submit.answer && !submit.answer.ok && "elsewhere" in submit.answer && (
        <Notice severity="warn" role="alert">
          Another tab wrote something first. Nothing was added here; look at the step again.
        </Notice>
      )}
      <Warnings of={plan.rechecks} />
      {!isCurrent && (
        <Notice severity="note">
          {step.done ? "This step is done." : "This step waits."} Now:{" "}
          <Words of={current?.title ?? { parts: ["all steps are done"] }} />{" "}
          {current && (
            <Link to={stepUrl(job.id, current, piece)} style={{ textDecoration: "underline" }}>
              Go to it
            </Link>
          )}
        </Notice>
      )}
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
      {step.touch && <TouchCard step={step} touch={step.touch} machine={machine} />}
      {step.ticks.length > 0 && (
        <TickCard
          step={step}
          enabled={isCurrent && !submit.busy}
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
            key={`${setup.key}-${pad.after}-${padText}`}
            of={pad.of}
            expected={pad.expected}
            before={smallestBefore(progress.get(setup.key)?.readings, pad.after, setup.from)}
            readings={pad.readings}
            initialText={padText}
            {...(step.measure && isCurrent ? { onFinished: act } : {})}
            onReading={(reading) => {
              setPadText("");
              send({ type: "reading", op: setup.key, of: pad.of, ...reading });
            }}
          />
        </Box>
      )}
      <Box
        mt="auto"
        pt="18px"
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(auto-fit, minmax(180px, 1fr))" }}
        gap="12px"
        position={{ base: "sticky", md: "static" }}
        bottom="0"
        bg="ground"
        pb="10px"
      >
        {(step.kind === "cut" || step.kind === "touch") && (
          <Button
            look="strong"
            size="machine"
            disabled={!isCurrent || submit.busy}
            onClick={act}
            gridColumn={{ base: "1 / -1", md: "auto" }}
            css={{ fontSize: "26px" }}
          >
            {step.kind === "cut" ? "Cut done" : "Zero is taken"}
            <chakra.span fontFamily="mono" fontSize="15px" fontWeight="400" hideBelow="md">
              space
            </chakra.span>
          </Button>
        )}
        {step.measure && isCurrent ? (
          <>
            <Button
              look="strong"
              size="machine"
              disabled={step.measure.readings.length === 0 || submit.busy}
              onClick={act}
            >
              Done measuring
            </Button>
            {(!step.measure.final || !setup.sized) && (
              <Button
                size="machine"
                disabled={submit.busy}
                onClick={() =>
                  send({ type: "measured", op: step.op, after: step.measure!.after, skipped: true })
                }
              >
                Leave it out
              </Button>
            )}
          </>
        ) : (
          <Button size="machine" onClick={() => setExtraPad(!extraPad)} aria-expanded={pad !== null}>
            Take a reading
          </Button>
        )}
        <Button look="warn" size="machine" onClick={() => setWrong(true)}>
          Something is wrong
        </Button>
      </Box>
      {wrong && (
        <Wrong
          setup={setup}
          begun={progress.has(setup.key)}
          onClose={() => setWrong(false)}
          onStale={(cause) => {
            send({ type: "stale", op: setup.key, cause });
            setWrong(false);
          }}
        />
      )}
    </>,
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
          <FigureView figure={cutDirection(setup, vise)} />
        ) : (
          cutter && <FigureView figure={jawSection(setup, vise, cutter, { small: false })} />
        )}
      </Box>
      <chakra.p mt="10px">
        <Link
          to={`/jobs/${job.id}/setups/${operationSlug(setup.key)}`}
          style={{ textDecoration: "underline" }}
        >
          This setup, and why
        </Link>
      </chakra.p>
    </>,
  );
}

/** Smallest reading before these passes, or the size the setup began with. */
function smallestBefore(readings: Map<number, number[]> | undefined, after: number, from: number): number {
  const earlier = [...(readings ?? [])].filter(([passes]) => passes < after).flatMap(([, values]) => values);
  return earlier.length > 0 ? Math.min(...earlier) : from;
}
