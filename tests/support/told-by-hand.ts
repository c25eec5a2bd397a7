import type { Instruction } from "../../core/rehearse/index.ts";

type Zero = Extract<Instruction, { do: "zero" }>;

/** A zero touched with an end mill of 10: at the left, at the front or on top, with paper between. */
export const zero = (axis: "x" | "y" | "z", more: Partial<Zero> = {}): Instruction => ({
  do: "zero",
  axis,
  tool: { kind: "cutter", id: "em-10-2" },
  medium: 0.05,
  lessen: 0,
  touches: [{ from: axis === "x" ? "left" : axis === "y" ? "front" : "above" }],
  setting: axis === "z" ? null : -5.05,
  moveOn: axis === "z" ? 0.05 : 0,
  near: null,
  end: null,
  crown: false,
  backOff: "clear",
  ...more,
});
