import {
  boltForce,
  boltForceByFriction,
  clampForFriction,
  clampForSideAndLift,
  frictionSafety,
  handleTorque,
  screwForce,
  strapShare,
  strapsNeeded,
  threadEfficiency,
  tipInJaws,
} from "../../core/holding/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

/** Foot-pounds and pounds to the core's units; exact. */
const newtonMeters = 1.3558179483314004;
const newtons = 4.4482216152605;

const answer: Answers = {
  screw_force: (i) => {
    const inch = "lead_in" in i;
    const force = screwForce(
      inch ? i.torque_lbf_ft * newtonMeters : i.torque_n_m,
      inch ? i.lead_in * 25.4 : i.lead_mm,
      i.efficiency,
    );
    return orRefuse({
      force_n: force,
      ...(inch ? { force_lbf: force === null ? null : force / newtons } : {}),
    });
  },
  handle: (i) => {
    const torque = handleTorque(i.hand_force_n, i.handle_length_mm);
    return orRefuse({
      torque_n_m: torque,
      force_n: torque === null ? null : screwForce(torque, i.lead_mm, i.efficiency),
    });
  },
  screw_efficiency: (i) => {
    const e = threadEfficiency(i.lead_mm, i.pitch_diameter_mm, i.friction, i.flank_angle_deg);
    return e ? { efficiency: e.efficiency, lead_angle_deg: e.leadAngle } : refuse;
  },
  bolt_force: (i) => orRefuse({ force_n: boltForce(i.torque_n_m, i.diameter_mm, i.nut_factor) }),
  bolt_force_full: (i) =>
    orRefuse({
      force_n: boltForceByFriction({
        torque: i.torque_n_m,
        pitch: i.pitch_mm,
        pitchDiameter: i.pitch_diameter_mm,
        headDiameter: i.mean_head_diameter_mm,
        muThread: i.mu_thread,
        muHead: i.mu_head,
      }),
    }),
  friction_need: (i) =>
    orRefuse({
      clamp_force_needed_n: clampForFriction(i.safety, i.cutting_force_n, i.friction, i.friction_surfaces),
    }),
  friction_safety: (i) =>
    orRefuse({
      safety: frictionSafety(i.clamp_force_n, i.cutting_force_n, i.friction, i.friction_surfaces),
    }),
  lift_and_slide: (i) =>
    orRefuse({
      clamp_force_needed_n: clampForSideAndLift(i.safety, i.side_force_n, i.lift_force_n, i.friction),
    }),
  tip_jaw: (i) => {
    const tip = tipInJaws(i.clamp_force_n, i.side_force_n, i.height_above_jaw_mm, i.grip_depth_mm);
    return tip
      ? {
          moment_tip_n_m: tip.tips,
          moment_hold_mid_n_m: tip.holds,
          safety_mid: tip.safety,
          safety_limit: tip.atMost,
        }
      : refuse;
  },
  strap: (i) => {
    const share = strapShare(i.bolt_force_n, i.bolt_to_work_mm, i.bolt_to_heel_mm);
    return share ? { force_on_work_n: share.onWork, force_on_heel_n: share.onHeel } : refuse;
  },
  strap_count: (i) => {
    const share = strapShare(i.bolt_force_n, i.bolt_to_work_mm, i.bolt_to_heel_mm);
    const needed = share ? strapsNeeded(i.safety, i.cutting_force_n, i.friction, share.onWork) : null;
    return needed
      ? { straps_by_friction: needed.byFriction, straps_advised_at_least_2: needed.advised }
      : refuse;
  },
};

export const answers: Answers = { ...answer, refuse: (i) => answer[String(i.for)]?.(i) ?? refuse };
