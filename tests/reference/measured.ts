import {
  cornerMap,
  factorModel,
  fitPlane,
  guardedVerdict,
  offsetModel,
  remaining,
  squareness,
  tram,
} from "../../core/inspect/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

const ask: Answers = {
  corners: ({ lx_mm, ly_mm, z_x0y0_mm, z_x1y0_mm, z_x0y1_mm, z_x1y1_mm }) => {
    const map = cornerMap({
      lx: lx_mm,
      ly: ly_mm,
      z00: z_x0y0_mm,
      z10: z_x1y0_mm,
      z01: z_x0y1_mm,
      z11: z_x1y1_mm,
    });
    if (!map) return refuse;
    return {
      mean_mm: map.mean,
      taper_x_mm: map.taperX,
      taper_y_mm: map.taperY,
      taper_x_mm_per_100: map.taperXPer100,
      taper_y_mm_per_100: map.taperYPer100,
      twist_mm: map.twist,
      parallelism_mm: map.parallelism,
    };
  },
  plane: ({ points_xyz_mm }) => {
    const fit = fitPlane(points_xyz_mm);
    if (!fit) return refuse;
    return {
      a_mm: fit.a,
      b_mm_per_mm: fit.b,
      c_mm_per_mm: fit.c,
      residual_max_abs_mm: fit.residualMax,
      flatness_of_residuals_mm: fit.flatness,
    };
  },
  remaining: ({ readings_mm, wanted_mm, lower_limit_mm, min_cut_mm }) => {
    const left = remaining(readings_mm, wanted_mm, lower_limit_mm, min_cut_mm);
    if (!left) return refuse;
    return {
      remove_at_highest_mm: left.atHighest,
      remove_at_lowest_mm: left.atLowest,
      remove_mean_mm: left.mean,
      undersize: left.undersize,
      enough_stock: left.enough,
    };
  },
  verdict: ({ reading_mm, lower_limit_mm, upper_limit_mm, uncertainty_u_mm }) => {
    const judged = guardedVerdict(
      reading_mm,
      { lower: lower_limit_mm, upper: upper_limit_mm },
      uncertainty_u_mm,
    );
    return judged ? { verdict: judged.verdict, inside_limits: judged.insideLimits } : refuse;
  },
  square: ({ rise_mm, sweep_length_mm, face_length_mm }) => {
    const s = squareness(rise_mm, sweep_length_mm, face_length_mm);
    return s ? { angle_deg: s.angle, error_over_face_mm: s.overFace, mm_per_100: s.per100 } : refuse;
  },
  tram: ({ rise_mm, sweep_diameter_mm, cutter_diameter_mm, cut_width_mm }) => {
    const t = tram(rise_mm, sweep_diameter_mm, cutter_diameter_mm, cut_width_mm);
    return t ? { tilt_deg: t.tilt, rise_mm_per_100: t.per100, hollow_mm: t.hollow } : refuse;
  },
  correction: ({ commanded_mm, measured_mm, next_wanted_mm }) =>
    orRefuse({
      factor_model_mm: factorModel(commanded_mm, measured_mm, next_wanted_mm),
      offset_model_mm: offsetModel(commanded_mm, measured_mm, next_wanted_mm),
    }),
};

export const answers: Answers = { ...ask, refuse: (inputs) => ask[inputs.for as string]?.(inputs) ?? refuse };
