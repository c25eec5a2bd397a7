import { type Axis, axisNames, type Face, facesOf, type Sizes } from "../frame/index.ts";
import { type ConditionFacts, type SkinOf, skinOf, underSkin } from "../handbook/index.ts";
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
  /** What comes off a face at its highest spot when it is cut first of the two; the one across takes the rest. */
  first: Partial<Record<Face, number>>;
  /** Both faces give alike, by choice. */
  evenly: boolean;
}

/** Under a face without a skin this much is taken to clean it up, mm. */
const leastShare = 0.1;

/** How a lump is looked at besides its sizes. */
export interface SpareAsked {
  /** Faces whose skin the drawing lets stand in places: it need not be got beneath. */
  mayStayRaw?: (face: Face) => boolean;
  /** Some materials have a skin of their own. */
  material?: SkinOf;
  /** Both faces give alike, against bow, or where features count from the middle: the person's choice. */
  evenly?: boolean;
}

/**
 * Spare of one size (M01). Enough: smallest − finished max ≥ skins. Tight: smallest − finished min ≥ skins. Else short.
 * Of a pair the face cut first takes only what cleans it up, under its skin; the second goes to size with the rest.
 */
export function spareOf(
  stock: Stock,
  axis: Axis,
  limits: Limits,
  { mayStayRaw = () => false, material, evenly = false }: SpareAsked = {},
): Spare {
  const readings = readingsAlong(stock, axis);
  const [low, high] = facesOf(axis);
  const factsOf = (face: Face) => {
    const facts = skinOf(conditionAt(stock, face), material);
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
      first: {},
      evenly,
    };
  }
  const largest = Math.max(...readings);
  const smallest = Math.min(...readings);
  const spread = tidy(largest - smallest);
  const enough = tidy(smallest - limits.upper - skins) >= 0;
  const tight = tidy(smallest - limits.lower - skins) >= 0;
  const spare = tidy(smallest - target);
  const comesOff = Math.max(0, tidy(largest - target));
  const mayStay = (face: Face) => mayStayRaw(face) || facts[face === low ? "low" : "high"].machined;
  const isThere = smallest >= limits.lower && largest <= limits.upper && mayStay(low) && mayStay(high);
  const firstOf = (mine: ConditionFacts, other: ConditionFacts): number => {
    if (isThere) return 0;
    const above = Math.max(spare, 0);
    // Short of skins: both faces get their part of what there is.
    if (above < skins) return Math.min(above * (mine.skin / skins) + spread / 2, comesOff);
    if (evenly) return (comesOff - skins) / 2 + mine.skin;
    const cleans = (mine.skin > 0 ? mine.skin + underSkin : leastShare) + spread / 2;
    return Math.min(cleans, Math.max(comesOff - other.skin, comesOff / 2));
  };
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
    first: { [low]: tidy(firstOf(facts.low, facts.high)), [high]: tidy(firstOf(facts.high, facts.low)) },
    evenly,
  };
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
