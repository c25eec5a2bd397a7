import { type Axis, axisNames, type Face, facesOf, type Sizes } from "../frame/index.ts";
import { conditionFacts } from "../handbook/index.ts";
import { type Limits, middle, tidy } from "../quantity/index.ts";
import { conditionAt, readingsAlong, type Stock } from "./stock.ts";

export type SpareVerdict = "enough" | "tight" | "short" | "unmeasured";

/** What one size of the lump has to give. All mm. */
export interface Spare {
  axis: Axis;
  verdict: SpareVerdict;
  largest: number;
  smallest: number;
  spread: number;
  target: number;
  limits: Limits;
  /** Sum of the skins of both faces. */
  skins: number;
  /** Smallest reading − target. */
  spare: number;
  /** How much is missing when short, else 0. */
  shortfall: number;
  /** Largest size the stock surely gives: what a retarget may ask for. */
  reachable: number;
  /** What comes off each face at its highest spot; together largest − target. */
  removal: Partial<Record<Face, number>>;
}

/** A face worth cutting gives at least this much when there is any, mm. */
const leastShare = 0.1;

/**
 * Spare of one size (M01). Enough: smallest − finished max ≥ skins. Tight: smallest − finished min ≥ skins. Else short.
 * The spare is split so that each face clears its skin, the flatter and cleaner face getting less.
 * @param mayStayRaw faces whose skin the drawing lets stand in places: it need not be got beneath
 */
export function spareOf(
  stock: Stock,
  axis: Axis,
  limits: Limits,
  mayStayRaw: (face: Face) => boolean = () => false,
): Spare {
  const readings = readingsAlong(stock, axis);
  const [low, high] = facesOf(axis);
  const factsOf = (face: Face) => {
    const facts = conditionFacts[conditionAt(stock, face)];
    return mayStayRaw(face) ? { ...facts, skin: 0 } : facts;
  };
  const facts = { low: factsOf(low), high: factsOf(high) };
  const skins = facts.low.skin + facts.high.skin;
  const target = middle(limits);
  if (readings.length === 0) {
    return {
      axis,
      verdict: "unmeasured",
      largest: NaN,
      smallest: NaN,
      spread: 0,
      target,
      limits,
      skins,
      spare: NaN,
      shortfall: 0,
      reachable: NaN,
      removal: {},
    };
  }
  const largest = Math.max(...readings);
  const smallest = Math.min(...readings);
  const spread = tidy(largest - smallest);
  const enough = tidy(smallest - limits.upper - skins) >= 0;
  const tight = tidy(smallest - limits.lower - skins) >= 0;
  const spare = tidy(smallest - target);
  const weight = facts.low.flatness / (facts.low.flatness + facts.high.flatness);
  const removal = { [low]: 0, [high]: 0 } as Partial<Record<Face, number>>;
  if (largest > target) {
    const above = Math.max(spare, 0);
    // Short of skins: both faces get their part of what there is. Else skins first, the rest by flatness.
    const lowShare =
      above < skins
        ? above * (facts.low.skin / skins)
        : facts.low.skin + (above - skins) * clampShare(weight, above - skins);
    removal[low] = tidy(Math.min(lowShare + spread * weight, largest - target));
    removal[high] = tidy(largest - target - removal[low]);
  }
  return {
    axis,
    verdict: enough ? "enough" : tight ? "tight" : "short",
    largest,
    smallest,
    spread,
    target,
    limits,
    skins,
    spare,
    shortfall: enough || tight ? 0 : tidy(skins - (smallest - limits.lower)),
    reachable: tidy(smallest - skins),
    removal,
  };
}

/** Keeps the share of the cleaner face from vanishing when there is enough for both. */
function clampShare(weight: number, rest: number): number {
  if (rest <= 2 * leastShare) return 0.5;
  const least = leastShare / rest;
  return Math.min(Math.max(weight, least), 1 - least);
}

/**
 * The way the lump should lie: the stock's sizes matched in order of size with the part's, so that the longest lies along
 * the longest. Sizes not measured keep their place.
 */
export function matchedInOrder(stock: Stock, target: Sizes): Record<Axis, Axis> {
  const straight = { ...stock, lies: { length: "length", width: "width", height: "height" } as const };
  const bySize = (size: (axis: Axis) => number) => [...axisNames].sort((a, b) => size(b) - size(a));
  const measured = axisNames.every((axis) => readingsAlong(straight, axis).length > 0);
  if (!measured) return straight.lies;
  const lump = bySize((axis) => Math.min(...readingsAlong(straight, axis)));
  const part = bySize((axis) => target[axis]);
  return Object.fromEntries(part.map((axis, i) => [axis, lump[i]!])) as Record<Axis, Axis>;
}
