import type { CutKind } from "../handbook/index.ts";
import type { Side } from "../frame/index.ts";
import type { Vise } from "../shop/index.ts";
import { type Phrase, rule, say } from "../working/index.ts";

/** Where a cutter beside a side of the work travels to cut conventional: the work to its left (domain.md 6). */
export const conventionalTravel: Record<Side, Side> = {
  front: "right",
  right: "back",
  back: "left",
  left: "front",
};

export interface FeedDirection {
  /** Where the cutter goes over the part. */
  travel: Side;
  /** Side of the vise the end stands out at, for a cut along an end. */
  end: "left" | "right" | null;
  why: Phrase;
}

/**
 * M16: how to feed so that a right-hand cutter, turning clockwise from above, pushes the part to the fixed jaw (domain.md 5).
 * Over a face its teeth push to the right of where it travels; along an end hung out at the right they push to the back. An
 * end is cut conventional, which is towards the fixed jaw. An arbor pushes along the jaws, against a stop.
 * @param side of the part that is cut while the part is gripped all along; null for an end hung out or a face
 */
export function feedDirection(
  kind: CutKind,
  { fixedJaw }: Pick<Vise, "fixedJaw">,
  side: Side | null = null,
): FeedDirection {
  const atBack = fixedJaw === "back";
  if (kind === "side" && side)
    return {
      travel: conventionalTravel[side],
      end: null,
      why: say`Along the ${side} side the cutter travels to the ${conventionalTravel[side]}: conventional, so that slack in the screw cannot pull the part in. Go round the other sides the same way.`,
    };
  if (kind === "side")
    return {
      travel: fixedJaw,
      end: atBack ? "right" : "left",
      why: rule(
        "M16.end",
      )`Overhang the end on the ${atBack ? "right" : "left"} and feed the cutter toward the ${fixedJaw}: conventional milling, pushing the part against the fixed jaw.`,
    };
  if (kind === "slab" || kind === "groove")
    return {
      travel: "right",
      end: null,
      why: rule(
        "M16.stop",
      )`The slab mill pushes the part along the jaws: set a stop at the end it is pushed to.`,
    };
  return {
    travel: atBack ? "left" : "right",
    end: null,
    why: rule(
      "M16.feed",
    )`The cutter travels to the ${atBack ? "left" : "right"}, the table to the ${atBack ? "right" : "left"}: so its teeth push the part to the fixed jaw, not out of it.`,
  };
}

/** Whether a cutter that travels so over a face pushes the part away from the fixed jaw (M16). */
export const pushesAway = (travel: Side, vise: Pick<Vise, "fixedJaw">): boolean =>
  travel === "left" || travel === "right"
    ? travel !== feedDirection("face", vise).travel
    : travel !== vise.fixedJaw;
