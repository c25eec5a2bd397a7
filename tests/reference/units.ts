import { fitDeviations } from "../../core/handbook/index.ts";
import { convertExact, fromMm, nearest64, parseDimension, showFixed } from "../../core/quantity/index.ts";
import { type Answers, refuse } from "./answers.ts";

const parse: Answers[string] = ({ text, default_unit }) => {
  const read = parseDimension(text, default_unit, fitDeviations);
  if (!read.ok) return refuse;
  const { nominal, upper, lower, fit, written } = read.value;
  return {
    nominal_mm: nominal,
    nominal_in: fromMm(nominal, "in"),
    unit_read: written.unit,
    upper_deviation_mm: upper,
    lower_deviation_mm: lower,
    fit_code: fit,
  };
};

export const answers: Answers = {
  parse,
  refuse: parse,
  ambiguous: parse,
  fraction64: ({ value_in }) => {
    const { text, sixtyfourths, errorIn } = nearest64(Number(value_in));
    return { text, sixtyfourths, error_in: errorIn };
  },
  convert: ({ value, unit }) => {
    const exact = convertExact(value, unit);
    return { mm: exact.mm, in: exact.in, in_exact: exact.inFraction };
  },
  show: ({ value, decimals }) => ({ text: showFixed(Number(value), decimals) }),
};
