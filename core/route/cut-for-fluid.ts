import { type CutForFluid, removalRate } from "../cutting/index.ts";
import type { Operation } from "./setup.ts";

/** How the cutter of an operation meets the metal, and how much of it, for its cutting fluid. */
export function cutForFluid(operation: Operation): CutForFluid {
  const { cut } = operation;
  if (operation.by === "face")
    return {
      goes: "along",
      removal: removalRate(operation.cut.depth, operation.cut.width, operation.cut.vf),
    };
  const { set, diameter, by } = operation;
  return {
    goes: set === null ? "byHand" : by === "hole" ? "down" : "along",
    removal: cut && set ? removalRate(cut.depth, Math.min(cut.width, diameter), set.vf) : 0,
  };
}
