import type { FeatureOperation } from "../route/index.ts";
import { type AxisScrew, type Machine, quillOf } from "../shop/index.ts";

/** A tool is drawn up so far over the part, mm. */
const raised = 10;

/**
 * What an operation goes down by: the quill for holes, where the spindle has one that reaches, else knee or head. A quill is
 * pulled down by its lever in one stroke, felt as the drill cuts; for a floor it is not stiff enough.
 */
export const isByQuill = (
  { by, floor, tilt }: Pick<FeatureOperation, "by" | "floor" | "tilt">,
  machine: Pick<Machine, "quillTravel" | "quillDivision">,
): boolean => {
  const quill = quillOf(machine);
  return quill !== null && by === "hole" && tilt === null && floor + raised <= quill.travel;
};

/** What Z is set by in an operation: the scale of the quill counts as a readout, of its own division. */
export const depthScrew = (byQuill: boolean, machine: Machine): AxisScrew => {
  const quill = byQuill ? quillOf(machine) : null;
  return quill ? { ...machine.axes.z, readout: quill.division, backlash: 0 } : machine.axes.z;
};
