import {
  decodeWoodruff,
  din6888,
  fitDeviations,
  inchKeyFor,
  inchWoodruff,
  inchWoodruffDepths,
  iso3912,
  metricKeyDepthTolerance,
  metricKeyFor,
  metricWoodruffFor,
} from "../../core/handbook/index.ts";
import {
  keyseatFromCrown,
  keyseatFromWall,
  overKey,
  travelToCenter,
  woodruffLength,
  woodruffSide,
} from "../../core/part/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

/** Clearance over the key in the hub that the standard reckons with, inch. */
const hubClearance = 0.005;

const b17_1_size: Answers[string] = (i) => {
  const key = inchKeyFor(i.shaft_diameter_in);
  return key
    ? {
        square_w_in: key.square,
        square_h_in: key.square,
        flat_w_in: key.flat?.w ?? null,
        flat_h_in: key.flat?.h ?? null,
        range_over_in: key.over,
        range_to_in: key.to,
      }
    : refuse;
};

const din6885_row: Answers[string] = (i) => {
  const d = i.shaft_diameter_mm;
  const key = metricKeyFor(d);
  return key
    ? {
        b_mm: key.b,
        h_mm: key.h,
        t1_mm: key.t1,
        t2_mm: key.t2,
        depth_tolerance_plus_mm: metricKeyDepthTolerance(key.b),
        d_minus_t1_mm: d - key.t1,
        d_plus_t2_mm: d + key.t2,
        range_over_mm: key.over,
        range_to_mm: key.to,
      }
    : refuse;
};

const woodruff_decode: Answers[string] = (i) => {
  const read = decodeWoodruff(i.key_number);
  return read ? { width_in: read.width, diameter_in: read.diameter } : refuse;
};

const woodruff_row: Answers[string] = (i) => {
  const key = inchWoodruff(i.key_number);
  if (!key) return refuse;
  const depths = inchWoodruffDepths(key);
  return {
    width_in: key.width,
    diameter_in: key.diameter,
    key_height_c_in: key.height,
    centre_drop_e_in: key.drop,
    shaft_depth_b_in: depths.shaft,
    hub_depth_in: depths.hub,
    depth_tolerance_plus_in: depths.plus,
  };
};

const woodruffSeat = (number: string, shaft: number) => {
  const key = inchWoodruff(number);
  const depth = key && keyseatFromWall(shaft, key.width, inchWoodruffDepths(key).shaft);
  return key && depth ? { key, depth } : null;
};

const iso3912_size: Answers[string] = (i) => {
  const d = i.shaft_diameter_mm;
  const key = metricWoodruffFor(d);
  const depth = key && keyseatFromCrown(d, key.b, key.t1);
  return key && depth
    ? {
        b_mm: key.b,
        h_mm: key.h,
        d_key_mm: key.diameter,
        t1_mm: key.t1,
        t2_mm: key.t2,
        d_minus_t1_mm: depth.overOpposite,
        chordal_height_mm: depth.chord,
      }
    : refuse;
};

const kinds: Answers = {
  b17_1_size,
  din6885_row,
  woodruff_decode,
  woodruff_row,
  iso3912_size,
  b17_1_st: (i) => {
    const over = overKey(i.shaft_diameter_in, i.key_w_in, i.key_h_in, hubClearance);
    const depth = keyseatFromWall(i.shaft_diameter_in, i.key_w_in, i.key_h_in / 2);
    return over && depth
      ? {
          chordal_height_in: depth.chord,
          s_in: over.s,
          t_in: over.t,
          depth_side_wall_in: depth.atWall,
          depth_from_top_in: depth.fromCrown,
        }
      : refuse;
  },
  din6885_width: (i) => {
    const limits = fitDeviations(i.class, i.b_mm);
    return limits ? { width_max_mm: i.b_mm + limits.upper, width_min_mm: i.b_mm + limits.lower } : refuse;
  },
  din6885_wall: (i) => {
    const depth = keyseatFromCrown(i.shaft_diameter_mm, i.b_mm, i.t1_mm);
    return depth
      ? {
          chordal_height_mm: depth.chord,
          depth_from_crown_mm: depth.fromCrown,
          depth_side_wall_mm: depth.atWall,
          measure_over_opposite_mm: depth.overOpposite,
        }
      : refuse;
  },
  woodruff_depth: (i) => {
    const seat = woodruffSeat(i.key_number, i.shaft_diameter_in);
    if (!seat) return refuse;
    const { key, depth } = seat;
    return orRefuse({
      chordal_height_in: depth.chord,
      depth_from_top_in: depth.fromCrown,
      floor_to_opposite_in: depth.overOpposite,
      key_top_to_opposite_in: depth.overOpposite + key.height,
      slot_length_at_wall_in: woodruffLength(key.diameter, depth.atWall),
    });
  },
  iso3912_row: (i) => {
    const row = iso3912.find((r) => r.b === i.b_mm && r.h === i.h_mm && r.diameter === i.d_key_mm);
    return row
      ? { t1_mm: row.t1, t2_mm: row.t2, range_torque_over_mm: row.over, range_torque_to_mm: row.to }
      : refuse;
  },
  din6888_row: (i) => {
    const row = din6888.find((r) => r.b === i.b_mm && r.h === i.h_mm);
    return row
      ? orRefuse({
          d_key_mm: row.diameter,
          t1_mm: row.t1,
          t2_mm: row.t2,
          l_mm: woodruffSide(row.diameter, row.h)?.chord,
        })
      : refuse;
  },
  centre_offset: (i) =>
    "shaft_radius_mm" in i
      ? orRefuse({
          travel_mm: travelToCenter(
            i.shaft_radius_mm,
            i.cutter_width_mm ?? i.cutter_diameter_mm,
            i.medium_thickness_mm,
          ),
        })
      : orRefuse({
          travel_in: travelToCenter(
            i.shaft_radius_in,
            i.cutter_width_in ?? i.cutter_diameter_in,
            i.medium_thickness_in,
          ),
        }),
  infeed: (i) => {
    const seat = woodruffSeat(i.key_number, i.shaft_diameter_in);
    return seat ? orRefuse({ infeed_in: seat.depth.fromCrown + i.medium_thickness_in }) : refuse;
  },
};

export const answers: Answers = {
  ...kinds,
  refuse: (i) => kinds[i.for]?.(i) ?? refuse,
};
