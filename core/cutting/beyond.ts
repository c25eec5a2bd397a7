import { type Kw, type Mm, mm, quantity } from "../quantity/index.ts";
import { type Limit, rule, warn, type Warning } from "../working/index.ts";

/** What an own depth goes beyond (M21): the limit by name, the power wanted of what there is, and what would do. */
export function beyondLimits(
  limits: Limit[],
  depth: Mm,
  power: Kw,
  spindlePower: Kw,
  allowed: Mm,
): Warning[] {
  return limits
    .filter((limit) => depth > limit.allows.value + 1e-9)
    .map((limit) =>
      limit.id === "power"
        ? warn(
            rule(
              "M21.power",
            )`${quantity("power", power)} needed of ${quantity("power", spindlePower)} at the spindle: ${power > spindlePower ? "too much" : "little in reserve"}; ${mm(allowed)} would do.`,
          )
        : warn(
            rule(
              "M21.depth",
            )`${mm(depth)} per pass is beyond the ${limit.name}: it allows ${mm(limit.allows.value)}.`,
          ),
    );
}
