import { Failure } from "../frame/failure.tsx";
import { RecordStation } from "../stations/record/record-station.tsx";
import type { Route } from "./+types/record.ts";

// The same element every time: it is painted anew by what it shows, never because the router has work.
const station = <RecordStation />;

export default function Record() {
  return station;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
