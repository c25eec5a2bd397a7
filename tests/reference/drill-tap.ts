import { drilling, tapFeed } from "../../core/cutting/index.ts";
import { clearanceOf, inchThread, metricThreads } from "../../core/handbook/index.ts";
import {
  basicMinor,
  drillForPercent,
  pointLength,
  tappingSize,
  threadPercent,
} from "../../core/part/index.ts";
import { type Answers, orRefuse, refuse } from "./answers.ts";

const percent: Answers[string] = (i) => {
  const left = threadPercent(i.diameter_mm, i.pitch_mm, i.drill_mm);
  return left ? { percent: left.full, percent_of_basic_height: left.basic } : refuse;
};
const drill_for_percent: Answers[string] = (i) =>
  orRefuse({ drill_mm: drillForPercent(i.diameter_mm, i.pitch_mm, i.percent) });

const kinds: Answers = {
  percent,
  drill_for_percent,
  tap_metric: (i) => {
    const { diameter_mm: d, pitch_mm: p } = i;
    const drill = metricThreads.find((t) => t.diameter === d && t.pitch === p)?.drill;
    return orRefuse({
      drill_exact_mm: tappingSize(d, p),
      drill_stock_mm: drill,
      percent_at_stock: drill === undefined ? null : threadPercent(d, p, drill)?.full,
      minor_diameter_basic_mm: basicMinor(d, p),
    });
  },
  tap_inch: (i) => {
    const thread = inchThread(i.thread);
    return orRefuse({
      drill_exact_in: tappingSize(i.diameter_in, 1 / i.tpi),
      drill_stock_in: thread?.drill.size,
      drill_stock_name: thread?.drill.name,
      percent_at_stock: thread && threadPercent(i.diameter_in, 1 / i.tpi, thread.drill.size)?.full,
    });
  },
  clearance: (i) => {
    const hole = clearanceOf(i.thread);
    return hole ? { fine_mm: hole.fine, medium_mm: hole.medium, coarse_mm: hole.coarse } : refuse;
  },
  tap_feed: (i) => orRefuse({ vf_mm_min: tapFeed(i.pitch_mm, i.n_rpm) }),
  drill: (i) => {
    const point = pointLength(i.drill_mm, i.point_angle_deg);
    const hole =
      point === null
        ? null
        : drilling({
            vc: i.vc_m_min,
            drill: i.drill_mm,
            perTurn: i.feed_mm_rev,
            depth: i.full_depth_mm,
            point,
            gap: i.safety_gap_mm,
          });
    return hole
      ? {
          n_rpm: hole.rpm,
          vf_mm_min: hole.vf,
          point_length_mm: point,
          travel_mm: hole.travel,
          minutes: hole.minutes,
        }
      : refuse;
  },
};

export const answers: Answers = { ...kinds, refuse: (i) => kinds[i.for]?.(i) ?? refuse };
