import { Failure } from "../frame/failure.tsx";
import { RecordStation } from "../stations/record/record-station.tsx";
import type { Route } from "./+types/record.ts";

export default function Record() {
  return <RecordStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
