import { faceSchema, orientationSchema } from "../frame/index.ts";
import { togetherWays } from "../holding/index.ts";
import { pickupWays } from "../locate/index.ts";
import { anyKeySchema, holdingWays } from "../route/index.ts";
import { schoolNames } from "../squaring/index.ts";
import * as z from "../zod.ts";

const about = {
  id: z.string(),
  at: z.union([anyKeySchema, z.literal("route")]),
  reason: z.string(),
  /** ISO time it was made. */
  since: z.string(),
};
const amount = z.number().positive();

/** What a person set themselves about a cut, or about the whole route. */
export const overrideSchema = z.discriminatedUnion("what", [
  /** Depth of a roughing pass, mm. */
  z.object({ ...about, what: z.literal("depth"), value: amount }),
  /** What is left for the last pass, mm. */
  z.object({ ...about, what: z.literal("finish"), value: amount }),
  /** Spindle speed, rpm. */
  z.object({ ...about, what: z.literal("speed"), value: amount }),
  /** Table feed, mm/min. */
  z.object({ ...about, what: z.literal("feed"), value: amount }),
  /** Id of a cutter in the shop. */
  z.object({ ...about, what: z.literal("cutter"), value: z.string() }),
  z.object({ ...about, what: z.literal("direction"), value: z.literal("climb") }),
  /** Face at the fixed jaw in this setup. */
  z.object({ ...about, what: z.literal("fixed"), value: faceSchema }),
  /** Id of the parallels under the part in this setup. */
  z.object({ ...about, what: z.literal("parallels"), value: z.string() }),
  /** What goes between part and jaws in this setup. */
  z.object({ ...about, what: z.literal("packing"), value: z.literal("paper") }),
  /** A jack under an end that hangs out; a stop that the part is set against. */
  z.object({ ...about, what: z.literal("jack"), value: z.literal("under") }),
  z.object({ ...about, what: z.literal("stop"), value: z.literal("against") }),
  /** How a second piece is held with it in this setup. */
  z.object({ ...about, what: z.literal("together"), value: z.enum(togetherWays) }),
  /** What holds the part while features are cut in this setup. */
  z.object({ ...about, what: z.literal("on"), value: z.enum(holdingWays) }),
  /** At the route: another school than round the block, or an order of its own. */
  z.object({
    ...about,
    what: z.literal("school"),
    value: z.union([z.enum(schoolNames), z.array(orientationSchema)]),
  }),
  /** At the route: ends cut standing up, or hung out past the jaws. */
  z.object({ ...about, what: z.literal("ends"), value: z.enum(["upright", "hung"]) }),
  /** At the route: both faces of a size give alike, instead of the first being only cleaned up. */
  z.object({ ...about, what: z.literal("split"), value: z.literal("even") }),
  /** Id of the machine on which it is gone on from this setup. */
  z.object({ ...about, what: z.literal("machine"), value: z.string() }),
  /** How zero is picked up in the setup of an operation. */
  z.object({ ...about, what: z.literal("pickup"), value: z.enum(pickupWays) }),
  /** The way a feature is made, by its name. */
  z.object({ ...about, what: z.literal("way"), value: z.string() }),
  /** At the route: a feature that is cut before all others, by its id. */
  z.object({ ...about, what: z.literal("first"), value: z.string() }),
  /** At the route: the paper that is touched through, as measured, mm. */
  z.object({ ...about, what: z.literal("paper"), value: amount }),
  /** At the route: to the hard limits instead of 70 % of them. */
  z.object({ ...about, what: z.literal("aim"), value: z.literal("quick") }),
]);
export type Override = z.infer<typeof overrideSchema>;
/** On which machine it is gone on: settled before all others, since they are settled on it. */
export type MachineOverride = Extract<Override, { what: "machine" }>;
export type PlainOverride = Exclude<Override, MachineOverride>;
export const isMachineOverride = (o: Override): o is MachineOverride => o.what === "machine";
export const isPlainOverride = (o: Override): o is PlainOverride => o.what !== "machine";

/** What a person set that is kept, in its order. */
export function keptOverrides(
  { byId, order }: { byId: { [id: string]: Override | undefined }; order: readonly string[] },
  keeps: (override: Override) => boolean,
): { byId: { [id: string]: Override }; order: string[] } {
  const kept = order.flatMap((id) => byId[id] ?? []).filter(keeps);
  return { byId: Object.fromEntries(kept.map((o) => [o.id, o])), order: kept.map((o) => o.id) };
}
