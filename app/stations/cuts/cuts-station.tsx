import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useRef } from "react";
import { Link, useParams } from "react-router";
import { faceView } from "../../../core/figure/index.ts";
import { type CutFigure, cutKey, equipment } from "../../../core/job/index.ts";
import { mm, quantity } from "../../../core/quantity/index.ts";
import { type AnyKey, keyFromSlug, keySlug, type Setup } from "../../../core/route/index.ts";
import { strokesNow } from "../../../core/steps/index.ts";
import { Button } from "../../instruments/button.tsx";
import { fileName } from "../../instruments/download.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Pace } from "../../instruments/pace.tsx";
import { Lanes } from "../../instruments/lanes.tsx";
import { PassLadder } from "../../instruments/pass-ladder.tsx";
import { ReasonLine, Section, StationTitle, Table } from "../../instruments/section.tsx";
import { featureSetupOf, setupKeys, setupPlace } from "../../instruments/setup-place.ts";
import { StandIns } from "../../instruments/stand-ins.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { useAnswer } from "../../instruments/use-answer.ts";
import { LimitsChart, LimitShares, SpeedsChart } from "./cut-charts.tsx";
import { CutterRanking } from "./cutter-ranking.tsx";
import { FeatureCut } from "./feature-cut.tsx";
import { goesRound } from "./goes-round.ts";
import { OwnConditions } from "./own-conditions.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";

