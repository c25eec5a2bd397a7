import type { Material } from "../handbook/index.ts";
import { type Phrase, rule } from "../working/index.ts";

/** From this much metal a minute a brush no longer cools, cm³/min (guess). */
const brushed = 10;

export interface CutForFluid {
  /** How the cutter meets the metal: along its way, straight down, or as a tap turned by hand. */
  goes: "along" | "down" | "byHand";
  /** Metal taken off, cm³/min. */
  removal: number;
}

const fluidRule = rule("fluid");

/** Whether a material is cut dry first of all. */
export const cutsDry = ({ fluid }: Pick<Material, "fluid">): boolean => /^dry/.test(fluid);

/**
 * Which fluid, and how it gets to the edge at this cut: none where the material is cut dry, brushed on while little comes off,
 * in a steady flow where much does; before a plunge, since none reaches the point in the hole (domain.md 6, by the handbook's
 * materials).
 */
export function fluidWords(material: Pick<Material, "fluid">, { goes, removal }: CutForFluid): Phrase {
  const { fluid } = material;
  if (fluid === "") return fluidRule`No cutting fluid is listed: ask before you use one.`;
  if (cutsDry(material)) return fluidRule`Cut it ${fluid}: brush or vacuum the chips, never blow them.`;
  if (goes === "byHand") return fluidRule`Oil the tap before it starts and after every turn back (${fluid}).`;
  if (goes === "down")
    return fluidRule`Cutting fluid: ${fluid}. Apply before it goes down, and again each time it comes out.`;
  return removal > brushed
    ? fluidRule`Cutting fluid: ${fluid}. Heavy cut: keep it flowing; without a pump, brush it on all through the cut.`
    : fluidRule`Cutting fluid: ${fluid}. Brush it on before each stroke.`;
}
