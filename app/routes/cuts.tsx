import { Failure } from "../frame/failure.tsx";
import { CutsStation } from "../stations/cuts/cuts-station.tsx";
import type { Route } from "./+types/cuts.ts";

export default function Cuts() {
  return <CutsStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