/** With what, how fast, how deep? */
export function CutsStation() {
  const { job, plan, reason, setReason } = useJob();
  const key = keyFromSlug(useParams().operation);
  const within = featureSetupOf(
    plan,
    key ?? (plan.setups.length === 0 ? (setupKeys(plan)[0] ?? null) : null),
  );
  const setup = plan.setups.find((s) => s.key === key) ?? plan.setups[0];
  if (within)
    return (
      <>
        {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
        <StandIns />
        <FeatureCut {...within} key={within.operation.key} />
        <Section title="All cuts of the job, in order">
          <AllCuts chosen={within.operation.key} />
        </Section>
      </>
    );
  if (!setup) {
    return (
      <>
        <StationTitle above="Cuts">With what, how fast, how deep?</StationTitle>
        <StandIns />
        <Notice severity="note">
          {plan.refusal ? (
            <>
              <Words of={plan.refusal.reason} /> <Words of={plan.refusal.suggestion} />
            </>
          ) : job.part.shaft ? (
            "A shaft comes turned: cuts come from what is drawn into it (1)."
          ) : (
            "Cuts are planned as soon as the drawing (1) has a material and three sizes."
          )}
        </Notice>
      </>
    );
  }
  return (
    <>
      {plan.cutBegun && <ReasonLine reason={reason} onReason={setReason} />}
      {key && setup.key !== key && (
        <Notice severity="note">That cut is no longer in the plan; this is the first one.</Notice>
      )}
      <StandIns />
      <OneCut setup={setup} key={setup.key} />
    </>
  );
}

function OneCut({ setup }: { setup: Setup }) {
  const { job, plan, shop, unit, compare } = useJob();
  const [single] = useSingleKeys();
  const depthField = useRef<HTMLInputElement>(null);
  useKeyboard(
    { o: () => depthField.current?.focus() },
    { single: single === "on", onInstrument: () => undefined },
  );
  const comparison = useAnswer(setup.key, plan, compare);
  const own = useOverrides(setup.key);
  const route = useOverrides("route");
  const { cut } = setup;
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  const nameOf = (id: string) => shop.cutters.find((c) => c.id === id)?.name ?? id;
  const able = (comparison?.ranking ?? []).filter((r) => r.minutes !== null);
  const holder = shop.holders.find((h) => h.id === cut.holder);
  const bound = cut.limits.find((l) => l.id === cut.bound);
  const passes = plan.ladders[setup.key] ?? [];
  const next = passes.find((p) => !p.done)?.number ?? null;
  const strokes = strokesNow(setup, passes);
  const { machine, vise } = equipment(job, shop);
  const inRange = cut.vc >= cut.vcRange[0] - 1e-9 && cut.vc <= cut.vcRange[1] + 1e-9;
  const quick = route.reportOf("aim") !== undefined;
  const figure = (
    name: CutFigure,
    label: string,
    children: ReactNode,
    more?: ReactNode,
    yours?: () => void,
  ) => (
    <Box borderTopWidth="1.5px" borderColor={yours ? "accent" : "ink"} pt="5px" pb="8px" key={name}>
      <chakra.div fontSize="13px" color="quiet" display="flex" gap="6px" alignItems="baseline">
        {label}
        {yours && (
          <>
            <chakra.b color="accent">◆ yours</chakra.b>
            <chakra.button
              type="button"
              onClick={yours}
              color="accent"
              textDecoration="underline"
              cursor="pointer"
              aria-label={`Undo your ${name}`}
            >
              undo
            </chakra.button>
          </>
        )}
      </chakra.div>
      <chakra.div fontSize="22px" fontWeight="700">
        <Worked at={cutKey(setup.key, name)}>{children}</Worked>
      </chakra.div>
      <chakra.div fontSize="13px" color="quiet">
        {more}
      </chakra.div>
    </Box>
  );
  const undoOf = (what: "speed" | "feed" | "depth") => (cut.own[what] ? () => own.takeBack(what) : undefined);
  return (
    <>
      <StationTitle
        above={`Cut of ${setupPlace(setup, plan)} · ${setup.face} face${setup.sized ? "" : ", to clean up"}`}
      >
        {cutter?.name}, <Figure of={mm(setup.from)} /> to <Figure of={mm(setup.to)} />
      </StationTitle>
      <chakra.p fontSize="14.5px" mb="8px">
        <Words of={setup.why} /> {holder && <>In the {holder.name}. </>}
        <Button
          aria-pressed={quick}
          onClick={() => (quick ? route.takeBack("aim") : route.set([["aim", "quick"]], "by choice"))}
          title="The whole job to the hard limits, the faster part of the ranges"
        >
          {quick ? "◆ yours: as quick as possible. Back to usual" : "As quick as possible"}
        </Button>
      </chakra.p>
      <Box display="grid" gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(3, 1fr)" }} gap="0 18px">
        {figure(
          "speed",
          "spindle",
          <Figure of={quantity("spindleSpeed", cut.rpm)} />,
          <>
            {cut.setting}; <Figure of={quantity("cuttingSpeed", cut.vc)} />
            {inRange ? "" : ", outside the range"}
          </>,
          undoOf("speed"),
        )}
        {figure(
          "feed",
          cut.feedBy === "power" ? "power feed" : "feed by hand",
          <Figure of={quantity("feed", cut.vf)} />,
          <>
            <Figure of={quantity("chip", cut.fz)} /> a tooth
            {cut.finishVf !== cut.vf && (
              <>
                ; last pass <Figure of={quantity("feed", cut.finishVf)} />
              </>
            )}
          </>,
          undoOf("feed"),
        )}
        {figure(
          "depth",
          cut.own.depth ? "depth of a pass" : "depth of a pass, at most",
          <Figure of={mm(cut.depth)} />,
          bound && (
            <>
              bound by: <Words of={bound.name} />
            </>
          ),
          undoOf("depth"),
        )}
        {figure(
          "passes",
          "passes",
          <>{cut.passes.length}</>,
          <>
            {cut.passes.filter((p) => p.kind === "rough").length} rough, last{" "}
            <Figure of={mm(cut.passes.at(-1)?.depth ?? 0)} />
            {cut.spring && ", once more at the same setting"}
          </>,
        )}
        {figure(
          "power",
          "power at the cutter",
          <Figure of={quantity("power", cut.power)} />,
          <>
            of <Figure of={quantity("power", cut.spindlePower)} /> at the spindle
          </>,
        )}
        {figure(
          "bending",
          "force, bending",
          <Figure of={quantity("force", cut.force.peak)} />,
          <>
            bends <Figure of={mm(cut.bending)} decimals={unit === "mm" ? 3 : 4} />, cutter and machine
          </>,
        )}
        {figure(
          "time",
          "time",
          <Figure of={quantity("time", setup.minutes.cutting)} />,
          <>
            cutting; {cut.lanes === 1 ? "one lane" : `${cut.lanes} lanes`} <Figure of={mm(cut.width)} /> wide
          </>,
        )}
        <Box
          gridColumn={{ base: "1 / -1", md: "span 2" }}
          borderTopWidth="1.5px"
          borderColor="ink"
          pt="5px"
          pb="8px"
        >
          <chakra.div fontSize="13px" color="quiet">
            by hand
          </chakra.div>
          <Pace seconds={cut.pace} />
        </Box>
      </Box>
      <Warnings of={cut.warnings} />
      <Section title="Yours: cutter, speed, feed, depth">
        <OwnConditions
          at={setup.key}
          now={cut}
          cutters={(able.some((r) => r.cutter === cut.cutter) ? able : [{ cutter: cut.cutter }, ...able]).map(
            (r) => [r.cutter, nameOf(r.cutter)] as const,
          )}
          speeds={comparison?.speeds ?? []}
          asked={{ depth: true, direction: goesRound(setup.task.kind) }}
          depthField={depthField}
        />
      </Section>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.25fr) minmax(0, 1fr)" }}
        gap="0 24px"
      >
        <Section title="What the limits leave">
          {comparison ? <LimitsChart comparison={comparison} unit={unit} /> : <Waiting height={330} />}
        </Section>
        <Box>
          <Section title="Share of each limit used">
            {comparison ? <LimitShares comparison={comparison} /> : <Waiting height={120} />}
          </Section>
          <Section title="Speeds of the machine">
            {comparison ? (
              <SpeedsChart comparison={comparison} setup={setup} unit={unit} />
            ) : (
              <Waiting height={200} />
            )}
          </Section>
        </Box>
      </Box>
      <Section title="Cutters in the shop for this cut">
        {comparison ? (
          <CutterRanking
            comparison={comparison}
            chosen={cut.cutter}
            onChoose={(id) => own.set([["cutter", id]], "")}
          />
        ) : (
          <Waiting height={160} />
        )}
      </Section>
      {strokes.length > 0 && vise && (
        <Section title="Lanes, seen from above">
          <Box
            display="grid"
            gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.3fr) minmax(0, 1fr)" }}
            gap="0 24px"
          >
            <Box>
              <FigureView
                figure={faceView(setup, strokes, vise)}
                maxHeight="330px"
                saveAs={`${fileName(job.name)}-${setup.key.replace("/", "-")}`}
              />
            </Box>
            {machine && <Lanes of={setup.sweep} machine={machine} />}
          </Box>
        </Section>
      )}
      <Section title="Passes: depth, and where to stop from zero">
        <PassLadder passes={passes} corrections={plan.corrections[setup.key] ?? []} current={next} />
        <chakra.p fontSize="14px" mt="4px">
          <Worked at={cutKey(setup.key, "stop")}>How the next stop is worked</Worked>
        </chakra.p>
      </Section>
      <Section title="All cuts of the job, in order">
        <AllCuts chosen={setup.key} />
      </Section>
    </>
  );
}

