import {
  barBending,
  boringBarVerdict,
  fluteShare,
  forceForDeflection,
  overhangForDeflection,
  rootStress,
  steppedBending,
} from "../../core/cutting/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";

const fluted = (i: Inputs) =>
  barBending(i.force_n, i.overhang_mm, (i.effective_factor ?? fluteShare) * i.diameter_mm, i.e_n_mm2);

const ask: Answers = {
  cantilever: (i) => ({
    deflection_mm: fluted(i)?.deflection,
    root_stress_n_mm2: rootStress(i.force_n, i.overhang_mm, i.effective_factor * i.diameter_mm),
  }),
  solid: (i) => {
    const bar = barBending(i.force_n, i.overhang_mm, i.effective_diameter_mm, i.e_n_mm2);
    return { deflection_mm: bar?.deflection, stiffness_n_mm: bar?.stiffness };
  },
  stepped: (i) => ({
    deflection_mm: steppedBending(
      i.force_n,
      i.flute_length_mm,
      i.shank_free_length_mm,
      i.flute_diameter_mm,
      i.shank_diameter_mm,
      i.e_n_mm2,
      i.effective_factor,
    ),
  }),
  force_limit: (i) =>
    "overhang_mm" in i
      ? {
          force_max_n: forceForDeflection(
            i.permitted_deflection_mm,
            i.overhang_mm,
            i.diameter_mm,
            i.e_n_mm2,
            i.effective_factor,
          ),
        }
      : {
          overhang_max_mm: overhangForDeflection(
            i.permitted_deflection_mm,
            i.force_n,
            i.diameter_mm,
            i.e_n_mm2,
            i.effective_factor,
          ),
        },
  compare: ({ first, second }) => {
    const [a, b] = [fluted(first as Inputs), fluted(second as Inputs)];
    return { ratio: a && b ? b.deflection / a.deflection : NaN };
  },
  boring_bar: (i) => {
    const verdict = boringBarVerdict(i.overhang_mm, i.bar_diameter_mm, i.bar);
    return {
      deflection_mm: barBending(i.force_n, i.overhang_mm, i.bar_diameter_mm, i.e_n_mm2)?.deflection,
      overhang_ratio: verdict?.ratio,
      verdict: verdict?.verdict,
    };
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
