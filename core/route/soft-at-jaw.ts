import { downOf } from "../frame/index.ts";
import { isReference } from "../stock/index.ts";
import { isFaceSetup, type Setup } from "./setup.ts";

/**
 * Whether soft packing goes between part and fixed jaw: the face there is raw, the one below is machined, and only one of them can
 * lie flush. With packing that gives the part settles on the machined one.
 */
export const softAtJaw = (setup: Setup): boolean =>
  isFaceSetup(setup) &&
  setup.device === "vise" &&
  setup.entry === "placed" &&
  setup.seat.overhang === null &&
  !isReference(setup.before, setup.seat.fixed) &&
  isReference(setup.before, downOf(setup.at));
