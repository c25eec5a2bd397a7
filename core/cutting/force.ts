import { type Kw, type Mm, notNegative, positive, type Rpm, wholeTeeth } from "../quantity/index.ts";
import { engagementAngle, meanChipSide, sideChip } from "./chip.ts";
import { cuttingPower, specificForce } from "./power.ts";
import { cuttingSpeed } from "./speed.ts";

/** Forces of one cut (Kienzle). N, N·m, mm, degrees; null or NaN where the inputs cannot be. */

/** Torque at the spindle: M = P · 30 000 / (π n), N·m. NaN at standstill. */
export const torque = (power: Kw, n: Rpm): number =>
  notNegative(power) && positive(n) ? (power * 30_000) / (Math.PI * n) : NaN;

/** Metal removed: Q = ap ae vf / 1000, cm³/min. */
export const removalRate = (ap: Mm, ae: Mm, vf: number): number =>
  notNegative(ap, ae, vf) ? (ap * ae * vf) / 1000 : NaN;

/** Mean tangential force over a turn: Ft = 60 000 P / vc, N. */
export const meanForce = (power: Kw, vc: number): number =>
  notNegative(power) && positive(vc) ? (60_000 * power) / vc : NaN;

/** Mean force of one tooth while it cuts: kc · ap · hm (square shoulder), N. */
export const toothForce = (kc: number, ap: Mm, hm: Mm): number =>
  notNegative(kc, ap, hm) ? kc * ap * hm : NaN;

/** Teeth in the cut on average: z · φ / 360. */
export const teethEngaged = (teeth: number, engagement: number): number =>
  wholeTeeth(teeth) ? (teeth * engagement) / 360 : NaN;

export interface SideCut {
  diameter: Mm;
  teeth: number;
  ap: Mm;
  ae: Mm;
  fz: Mm;
  n: Rpm;
  kc11: number;
  mc: number;
}

/** The whole chain from cutter and engagement to force and power, engagement counted from the edge of the work. */
export function cutChain(c: SideCut) {
  const chip = meanChipSide(c.fz, c.ae, c.diameter);
  const largest = sideChip(c.fz, c.ae, c.diameter);
  if (!chip || !largest || !positive(c.n, c.ap, c.kc11) || !wholeTeeth(c.teeth)) return null;
  if (!(c.mc >= 0 && c.mc < 1)) return null;
  const kc = specificForce(c.kc11, c.mc, chip.hm);
  const vf = c.fz * c.teeth * c.n;
  const power = cuttingPower(c.ap, c.ae, vf, kc);
  return {
    hm: chip.hm,
    kc,
    vf,
    removal: removalRate(c.ap, c.ae, vf),
    power,
    torque: torque(power, c.n),
    meanForce: meanForce(power, cuttingSpeed(c.n, c.diameter)),
    hex: largest.hex,
    peakTooth: specificForce(c.kc11, c.mc, largest.hex) * c.ap * largest.hex,
  };
}

/**
 * Power by kc at the mean chip over the power by integrating kc along the arc, as a ratio: how far the short way is off.
 * Independent of kc1.1, depth and speed.
 */
export function meanChipPowerRatio(mc: number, fz: Mm, aeOverD: number): number | null {
  const chip = meanChipSide(fz, aeOverD, 1);
  if (!chip || !(mc >= 0 && mc < 1)) return null;
  const end = (engagementAngle(aeOverD, 1) * Math.PI) / 180;
  // Midpoint rule; h^(1−mc) is smooth but for its foot, where it is nothing.
  const steps = 20_000;
  let work = 0;
  for (let i = 0; i < steps; i++) work += (fz * Math.sin(((i + 0.5) * end) / steps)) ** (1 - mc);
  const integral = (work * end) / steps;
  return (chip.hm ** (1 - mc) * end) / integral;
}

/** Steps of the tables of sin^(1−mc) and its integral, a quarter of a degree. */
const tableSteps = 720;
interface SineTable {
  value: Float64Array;
  /** From 0 to φ, radians. */
  integral: Float64Array;
}
const tables = new Map<number, SineTable>();

/** sin^(1−mc) and its integral over 0 to 180°; made once for each mc. */
function tableFor(mc: number): SineTable {
  const known = tables.get(mc);
  if (known) return known;
  const width = Math.PI / tableSteps;
  const made = { value: new Float64Array(tableSteps + 1), integral: new Float64Array(tableSteps + 1) };
  for (let i = 0; i < tableSteps; i++) {
    made.value[i + 1] = i + 1 === tableSteps ? 0 : Math.sin((i + 1) * width) ** (1 - mc);
    made.integral[i + 1] = made.integral[i]! + Math.sin((i + 0.5) * width) ** (1 - mc) * width;
  }
  if (tables.size > 200) tables.clear();
  tables.set(mc, made);
  return made;
}

function readTable(table: Float64Array, angle: number): number {
  const place = angle <= 0 ? 0 : angle >= 180 ? tableSteps : (angle / 180) * tableSteps;
  const low = Math.floor(place);
  return low >= tableSteps
    ? table[tableSteps]!
    : table[low]! + (place - low) * (table[low + 1]! - table[low]!);
}

export interface TurnGeometry {
  diameter: Mm;
  teeth: number;
  ap: Mm;
  /** Angles of rotation where the work begins and ends, degrees. */
  from: number;
  to: number;
  /** Helix angle in degrees; 0 for straight teeth. */
  helix: number;
  mc: number;
  /** Entering angle, degrees. */
  kappa?: number;
}

/** Places of a tooth pitch looked at. */
const positions = 16;

/**
 * Length of edge in the cut weighed by (chip / fz)^(1−mc), its largest and mean over a turn, mm: the force over a turn is
 * kc1.1 · fz^(1−mc) times it. The edge is integrated along its helix.
 */
export function weighedEdge(g: TurnGeometry): { peak: number; mean: number } {
  const sinKappa = Math.sin(((g.kappa ?? 90) * Math.PI) / 180);
  const width = sinKappa ** -g.mc;
  const pitch = 360 / g.teeth;
  const lag = ((2 * g.ap * Math.tan((g.helix * Math.PI) / 180)) / g.diameter) * (180 / Math.PI);
  const table = tableFor(g.mc);
  const clip = (angle: number) => Math.min(g.to, Math.max(g.from, angle));
  let peak = 0;
  let sum = 0;
  for (let position = 0; position < positions; position++) {
    let edge = 0;
    for (let tooth = 0; tooth < g.teeth; tooth++) {
      // Every turn the same tooth comes again: its lower end may be out while the rest is still in.
      const leading = ((position / positions) * pitch + tooth * pitch) % 360;
      for (let angle = leading; angle - lag < g.to; angle += 360) {
        if (angle <= g.from) continue;
        if (lag < 0.5) {
          if (angle < g.to) edge += g.ap * readTable(table.value, angle);
        } else {
          const inCut = readTable(table.integral, clip(angle)) - readTable(table.integral, clip(angle - lag));
          edge += (inCut * 180 * g.ap) / (Math.PI * lag);
        }
      }
    }
    peak = Math.max(peak, edge);
    sum += edge;
  }
  return { peak: peak * width, mean: (sum / positions) * width };
}

/** Largest and mean tangential force over a turn, N. A straight tooth gives the primitive kc · ap · h at its thickest. */
export function forceOverTurn(c: TurnGeometry & { fz: Mm; kc11: number }): { peak: number; mean: number } {
  const edge = weighedEdge(c);
  const unit = c.kc11 * c.fz ** (1 - c.mc);
  return { peak: unit * edge.peak, mean: unit * edge.mean };
}
