import { Redo2, Undo2 } from "lucide-react";
import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useCallback, useEffect, useEffectEvent, useMemo, useState } from "react";
import { Outlet, useLocation, useNavigate, useParams } from "react-router";
import { cutFigures, cutKey, featureFigures, type Station } from "../../core/plan/index.ts";
import { type AnyKey, isFaceKey, keyFromSlug, keyOfSetup, keySlug } from "../../core/route/index.ts";
import { featureNames, featuresOf } from "../../core/part/index.ts";
import { offerPlaces, type Place } from "../find/find-state.ts";
import { Button } from "../instruments/button.tsx";
import { Icon } from "../instruments/icon.tsx";
import { MarginContext } from "../instruments/in-margin.tsx";
import {
  EntryContext,
  type EntryContextValue,
  FocusContext,
  JobContext,
  type JobContextValue,
  usePlanWorking,
  WorkingContext,
} from "../instruments/job-context.tsx";
import { pieceOf } from "../instruments/job-paths.ts";
import { stationAt, stationList, stationPath, viewAt } from "../instruments/stations.ts";
import { useKeyboard } from "../instruments/keyboard.ts";
import { useSingleKeys, useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { setupKeyOf, setupLabel } from "../instruments/setup-place.ts";
import {
  askBatch,
  askLump,
  askMachines,
  askPiecesSaid,
  askHoldings,
  askSuspicions,
  askComparison,
  askCost,
  askRoutes,
  askWalk,
  stopMachines,
  stopRoutes,
  stopWalk,
} from "../planner/use-plan.ts";
import type { JobSession } from "../session/job-session.ts";
import { Drawers } from "./drawers.tsx";
import { KeysSheet } from "./keys-sheet.tsx";
import { Ribbon } from "./ribbon.tsx";
import { FrameSkeleton } from "./skeleton.tsx";
import { TopLine } from "./top-line.tsx";
import { TroubleNotice } from "./trouble.tsx";
import { useGone, useSend, useShown, useStatusLine } from "./use-session.ts";
import { Margin } from "./margin.tsx";

/** Time of day in the person's own clock. */
const timeOfDay = (iso: string) =>
  new Date(iso).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit", hourCycle: "h23" });

/** Something worth reading stands in the margin from the start; another setup keeps the figure looked at last. */
function usualKey(station: Station, op: AnyKey | undefined, last: string | undefined): string | null {
  if (!op) return null;
  // A figure that the other kind of cut has too stays in the margin; one it lacks gives way to the usual one.
  const figures = isFaceKey(op) ? cutFigures : featureFigures;
  const figure = figures.find((f) => last?.endsWith(`#${f}`));
  if (station === "setups") return cutKey(op, figure ?? "grip");
  if (station === "cuts") return cutKey(op, figure ?? "depth");
  return station === "stock" ? "spare#length" : null;
}

/** The piece looked at: the one the address names, else the one looked at last. */
function usePiece(): number {
  const named = pieceOf(useParams().piece);
  const [last, setLast] = useState(named ?? 1);
  if (named !== null && named !== last) setLast(named);
  return named ?? last;
}

/** The job layout: frame, plan, keys; the stations stand in its outlet. */
export function JobFrame({ session }: { session: JobSession }) {
  const piece = usePiece();
  const { shown, failed, planning } = useShown(session, piece);
  useGone(shown?.state.gone ?? false);
  useStatusLine(shown);
  const send = useSend(session);
  const [unit, setUnit] = useUnit();
  const [single] = useSingleKeys();
  const [picked, setPicked] = useState<{ place: string; key: string } | null>(null);
  const [reason, setReason] = useState("");
  const [help, setHelp] = useState(false);
  const [showWorkings, setShowWorkings] = useState(true);
  const [sheetOpen, setSheetOpen] = useState(false);
  const [said, setSaid] = useState("");
  const [marginTop, setMarginTop] = useState<HTMLElement | null>(null);
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const params = useParams();
  const { id: jobId } = session.state.job;
  const plan = shown?.plan ?? null;

  const chosen = keyFromSlug(params.operation);
  const setups = plan?.setups.map(keyOfSetup) ?? [];
  const station = stationAt(pathname, jobId).id;
  const atMachine = station === "machine";
  // From one setup to the next the same view stays open.
  const view = station === "setups" || station === "cuts" ? viewAt(station, params.view).id : "";
  // Something worth reading stands in the margin from the start; another setup keeps the same figure.
  const place = `${station} ${chosen ?? setups[0] ?? ""}`;
  const focusKey = picked?.place === place ? picked.key : usualKey(station, chosen ?? setups[0], picked?.key);
  const setFocusKey = useCallback((key: string) => setPicked({ place, key }), [place]);

  const stepSetup = (by: -1 | 1) => {
    if (!plan || setups.length === 0 || atMachine) return;
    const at = setups.indexOf(setupKeyOf(plan, chosen) ?? setups[0]!);
    const next = setups[Math.min(setups.length - 1, Math.max(0, at + by))];
    if (next)
      void navigate(
        `/jobs/${jobId}/${station === "cuts" ? "cuts" : "setups"}/${keySlug(next)}${view && `/${view}`}`,
      );
  };
  useKeyboard(
    {
      ...Object.fromEntries(
        stationList.map((s) => [s.key, ["stations", () => void navigate(stationPath(jobId, s, piece))]]),
      ),
      "[": ["previous, next setup", () => stepSetup(-1)],
      "]": ["previous, next setup", () => stepSetup(1)],
      u: ["mm or inch", () => setUnit(unit === "mm" ? "in" : "mm")],
      w: [
        "show or hide the workings",
        () => {
          setShowWorkings(!showWorkings);
          setSheetOpen(!sheetOpen);
        },
      ],
      "?": ["this sheet", () => setHelp(true)],
      "Ctrl+z": ["undo a decision", () => void send({ intent: "undo" })],
      "Ctrl+Shift+z": ["redo", () => void send({ intent: "redo" })],
    },
    {
      single: single === "on",
      onInstrument: (text) => {
        // At the machine the station takes it into its reading pad.
        if (!atMachine)
          setSaid(`An instrument sent ${text}. Readings are taken at the machine (5) or in a field.`);
      },
    },
  );

  const { typed, records, drafts, equipment } = shown?.state ?? session.state;
  const shownPiece = shown?.piece ?? piece;
  const entry = useMemo(
    (): EntryContextValue => ({
      unit,
      drafts,
      keepDraft: session.keepDraft,
      typing: session.typing,
      preview: session.preview,
      kept: session.kept,
      newest: session.newest,
      send,
      reason,
      shown: planning.inSight,
    }),
    [unit, drafts, session, planning, send, reason],
  );
  // Only what a station shows is in here: it is the same thing until one of these changes.
  const value = useMemo(
    (): JobContextValue | null =>
      plan && {
        ...entry,
        ...equipment,
        job: typed,
        records,
        plan,
        piece: shownPiece,
        compare: askComparison,
        compareHoldings: askHoldings,
        suspicions: askSuspicions,
        lump: askLump,
        piecesSaid: askPiecesSaid,
        batch: askBatch,
        cost: askCost,
        compareRoutes: askRoutes,
        stopRoutes,
        compareMachines: askMachines,
        stopMachines,
        walkThrough: askWalk,
        stopWalk,
        setReason,
      },
    [entry, equipment, typed, records, plan, shownPiece],
  );
  const focus = useMemo(() => ({ focusKey, setFocusKey }), [focusKey, setFocusKey]);
  const names = useMemo(() => featureNames(featuresOf(typed.part)), [typed.part]);
  const places = useEffectEvent((): Place[] => [
    ...stationList.map((s) => ({ name: s.name, kind: "station", to: stationPath(jobId, s, piece) })),
    ...[...names].map(([feature, name]) => ({
      name,
      kind: "feature",
      to: `/jobs/${jobId}/drawing?feature=${feature}`,
    })),
    ...(plan?.setups ?? []).map((setup) => ({
      name: `Setup ${setupLabel(setup, plan!)}`,
      kind: "setup",
      to: `/jobs/${jobId}/setups/${keySlug(keyOfSetup(setup))}`,
    })),
  ]);
  useEffect(() => offerPlaces(() => places()), []);
  const title = <title>{`${typed.name || "Unnamed job"} · Firm Arbor`}</title>;
  if (!shown || !plan || !value) {
    return failed ? (
      <Notice severity="stop">
        The plan could not be worked out: {failed}. The job itself is saved; reload.
      </Notice>
    ) : (
      <>
        {title}
        <FrameSkeleton />
      </>
    );
  }
  const { changed, canUndo, canRedo, trouble } = shown.state;
  const keptAt = `saved at ${timeOfDay(changed)}`;

  return (
    <EntryContext value={entry}>
      <JobContext value={value}>
        <WorkingContext value={planning}>
          <FocusContext value={focus}>
            <MarginContext value={marginTop}>
              {title}
              <Box data-station={station} minH="100vh" display="flex" flexDirection="column">
                <Box position="sticky" top="0" zIndex="20" bg="ground">
                  <TroubleNotice
                    trouble={trouble}
                    unit={unit}
                    onSettled={session.settled}
                    send={(intent) => void send(intent)}
                  />
                </Box>
                {atMachine ? (
                  <Outlet />
                ) : (
                  <>
                    <TopLine
                      place={typed.name || "Unnamed job"}
                      detail={[typed.sheet, keptAt].filter(Boolean).join(" · ")}
                      onHelp={() => setHelp(true)}
                    >
                      <chakra.span
                        role="status"
                        fontSize="13px"
                        color="quiet"
                        hideFrom="lg"
                        whiteSpace="nowrap"
                      >
                        {keptAt}
                      </chakra.span>
                      <Button
                        onClick={() => void send({ intent: "undo" })}
                        disabled={!canUndo}
                        title="Undo (Ctrl+Z)"
                      >
                        <Icon of={Undo2} /> Undo
                      </Button>
                      <Button
                        onClick={() => void send({ intent: "redo" })}
                        disabled={!canRedo}
                        title="Redo (Ctrl+Shift+Z)"
                        hideBelow="md"
                      >
                        <Icon of={Redo2} /> Redo
                      </Button>
                    </TopLine>
                    <Ribbon
                      job={typed}
                      plan={plan}
                      shop={equipment.shop}
                      station={station === "cuts" ? "cuts" : "setups"}
                      chosen={chosen ?? setups[0] ?? null}
                      view={view}
                    />
                    {said && (
                      <Notice severity="warn" role="status">
                        {said}
                      </Notice>
                    )}
                    <Box
                      display="flex"
                      flex="1"
                      alignItems="stretch"
                      flexDirection={{ base: "column", md: "row" }}
                    >
                      <Drawers jobId={jobId} status={plan.status} piece={piece} />
                      <Main>
                        {failed && (
                          <Notice severity="stop">
                            The last change could not be planned: {failed}. It is saved; the plan shown is the
                            one from before it.
                          </Notice>
                        )}
                        <Outlet />
                        <Box
                          hideFrom="lg"
                          mt="16px"
                          className="no-print"
                          display={focusKey ? "block" : "none"}
                        >
                          <Button onClick={() => setSheetOpen(!sheetOpen)} aria-expanded={sheetOpen}>
                            {sheetOpen ? "Hide the working" : "Show the working"}
                          </Button>
                        </Box>
                      </Main>
                      {showWorkings && (
                        <Margin place="beside" of={focusKey} plan={plan} onTop={setMarginTop} />
                      )}
                    </Box>
                    {sheetOpen && focusKey && <Margin place="below" of={focusKey} plan={plan} />}
                  </>
                )}
                {help && <KeysSheet onClose={() => setHelp(false)} />}
              </Box>
            </MarginContext>
          </FocusContext>
        </WorkingContext>
      </JobContext>
    </EntryContext>
  );
}

/** Where a station stands; it says while a newer plan of what it shows is being worked. */
function Main({ children }: { children: ReactNode }) {
  return (
    <Box
      as="main"
      flex="1"
      minW="0"
      borderLeftWidth={{ base: "0", md: "1px" }}
      px={{ base: "14px", md: "20px" }}
      py="8px"
      aria-busy={usePlanWorking()}
      order={1}
    >
      {children}
    </Box>
  );
}
