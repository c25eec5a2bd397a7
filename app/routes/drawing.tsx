import { Failure } from "../frame/failure.tsx";
import { DrawingStation } from "../stations/drawing/drawing-station.tsx";
import type { Route } from "./+types/drawing.ts";

// The same element every time: it is painted anew by what it shows, never because the router has work.
const station = <DrawingStation />;

export default function Drawing() {
  return station;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
