import { Failure } from "../frame/failure.tsx";
import { DrawingStation } from "../stations/drawing/drawing-station.tsx";
import type { Route } from "./+types/drawing.ts";

export default function Drawing() {
  return <DrawingStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
