import { Failure } from "../frame/failure.tsx";
import { MachineStation } from "../stations/machine/machine-station.tsx";
import type { Route } from "./+types/machine.ts";

// The same element every time: it is painted anew by what it shows, never because the router has work.
const station = <MachineStation />;

export default function Machine() {
  return station;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
