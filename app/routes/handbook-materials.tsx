import { materials } from "../../core/handbook/index.ts";
import { MaterialsTable } from "../handbook/materials-table.tsx";
import { Failure } from "../frame/failure.tsx";
import type { Route } from "./+types/handbook-materials.ts";

export const meta: Route.MetaFunction = () => [{ title: "Materials · Firm Arbor" }];

/** Rendered on the server, readable without script; kept for offline with its data. */
export function loader() {
  return { materials };
}

export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return serverLoader();
}
clientLoader.hydrate = true as const;

export default function Materials({ loaderData }: Route.ComponentProps) {
  return <MaterialsTable materials={loaderData.materials} />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your jobs are kept on the bench." />;
}
