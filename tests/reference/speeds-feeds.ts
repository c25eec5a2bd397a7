import {
  cutTime,
  cuttingSpeed,
  feedPerToothOf,
  handwheelPace,
  leadChip,
  meanChipCentered,
  meanChipShort,
  meanChipSide,
  sideChip,
  spindleSpeed,
  tableFeed,
} from "../../core/cutting/index.ts";
import { fromMm, toMm } from "../../core/quantity/index.ts";
import { atOrBelow, nearestByDifference, nearestByRatio, outsideSteps } from "../../core/shop/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";

const mPerFoot = toMm(12, "in") / 1000;

const ask: Answers = {
  rpm: ({ vc_m_min, vc_ft_min, diameter_mm, diameter_in }) => ({
    n_rpm: spindleSpeed(vc_m_min ?? vc_ft_min * mPerFoot, diameter_mm ?? toMm(diameter_in, "in")),
  }),
  vc: ({ n_rpm, diameter_mm }) => ({ vc_m_min: cuttingSpeed(n_rpm, diameter_mm) }),
  snap: ({ wanted_rpm, speeds_rpm, diameter_mm }) => ({
    at_or_below_rpm: atOrBelow(speeds_rpm, wanted_rpm),
    nearest_difference_rpm: nearestByDifference(speeds_rpm, wanted_rpm),
    nearest_ratio_rpm: nearestByRatio(speeds_rpm, wanted_rpm),
    vc_at_pick_m_min: cuttingSpeed(atOrBelow(speeds_rpm, wanted_rpm) ?? NaN, diameter_mm),
    outside_range: outsideSteps(speeds_rpm, wanted_rpm),
  }),
  feed: ({ fz_mm, fz_in, teeth, n_rpm }) => {
    const fz = fz_mm ?? toMm(fz_in, "in");
    const vf = tableFeed(fz, teeth, n_rpm);
    return { vf_mm_min: vf, vf_in_min: fromMm(vf, "in"), feed_per_rev_mm: fz * teeth };
  },
  fz_from_feed: ({ vf_mm_min, teeth, n_rpm }) => ({ fz_mm: feedPerToothOf(vf_mm_min, teeth, n_rpm) }),
  thin_radial: ({ fz_mm, ae_mm, diameter_mm }) => {
    const chip = sideChip(fz_mm, ae_mm, diameter_mm);
    return { hex_mm: chip?.hex, fz_needed_mm: chip?.needed, factor: chip?.factor };
  },
  thin_lead: ({ fz_mm, kappa_deg }) => {
    const chip = leadChip(fz_mm, kappa_deg);
    return { hex_mm: chip?.hex, fz_needed_mm: chip?.needed };
  },
  thin_both: ({ fz_mm, ae_mm, diameter_mm, kappa_deg }) => ({
    hex_mm: sideChip(fz_mm, ae_mm, diameter_mm, kappa_deg)?.hex,
  }),
  hm_side: ({ fz_mm, ae_mm, diameter_mm, kappa_deg }) => {
    const chip = meanChipSide(fz_mm, ae_mm, diameter_mm, kappa_deg);
    return { hm_mm: chip?.hm, phi_s_deg: chip?.engagement };
  },
  hm_centred: ({ fz_mm, ae_mm, diameter_mm, kappa_deg }) => {
    const chip = meanChipCentered(fz_mm, ae_mm, diameter_mm, kappa_deg);
    return { hm_mm: chip?.hm, engagement_deg: chip?.engagement };
  },
  hm_simple: ({ fz_mm, ae_mm, diameter_mm }) => {
    const chip = meanChipShort(fz_mm, ae_mm, diameter_mm);
    return { hm_simple_mm: chip?.hm, error_percent_vs_mean: chip?.errorPercent };
  },
  handwheel: ({ vf_mm_min, lead_mm, divisions_per_turn }) => {
    const pace = handwheelPace(vf_mm_min, lead_mm, divisions_per_turn);
    return {
      turns_per_min: pace.turnsPerMin,
      seconds_per_turn: pace.secondsPerTurn,
      seconds_per_division: pace.secondsPerDivision,
    };
  },
  time: ({ cut_length_mm, approach_mm, overrun_mm, vf_mm_min, passes }) => ({
    minutes: cutTime(cut_length_mm, approach_mm, overrun_mm, vf_mm_min, passes),
  }),
};

export const answers: Answers = {
  ...Object.fromEntries(
    Object.entries(ask).map(([kind, answer]) => [kind, (inputs: Inputs) => orRefuse(answer(inputs))]),
  ),
  refuse: (inputs) => {
    const answer = ask[inputs.for as string];
    return answer ? orRefuse(answer(inputs)) : refuse;
  },
};
