import type { Material, Range } from "./materials.ts";
import type { ToolMaterial } from "./word-lists.ts";

/** How far published values reach beyond the band where handbooks overlap, as factors on its ends. */
const spread: Range = [0.68, 1.35];

/** Whether a cutting speed lies where handbooks agree, where any publishes, or outside. */
export function judgeSpeed(material: Material, tool: ToolMaterial, vc: number): "core" | "outer" | "out" {
  const [low, high] = material.speeds[tool];
  if (vc >= low && vc <= high) return "core";
  return vc >= low * spread[0] && vc <= high * spread[1] ? "outer" : "out";
}
