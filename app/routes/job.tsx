import { data, isRouteErrorResponse, useFetcher, useNavigate } from "react-router";
import {
  appendRecords,
  changeJob,
  database,
  archivedCard,
  getSetting,
  loadJob,
  loadEquipment,
  undoJob,
  whyNotKept,
} from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import { JobFrame } from "../frame/job-frame.tsx";
import { FrameSkeleton } from "../frame/skeleton.tsx";
import { Button } from "../instruments/button.tsx";
import type { Answer, JobIntent } from "../instruments/job-context.tsx";
import { tellNotKept, whatOf } from "../instruments/not-kept.tsx";
import type { Route } from "./+types/job.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: loaderData
      ? `${(loaderData as { kept: { job: { name: string } } }).kept.job.name} · Firm Arbor`
      : "Firm Arbor",
  },
];

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const db = database();
  const kept = await loadJob(db, params.jobId);
  const archived = kept ? null : await archivedCard(db, params.jobId);
  if (archived)
    throw data(
      `"${archived.name || "Unnamed job"}" was put away. Nothing of it is lost: bring it back to look at it or work on it.`,
      { status: 410 },
    );
  if (!kept)
    throw data(
      "There is no such job in this browser. It may be saved in another one: export it there, import it here.",
      { status: 404 },
    );
  return { kept, equipment: await loadEquipment(db) };
}
clientLoader.hydrate = true as const;

/** Decisions, undo and records of a job; everything a job needs works with the server gone. */
export async function clientAction({ request, params }: Route.ClientActionArgs): Promise<Answer> {
  const intent = (await request.json()) as JobIntent;
  try {
    return await keep(params.jobId, intent);
  } catch (error) {
    const notKept = whyNotKept(error);
    console.error(error);
    tellNotKept(notKept, whatOf(intent));
    return { ok: false, conflicts: [], notKept };
  }
}

async function keep(jobId: string, intent: JobIntent): Promise<Answer> {
  const db = database();
  const stamp = { at: new Date().toISOString(), by: await getSetting(db, "name") };
  switch (intent.intent) {
    case "change":
      return changeJob(db, jobId, intent.changes, intent.reason, stamp);
    case "undo":
    case "redo":
      return (await undoJob(db, jobId, intent.intent, stamp)) ?? { ok: true };
    case "append":
      return (await appendRecords(db, jobId, intent.events, intent.lastSeen, intent.piece, stamp))
        ? { ok: true }
        : { ok: false, conflicts: [], elsewhere: true };
  }
}

export function HydrateFallback() {
  return <FrameSkeleton />;
}

export default function Job({ loaderData }: Route.ComponentProps) {
  return <JobFrame kept={loaderData.kept} equipment={loaderData.equipment} />;
}

export function ErrorBoundary({ error, params }: Route.ErrorBoundaryProps) {
  const fetcher = useFetcher();
  const navigate = useNavigate();
  const archived = isRouteErrorResponse(error) && error.status === 410;
  const bringBack = async () => {
    await fetcher.submit({ intent: "restore", id: params.jobId }, { method: "post", action: "/?index" });
    // What failed to load is asked for again by going there.
    await navigate(".", { replace: true });
  };
  return (
    <Failure
      error={error}
      kept={
        isRouteErrorResponse(error)
          ? "Nothing was changed."
          : "What was saved before is still there. Reload to go on."
      }
    >
      {archived && (
        <Button look="strong" onClick={() => void bringBack()} disabled={fetcher.state !== "idle"}>
          Bring it back
        </Button>
      )}
    </Failure>
  );
}
