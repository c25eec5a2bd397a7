import { type MarkedMaterial, materialsWith, noOwnValues } from "../../core/handbook/index.ts";
import { database, loadOwn } from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import { MaterialsTable } from "../handbook/materials-table.tsx";
import type { Route } from "./+types/handbook-materials.ts";

export const meta: Route.MetaFunction = () => [{ title: "Materials · Firm Arbor" }];

/** Rendered on the server, readable without script; kept for offline with its data. */
export function loader(): { materials: MarkedMaterial[] } {
  return { materials: materialsWith(noOwnValues) };
}

/** What the person changed or added lives in the browser. */
export async function clientLoader(): Promise<{ materials: MarkedMaterial[] }> {
  return { materials: materialsWith(await loadOwn(database())) };
}
clientLoader.hydrate = true as const;

export default function Materials({ loaderData }: Route.ComponentProps) {
  return <MaterialsTable materials={loaderData.materials} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your jobs are saved on the bench." />;
}
