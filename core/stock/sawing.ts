import { type Material, sawFactsOf, sawShare, teethInSection } from "../handbook/index.ts";
import { type Minutes, mm, type Mm, quantity } from "../quantity/index.ts";
import type { Saw } from "../shop/index.ts";
import { note, say, stop, type Warning, warn } from "../working/index.ts";

/** Putting the bar in, setting the stop, taking the piece away, a cut (guess), minutes. */
export const sawHandling = 2;
/** Below this a piece is not held by hand at a saw or a grinder, mm. */
export const handHeld = 50;

/** Teeth a blade has in a section. @param section mm of metal the blade goes through @param perInch teeth an inch */
export const teethIn = (section: Mm, perInch: number): number => (section * perInch) / 25.4;

/** The coarsest blade that still has three teeth in the section, else two; null where none has. Coarse cuts faster. */
export function bladeFor(section: Mm, blades: readonly number[]): number | null {
  const sorted = [...blades].sort((a, b) => a - b);
  const within = (least: number) =>
    sorted.find((b) => teethIn(section, b) >= least - 1e-9 && teethIn(section, b) <= teethInSection.most);
  return (
    within(teethInSection.better) ??
    within(teethInSection.least) ??
    // All too fine: the coarsest of them.
    (sorted[0] !== undefined && teethIn(section, sorted[0]) > teethInSection.most ? sorted[0] : null)
  );
}

/** The least teeth an inch for two and for three teeth in a section. */
export const leastTeeth = (section: Mm) => ({
  two: (teethInSection.least * 25.4) / section,
  three: (teethInSection.better * 25.4) / section,
});

/** A saw cut as it is planned. */
export interface SawCut {
  /** Blade to fit; null where none that is owned will do. */
  blade: number | null;
  teeth: number | null;
  /** Speed of the blade to choose, m/min: the fastest of the saw's within the band, else the nearest below; null where none is known. */
  speed: number | null;
  band: readonly [number, number];
  /** Least and most. Cutting and handling. */
  minutes: { least: Minutes; most: Minutes };
  warnings: Warning[];
}

/**
 * A cut through a section: blade by the teeth in it, speed by the material, minutes by area.
 * @param section thinnest and widest the blade meets, mm, and its area, mm²
 * @param piece the shorter of what is left and what comes off, mm
 */
export function sawCut(
  saw: Saw,
  material: Pick<Material, "group" | "speeds" | "name">,
  section: { thin: Mm; wide: Mm; area: number },
  piece: Mm,
): SawCut {
  const { speed: band, rate } = sawFactsOf(material);
  // A flat lies with its wide side down: the blade goes through its width. A wall of it is what it is.
  const through = section.thin;
  const blade = bladeFor(through, saw.blades);
  const speed = saw.speeds.length === 0 ? null : (saw.speeds.findLast((s) => s <= band[1]) ?? saw.speeds[0]!);
  const share = sawShare[saw.kind];
  const minutes = (cm2aMinute: number) => section.area / 100 / (cm2aMinute * share) + sawHandling;
  const warnings: Warning[] = [];
  const fitted = saw.fitted;
  if (section.thin > saw.takes)
    warnings.push(
      stop(say`${saw.name} takes up to ${mm(saw.takes)}, and the section is ${mm(section.thin)} thick.`),
    );
  if (fitted !== null && teethIn(through, fitted) < teethInSection.least)
    warnings.push(
      stop(
        say`The blade fitted has ${quantity("ratio", round1(teethIn(through, fitted)))} teeth in ${mm(through)}: teeth catch and strip below 2. ${blade === null ? say`A blade of at least ${Math.ceil(leastTeeth(through).two)} teeth an inch is needed, and none is owned.` : say`Fit the one of ${blade} an inch.`}`,
      ),
    );
  else if (blade === null)
    warnings.push(
      warn(
        say`No blade owned has two teeth in ${mm(through)}. Get one of at least ${Math.ceil(leastTeeth(through).two)} teeth an inch.`,
      ),
    );
  else if (fitted !== null && blade !== fitted)
    warnings.push(note(say`Fit the blade of ${blade} teeth an inch; ${fitted} is fitted.`));
  if (speed !== null && speed > band[1])
    warnings.push(
      warn(
        say`The slowest speed of ${saw.name} is ${quantity("cuttingSpeed", speed)}; ${material.name} wants at most ${quantity("cuttingSpeed", band[1])}. Saw with little pressure, and with coolant.`,
      ),
    );
  if (saw.throat > 0 && piece < saw.throat)
    warnings.push(
      warn(
        say`The piece is ${mm(piece)} long and the opening at the blade ${mm(saw.throat)}: put a plate with a slit for the blade under it.`,
      ),
    );
  if (piece < handHeld && saw.kind === "uprightBand")
    warnings.push(
      warn(
        say`${mm(piece)} is too short to be held by hand at the saw. Hold it in a clamp, push it with a stick.`,
      ),
    );
  if (material.group === "tough")
    warnings.push(
      note(say`It comes off hot. Cool it in water before it is touched, and hold it with pliers until then.`),
    );
  return {
    blade,
    teeth: blade === null ? null : teethIn(through, blade),
    speed,
    band,
    minutes: { least: minutes(rate[1]), most: minutes(rate[0]) },
    warnings,
  };
}

const round1 = (value: number) => Math.round(value * 10) / 10;
