import {
  cutterKindFacts,
  isCarbide,
  type Material,
  type Range,
  stickoutSteps,
  type ToolMaterial,
  wordsFor,
} from "../handbook/index.ts";
import { type Mm, type MPerMin, positive, quantity, type Rpm } from "../quantity/index.ts";
import {
  type Cutter,
  cuttingDiameter,
  houseFactor,
  type HouseRule,
  type Machine,
  pickSetting,
  speedSpan,
  type SpindleSetting,
} from "../shop/index.ts";
import { note, rule, warn, type Warning } from "../working/index.ts";

/** Spindle speed for a cutting speed on a diameter: n = 1000 vc / (π D). NaN for a speed or a diameter that is not positive. */
export const spindleSpeed = (vc: MPerMin, diameter: Mm): Rpm =>
  positive(vc, diameter) ? (1000 * vc) / (Math.PI * diameter) : NaN;

/** Cutting speed of a diameter at a spindle speed: vc = π D n / 1000. NaN for a speed or a diameter that is not positive. */
export const cuttingSpeed = (n: Rpm, diameter: Mm): MPerMin =>
  positive(n, diameter) ? (Math.PI * diameter * n) / 1000 : NaN;

/**
 * Where in its range a tool material aims: HSS and cobalt at the lower third, carbide in the middle (domain.md 6); as quick
 * as possible: the middle and the upper third.
 */
export function aimedSpeed([low, high]: Range, tool: ToolMaterial, quick = false): MPerMin {
  const share = isCarbide(tool) ? (quick ? 2 / 3 : 1 / 2) : quick ? 1 / 2 : 1 / 3;
  return low + (high - low) * share;
}

/** What a long tool takes off speed and feed: stickout over diameter against the steps of domain.md 6; null when too long. */
export function stickoutFactor(cutter: Cutter): { ratio: number; speed: number; feed: number } | null {
  if (cutterKindFacts[cutter.kind].mount !== "shank") return { ratio: 0, speed: 1, feed: 1 };
  const ratio = cutter.stickout / cuttingDiameter(cutter);
  const step = stickoutSteps.find((s) => ratio <= s.upTo + 1e-9);
  return step ? { ratio, speed: step.speed, feed: step.feed } : null;
}

export interface SpeedChoice extends SpindleSetting {
  /** Range of the handbook with what kind, stickout and house rules make of it, m/min. */
  vcRange: Range;
  /** What was put on the handbook's range. */
  factor: number;
  vcWanted: MPerMin;
  wanted: Rpm;
  vc: MPerMin;
  warnings: Warning[];
}

interface SpeedRequest {
  machine: Machine;
  material: Material;
  cutter: Cutter;
  /** Diameter the speed counts on, mm. */
  diameter: Mm;
  rules?: HouseRule[];
  quick?: boolean;
  /** The person's own speed, rpm. */
  own?: Rpm | null;
  /** Fastest at which the quickest feed there is still makes a chip, rpm. */
  chipTop?: Rpm;
}

/**
 * The machine's step nearest by ratio to the wanted speed, never above the top of the range. No step inside the range:
 * the lower neighbor, and it says so; all steps too fast: the slowest, with a warning (M21). An own speed is set to the
 * nearest the machine has, and its consequence told.
 */
export function chooseSpeed(request: SpeedRequest): SpeedChoice {
  const {
    machine,
    material,
    cutter,
    diameter,
    rules = [],
    quick = false,
    own = null,
    chipTop = Infinity,
  } = request;
  const house = houseFactor(rules, "speed", { machine, cutter, materialId: material.id });
  const factor =
    cutterKindFacts[cutter.kind].speed *
    (stickoutFactor(cutter) ?? stickoutSteps.at(-1)!).speed *
    house.factor;
  const published = material.speeds[cutter.material];
  const vcRange: Range = [published[0] * factor, published[1] * factor];
  const vcWanted = aimedSpeed(vcRange, cutter.material, quick);
  const wanted = spindleSpeed(vcWanted, diameter);
  const top = spindleSpeed(vcRange[1], diameter);
  const setting =
    own === null
      ? pickSetting(machine, Math.min(wanted, chipTop), Math.min(top, chipTop))
      : pickSetting(machine, own);
  const slowed = own === null && chipTop < pickSetting(machine, wanted, top).rpm;
  const vc = cuttingSpeed(setting.rpm, diameter);
  const tool = wordsFor.toolMaterial[cutter.material];
  const warnings: Warning[] = [];
  const bears = quantity("cuttingSpeed", vcRange[1]);
  if (own !== null && vc > vcRange[1] * (1 + 1e-9)) {
    const would = pickSetting(machine, wanted, top).rpm;
    warnings.push(
      warn(
        rule(
          "M21.speed",
        )`${quantity("cuttingSpeed", vc)} at ${quantity("spindleSpeed", setting.rpm)}: ${tool} in this material allows ${bears}, the edge will not last. ${quantity("spindleSpeed", would)} would do.`,
      ),
    );
  } else if (vc > vcRange[1] * (1 + 1e-9)) {
    warnings.push(
      warn(
        rule(
          "M21.tooFast",
        )`The slowest speed gives ${quantity("cuttingSpeed", vc)}; ${tool} in this material allows ${bears}. A smaller cutter would do.`,
      ),
    );
  } else if (slowed) {
    warnings.push(
      note(
        rule(
          "speed.slowed",
        )`Feed is the limit here: ${tool} could run faster, but the chip would get too thin and rub.`,
      ),
    );
  } else if (vc < vcRange[0] * (1 - 1e-9)) {
    const [, fastest] = speedSpan(machine);
    warnings.push(
      note(
        fastest <= setting.rpm
          ? rule(
              "speed.topsOut",
            )`Top spindle speed is ${quantity("spindleSpeed", fastest)}; ${tool} could run faster.`
          : rule("speed.lowerNeighbor")`No spindle speed falls in the range; using the next one down.`,
      ),
    );
  }
  if (setting.range.reversed) {
    warnings.push(
      note(
        rule(
          "M18.reversed",
        )`In the ${setting.range.name || "chosen range"} the spindle turns the other way for the same switch position: reverse the switch, and check the rotation before the first cut.`,
      ),
    );
  }
  return { ...setting, vcRange, factor, vcWanted, wanted, vc, warnings };
}
