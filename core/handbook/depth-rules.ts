import type { MaterialGroup } from "./materials.ts";
import type { MachineClass, ToolMaterial } from "./word-lists.ts";

/** Least depth worth facing with, mm (domain.md 6). */
export const leastFaceDepth = 0.05;

/** Aluminum and soft materials take twice the depth of steel (domain.md 6). */
export const softFactor: Record<MaterialGroup, number> = {
  steel: 1,
  tough: 0.8,
  iron: 1,
  aluminum: 2,
  brass: 1.5,
  plastic: 2,
};

/**
 * Depth rule of an end mill: ap by ae/D for HSS in steel (domain.md 6), interpolated.
 * @returns ap as a multiple of D
 */
export function endMillDepth(aeOverD: number, tool: ToolMaterial): number {
  const points: [number, number][] = [
    [0.1, 2],
    [0.25, 1.5],
    [0.6, 0.6],
    [1, tool === "hss" || tool === "cobalt" ? 0.5 : 1],
  ];
  const ratio = Math.min(Math.max(aeOverD, 0.1), 1);
  const after = points.findIndex(([x]) => x >= ratio);
  if (after <= 0) return points[0]![1];
  const [x0, y0] = points[after - 1]!;
  const [x1, y1] = points[after]!;
  return y0 + ((ratio - x0) / (x1 - x0)) * (y1 - y0);
}

/** Fly cutter: at most this deep in steel, mm (domain.md 6). */
export const flyCutterDepth = 0.5;

/** Tangential cutting force the machine class bears, N (guess, domain.md 6); a pull test replaces it. */
export const classForce: Record<MachineClass, number> = {
  bench: 250,
  lightKnee: 700,
  knee: 1500,
  heavy: 4000,
};

/** Helix of an ordinary end mill, degrees: what is reckoned with while a cutter's own is not known. */
export const usualHelix = 30;

/** Smallest chip an edge still cuts, mm (domain.md 6): about one edge radius. */
export const leastChip: Record<ToolMaterial, number> = {
  hss: 0.005,
  cobalt: 0.005,
  carbide: 0.01,
  coatedCarbide: 0.02,
};

/** Finish allowance left for the last pass, mm (domain.md 7). */
export const finishAllowance = { face: 0.15, side: 0.2 } as const;

/** First pass on a raw face: skin plus this, mm (domain.md 3). */
export const underSkin = 0.3;

/** A sliver thinner than this merges into its neighbor, mm. */
export const sliver = 0.02;

/** Suggestions stay at this share of the hard limits (domain.md 6). */
export const suggestedShare = 0.7;
