import { data } from "react-router";
import { type HandbookTable, handbookTable } from "../../core/handbook/index.ts";
import { Failure } from "../frame/failure.tsx";
import { TablePage } from "../handbook/table-page.tsx";
import type { Route } from "./+types/handbook-table.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${(loaderData as { table: HandbookTable } | undefined)?.table.title ?? "Table"} · Firm Arbor` },
];

/** Rendered on the server, readable without script; kept for offline with its data. */
export function loader({ params }: Route.LoaderArgs): { table: HandbookTable } {
  const table = handbookTable(params.table);
  if (!table) throw data("The handbook has no such table.", { status: 404 });
  return { table };
}

/** The tables come with the app: nothing is fetched for them. */
export function clientLoader({ params }: Route.ClientLoaderArgs): { table: HandbookTable } {
  const table = handbookTable(params.table);
  if (!table) throw data("The handbook has no such table.", { status: 404 });
  return { table };
}

export default function Table({ loaderData }: Route.ComponentProps) {
  return <TablePage key={loaderData.table.id} table={loaderData.table} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your jobs are saved on the bench." />;
}
