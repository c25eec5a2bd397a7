import { dialMove, dialReading, movesPastBacklash, roundedSteps } from "../../core/locate/index.ts";
import { fromMm, toMm } from "../../core/quantity/index.ts";
import { type Answers, orRefuse, type Outputs, refuse } from "./answers.ts";

function move(distance: number, lead: number, division: number, unit: "mm" | "in"): Outputs {
  const outcome = dialMove(distance, lead, division);
  if (!outcome.ok) return refuse;
  const { turns, divisions, divisionsPerTurn, residual } = outcome.value;
  return { turns, divisions, divisions_per_turn: divisionsPerTurn, [`residual_${unit}`]: residual };
}

/** A refusal stays one. */
const onto = (first: Outputs, moved: Outputs): Outputs => (moved.refuse ? refuse : { ...first, ...moved });

const ask: Answers = {
  dial: (i) =>
    "distance_in" in i
      ? move(i.distance_in, i.lead_in, i.division_in, "in")
      : move(i.distance_mm, i.lead_mm, i.division_mm, "mm"),
  dial_reading: ({ start_division, distance_mm, lead_mm, division_mm }) => {
    const end = dialReading(start_division, distance_mm, lead_mm, division_mm);
    return end === null ? refuse : { end_division: end };
  },
  cross_unit: (i) => {
    if ("distance_in" in i) {
      const distance = toMm(i.distance_in, "in");
      return onto({ distance_mm: distance }, move(distance, i.lead_mm, i.division_mm, "mm"));
    }
    const distance = fromMm(i.distance_mm, "in");
    return onto({ distance_in: distance }, move(distance, i.lead_in, i.division_in, "in"));
  },
  backlash: ({
    dial_position_now_mm,
    last_direction,
    target_mm,
    backlash_mm,
    overshoot_mm,
    approach_direction,
  }) => {
    const moves = movesPastBacklash(
      dial_position_now_mm,
      last_direction,
      target_mm,
      backlash_mm,
      overshoot_mm,
      approach_direction,
    );
    return moves === null ? refuse : { moves_mm: moves };
  },
  accumulate: ({ step_mm, count, division_mm }) => {
    const { chainErrorLast, datumErrorWorst } = roundedSteps(step_mm, count, division_mm);
    return orRefuse({ chain_error_last_mm: chainErrorLast, datum_error_worst_abs_mm: datumErrorWorst });
  },
};

export const answers: Answers = { ...ask, refuse: (inputs) => ask[inputs.for as string]?.(inputs) ?? refuse };
