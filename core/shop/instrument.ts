import { daySchema, extent } from "../quantity/index.ts";
import * as z from "../zod.ts";
import { ownChecksSchema } from "./own-check.ts";

export const instrumentKinds = [
  "caliper",
  "micrometer",
  "depthCaliper",
  "depthMicrometer",
  "telescopicGauge",
  "indicator",
  "edgeFinder",
  "square",
  "rule",
  "gaugeBlocks",
  "pins",
  "feelers",
  "threadGauge",
  "roughnessPlates",
] as const;

export const instrumentSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  kind: z.enum(instrumentKinds),
  /** Smallest step it shows, mm. */
  resolution: z.number().min(0.000_01).max(100),
  /** Expanded uncertainty U of a reading, mm. */
  uncertainty: z.number().min(0).max(100),
  /** Range it measures, mm. */
  from: z.number().min(0).max(10_000),
  to: extent,
  /** Date it was last checked, as yyyy-mm-dd; empty when never. */
  lastCheck: daySchema,
  /** Months until it is to be checked again; null for a year. */
  every: z.number().int().min(1).max(240).nullable().default(null),
  /** Error found at its last check, mm: it shows so much more than there is; null where none was noted. */
  error: z.number().min(-10).max(10).nullable().default(null),
  checks: ownChecksSchema,
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** How a size is measured. */
export type MeasuredHow = "outside" | "inside" | "depth" | "form" | "place" | "thread" | "surface";

/** What each kind of instrument can prove. */
const proves: Record<Instrument["kind"], readonly MeasuredHow[]> = {
  caliper: ["outside", "inside", "depth", "place"],
  micrometer: ["outside"],
  depthCaliper: ["depth"],
  depthMicrometer: ["depth"],
  telescopicGauge: ["inside"],
  indicator: ["form"],
  edgeFinder: [],
  square: ["form"],
  rule: ["outside", "inside", "depth", "place"],
  gaugeBlocks: ["inside"],
  pins: ["inside"],
  feelers: ["form"],
  threadGauge: ["thread"],
  roughnessPlates: ["surface"],
};

/**
 * Whether an instrument proves a size: made for it, and within its range. An error of form has no range.
 * @param size mm
 */
export const canMeasure = (
  { kind, from, to }: Pick<Instrument, "kind" | "from" | "to">,
  how: MeasuredHow,
  size: number,
): boolean =>
  proves[kind].includes(how) && (how === "form" || how === "surface" || (from <= size && size <= to));

/** The edge finder to pick up edges with: its range is its tip, so both ends of it are alike. */
export const edgeFinderOf = ({
  instruments,
}: {
  instruments: readonly Instrument[];
}): Instrument | undefined =>
  instruments.find((i) => i.kind === "edgeFinder" && i.from > 0 && i.from === i.to);

/** What the best square was found to be out when it was turned round, over 100 mm; null where none ever was. */
export function squareError({ instruments }: { instruments: readonly Instrument[] }): number | null {
  const found = instruments.flatMap((i) =>
    i.kind === "square" && !i.retired && i.checks?.reversal ? [Math.abs(i.checks.reversal.found)] : [],
  );
  return found.length > 0 ? Math.min(...found) : null;
}
