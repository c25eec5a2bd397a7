import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useLocation, useNavigate } from "react-router";
import type { CutComparison } from "../../../core/plan/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import { cutterOf, minutesOfOperation, type Operation, type Setup } from "../../../core/route/index.ts";
import { cuttingDiameter } from "../../../core/shop/index.ts";
import { words } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { cutPath } from "../../instruments/job-paths.ts";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";
import { Notice, Warnings } from "../../instruments/notice.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Section, StationTitle } from "../../instruments/section.tsx";
import { useStationView } from "../../instruments/station-views.tsx";
import { setupPlace } from "../../instruments/setup-place.ts";
import { useAnswer } from "../../instruments/use-answer.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure, Words } from "../../instruments/words.tsx";
import { LimitsChart, LimitShares, SpeedsChart } from "./cut-charts.tsx";
import { CutFigures } from "./cut-figures.tsx";
import { CutStrokes } from "./cut-strokes.tsx";
import { CutterRanking } from "./cutter-ranking.tsx";
import { nameOf, type Settable, useOwnEntry } from "./own-entry.ts";
import { OwnEntryForm } from "./own-figure.tsx";
import { Ways } from "./ways.tsx";

/** One operation: with what, how fast, how deep, where the cutter goes; what limits it; what else could be done. */
export function CutView({ setup, operation }: { setup: Setup; operation: Operation }) {
  const { job, plan, shop, compare, unit } = useJob();
  const view = useStationView("cuts");
  const comparison = useAnswer(operation.key, plan, compare);
  const navigate = useNavigate();
  const { state } = useLocation() as { state: { own?: boolean } | null };
  const [opened, setOpened] = useState<readonly Settable[]>(state?.own ? ["depth"] : []);
  const open = (what: Settable, to: boolean) =>
    setOpened((now) => [...now.filter((w) => w !== what), ...(to ? [what] : [])]);
  const [single] = useSingleKeys();
  useKeyboard(
    {
      o: [
        "own depth per pass",
        () => {
          open("depth", true);
          if (view !== "") void navigate(cutPath(job.id, operation.key));
        },
      ],
    },
    { single: single === "on", onInstrument: () => undefined },
  );
  const { cut, task } = operation;
  const face = operation.by === "face";
  const cutter = shop.cutters.find((c) => c.id === cutterOf(operation));
  const entryOf = useOwnEntry(setup, operation, comparison);
  const cutterEntry = entryOf("cutter");
  const tool = (name: string | undefined) =>
    cutterEntry ? (
      <Worked at={null} title="Press to take another cutter" onPress={() => open("cutter", true)}>
        {name}
      </Worked>
    ) : (
      name
    );
  const title = (
    <>
      <StationTitle
        above={`Cut of ${setupPlace(setup, plan)} · ${face ? `${operation.face} face${operation.sized ? "" : ", to clean up"}` : `the ${setup.at.up} up`}`}
      >
        {face ? (
          <>
            {tool(cutter?.name)}, <Figure of={mm(operation.from)} /> to <Figure of={mm(operation.to)} />
          </>
        ) : (
          <>
            <Words of={operation.title} />, {tool(operation.toolName)}
          </>
        )}
      </StationTitle>
      {cutterEntry && opened.includes("cutter") && (
        <Box mb="8px">
          <OwnEntryForm
            at={operation.key}
            what="cutter"
            name={nameOf.cutter}
            entry={cutterEntry}
            onClose={() => open("cutter", false)}
          />
        </Box>
      )}
    </>
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
  if (view === "cutters")
    return (
      <>
        {title}
        <Cutters operation={operation} comparison={comparison} />
        {!face && <Ways operation={operation} />}
      </>
    );
  return (
    <>
      {title}
      <WhySo operation={operation} />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "minmax(0, 1.15fr) minmax(0, 1fr)" }}
        gap="0 28px"
      >
        <Box order={{ base: 0, md: 1 }}>
          <CutStrokes setup={setup} operation={operation} moves={false} />
        </Box>
        <Box>
          <CutFigures
            setup={setup}
            operation={operation}
            comparison={comparison}
            opened={opened}
            onOpen={open}
          />
          <Warnings of={face ? operation.cut.warnings : operation.warnings} />
        </Box>
      </Box>
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

/** The cutters of the shop for this cut, best first. */
function Cutters({ operation, comparison }: { operation: Operation; comparison: CutComparison | null }) {
  const own = useOverrides(operation.key);
  const cutter = cutterOf(operation);
  if (!cutter) return <Notice severity="note">No cutter of the shop is asked for here.</Notice>;
  const ranking =
    operation.by === "face" ? (comparison?.ranking ?? null) : rankedForFeature(operation, cutter);
  const set = own.reportOf("cutter");
  return (
    <Section title="Cutters in the shop for this cut">
      {set && <OverrideNotice report={set} onUndo={() => own.takeBack("cutter")} />}
      {ranking ? (
        <CutterRanking ranking={ranking} chosen={cutter} onChoose={(id) => own.set([["cutter", id]], "")} />
      ) : (
        <Waiting height={160} />
      )}
      {operation.task && <StickingOut id={cutter} />}
    </Section>
  );
}

/** What was tried for a feature: its own cutter first, then what else would go in. */
const rankedForFeature = (
  operation: Exclude<Operation, { by: "face" }>,
  cutter: string,
): CutComparison["ranking"] => [
  {
    cutter,
    minutes: minutesOfOperation(operation),
    depth: operation.cut?.depth ?? null,
    why: operation.why,
  },
  ...operation.others.map((o) => ({ ...o, depth: null, why: words("") })),
];

function StickingOut({ id }: { id: string }) {
  const { shop } = useJob();
  const cutter = shop.cutters.find((c) => c.id === id);
  if (!cutter) return null;
  return (
    <chakra.p fontSize="13px" color="quiet" mt="6px">
      Out of its holder <Figure of={mm(cutter.stickout)} />,{" "}
      {(cutter.stickout / cuttingDiameter(cutter)).toFixed(1)} × its diameter.
    </chakra.p>
  );
}
