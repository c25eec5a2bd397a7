import type { CutKind } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter } from "../shop/index.ts";
import { engagementAngle, meanChip } from "./chip.ts";

/** Where a tooth is in the metal: ap along the axis, ae across it, the arc in degrees of rotation. */
export interface Engagement {
  ap: Mm;
  ae: Mm;
  from: number;
  to: number;
  /** Entering angle, degrees. */
  kappa: number;
}

/** Whether the handle turned for depth goes along the cutter's axis (face, slot, step) or across it. */
export const depthIsAxial = (kind: CutKind): boolean => kind === "face" || kind === "slot" || kind === "step";

/** Whether the entering angle goes with the depth: round inserts and balls. */
export const roundCornered = (cutter: Cutter): boolean =>
  cutter.inserts === "round" || cutter.kind === "ballEnd";

/**
 * Entering angle at a depth along the axis, degrees. Round inserts and balls: sin κ = 2√(q(1 − q)), q = ap/d (domain.md 6);
 * others keep their own.
 */
export function enteringAngleAt(cutter: Cutter, ap: Mm): number {
  const d = 2 * cutter.cornerRadius;
  if (!roundCornered(cutter) || !(d > 0) || ap >= d / 2) return cutter.enteringAngle;
  const q = ap / d;
  return (Math.asin(2 * Math.sqrt(q * (1 - q))) * 180) / Math.PI;
}

/** Diameter the cutting speed counts on: a ball cuts on 2√(ap(D − ap)) while ap is below its radius, mm. */
export function speedDiameter(cutter: Cutter, ap: Mm): Mm {
  const d = cuttingDiameter(cutter);
  return cutter.kind === "ballEnd" && ap < d / 2 ? 2 * Math.sqrt(ap * (d - ap)) : d;
}

/**
 * Engagement of a cut at a depth.
 * @param width lane of a face, height of a side, width of a step; a slot takes the cutter's diameter, a groove its width
 */
export function engagementAt(kind: CutKind, cutter: Cutter, width: Mm, depth: Mm): Engagement {
  const d = cuttingDiameter(cutter);
  const axial = (ae: Mm, from: number, to: number): Engagement => ({
    ap: depth,
    ae,
    from,
    to,
    kappa: enteringAngleAt(cutter, depth),
  });
  switch (kind) {
    case "face": {
      const ae = Math.min(width, d);
      const half = (Math.asin(ae / d) * 180) / Math.PI;
      return axial(ae, 90 - half, 90 + half);
    }
    case "slot":
      return axial(d, 0, 180);
    case "step": {
      const ae = Math.min(width, d);
      return axial(ae, 0, engagementAngle(ae, d));
    }
    case "side":
    case "slab":
    case "groove": {
      const ae = Math.min(depth, d);
      const ap = kind === "groove" ? cutter.fluteLength : width;
      return { ap, ae, from: 0, to: engagementAngle(ae, d), kappa: 90 };
    }
  }
}

/** Mean chip over the arc, mm; a fallback of the smallest arc keeps it above nothing. */
export const meanChipOf = (fz: Mm, e: Engagement): Mm =>
  meanChip(fz, e.kappa, e.from, Math.max(e.to, e.from + 0.1)) ?? fz;

/** Largest chip over the arc: fz sin κ sin φ at the thickest place, mm. */
export function largestChip(fz: Mm, e: Engagement): Mm {
  const sin = (angle: number) => Math.sin((angle * Math.PI) / 180);
  const thickest = e.from <= 90 && e.to >= 90 ? 1 : Math.max(sin(e.from), sin(e.to));
  return fz * sin(e.kappa) * thickest;
}
