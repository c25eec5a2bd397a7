import { passSchedule } from "../../core/cutting/index.ts";
import { type Answers, refuse } from "./answers.ts";

/** Cases come in mm or in inch; a schedule holds in either. */
const schedule: Answers[string] = (i) => {
  const u = "stock_in" in i ? "in" : "mm";
  const outcome = passSchedule(
    Number(i[`stock_${u}`]),
    i[`max_rough_depth_${u}`],
    i[`finish_allowance_${u}`],
  );
  if (!outcome.ok) return refuse;
  const passes = outcome.value;
  const rough = passes.filter((p) => p.kind === "rough");
  return {
    rough_count: rough.length,
    [`depths_${u}`]: passes.map((p) => p.depth),
    [`cumulative_${u}`]: passes.map((p) => p.cumulative),
    [`finish_depth_${u}`]: passes.find((p) => p.kind === "finish")?.depth ?? 0,
    [`sum_${u}`]: passes.reduce((sum, p) => sum + p.depth, 0),
    [`largest_rough_${u}`]: Math.max(0, ...rough.map((p) => p.depth)),
  };
};

export const answers: Answers = { schedule, invariants: schedule, refuse: schedule };
