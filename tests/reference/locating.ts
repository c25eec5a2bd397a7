import { centerOfTwo, edgeFromReading, edgeSetting, topSetting } from "../../core/locate/index.ts";
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
};

/** Profiles, rounds and patterns come with the features that need them; their refusals too. */
export const answers: Answers = {
  ...Object.fromEntries(
    Object.entries(ask).map(([kind, answer]) => [kind, (inputs: Inputs) => orRefuse(answer(inputs))]),
  ),
  refuse: (inputs) => {
    const answer = ask[inputs.for as string];
    return answer ? orRefuse(answer(inputs)) : refuse;
  },
};
