import { Failure } from "../frame/failure.tsx";
import { SetupsStation } from "../stations/setups/setups-station.tsx";
import type { Route } from "./+types/setups.ts";

export default function Setups() {
  return <SetupsStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