const Waiting = ({ height }: { height: number }) => (
  <Box height={`${height}px`} bg="accentSoft" opacity="0.5" aria-hidden="true" />
);

/** Every cut of the job in order, to choose one. */
function AllCuts({ chosen }: { chosen: AnyKey }) {
  const { plan, shop, job } = useJob();
  return (
    <Table label="All cuts" head={["", "cut", "cutter", "speed", "feed", "depth", "passes", "time"]}>
      {plan.setups.map(({ key, number, face, cut, minutes }) => (
        <chakra.tr key={key} bg={key === chosen ? "accentSoft" : "transparent"}>
          <td>{number}</td>
          <td>
            <Link
              to={`/jobs/${job.id}/cuts/${keySlug(key)}`}
              style={{ textDecoration: "underline" }}
              aria-current={key === chosen ? "true" : undefined}
            >
              {face} face
            </Link>
          </td>
          <td>{shop.cutters.find((c) => c.id === cut.cutter)?.name}</td>
          <td>
            <Figure of={quantity("spindleSpeed", cut.rpm)} />
            {cut.own.speed && " ◆"}
          </td>
          <td>
            <Figure of={quantity("feed", cut.vf)} />
            {cut.own.feed && " ◆"}
          </td>
          <td>
            <Figure of={mm(cut.depth)} />
            {cut.own.depth && " ◆"}
          </td>
          <td>{cut.passes.length}</td>
          <td>
            <Figure of={quantity("time", minutes.cutting)} />
          </td>
        </chakra.tr>
      ))}
      {plan.features?.setups.flatMap(({ operations, number }) =>
        operations.map((operation) => (
          <chakra.tr key={operation.key} bg={operation.key === chosen ? "accentSoft" : "transparent"}>
            <td>{number}</td>
            <td>
              <Link
                to={`/jobs/${job.id}/cuts/${keySlug(operation.key)}`}
                style={{ textDecoration: "underline" }}
                aria-current={operation.key === chosen ? "true" : undefined}
              >
                <Words of={operation.title} />
              </Link>
            </td>
            <td>{operation.toolName}</td>
            <td>{operation.set && <Figure of={quantity("spindleSpeed", operation.set.rpm)} />}</td>
            <td>{operation.set && <Figure of={quantity("feed", operation.set.vf)} />}</td>
            <td>{operation.cut && <Figure of={mm(operation.cut.depth)} />}</td>
            <td>{operation.levels.length || ""}</td>
            <td>
              <Figure of={quantity("time", operation.minutes.cutting)} />
            </td>
          </chakra.tr>
        )),
      )}
    </Table>
  );
}
