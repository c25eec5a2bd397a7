import { type Material, type Range, type ToolMaterial, wordsFor } from "../handbook/index.ts";
import type { Mm, MPerMin, Rpm } from "../quantity/index.ts";
import { quantity } from "../quantity/index.ts";
import { type Machine, nearestByRatio } from "../shop/index.ts";
import { note, rule, warn, type Warning } from "../working/index.ts";

/** Spindle speed for a cutting speed on a diameter: n = 1000 vc / (π D). NaN for a diameter that is not positive. */
export const spindleSpeed = (vc: MPerMin, diameter: Mm): Rpm =>
  diameter > 0 ? (1000 * vc) / (Math.PI * diameter) : NaN;

/** Cutting speed of a diameter at a spindle speed: vc = π D n / 1000. */
export const cuttingSpeed = (n: Rpm, diameter: Mm): MPerMin => (Math.PI * diameter * n) / 1000;

/** Where in its range a tool material aims: HSS and cobalt at the lower third, carbide in the middle (domain.md 6). */
export function aimedSpeed([low, high]: Range, tool: ToolMaterial): MPerMin {
  return tool === "hss" || tool === "cobalt" ? low + (high - low) / 3 : (low + high) / 2;
}

export interface SpeedChoice {
  range: Range;
  vcWanted: MPerMin;
  wanted: Rpm;
  rpm: Rpm;
  setting: string;
  vc: MPerMin;
  warnings: Warning[];
}

/**
 * The machine's step nearest by ratio to the wanted speed, never above the top of the range. No step inside the range:
 * the lower neighbor, and it says so; all steps too fast: the slowest, with a warning.
 */
export function chooseSpeed(
  machine: Machine,
  material: Material,
  tool: ToolMaterial,
  diameter: Mm,
): SpeedChoice {
  const range = material.speeds[tool];
  const vcWanted = aimedSpeed(range, tool);
  const wanted = spindleSpeed(vcWanted, diameter);
  const steps = machine.speeds.map((s) => s.rpm);
  const allowed = steps.filter((n) => cuttingSpeed(n, diameter) <= range[1] * (1 + 1e-9));
  const warnings: Warning[] = [];
  const rpm = nearestByRatio(allowed, wanted) ?? Math.min(...steps);
  const vc = cuttingSpeed(rpm, diameter);
  if (allowed.length === 0) {
    warnings.push(
      warn(
        rule(
          "M21.tooFast",
        )`The slowest step gives ${quantity("cuttingSpeed", vc)}; ${wordsFor.toolMaterial[tool]} in this material bears ${quantity("cuttingSpeed", range[1])}. A smaller cutter would do.`,
      ),
    );
  } else if (vc < range[0] * (1 - 1e-9)) {
    warnings.push(
      note(
        rule(
          "speed.lowerNeighbor",
        )`No step of the machine lies inside the range; the next lower one is taken.`,
      ),
    );
  }
  return {
    range,
    vcWanted,
    wanted,
    rpm,
    setting: machine.speeds.find((s) => s.rpm === rpm)!.setting,
    vc,
    warnings,
  };
}
