import type { MaterialGroup } from "./materials.ts";
import { isCarbide } from "./cutter-kinds.ts";
import type { CutKind, CutterKind, MachineClass, ToolMaterial } from "./word-lists.ts";

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
    [1, isCarbide(tool) ? 1 : 0.5],
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

/** Spring of the machine between cutter and table, N/µm (guess, domain.md 6); a pull test replaces it. */
export const classSpring: Record<MachineClass, number> = { bench: 6, lightKnee: 12, knee: 25, heavy: 50 };

/** Smallest chip an edge still cuts, mm (domain.md 6): about one edge radius. Inserts carry a honed edge. */
export function leastChip(kind: CutterKind, tool: ToolMaterial): number {
  if (kind === "faceMill" && isCarbide(tool)) return 0.03;
  return tool === "hss" || tool === "cobalt" ? 0.005 : 0.01;
}

/** Bending a roughing cut may have: this many mm, or this share of D for a small cutter, whichever is less (domain.md 6). */
export const roughBending = { mm: 0.05, ofDiameter: 0.01 };
/** Bending a finishing cut may have, as a share of half the tolerance (domain.md 6). */
export const finishBending = 0.25;

/** What a long tool takes off speed and feed, by stickout over diameter (domain.md 6); over the last it is refused. */
export const stickoutSteps = [
  { upTo: 4, speed: 1, feed: 1 },
  { upTo: 5, speed: 0.8, feed: 0.75 },
  { upTo: 6, speed: 0.65, feed: 0.6 },
] as const;

/** A worn edge: cutting force × 1.3, and the radial share rises from 0.4 to 0.7 of the tangential (domain.md 5 and 6). */
export const edgeForce = { sharp: { force: 1, radial: 0.4 }, worn: { force: 1.3, radial: 0.7 } } as const;

/** Most a feed per tooth is raised for thin chips (domain.md 6). */
export const mostThinning = 2.5;

/** Finish allowances for the last pass, mm (domain.md 7): the usual first, then lighter ones for a small depth or a wall that bends. */
export const finishAllowances: Record<CutKind, readonly number[]> = {
  face: [0.15, 0.1, 0.05],
  side: [0.2, 0.13, 0.05],
  slot: [0.15, 0.1, 0.05],
  step: [0.15, 0.1, 0.05],
  slab: [0.2, 0.13, 0.05],
  groove: [0],
};

/** First pass on a raw face: skin plus this, mm (domain.md 3). */
export const underSkin = 0.3;

/** A sliver thinner than this merges into its neighbor, mm. */
export const sliver = 0.02;

/** Suggestions stay at this share of the hard limits (domain.md 6). */
export const suggestedShare = 0.7;
