import { data } from "react-router";
import { usualTimes, type WorkingTimes, workingTimesSchema } from "../../core/plan/index.ts";
import type { AheadIntent } from "../ahead/ahead-intent.ts";
import { AheadFrame } from "../ahead/ahead-frame.tsx";
import { Days } from "../ahead/days.tsx";
import { Sawing } from "../ahead/sawing.tsx";
import { aheadViews } from "../ahead/views.ts";
import { Failure } from "../frame/failure.tsx";
import { ShopSkeleton } from "../shop/shop-skeleton.tsx";
import { database, getSetting, listJobs, loadEquipment, setSetting } from "../../store/index.ts";
import type { Route } from "./+types/ahead.ts";

export const meta = () => [{ title: "Work ahead · Firm Arbor" }];

/** What the times that are worked are kept under. */
const timesKey = "working-times";

function timesIn(text: string): WorkingTimes {
  try {
    return workingTimesSchema.parse(JSON.parse(text));
  } catch {
    return usualTimes;
  }
}

/** More jobs than this are not planned together: the newest are. */
const mostJobs = 60;

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const view = params.view === undefined ? "sawing" : aheadViews.find((v) => v.id === params.view)?.id;
  if (!view) throw data("There is no such view of the work ahead.", { status: 404 });
  const db = database();
  const { loadJob } = await import("../../store/jobs.ts");
  const cards = (await listJobs(db)).slice(0, mostJobs);
  const kept = await Promise.all(cards.map((card) => loadJob(db, card.id)));
  return {
    view,
    jobs: kept.flatMap((k) => (k ? [{ job: k.job, records: k.records }] : [])),
    equipment: await loadEquipment(db),
    times: timesIn(await getSetting(db, timesKey)),
  };
}
/** Days of a job, or the times that are worked: kept at once, against what stood there. */
export async function clientAction({ request }: Route.ClientActionArgs): Promise<{ kept: boolean }> {
  const db = database();
  const asked = (await request.json()) as AheadIntent;
  if (asked.intent === "times") {
    await setSetting(db, timesKey, JSON.stringify(asked.times));
    return { kept: true };
  }
  const { changeJob } = await import("../../store/jobs.ts");
  const stamp = { at: new Date().toISOString(), by: await getSetting(db, "name") };
  const { jobId, path, from, to } = asked;
  const changed = await changeJob(db, jobId, [{ path, from, to }], "", stamp);
  return { kept: changed.ok };
}

clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <ShopSkeleton />;
}

export default function Ahead({ loaderData: { view, jobs, equipment, times } }: Route.ComponentProps) {
  return (
    <AheadFrame view={view}>
      {view === "sawing" && <Sawing jobs={jobs.map((j) => j.job)} equipment={equipment} />}
      {view === "days" && <Days jobs={jobs} equipment={equipment} times={times} />}
    </AheadFrame>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Jobs and rack are still saved in this browser." />;
}
