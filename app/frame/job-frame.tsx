import { Box, chakra } from "@chakra-ui/react";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import {
  Outlet,
  useFetcher,
  useLocation,
  useNavigate,
  useParams,
  useRevalidator,
  useSearchParams,
} from "react-router";
import { applyChanges, type Change } from "../../core/job/index.ts";
import { cutFigures, cutKey, featureFigures, type Station, stations } from "../../core/plan/index.ts";
import { type AnyKey, isFaceKey, keyFromSlug, keyOfSetup, keySlug } from "../../core/route/index.ts";
import { setupKeyOf } from "../instruments/setup-place.ts";
import {
  database,
  type Equipment,
  jobState,
  keepDraft as storeDraft,
  type KeptJob,
  setStatus,
  watchJob,
  whyNotKept,
} from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { type Answer, JobContext, type JobContextValue } from "../instruments/job-context.tsx";
import { useKeyboard } from "../instruments/keyboard.ts";
import { useSingleKeys, useUnit } from "../instruments/local-setting.ts";
import { NotKeptNotice, tellNotKept } from "../instruments/not-kept.tsx";
import { Notice } from "../instruments/notice.tsx";
import { WorkingSheet } from "../instruments/workings-margin.tsx";
import {
  askComparison,
  askCost,
  askRoutes,
  stopRoutes,
  stopWalk,
  usePlan,
  useWorking,
  askWalk,
} from "../planner/use-plan.ts";
import { Drawers } from "./drawers.tsx";
import { KeysSheet } from "./keys-sheet.tsx";
import { Ribbon } from "./ribbon.tsx";
import { FrameSkeleton } from "./skeleton.tsx";
import { TopLine } from "./top-line.tsx";

/** How long a change of this tab may take to be loaded again, ms. */
const settleTime = 250;

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

/** The piece an address names; the first where it names none, or what is no piece. */
function pieceOf(search: URLSearchParams): number {
  const asked = Number(search.get("piece") ?? 1);
  return Number.isInteger(asked) && asked >= 1 && asked <= mostPieces ? asked : 1;
}
/** More of one part than anybody makes by hand. */
const mostPieces = 10_000;

