import { aimedSpeed } from "../../core/cutting/index.ts";
import { feedPerTooth, judgeSpeed } from "../../core/handbook/index.ts";
import type { Answers } from "./answers.ts";
import { groupNamed, materialNamed, toolNamed } from "./material-names.ts";

const middle = ([low, high]: [number, number]) => (low + high) / 2;

/** Drills, reamers and side-and-face cutters come with the cutters that need them. */
export const answers: Answers = {
  vc_band: ({ material, tool }) => ({
    value: aimedSpeed(materialNamed(material).speeds[toolNamed(tool)], toolNamed(tool)),
  }),
  fz_band: ({ material_group, diameter_mm }) => ({
    value: middle(feedPerTooth(groupNamed(material_group), "endMill", diameter_mm)),
  }),
  judge: ({ material, tool, vc_m_min }) => ({
    verdict: judgeSpeed(materialNamed(material), toolNamed(tool), vc_m_min),
  }),
};
