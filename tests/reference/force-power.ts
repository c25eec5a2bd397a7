import {
  cutChain,
  cuttingPower,
  cuttingSpeed,
  engagementAngle,
  meanChipPowerRatio,
  meanChipSide,
  meanForce,
  motorPower,
  removalRate,
  specificForce,
  teethEngaged,
  toothForce,
  torque,
} from "../../core/cutting/index.ts";
import { fromMm, toMm } from "../../core/quantity/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";
import { materialNamed } from "./material-names.ts";

const ask: Answers = {
  kc: ({ kc11_n_mm2, mc, hm_mm, rake_deg }) => ({ kc_n_mm2: specificForce(kc11_n_mm2, mc, hm_mm, rake_deg) }),
  mrr: (i) => {
    const ap = i.ap_mm ?? toMm(i.ap_in, "in");
    const ae = i.ae_mm ?? toMm(i.ae_in, "in");
    const vf = i.vf_mm_min ?? toMm(i.vf_in_min, "in");
    const q = removalRate(ap, ae, vf);
    return { q_cm3_min: q, q_in3_min: fromMm(fromMm(fromMm(q * 1000, "in"), "in"), "in") };
  },
  power: ({ ap_mm, ae_mm, vf_mm_min, kc_n_mm2, efficiency }) => {
    const p = cuttingPower(ap_mm, ae_mm, vf_mm_min, kc_n_mm2);
    return { p_cut_kw: p, p_motor_kw: motorPower(p, efficiency) };
  },
  torque: ({ p_kw, n_rpm }) => ({ m_n_m: torque(p_kw, n_rpm) }),
  force: ({ diameter_mm, teeth, ap_mm, ae_mm, fz_mm, kc_n_mm2, n_rpm }) => {
    const chip = meanChipSide(fz_mm, ae_mm, diameter_mm);
    const power = cuttingPower(ap_mm, ae_mm, fz_mm * teeth * n_rpm, kc_n_mm2);
    return {
      ft_mean_n: meanForce(power, cuttingSpeed(n_rpm, diameter_mm)),
      tooth_mean_n: toothForce(kc_n_mm2, ap_mm, chip?.hm ?? NaN),
      teeth_engaged: teethEngaged(teeth, engagementAngle(ae_mm, diameter_mm)),
    };
  },
  chain: ({ diameter_mm, teeth, ap_mm, ae_mm, fz_mm, n_rpm, kc11_n_mm2, mc }) => {
    const c = cutChain({
      diameter: diameter_mm,
      teeth,
      ap: ap_mm,
      ae: ae_mm,
      fz: fz_mm,
      n: n_rpm,
      kc11: kc11_n_mm2,
      mc,
    });
    return {
      hm_mm: c?.hm,
      kc_n_mm2: c?.kc,
      vf_mm_min: c?.vf,
      q_cm3_min: c?.removal,
      p_cut_kw: c?.power,
      m_n_m: c?.torque,
      ft_mean_n: c?.meanForce,
      hex_mm: c?.hex,
      tooth_peak_n: c?.peakTooth,
    };
  },
  hm_versus_integral: ({ mc, fz_mm, ae_over_d }) => ({
    power_ratio_hm_to_integral: meanChipPowerRatio(mc, fz_mm, ae_over_d),
  }),
  material_band: ({ material }) => {
    const { kc11, mc } = materialNamed(material);
    return { kc_at_0p1_n_mm2: specificForce(kc11, mc, 0.1) };
  },
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