/** The job layout: frame, plan, keys; the stations stand in its outlet. */
export function JobFrame({ kept, equipment }: { kept: KeptJob; equipment: Equipment }) {
  const { shop, standIns, own } = equipment;
  const { job, records } = kept;
  const [search] = useSearchParams();
  const piece = pieceOf(search);
  const [unit, setUnit] = useUnit();
  const [single] = useSingleKeys();
  const [drafts, setDrafts] = useState(kept.drafts);
  const [previews, setPreviews] = useState<{ [path: string]: Change }>({});
  const [picked, setPicked] = useState<{ place: string; key: string } | null>(null);
  const [reason, setReason] = useState("");
  const [help, setHelp] = useState(false);
  const [showWorkings, setShowWorkings] = useState(true);
  const [sheetOpen, setSheetOpen] = useState(false);
  const [said, setSaid] = useState("");
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const params = useParams();
  const undo = useFetcher<Answer>();
  const { revalidate } = useRevalidator();

  // What this tab changed is loaded by its own action; only what came from elsewhere is fetched. Asking at once could
  // swallow a navigation that is just under way.
  const loaded = useRef("");
  useEffect(() => {
    loaded.current = jobState(kept.rev, kept.records.length, kept.changed);
  }, [kept]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = watchJob(database(), job.id, (state) => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        if (state !== loaded.current) void revalidate();
      }, settleTime);
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [job.id, revalidate]);
  useEffect(() => {
    const onUpdate = () => setSaid("Firm Arbor was updated in another tab. Reload this one.");
    addEventListener("firm-arbor:updated-elsewhere", onUpdate);
    return () => removeEventListener("firm-arbor:updated-elsewhere", onUpdate);
  }, []);

  const inputs = useMemo(() => {
    const previewed = applyChanges(job, Object.values(previews));
    return { job: previewed.ok ? previewed.job : job, records, shop, piece, own };
  }, [job, records, shop, piece, own, previews]);
  const planned = usePlan(inputs);
  const plan = planned.plan;
  const statusText = plan
    ? JSON.stringify(
        plan.status[
          plan.cutBegun ? "machine" : plan.setups.length > 0 || plan.features ? "setups" : "drawing"
        ],
      )
    : null;
  const lastStatus = useRef<string | null>(null);
  useEffect(() => {
    if (statusText && statusText !== lastStatus.current) {
      lastStatus.current = statusText;
      // The line on the bench only: what is kept of the job says when it cannot be.
      setStatus(database(), job.id, JSON.parse(statusText) as never).catch(() => undefined);
    }
  }, [statusText, job.id]);

  const keepDraft = useCallback(
    (path: string, text: string) => {
      setDrafts((all) => {
        const next = { ...all };
        if (text === "") delete next[path];
        else next[path] = text;
        return next;
      });
      storeDraft(database(), { jobId: job.id, path, text }).catch((error: unknown) => {
        // A draft that is only forgotten takes nothing with it.
        if (text !== "") tellNotKept(whyNotKept(error), `What you typed, "${text}",`);
      });
    },
    [job.id],
  );
  const preview = useCallback((path: string, change: Change | null) => {
    setPreviews((all) => {
      if (!change && !(path in all)) return all;
      const next = { ...all };
      if (change) next[path] = change;
      else delete next[path];
      return next;
    });
  }, []);

  const chosen = keyFromSlug(params.operation);
  const setups = plan?.setups.map(keyOfSetup) ?? [];
  const station = stations.find((s) => pathname.startsWith(`/jobs/${job.id}/${s}`)) ?? "drawing";
  const atMachine = station === "machine";
  // Something worth reading stands in the margin from the start; another setup keeps the same figure.
  const place = `${station} ${chosen ?? setups[0] ?? ""}`;
  const focusKey = picked?.place === place ? picked.key : usualKey(station, chosen ?? setups[0], picked?.key);
  const setFocusKey = (key: string) => setPicked({ place, key });
  const working = useWorking(focusKey, plan);

  const stepSetup = (by: -1 | 1) => {
    if (!plan || setups.length === 0 || atMachine) return;
    const at = setups.indexOf(setupKeyOf(plan, chosen) ?? setups[0]!);
    const next = setups[Math.min(setups.length - 1, Math.max(0, at + by))];
    if (next) void navigate(`/jobs/${job.id}/${station === "cuts" ? "cuts" : "setups"}/${keySlug(next)}`);
  };
  const send = (intent: "undo" | "redo") =>
    void undo.submit(
      { intent },
      {
        method: "post",
        action: `/jobs/${job.id}`,
        encType: "application/json",
      },
    );

  useKeyboard(
    {
      ...Object.fromEntries(
        stations.map((s, i) => [String(i + 1), () => void navigate(`/jobs/${job.id}/${s}`)]),
      ),
      "[": () => stepSetup(-1),
      "]": () => stepSetup(1),
      u: () => setUnit(unit === "mm" ? "in" : "mm"),
      w: () => {
        setShowWorkings(!showWorkings);
        setSheetOpen(!sheetOpen);
      },
      "?": () => setHelp(true),
      "Ctrl+z": () => send("undo"),
      "Ctrl+Shift+z": () => send("redo"),
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

  if (!plan) {
    return planned.failed ? (
      <Notice severity="stop">
        The plan could not be worked: {planned.failed}. The job itself is kept; reload.
      </Notice>
    ) : (
      <FrameSkeleton />
    );
  }
  const value: JobContextValue = {
    job,
    records,
    shop,
    standIns,
    own,
    plan,
    working: planned.working,
    piece,
    unit,
    drafts,
    keepDraft,
    preview,
    compare: askComparison,
    cost: askCost,
    compareRoutes: askRoutes,
    stopRoutes,
    walkThrough: askWalk,
    stopWalk,
    focusKey,
    setFocusKey,
    reason,
    setReason,
  };
  const keptAt = `saved at ${timeOfDay(kept.changed)}`;
  const undoFailed = undo.data && !undo.data.ok;

  return (
    <JobContext.Provider value={value}>
      <Box data-station={station} minH="100vh" display="flex" flexDirection="column">
        <Box position="sticky" top="0" zIndex="20" bg="ground">
          <NotKeptNotice />
        </Box>
        {atMachine ? (
          <Outlet />
        ) : (
          <>
            <TopLine
              place={job.name || "Unnamed job"}
              detail={[job.sheet, keptAt].filter(Boolean).join(" · ")}
              onHelp={() => setHelp(true)}
            >
              <chakra.span role="status" fontSize="13px" color="quiet" hideFrom="lg" whiteSpace="nowrap">
                {keptAt}
              </chakra.span>
              <Button onClick={() => send("undo")} disabled={!kept.canUndo} title="Undo (Ctrl+Z)">
                Undo
              </Button>
              <Button
                onClick={() => send("redo")}
                disabled={!kept.canRedo}
                title="Do again (Ctrl+Shift+Z)"
                hideBelow="md"
              >
                Redo
              </Button>
            </TopLine>
            <Ribbon
              job={job}
              plan={plan}
              shop={shop}
              station={station === "cuts" ? "cuts" : "setups"}
              chosen={chosen ?? setups[0] ?? null}
            />
            {(said || undoFailed) && (
              <Notice severity="warn" role="status">
                {said || "That could not be undone: the field was changed since, perhaps in another tab."}
              </Notice>
            )}
            <Box display="flex" flex="1" alignItems="stretch" flexDirection={{ base: "column", md: "row" }}>
              <Drawers jobId={job.id} plan={plan} />
              <Box
                as="main"
                flex="1"
                minW="0"
                borderLeftWidth={{ base: "0", md: "1px" }}
                px={{ base: "14px", md: "20px" }}
                py="14px"
                aria-busy={planned.working}
                order={1}
              >
                {planned.failed && (
                  <Notice severity="stop">
                    The last change could not be planned: {planned.failed}. It is kept; the plan shown is the
                    one before.
                  </Notice>
                )}
                <Outlet />
                <Box hideFrom="lg" mt="16px" className="no-print" display={focusKey ? "block" : "none"}>
                  <Button onClick={() => setSheetOpen(!sheetOpen)} aria-expanded={sheetOpen}>
                    {sheetOpen ? "Hide the working" : "Show the working"}
                  </Button>
                </Box>
              </Box>
              {showWorkings && (
                <Box
                  as="aside"
                  aria-label="Workings"
                  className="no-print"
                  hideBelow="lg"
                  width="268px"
                  flexShrink="0"
                  borderLeftWidth="1px"
                  px="16px"
                  py="14px"
                  order={2}
                >
                  {/* Stays in sight beside the figure it is of. */}
                  <Box position="sticky" top="14px" maxH="calc(100vh - 28px)" overflowY="auto">
                    <WorkingSheet working={working} />
                  </Box>
                </Box>
              )}
            </Box>
            {sheetOpen && focusKey && (
              <Box
                as="aside"
                aria-label="Workings"
                hideFrom="lg"
                position="fixed"
                left="0"
                right="0"
                bottom={{ base: "54px", md: "0" }}
                maxH="55vh"
                overflowY="auto"
                bg="ground"
                borderTopWidth="2px"
                borderColor="ink"
                p="16px"
                zIndex="3"
                className="no-print"
              >
                <WorkingSheet working={working} />
              </Box>
            )}
          </>
        )}
        <KeysSheet open={help} onClose={() => setHelp(false)} />
      </Box>
    </JobContext.Provider>
  );
}
