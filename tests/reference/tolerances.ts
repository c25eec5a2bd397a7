import {
  anglePlusMinus,
  edgePlusMinus,
  fitClearance,
  fitDeviations,
  gradeWidth,
  linearPlusMinus,
} from "../../core/handbook/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

const micrometers = (mm: number) => mm * 1000;

const limits: Answers[string] = (i) => {
  const deviation = fitDeviations(i.class, i.size_mm);
  return deviation
    ? {
        upper_um: micrometers(deviation.upper),
        lower_um: micrometers(deviation.lower),
        max_size_mm: i.size_mm + deviation.upper,
        min_size_mm: i.size_mm + deviation.lower,
      }
    : refuse;
};

const iso2768: Answers[string] = (i) => {
  const value = linearPlusMinus(i.size_mm, i.class);
  // Null is an answer: the standard has none for this class.
  return value === undefined ? refuse : { plus_minus_mm: value };
};

export const answers: Answers = {
  limits,
  iso2768,
  it_grade: (i) => {
    const width = gradeWidth(i.size_mm, i.it_grade);
    return orRefuse({ it_um: width === null ? null : micrometers(width) });
  },
  fit: (i) => {
    const fit = fitClearance(i.size_mm, i.hole, i.shaft);
    return fit
      ? { clearance_max_um: micrometers(fit.largest), clearance_min_um: micrometers(fit.smallest) }
      : refuse;
  },
  iso2768_edge: (i) =>
    "edge_mm" in i
      ? orRefuse({ plus_minus_mm: edgePlusMinus(i.edge_mm, i.class) })
      : orRefuse({ plus_minus_angle_minutes: anglePlusMinus(i.short_leg_mm, i.class) }),
  refuse: (i) => (i.for === "limits" ? limits(i) : iso2768(i)),
};
