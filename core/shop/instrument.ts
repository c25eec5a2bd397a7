import { extent } from "../quantity/index.ts";
import * as z from "../zod.ts";

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
  lastCheck: z.string().regex(/^(\d{4}-\d{2}-\d{2})?$/, "a date is written yyyy-mm-dd"),
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** How a size is measured. */
export type MeasuredHow = "outside" | "inside" | "depth" | "form";

/** What each kind of instrument can prove. */
const proves: Record<Instrument["kind"], readonly MeasuredHow[]> = {
  caliper: ["outside", "inside", "depth"],
  micrometer: ["outside"],
  depthCaliper: ["depth"],
  depthMicrometer: ["depth"],
  telescopicGauge: ["inside"],
  indicator: ["form"],
  edgeFinder: [],
  square: ["form"],
  rule: ["outside", "inside", "depth"],
};

/**
 * Whether an instrument proves a size: made for it, and within its range. An error of form has no range.
 * @param size mm
 */
export const canMeasure = (
  { kind, from, to }: Pick<Instrument, "kind" | "from" | "to">,
  how: MeasuredHow,
  size: number,
): boolean => proves[kind].includes(how) && (how === "form" || (from <= size && size <= to));

/** The edge finder to pick up edges with: its range is its tip, so both ends of it are alike. */
export const edgeFinderOf = ({
  instruments,
}: {
  instruments: readonly Instrument[];
}): Instrument | undefined =>
  instruments.find((i) => i.kind === "edgeFinder" && i.from > 0 && i.from === i.to);
