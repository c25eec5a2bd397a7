import { Failure } from "../frame/failure.tsx";
import { SetupsStation } from "../stations/setups/setups-station.tsx";
import type { Route } from "./+types/setups.ts";

// The same element every time: it is painted anew by what it shows, never because the router has work.
const station = <SetupsStation />;

export default function Setups() {
  return station;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
