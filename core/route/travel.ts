import { oppositeSide, type Side, sideOf } from "../frame/index.ts";
import { type FeedDirection, feedDirection } from "../holding/index.ts";
import type { Vise } from "../shop/index.ts";
import { rule } from "../working/index.ts";
import type { FaceOperation, FaceSetup } from "./setup.ts";

/** What the way of the cutter hangs on. */
type Fed = Pick<FaceSetup, "seat"> & Pick<FaceOperation, "cut" | "face">;

/** The side of the part that is cut while it is held all along; null for a face, or an end hung out. */
const sideCut = ({ cut, seat, face }: Fed, vise: Pick<Vise, "fixedJaw">): Side | null =>
  cut.kind === "side" && seat.overhang === null
    ? sideOf(seat, face, seat.table ? "back" : vise.fixedJaw)
    : null;

/**
 * Which way the cutter goes over the part, and why (M16).
 * @param last asks for the last pass, which may climb where those before it may not
 */
export function travelOf(setup: Fed, vise: Pick<Vise, "fixedJaw">, last = false): FeedDirection {
  const { cut, seat } = setup;
  const usual = feedDirection(cut.kind, seat.table ? { fixedJaw: "back" } : vise, sideCut(setup, vise));
  if (cut.climb === "all" || (last && cut.climb === "last"))
    return {
      ...usual,
      travel: oppositeSide[usual.travel],
      why: rule(
        "M17.chosen",
      )`You chose to climb: the cutter travels to the ${oppositeSide[usual.travel]}, with the work to its right. Table gibs snug, and feed steadily.`,
    };
  return seat.table && cut.kind === "face"
    ? {
        ...usual,
        why: rule(
          "M16.table",
        )`The cutter travels to the ${usual.travel}: its teeth push the part to the back, where ${seat.stop ? "the stop takes it" : "a stop would take it"}.`,
      }
    : usual;
}
