import { data } from "react-router";
import { AheadFrame } from "../ahead/ahead-frame.tsx";
import { Sawing } from "../ahead/sawing.tsx";
import { aheadViews } from "../ahead/views.ts";
import { Failure } from "../frame/failure.tsx";
import { ShopSkeleton } from "../shop/shop-skeleton.tsx";
import { database, listJobs, loadEquipment } from "../../store/index.ts";
import type { Route } from "./+types/ahead.ts";

export const meta = () => [{ title: "Work ahead · Firm Arbor" }];

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
  };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <ShopSkeleton />;
}

export default function Ahead({ loaderData: { view, jobs, equipment } }: Route.ComponentProps) {
  return (
    <AheadFrame view={view}>
      {view === "sawing" && <Sawing jobs={jobs.map((j) => j.job)} equipment={equipment} />}
    </AheadFrame>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Jobs and rack are still saved in this browser." />;
}
