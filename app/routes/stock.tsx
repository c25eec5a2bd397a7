import { Failure } from "../frame/failure.tsx";
import { useJob } from "../instruments/job-context.tsx";
import { StockStation } from "../stations/stock/stock-station.tsx";
import { TurnedStock } from "../stations/stock/turned-stock.tsx";
import type { Route } from "./+types/stock.ts";

export default function Stock() {
  return useJob().job.part.shaft ? <TurnedStock /> : <StockStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
