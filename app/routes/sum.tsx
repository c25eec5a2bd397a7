import { data } from "react-router";
import { sumById, type WorkedSum, workSum } from "../../core/sums/index.ts";
import { Failure } from "../frame/failure.tsx";
import { SumView } from "../sums/sum-view.tsx";
import type { Route } from "./+types/sum.ts";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `${sumById(params.sum)?.title ?? "Sum"} · Firm Arbor` },
];

/** The same on the server, without script, and in the browser: all a sum needs stands in its URL. */
function compute({ request, params }: { request: Request; params: { sum: string } }): WorkedSum {
  const sum = sumById(params.sum);

  if (!sum) throw data("There is no such sum.", { status: 404 });
  const { searchParams } = new URL(request.url);
  return workSum(sum, (key) => searchParams.get(key), searchParams.get("unit") === "in" ? "in" : "mm");
}

export const loader = (args: Route.LoaderArgs) => compute(args);

// eslint-disable-next-line @typescript-eslint/require-await -- React Router wants a promise
export async function clientLoader(args: Route.ClientLoaderArgs) {
  return compute(args);
}
clientLoader.hydrate = true as const;

export default function OneSum({ loaderData }: Route.ComponentProps) {
  return <SumView worked={loaderData} key={loaderData.id} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Sums are not saved: what you typed is in the address of the page." />;
}
