import { data } from "react-router";
import { stationList } from "../instruments/stations.ts";
import { Failure } from "../frame/failure.tsx";
import type { Route } from "./+types/job-missing.ts";

export function clientLoader() {
  throw data(`A job has ${stationList.length} stations: ${stationList.map((s) => s.name).join(", ")}.`, {
    status: 404,
  });
}

export default function JobMissing() {
  return null;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job is saved; only this address leads nowhere." />;
}
