import type { MarkedMaterial } from "../../core/handbook/index.ts";

/** Where a material is read: the person's own share one document. */
export const materialPath = ({ id, own }: Pick<MarkedMaterial, "id" | "own">): string =>
  own === "added" ? `/handbook/materials/own?id=${encodeURIComponent(id)}` : `/handbook/materials/${id}`;
