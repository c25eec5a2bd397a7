import { Failure } from "../frame/failure.tsx";
import { MachineStation } from "../stations/machine/machine-station.tsx";
import type { Route } from "./+types/machine.ts";

export default function Machine() {
  return <MachineStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
