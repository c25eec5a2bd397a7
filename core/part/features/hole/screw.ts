import {
  clearanceOf,
  counterbores,
  inchThreads,
  metricClearances,
  metricThreads,
} from "../../../handbook/index.ts";
import { type Mm, mmPerInch } from "../../../quantity/index.ts";
import { countersinkDepth } from "../../angles.ts";
import type { Hole } from "./schema.ts";

export interface Thread {
  name: string;
  /** mm */
  diameter: Mm;
  pitch: Mm;
  /** Usual tapping drill, mm. */
  drill: Mm;
}

const threads: readonly Thread[] = [
  ...metricThreads,
  ...inchThreads.map((t) => ({
    name: t.name,
    diameter: t.diameter * mmPerInch,
    pitch: mmPerInch / t.tpi,
    drill: t.drill.size * mmPerInch,
  })),
];
export const threadNames = threads.map((t) => t.name);

/** Screws with a head that the counterbore table knows. */
export const screwNames = counterbores.map((c) => c.thread);

/** The thread of a tapped hole; null for other forms, and while none is chosen. */
export const threadOf = ({ form, screw }: Pick<Hole, "form" | "screw">): Thread | null =>
  form === "tapped" ? (threads.find((t) => t.name === screw) ?? null) : null;

const usesScrew = ({ form, screw }: Hole) =>
  (form === "counterbored" || form === "countersunk") && screw !== "" ? screw : null;

/** Diameter that is drilled or bored, mm: as entered, else by the thread or the screw; null while neither is known. */
export function boreOf(feature: Hole): Mm | null {
  const thread = threadOf(feature);
  if (feature.form === "tapped") return feature.sizes.drill?.nominal ?? thread?.drill ?? null;
  const screw = usesScrew(feature);
  return feature.sizes.diameter?.nominal ?? (screw ? (clearanceOf(screw)?.medium ?? null) : null);
}

interface Head {
  diameter: Mm;
  depth: Mm;
  tapers: boolean;
}

/** The counterbore or countersink of a hole; null for a hole without one. */
export function headOf(feature: Hole): Head | "unfinished" | null {
  const { form, sizes: own, numbers } = feature;
  if (form !== "counterbored" && form !== "countersunk") return null;
  const screw = usesScrew(feature);
  const table = screw ? counterbores.find((c) => c.thread === screw) : undefined;
  const bore = boreOf(feature);
  if (form === "counterbored") {
    const diameter = own.headDiameter?.nominal ?? table?.diameter;
    const depth = own.headDepth?.nominal ?? table?.depth;
    return diameter === undefined || depth === undefined ? "unfinished" : { diameter, depth, tapers: false };
  }
  // Flat heads are twice the thread across, sharp (ISO 10642 to within 0.1 d).
  const major = screw ? metricClearances.find((c) => c.thread === screw)?.diameter : undefined;
  const diameter = own.headDiameter?.nominal ?? (major === undefined ? undefined : 2 * major);
  const depth =
    diameter === undefined || bore === null
      ? null
      : countersinkDepth(diameter, bore, numbers.headAngle ?? 90);
  return diameter === undefined || depth === null || depth <= 0
    ? "unfinished"
    : { diameter, depth, tapers: true };
}
