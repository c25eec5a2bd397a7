import { Failure } from "../frame/failure.tsx";
import { useJob } from "../instruments/job-context.tsx";
import { StockStation } from "../stations/stock/stock-station.tsx";
import { TurnedStock } from "../stations/stock/turned-stock.tsx";
import type { Route } from "./+types/stock.ts";

// The same elements every time: they are painted anew by what they show, never because the router has work.
const block = <StockStation />;
const shaft = <TurnedStock />;

export default function Stock() {
  return useJob().job.part.shaft ? shaft : block;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="The job itself is saved. Open another station, or reload." />;
}
