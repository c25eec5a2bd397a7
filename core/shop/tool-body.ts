import { cutterKindFacts } from "../handbook/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter } from "./cutter.ts";
import { type Holder, type HolderKind, holderOf } from "./holder.ts";

/** One round piece of what stands in the spindle, measured up from the end of the cutter, mm. */
export interface Round {
  what: "cutter" | "shank" | "holder" | "spindle nose";
  low: Mm;
  high: Mm;
  radiusLow: Mm;
  radiusHigh: Mm;
}

/** What stands in the spindle. */
export interface Tool {
  cutter: Cutter;
  /** Radius that cuts, run-out with it. */
  radius: Mm;
  /** Flat at its end and straight all along its teeth: what it cuts at one depth is a region of the plane. */
  flat: boolean;
  /** Length of its teeth. */
  flute: Mm;
  /** The pieces that cut. */
  cutting: readonly Round[];
  /** What is above its teeth. */
  above: readonly Round[];
  /** From its end to the spindle nose. */
  reach: Mm;
}

/** Holders are about this wide (guess), mm. */
export const holderRadius: Record<HolderKind, Mm> = {
  collet: 20,
  endMillHolder: 22,
  drillChuck: 20,
  shellArbor: 20,
  arbor: 20,
};
/** Half the width of a spindle nose, mm (guess). */
export const noseRadius = 40;
const reamedOver = 0.008;
const usualReach = 40;
/** Neck of a Woodruff cutter over its diameter (guess: the shop does not hold it). */
const neckShare = 0.3;
const pointHalf = 59;
const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

/** The teeth of a cutter as rounds from its end up. */
function teethOf(cutter: Cutter, radius: Mm): Round[] {
  const { fluteLength: flute, enteringAngle: angle, kind } = cutter;
  const round = (low: Mm, high: Mm, radiusLow: Mm, radiusHigh: Mm): Round => ({
    what: "cutter",
    low,
    high,
    radiusLow,
    radiusHigh,
  });
  const straight = [round(0, flute, radius, radius)];
  switch (kind) {
    case "twistDrill":
    case "spotDrill": {
      const point = radius / tan(kind === "spotDrill" ? 45 : pointHalf);
      return [round(0, point, 0.01, radius), round(point, Math.max(flute, point + 0.1), radius, radius)];
    }
    case "chamfer":
    case "countersink": {
      const cone = radius * tan(angle);
      return [round(0, cone, 0.01, radius), round(cone, Math.max(flute, cone + 0.1), radius, radius)];
    }
    case "ballEnd": {
      const steps = 6;
      const ring = (i: number) => (i / steps) * (Math.PI / 2);
      return [
        ...Array.from({ length: steps }, (_, i) =>
          round(
            radius * (1 - Math.cos(ring(i))),
            radius * (1 - Math.cos(ring(i + 1))),
            Math.max(0.01, radius * Math.sin(ring(i))),
            radius * Math.sin(ring(i + 1)),
          ),
        ),
        round(radius, Math.max(flute, radius + 0.1), radius, radius),
      ];
    }
    case "dovetail": {
      const neck = Math.max(0.5, radius - flute / tan(angle === 90 ? 60 : angle));
      return [round(0, flute, radius, neck)];
    }
    default:
      return straight;
  }
}

const flatKinds = new Set([
  "endMill",
  "cornerRadius",
  "roughing",
  "faceMill",
  "shellMill",
  "flyCutter",
  "reamer",
  "counterbore",
  "boringHead",
]);

/** What stands in the spindle when a cutter is put in as the shop says. */
export function toolOf(cutter: Cutter, shop: { holders: Holder[] }): Tool {
  // A reamer is ground to the middle of the hole's zone.
  const over = cutter.kind === "reamer" ? reamedOver : (cutter.runOut ?? 0);
  const radius = (cuttingDiameter(cutter) + over) / 2;
  const cutting = teethOf(cutter, radius);
  const flute = Math.max(...cutting.map((r) => r.high));
  const held = holderOf(cutter, shop);
  const holder = held.ok ? held.value : null;
  const reach = cutter.stickout + (holder?.reach ?? usualReach);
  const { mount } = cutterKindFacts[cutter.kind];
  const shank = mount === "shank" ? cutter.shank / 2 : Math.min(radius - 1, 16);
  const rounds: Round[] = [];
  const shankRound = (low: Mm, high: Mm, r: Mm): Round => ({
    what: "shank",
    low,
    high,
    radiusLow: r,
    radiusHigh: r,
  });
  // A disc on a shank is relieved above its teeth for the seat it is made for.
  const neck = cutter.kind === "woodruff" ? Math.min(shank, neckShare * radius) : shank;
  const relieved = Math.min(cutter.stickout, flute + (neck < shank ? radius : 0));
  if (relieved > flute) rounds.push(shankRound(flute, relieved, neck));
  if (cutter.stickout > relieved) rounds.push(shankRound(relieved, cutter.stickout, shank));
  const wide = holderRadius[holder?.kind ?? "collet"];
  const from = Math.max(cutter.stickout, flute);
  rounds.push(
    { what: "holder", low: from, high: Math.max(reach, from + 1), radiusLow: wide, radiusHigh: wide },
    {
      what: "spindle nose",
      low: Math.max(reach, from + 1),
      high: Math.max(reach, from + 1) + 60,
      radiusLow: noseRadius,
      radiusHigh: noseRadius,
    },
  );
  return { cutter, radius, flat: flatKinds.has(cutter.kind), flute, cutting, above: rounds, reach };
}
