import { Failure } from "../frame/failure.tsx";
import { StockStation } from "../stations/stock/stock-station.tsx";
import type { Route } from "./+types/stock.ts";

export default function Stock() {
  return <StockStation />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is kept. Open another station, or reload." />;
}
