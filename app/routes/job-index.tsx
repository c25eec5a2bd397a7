import { redirect } from "react-router";
import type { Route } from "./+types/job-index.ts";

export function clientLoader({ params }: Route.ClientLoaderArgs) {
  return redirect(`/jobs/${params.jobId}/drawing`);
}

export default function JobIndex() {
  return null;
}
