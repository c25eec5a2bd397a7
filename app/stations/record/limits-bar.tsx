import { chakra } from "@chakra-ui/react";
import type { Limits, Mm } from "../../../core/quantity/index.ts";

/** Readings against their limits: the band between, where they lie, and how far each may be off by its instrument. */
export function LimitsBar({ limits, readings, u }: { limits: Limits; readings: readonly Mm[]; u: Mm }) {
  const band = limits.upper - limits.lower;
  if (readings.length === 0 || !(band > 0)) return null;
  const [least, most] = [Math.min(...readings), Math.max(...readings)];
  // Half a band beyond either limit is shown; what lies further off stands at the rim.
  const x = (value: Mm) => Math.min(98, Math.max(2, 25 + ((value - limits.lower) / band) * 50));
  const inside = least >= limits.lower && most <= limits.upper;
  const color = `var(--chakra-colors-${inside ? "good" : "warn"})`;
  return (
    <chakra.svg viewBox="0 0 100 14" width="110px" height="16px" aria-hidden="true">
      <rect x={25} y={3} width={50} height={8} fill="none" stroke="var(--chakra-colors-good)" />
      <rect
        x={x(least - u)}
        y={4.5}
        width={Math.max(0.8, x(most + u) - x(least - u))}
        height={5}
        fill={color}
        opacity={0.35}
      />
      <rect x={x(least)} y={2} width={Math.max(1.4, x(most) - x(least))} height={10} fill={color} />
    </chakra.svg>
  );
}
