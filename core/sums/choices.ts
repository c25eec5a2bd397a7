import {
  cutterKinds,
  friction,
  materialIn,
  type Material,
  materialsWith,
  noOwnValues,
  toolMaterials,
  type ToolMaterial,
  wordsFor,
} from "../handbook/index.ts";
import { choice } from "./sum.ts";

/** Fields many sums share. Sums reckon with the published handbook, so that a bookmark gives the same everywhere. */
export const materialField = choice(
  "material",
  "Material",
  materialsWith(noOwnValues).map((m) => [m.id, m.name] as const),
  "steel-low-drawn",
);
export const toolField = choice(
  "tool",
  "Cutter of",
  toolMaterials.map((t) => [t, wordsFor.toolMaterial[t]] as const),
  "hss",
);
/** What holds by friction, and how well. */
export const frictionField = choice(
  "friction",
  "At the jaws or under the strap",
  [
    ["drySteel", "dry steel, μ 0.15"],
    ["oilySteel", "oily steel, μ 0.10"],
    ["softJaws", "soft jaws, μ 0.20"],
    ["paper", "paper between, μ 0.25"],
  ],
  "drySteel",
);
export const frictionOf = (value: string): number => friction[value as keyof typeof friction];

export const kindField = choice(
  "kind",
  "Kind",
  cutterKinds.filter((k) => k !== "tap").map((k) => [k, wordsFor.cutterKind[k]] as const),
  "endMill",
);

export const materialOf = (id: string): Material => materialIn(noOwnValues, id)!;
export const toolOf = (value: string): ToolMaterial => toolMaterials.find((t) => t === value)!;
