import type { Record as JobRecord } from "../steps/index.ts";
import type { Asked, Judged, Requirement } from "./characteristic.ts";
import { judgedReadings, meanOf } from "./judged-reading.ts";

/**
 * What is asked by what was read and tried since it was last worked by hand, and what it read before.
 * @param here records of the piece that still count
 * @returns `since` is the place of the handwork in the sequence; 0 where there was none
 */
export function sinceByHand(
  of: Asked,
  here: readonly JobRecord[],
  judged: Judged,
): { of: Asked; byHand: Requirement["byHand"]; since: number } {
  const worked = here.findLast(
    (r): r is JobRecord & { type: "byHand" } => r.type === "byHand" && r.of === of.of,
  );
  if (!worked) return { of, byHand: null, since: 0 };
  const { id, how, seq: since } = worked;
  const earlier = of.readings.filter((r) => r.seq < since);
  const before = meanOf(judgedReadings(earlier, of.how, judged));
  const tried = here.find((r) => r.id === of.gauge?.answer?.id);
  return {
    since,
    of: {
      ...of,
      readings: of.readings.filter((r) => r.seq > since),
      gauge: of.gauge && tried && tried.seq < since ? { ...of.gauge, answer: null } : of.gauge,
    },
    byHand: before === null ? null : { id, how, before },
  };
}
