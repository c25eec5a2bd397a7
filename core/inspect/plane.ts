import { positive } from "../quantity/index.ts";

export type Point3 = [x: number, y: number, z: number];

/** Plane z = a + b·x + c·y (mm; slopes mm/mm) with how far the points lie off it. */
export interface PlaneFit {
  a: number;
  b: number;
  c: number;
  residualMax: number;
  /** Highest minus lowest residual. */
  flatness: number;
}

/** Least-squares plane through points in mm; null with fewer than three points or all in one line. */
export function fitPlane(points: Point3[]): PlaneFit | null {
  const n = points.length;
  if (n < 3 || !points.flat().every(Number.isFinite)) return null;
  const mean = (k: 0 | 1 | 2) => points.reduce((sum, p) => sum + p[k], 0) / n;
  const [mx, my, mz] = [mean(0), mean(1), mean(2)];
  let [sxx, sxy, syy, sxz, syz] = [0, 0, 0, 0, 0];
  for (const [x, y, z] of points) {
    sxx += (x - mx) ** 2;
    sxy += (x - mx) * (y - my);
    syy += (y - my) ** 2;
    sxz += (x - mx) * (z - mz);
    syz += (y - my) * (z - mz);
  }
  const determinant = sxx * syy - sxy * sxy;
  if (!(determinant > 1e-9 * Math.max(sxx * syy, 1e-12))) return null;
  const b = (sxz * syy - syz * sxy) / determinant;
  const c = (syz * sxx - sxz * sxy) / determinant;
  const a = mz - b * mx - c * my;
  const residuals = points.map(([x, y, z]) => z - (a + b * x + c * y));
  return {
    a,
    b,
    c,
    residualMax: Math.max(...residuals.map(Math.abs)),
    flatness: Math.max(...residuals) - Math.min(...residuals),
  };
}

/** Thickness in mm at the four corners of a rectangle lx by ly; z01 is at x 0, y ly. */
export interface Corners {
  lx: number;
  ly: number;
  z00: number;
  z10: number;
  z01: number;
  z11: number;
}

/**
 * Mean, taper along each side (positive: thicker at the larger coordinate), twist and parallelism (max − min), mm.
 * @returns null for a side without length, or a corner that was not read
 */
export function cornerMap(c: Corners) {
  if (!positive(c.lx, c.ly, c.z00, c.z10, c.z01, c.z11)) return null;
  const all = [c.z00, c.z10, c.z01, c.z11];
  const taperX = (c.z10 + c.z11 - c.z00 - c.z01) / 2;
  const taperY = (c.z01 + c.z11 - c.z00 - c.z10) / 2;
  return {
    mean: all.reduce((sum, z) => sum + z, 0) / 4,
    taperX,
    taperY,
    taperXPer100: (taperX / c.lx) * 100,
    taperYPer100: (taperY / c.ly) * 100,
    twist: (c.z00 - c.z10 - c.z01 + c.z11) / 4,
    parallelism: Math.max(...all) - Math.min(...all),
  };
}
