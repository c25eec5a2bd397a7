import * as z from "../zod.ts";
import { type Material, materials, materialSchema } from "./materials.ts";

/** Handbook values a person changed or added: whole materials by id. */
export const ownHandbookSchema = z.object({ materials: z.record(z.string(), materialSchema) });
export type OwnHandbook = z.infer<typeof ownHandbookSchema>;

export const noOwnValues: OwnHandbook = { materials: {} };

/** A material with what is the person's own about it: the fields changed, or all of it. */
export interface MarkedMaterial extends Material {
  own: "added" | "changed" | null;
  changed: (keyof Material)[];
}

/** The fields in which a material differs from the published one. */
export function changedFields(material: Material, published: Material): (keyof Material)[] {
  const keys = Object.keys(published) as (keyof Material)[];
  return keys.filter((key) => JSON.stringify(material[key]) !== JSON.stringify(published[key]));
}

/** Published materials with the person's changes on them, then those they added. */
export function materialsWith(own: OwnHandbook): MarkedMaterial[] {
  const known = materials.map((published): MarkedMaterial => {
    const mine = own.materials[published.id];
    const changed = mine ? changedFields(mine, published) : [];
    return { ...(mine ?? published), own: changed.length > 0 ? "changed" : null, changed };
  });
  const added = Object.values(own.materials)
    .filter((m) => !materials.some((published) => published.id === m.id))
    .sort((a, b) => a.name.localeCompare(b.name))
    .map((m): MarkedMaterial => ({ ...m, own: "added", changed: [] }));
  return [...known, ...added];
}

/** The material with this id as the person sees it, or undefined. */
export const materialIn = (own: OwnHandbook, id: string): Material | undefined =>
  own.materials[id] ?? materials.find((m) => m.id === id);
