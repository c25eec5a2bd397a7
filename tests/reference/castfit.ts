import type { Face, Sizes } from "../../core/frame/index.ts";
import {
  allowanceAt,
  balanceAxis,
  balanceLump,
  balanceThickness,
  type FacePoint,
  type Motion,
  moved,
  turned,
} from "../../core/stock/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";

const faceOf: { [name: string]: Face } = {
  "x-": "left",
  "x+": "right",
  "y-": "front",
  "y+": "back",
  "z-": "bottom",
  "z+": "top",
};
const sizes = ([length, width, height]: [number, number, number]): Sizes => ({ length, width, height });
const pointsOf = (inputs: Inputs): FacePoint[] =>
  Object.entries(inputs.faces_points_mm as { [face: string]: [number, number, number][] }).flatMap(
    ([face, points]) => points.map((at) => ({ face: faceOf[face]!, at: sizes(at) })),
  );

const motionOf = ({ shift, turn }: Motion) => ({
  tx: shift.length,
  ty: shift.width,
  tz: shift.height,
  rx: turn.length,
  ry: turn.width,
  rz: turn.height,
});

const ask: Answers = {
  fit_1d: ({ low_face_mm, high_face_mm, finished_mm, min_cleanup_mm }) => {
    const need = balanceAxis(low_face_mm, high_face_mm, finished_mm, {
      low: min_cleanup_mm,
      high: min_cleanup_mm,
    });
    return need
      ? {
          low_finished_face_mm: need.low,
          max_min_allowance_mm: need.surplus + min_cleanup_mm,
          feasible: need.feasible,
          shortfall_mm: need.shortfall,
        }
      : refuse;
  },
  fit_1d_weighted: ({ low_face_mm, high_face_mm, finished_mm, min_low_mm, min_high_mm }) => {
    const found = balanceAxis(low_face_mm, high_face_mm, finished_mm, { low: min_low_mm, high: min_high_mm });
    return found
      ? { low_finished_face_mm: found.low, surplus_mm: found.surplus, feasible: found.feasible }
      : refuse;
  },
  fit_1d_thickness: ({ thickness_mm, finished_mm, min_cleanup_mm }) => {
    const found = balanceThickness(thickness_mm, finished_mm, min_cleanup_mm);
    return found
      ? { total_stock_at_thinnest_mm: found.total, each_side_mm: found.eachSide, feasible: found.feasible }
      : refuse;
  },
  fit_3d: (inputs) => {
    const [points, box] = [pointsOf(inputs), sizes(inputs.box_mm)];
    const found = balanceLump(points, box, { tilt: inputs.rotation_limit_rad });
    const shifted = balanceLump(points, box, { tilt: 0 });
    return found && shifted
      ? orRefuse({
          max_min_allowance_mm: found.smallest,
          min_allowance_as_placed_mm: found.asPlaced,
          max_min_shift_only_mm: shifted.smallest,
          example_motion_mm_rad: motionOf(found.motion),
        })
      : refuse;
  },
  check_motion: (inputs) => {
    const { tx, ty, tz, rx, ry, rz } = inputs.motion_mm_rad;
    const motion: Motion = { shift: sizes([tx, ty, tz]), turn: sizes([rx, ry, rz]) };
    const box = sizes(inputs.box_mm);
    const smallest = (put: (p: Sizes) => Sizes) =>
      Math.min(...pointsOf(inputs).map((p) => allowanceAt(p.face, put(p.at), box)));
    return {
      min_allowance_linear_mm: smallest((p) => moved(motion, p)),
      min_allowance_true_rotation_mm: smallest((p) => turned(motion, p)),
    };
  },
};

export const answers: Answers = { ...ask, refuse: (inputs) => ask[inputs.for as string]?.(inputs) ?? refuse };
