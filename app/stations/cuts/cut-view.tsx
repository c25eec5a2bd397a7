import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { useLocation, useNavigate } from "react-router";
import type { CutComparison } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import {
  conditionsOf,
  cutterOf,
  isFaceSetup,
  type Operation,
  type Setup,
} from "../../../core/route/index.ts";
import { settingsNear } from "../../../core/shop/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { yoursPath } from "../../instruments/job-paths.ts";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { Section, StationTitle } from "../../instruments/section.tsx";
import { useStationView } from "../../instruments/station-views.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Figure, Words } from "../../instruments/words.tsx";
import { LimitsChart, LimitShares, SpeedsChart } from "./cut-charts.tsx";
import { CutFigures } from "./cut-figures.tsx";
import { CutStrokes } from "./cut-strokes.tsx";
import { CutterRanking } from "./cutter-ranking.tsx";
import { goesRound } from "./goes-round.ts";
import { OwnConditions } from "./own-conditions.tsx";
import { Ways } from "./ways.tsx";

/** One operation: with what, how fast, how deep, where the cutter goes; what limits it; what else could be done. */
export function CutView({ setup, operation }: { setup: Setup; operation: Operation }) {
  const { job, plan, shop, compare, unit } = useJob();
  const view = useStationView("cuts");
  const comparison = useAnswer(operation.key, plan, compare);
  const own = useOverrides(operation.key);
  const navigate = useNavigate();
  const [single] = useSingleKeys();
  useKeyboard(
    {
      o: [
        "own depth per pass",
        () => void navigate(yoursPath(job.id, operation.key), { state: { own: true } }),
      ],
    },
    { single: single === "on", onInstrument: () => undefined },
  );
  const { cut, task } = operation;
  const face = operation.by === "face";
  const cutter = shop.cutters.find((c) => c.id === cutterOf(operation));
  const title = (
    <StationTitle
      above={`Cut of ${setupPlace(setup, plan)} · ${face ? `${operation.face} face${operation.sized ? "" : ", to clean up"}` : `the ${setup.at.up} up`}`}
    >
      {face ? (
        <>
          {cutter?.name}, <Figure of={mm(operation.from)} /> to <Figure of={mm(operation.to)} />
        </>
      ) : (
        <>
          <Words of={operation.title} />, {operation.toolName}
        </>
      )}
    </StationTitle>
  );
  if (view === "moves")
    return (
      <>
        {title}
        <CutStrokes setup={setup} operation={operation} moves />
      </>
    );
  if (view === "limits")
    return (
      <>
        {title}
        {cut && task ? (
          <Box
            display="grid"
            gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.25fr) minmax(0, 1fr)" }}
            gap="0 24px"
          >
            <Section title="Room inside the limits">
              {comparison ? <LimitsChart comparison={comparison} unit={unit} /> : <Waiting height={330} />}
            </Section>
            <Box>
              <Section title="Share of each limit used">
                {comparison ? <LimitShares comparison={comparison} /> : <Waiting height={120} />}
              </Section>
              <Section title="Spindle speeds">
                {comparison ? (
                  <SpeedsChart comparison={comparison} cut={cut} unit={unit} />
                ) : (
                  <Waiting height={200} />
                )}
              </Section>
            </Box>
          </Box>
        ) : (
          <Notice severity="note">No limits to weigh here: follow the steps as given.</Notice>
        )}
      </>
    );
  if (view === "yours")
    return (
      <>
        {title}
        <YourConditions operation={operation} comparison={comparison} />
        {isFaceSetup(setup) && face ? (
          <Section title="Cutters in the shop for this cut">
            {comparison ? (
              <CutterRanking
                comparison={comparison}
                chosen={operation.cut.cutter}
                onChoose={(id) => own.set([["cutter", id]], "")}
              />
            ) : (
              <Waiting height={160} />
            )}
          </Section>
        ) : (
          !face && <Ways operation={operation} />
        )}
      </>
    );
  return (
    <>
      {title}
      <WhySo operation={operation} />
      <CutFigures setup={setup} operation={operation} />
      <Warnings of={face ? operation.cut.warnings : operation.warnings} />
      <CutStrokes setup={setup} operation={operation} moves={false} />
    </>
  );
}

const Waiting = ({ height }: { height: number }) => (
  <Box height={`${height}px`} bg="accentSoft" opacity="0.5" aria-hidden="true" />
);

/** Why this cutter, in which holder, by which way; and the whole job quicker. */
function WhySo({ operation }: { operation: Operation }) {
  const { plan, shop } = useJob();
  const route = useOverrides("route");
  const quick = route.reportOf("aim") !== undefined;
  const holder = shop.holders.find((h) => h.id === operation.cut?.holder);
  const way =
    operation.by === "face" ? null : plan.features?.routes.find((r) => r.feature === operation.feature);
  return (
    <chakra.p fontSize="14.5px" mb="8px">
      <Words of={operation.why} /> {way && <Words of={way.why} />} {holder && <>In the {holder.name}. </>}
      {operation.by === "face" && (
        <Button
          aria-pressed={quick}
          onClick={() => (quick ? route.takeBack("aim") : route.set([["aim", "quick"]], "by choice"))}
          title="All faces at the hard limits and the fast end of the ranges"
        >
          {quick ? "◆ yours: as quick as possible. Back to usual" : "As quick as possible"}
        </Button>
      )}
    </chakra.p>
  );
}

/** Cutter, speed, feed, depth and direction as the person wants them; nothing where it is done by hand. */
function YourConditions({
  operation,
  comparison,
}: {
  operation: Operation;
  comparison: CutComparison | null;
}) {
  const { shop } = useJob();
  const { machine } = useEquipment();
  const depthField = useRef<HTMLInputElement>(null);
  const { state } = useLocation() as { state: { own?: boolean } | null };
  useEffect(() => {
    if (state?.own) depthField.current?.focus();
  }, [state]);
  const nameOf = (id: string) => shop.cutters.find((c) => c.id === id)?.name ?? id;
  const { task, key } = operation;
  const set = conditionsOf(operation);
  const cutter = cutterOf(operation);
  if (!set || !cutter || !machine) return null;
  const others =
    operation.by === "face"
      ? (comparison?.ranking ?? []).flatMap((r) =>
          r.minutes === null || r.cutter === cutter ? [] : [[r.cutter, nameOf(r.cutter)] as const],
        )
      : operation.others.map((o) => [o.cutter, `${nameOf(o.cutter)}, ${o.minutes.toFixed(1)} min`] as const);
  return (
    <Section title="Yours: cutter, speed, feed, depth">
      <OwnConditions
        at={key}
        now={{ cutter, rpm: set.rpm, setting: set.setting }}
        cutters={[[cutter, nameOf(cutter)], ...others]}
        speeds={comparison?.speeds ?? settingsNear(machine, set.rpm)}
        asked={{ depth: task !== null, direction: task !== null && goesRound(task.kind) }}
        depthField={depthField}
      />
    </Section>
  );
}
