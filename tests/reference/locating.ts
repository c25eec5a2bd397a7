import {
  ballInRound,
  ballOnRound,
  cylinderStep,
  draftAt,
  roundedEdgeStep,
} from "../../core/recipes/index.ts";
import {
  centerOfTwo,
  edgeFromReading,
  edgeSetting,
  roundPath,
  sideReadings,
  topSetting,
} from "../../core/locate/index.ts";
import { onCircle, onGrid } from "../../core/part/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";

/** Cases come in mm or in inch; these formulas hold in either. */
const unitOf = (inputs: Inputs) => (Object.keys(inputs).some((key) => key.endsWith("_in")) ? "in" : "mm");

const ask: Answers = {
  edge_set: (i) => {
    const u = unitOf(i);
    return {
      [`set_reading_${u}`]: edgeSetting(
        i[`face_coordinate_${u}`],
        i[`tool_diameter_${u}`],
        i[`medium_thickness_${u}`],
        i.side,
      ),
    };
  },
  edge_read: (i) => {
    const u = unitOf(i);
    return {
      [`face_coordinate_${u}`]: edgeFromReading(
        i[`reading_${u}`],
        i[`tool_diameter_${u}`],
        i[`medium_thickness_${u}`],
        i.side,
      ),
    };
  },
  top_touch: (i) => {
    const u = unitOf(i);
    return { [`set_reading_${u}`]: topSetting(i[`top_coordinate_${u}`], i[`medium_thickness_${u}`]) };
  },
  centre_two: (i) => {
    const u = unitOf(i);
    const found = centerOfTwo(
      i[`reading_1_${u}`],
      i[`reading_2_${u}`],
      i[`tool_diameter_${u}`],
      i[`medium_thickness_${u}`],
      i.touch,
    );
    return { [`centre_${u}`]: found?.center, [`width_${u}`]: found?.width };
  },
  profile_outside: (i) => sides(i, "outside"),
  profile_inside: (i) => sides(i, "inside"),
  round_boss: (i) => {
    const u = unitOf(i);
    const of = i.kind === "bore" ? "bore" : "boss";
    return {
      [`path_radius_${u}`]: roundPath(
        i[`diameter_${u}`],
        i[`cutter_diameter_${u}`],
        i[`stock_left_${u}`],
        of,
      ),
    };
  },
  step_round: (i) => {
    const u = unitOf(i);
    const steps = listOf(i[`depths_${u}`], (z) =>
      roundedEdgeStep(i[`round_radius_${u}`], i[`cutter_radius_${u}`], z),
    );
    return {
      [`inward_${u}`]: steps?.map((s) => s.inward),
      [`axis_outward_${u}`]: steps?.map((s) => s.outward),
    };
  },
  step_cylinder: (i) => {
    const u = unitOf(i);
    const radius = i[`cylinder_radius_${u}`] ?? i[`round_radius_${u}`];
    const steps = listOf(i[`depths_${u}`], (z) => cylinderStep(radius, i[`cutter_radius_${u}`], z));
    return {
      [`half_width_${u}`]: steps?.map((s) => s.half),
      [`axis_offset_${u}`]: steps?.map((s) => s.axis),
    };
  },
  step_ball_convex: (i) => {
    const u = unitOf(i);
    const steps = listOf(i.theta_deg, (t) => ballOnRound(i[`round_radius_${u}`], i[`ball_radius_${u}`], t));
    return {
      [`centre_x_from_side_face_${u}`]: steps?.map((s) => s.x),
      [`tip_z_from_top_${u}`]: steps?.map((s) => s.tip),
    };
  },
  step_ball_concave: (i) => {
    const u = unitOf(i);
    const steps = listOf(i.theta_deg, (t) => ballInRound(i[`round_radius_${u}`], i[`ball_radius_${u}`], t));
    return { [`centre_x_${u}`]: steps?.map((s) => s.x), [`tip_z_${u}`]: steps?.map((s) => s.tip) };
  },
  step_taper: (i) => {
    const u = unitOf(i);
    return { [`outward_${u}`]: listOf(i[`depths_${u}`], (z) => draftAt(i.draft_deg, z)) };
  },
  bolt_circle: (i) => {
    const u = unitOf(i);
    const whole = Number.isInteger(i.holes) && i.holes > 0 && i[`circle_diameter_${u}`] > 0;
    const at = whole
      ? onCircle(i.holes, i[`circle_diameter_${u}`] / 2, i.first_angle_deg, 360 / i.holes, [
          i[`centre_x_${u}`],
          i[`centre_y_${u}`],
        ])
      : undefined;
    return { [`holes_xy_${u}`]: at };
  },
  arc_pattern: (i) => {
    const u = unitOf(i);
    const whole = Number.isInteger(i.holes) && i.holes > 0 && i[`radius_${u}`] > 0;
    return {
      [`holes_xy_${u}`]: whole
        ? onCircle(i.holes, i[`radius_${u}`], i.first_angle_deg, i.step_deg)
        : undefined,
    };
  },
  grid: (i) => {
    const u = unitOf(i);
    const whole = [i.columns, i.rows].every((n) => Number.isInteger(n) && n > 0);
    const pitch = { x: i[`pitch_x_${u}`], y: i[`pitch_y_${u}`] };
    return { [`holes_xy_${u}`]: whole ? onGrid(i.columns, i.rows, pitch, [0, 0], i.angle_deg) : undefined };
  },
};

function sides(i: Inputs, of: "outside" | "inside") {
  const u = unitOf(i);
  const size = { x: i[`sx_${u}`], y: i[`sy_${u}`] };
  const datum = i.datum === "corner" ? "corner" : "center";
  const at = sideReadings(size, i[`cutter_diameter_${u}`], i[`stock_left_${u}`], datum, of);
  return {
    [`x_minus_${u}`]: at?.xMinus,
    [`x_plus_${u}`]: at?.xPlus,
    [`y_minus_${u}`]: at?.yMinus,
    [`y_plus_${u}`]: at?.yPlus,
  };
}

/** Every answer of a list, or nothing when one cannot be. */
function listOf<T>(values: number[], answer: (value: number) => T | null): T[] | undefined {
  const found = values.map(answer);
  return found.every((f) => f !== null) ? found : undefined;
}

export const answers: Answers = {
  ...Object.fromEntries(
    Object.entries(ask).map(([kind, answer]) => [kind, (inputs: Inputs) => orRefuse(answer(inputs))]),
  ),
  refuse: (inputs) => {
    const answer = ask[inputs.for as string];
    return answer ? orRefuse(answer(inputs)) : refuse;
  },
};
