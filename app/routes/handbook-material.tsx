import { data, redirect } from "react-router";
import {
  type MarkedMaterial,
  type Material,
  materialById,
  materialsWith,
  noOwnValues,
  type OwnHandbook,
} from "../../core/handbook/index.ts";
import { database, loadOwn, saveMaterial } from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import { MaterialPage } from "../handbook/material-page.tsx";
import type { Route } from "./+types/handbook-material.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${(loaderData as { material?: MarkedMaterial } | undefined)?.material?.name ?? "Material"} · Firm Arbor`,
  },
];

interface Loaded {
  material: MarkedMaterial | null;
  /** As the handbook has it; null for one the person added. */
  published: Material | null;
}

/** Materials the person added stand at `/handbook/materials/own?id=…`: one document for all of them. */
const idOf = (param: string, request: Request) =>
  param === "own" ? (new URL(request.url).searchParams.get("id") ?? "") : param;

function find(id: string, own: OwnHandbook): Loaded {
  return {
    material: materialsWith(own).find((m) => m.id === id) ?? null,
    published: materialById(id) ?? null,
  };
}

export function loader({ params, request }: Route.LoaderArgs): Loaded {
  const found = find(idOf(params.material, request), noOwnValues);

  if (!found.material && params.material !== "own") throw data("There is no such material.", { status: 404 });
  return found;
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs): Promise<Loaded> {
  const found = find(idOf(params.material, request), await loadOwn(database()));

  if (!found.material) throw data("There is no such material.", { status: 404 });
  return found;
}
clientLoader.hydrate = true as const;

export type MaterialIntent = { id: string; material: Material | null; leave: boolean };

/** Keeps the person's values of a material, or takes them back. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  const { id, material, leave } = (await request.json()) as MaterialIntent;
  const saved = await saveMaterial(database(), id, material);
  return leave && saved.ok ? redirect("/handbook/materials") : saved;
}

export default function OneMaterial({ loaderData }: Route.ComponentProps) {
  const { material, published } = loaderData;
  return material ? <MaterialPage material={material} published={published} key={material.id} /> : null;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Failure error={error} kept="Your own handbook values are saved in this browser." />;
}
