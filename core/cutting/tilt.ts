import type { Mm } from "../quantity/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { note, rule, type Warning } from "../working/index.ts";

const radians = (degrees: number) => (degrees * Math.PI) / 180;

export type TiltCase = "headKnee" | "headQuill" | "part";

export interface TiltedStep {
  /** Depth under the end of the cutter, square to the cut face, mm. */
  depth: Mm;
  /** Removed at the side of the cutter, or the sideways shift of the quill, or how far the edge goes back, mm. */
  across: Mm;
  warnings: Warning[];
}

/**
 * A step s under a tilt θ (domain.md 8), three cases. Head tilted and the knee or headstock moved: depth s cos θ under the
 * end, s sin θ at the side. Head tilted and the quill moved: depth s along the axis and a sideways shift s sin θ. Part
 * tilted: depth s, the edge goes back s / sin θ. M33: the step is not the depth, and it says so.
 * @returns null for an angle outside 0 (part: above 0) to 89°
 */
export function tiltedStep(kind: TiltCase, s: Mm, theta: number): TiltedStep | null {
  if (!(s >= 0) || !(theta >= 0) || theta > 89 || (kind === "part" && theta === 0)) return null;
  const [sin, cos] = [Math.sin(radians(theta)), Math.cos(radians(theta))];
  const depth = kind === "headKnee" ? s * cos : s;
  const across = kind === "part" ? s / sin : s * sin;
  const differs = Math.abs(depth - s) > 0.005 || (kind === "headQuill" && across > 0.005);
  const warnings = !differs
    ? []
    : [
        note(
          kind === "headKnee"
            ? rule(
                "M33.tilt",
              )`Moving ${mm(s)} feeds the tilted cutter ${mm(depth)} deep, not ${mm(s)}: for that depth move ${mm(cos > 0 ? s / cos : s)}.`
            : rule(
                "M33.tilt",
              )`The quill goes ${mm(depth)} along its axis and ${mm(across)} sideways at ${quantity("angle", theta)}: knee and quill no longer add up to one Z.`,
        ),
      ];
  return { depth, across, warnings };
}

/**
 * The tilt of a head from the ridge it left between two lanes: sin θ = ridge / step-over, degrees.
 * @returns null for a ridge higher than the lanes lie apart, or no step-over
 */
export const tiltFromRidge = (ridge: Mm, stepover: Mm): number | null =>
  ridge >= 0 && stepover > 0 && ridge < stepover ? (Math.asin(ridge / stepover) * 180) / Math.PI : null;

/**
 * A face milled with the head out of tram: trough across each lane (R − √(R² − (ae/2)²)) · tan(tilt along), and the step
 * between lanes stepover · sin(tilt across), mm.
 */
export function tramMarks(
  diameter: Mm,
  ae: Mm,
  tiltAlong: number,
  tiltAcross: number,
): { trough: Mm; step: Mm } | null {
  const r = diameter / 2;
  if (!(ae > 0) || !(ae <= diameter)) return null;
  return {
    trough: (r - Math.sqrt(r ** 2 - (ae / 2) ** 2)) * Math.tan(radians(tiltAlong)),
    step: ae * Math.sin(radians(tiltAcross)),
  };
}
