import { redirect } from "react-router";
import { axisNames } from "../../core/frame/index.ts";
import {
  database,
  deleteJob,
  files,
  getSetting,
  listDeleted,
  listJobs,
  type OnDiffer,
  restoreJob,
  setTags,
  tagsIn,
} from "../../store/index.ts";
import { BenchSkeleton, BenchView } from "../bench/bench-view.tsx";
import { demoJobIds } from "../bench/demo-job-ids.ts";
import { demoContext } from "../entry.server.tsx";
import { Failure } from "../frame/failure.tsx";
import type { Route } from "./+types/bench.ts";

export const meta: Route.MetaFunction = () => [
  { title: "Bench · Firm Arbor" },
  { name: "description", content: "Plans, walks through and records work on a manual milling machine." },
];

/** Only the demo flag comes from the server; jobs live in the browser. */
export function loader({ context }: Route.LoaderArgs) {
  return { demo: context.get(demoContext) };
}

const demoFiles = demoJobIds.map((id) => `/demo/${id}.json`);
const now = () => new Date().toISOString();
/** What makes and copies jobs knows all that a job is made of: it comes when the first one is made. */
const jobs = () => import("../../store/jobs.ts");

async function loadDemo() {
  for (const file of demoFiles)
    await (await files()).importJobFile(database(), await (await fetch(file)).text(), now(), "keepMine");
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const db = database();
  let jobs = await listJobs(db);
  const deleted = await listDeleted(db);
  if (jobs.length === 0 && deleted.length === 0) {
    const flag = await serverLoader().catch(() => ({ demo: false }));
    if (flag.demo) {
      await loadDemo();
      jobs = await listJobs(db);
    }
  }
  return { jobs, deleted };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  const db = database();
  const form = await request.formData();
  const text = (name: string) => {
    const value = form.get(name);
    return typeof value === "string" ? value : "";
  };
  const id = text("id");
  switch (form.get("intent")) {
    case "create":
      return redirect(
        `/jobs/${await (await jobs()).createJob(db, text("name").trim() || "New job", now())}/drawing`,
      );
    case "demo":
      await loadDemo();
      return null;
    case "delete":
      await deleteJob(db, id, now());
      return null;
    case "restore":
      await restoreJob(db, id);
      return null;
    case "copy":
      await (await jobs()).copyJob(db, id, now());
      return null;
    case "twin": {
      const axis = axisNames.find((a) => a === text("axis"));
      const twin =
        axis &&
        (await (await jobs()).makeTwin(db, id, axis, { at: now(), by: await getSetting(db, "name") }));
      return twin ? redirect(`/jobs/${twin}/drawing/fits`) : null;
    }
    case "tags":
      await setTags(db, id, tagsIn(text("tags")));
      return null;
    case "import": {
      const imported = await (
        await files()
      ).importJobFile(db, text("text"), now(), (text("onDiffer") || "ask") as OnDiffer);
      return { imported };
    }
    default:
      return null;
  }
}

export function HydrateFallback() {
  return <BenchSkeleton />;
}

export default function Bench({ loaderData }: Route.ComponentProps) {
  // The first render after hydration already has the client's data.
  const { jobs, deleted } = loaderData;
  return <BenchView jobs={jobs} deleted={deleted} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your jobs are saved in this browser. Reload to see them." />;
}
