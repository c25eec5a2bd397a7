import {
  betweenPins,
  chamfer,
  chamferByCutter,
  countersinkDepth,
  narrowWidth,
  overPins,
  pinInV,
  sineAngle,
  sineHeight,
  vBlockRise,
  vGroove,
  vWidth,
  vWidthFromPin,
  woodruffSide,
} from "../../core/part/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

const kinds: Answers = {
  v_groove: (i) => {
    if ("depth_mm" in i) return orRefuse({ width_mm: vWidth(i.depth_mm, i.angle_deg) });
    const v = vGroove(i.width_mm, i.angle_deg);
    return v ? { depth_mm: v.depth, wall_length_mm: v.wall } : refuse;
  },
  v_pin: (i) => {
    const pin = pinInV(i.width_mm, i.angle_deg, i.pin_mm);
    return pin
      ? { m_over_surface_mm: pin.over, contact_depth_mm: pin.contactDepth, touches_walls: pin.touches }
      : refuse;
  },
  v_pin_width: (i) => orRefuse({ width_mm: vWidthFromPin(i.m_over_surface_mm, i.angle_deg, i.pin_mm) }),
  v_block_height: (i) => {
    const rise = vBlockRise(i.d1_mm, i.d2_mm, i.angle_deg);
    return rise ? { centre_rise_mm: rise.center, top_rise_mm: rise.top } : refuse;
  },
  sine: (i) =>
    "angle_deg" in i
      ? orRefuse({ height_mm: sineHeight(i.bar_mm, i.angle_deg) })
      : orRefuse({ angle_deg: sineAngle(i.bar_mm, i.height_mm) }),
  dovetail_female: (i) => orRefuse({ between_pins_mm: betweenPins(i.wide_width_mm, i.angle_deg, i.pin_mm) }),
  dovetail_male: (i) => orRefuse({ over_pins_mm: overPins(i.narrow_width_mm, i.angle_deg, i.pin_mm) }),
  dovetail_widths: (i) =>
    orRefuse({ narrow_width_mm: narrowWidth(i.wide_width_mm, i.depth_mm, i.angle_deg) }),
  chamfer: (i) => {
    const made = chamfer(i.leg_mm, i.angle_deg);
    return made ? { other_leg_mm: made.other, face_width_mm: made.face } : refuse;
  },
  chamfer_cutter: (i) =>
    i.cutter_angle_deg === 90
      ? orRefuse({ leg_mm: chamferByCutter(i.tip_flat_mm, i.axis_outside_wall_mm, i.tip_depth_mm) })
      : refuse,
  countersink: (i) => orRefuse({ depth_mm: countersinkDepth(i.countersink_mm, i.hole_mm, i.angle_deg) }),
  woodruff_arc: (i) => {
    const inch = "key_diameter_in" in i;
    const side = inch
      ? woodruffSide(i.key_diameter_in, i.key_height_in)
      : woodruffSide(i.key_diameter_mm, i.key_height_mm);
    if (side && inch) return { arc_in: side.arc, chord_in: side.chord, side_area_in2: side.area };
    return side ? { arc_mm: side.arc, chord_mm: side.chord, side_area_mm2: side.area } : refuse;
  },
};

export const answers: Answers = { ...kinds, refuse: (i) => kinds[i.for]?.(i) ?? refuse };
