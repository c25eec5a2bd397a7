import { Failure } from "../frame/failure.tsx";
import { CutsStation } from "../stations/cuts/cuts-station.tsx";
import type { Route } from "./+types/cuts.ts";

// The same element every time: it is painted anew by what it shows, never because the router has work.
const station = <CutsStation />;

export default function Cuts() {
  return station;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
