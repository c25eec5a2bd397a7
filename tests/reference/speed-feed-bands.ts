import { aimedSpeed } from "../../core/cutting/index.ts";
import { type CutterKind, feedPerTooth, feedPerTurn, judgeSpeed } from "../../core/handbook/index.ts";
import { type Answers, orRefuse } from "./answers.ts";
import { groupNamed, materialNamed, toolNamed } from "./material-names.ts";

const middle = ([low, high]: [number, number]) => (low + high) / 2;

/** The cases' names of cutters that are no end mills: kind, and the diameter they name. */
function cutterNamed(name: string): { kind: CutterKind; diameter: number; perTurn: boolean } {
  const diameter = Number(/(\d+(?:\.\d+)?) ?mm/.exec(name)?.[1] ?? 0);
  const kinds: [RegExp, CutterKind][] = [
    [/face mill/, "faceMill"],
    [/shell/, "shellMill"],
    [/side-and-face/, "sideAndFace"],
    [/slab/, "slabMill"],
    [/saw/, "slittingSaw"],
    [/woodruff/i, "woodruff"],
    [/T-slot/i, "tSlot"],
    [/dovetail/, "dovetail"],
    [/fly/, "flyCutter"],
    [/spot/, "spotDrill"],
    [/drill/, "twistDrill"],
    [/reamer/, "reamer"],
    [/countersink/, "countersink"],
  ];
  const kind = kinds.find(([pattern]) => pattern.test(name))?.[1];
  if (!kind) throw new Error(`no cutter kind for "${name}"`);
  return { kind, diameter, perTurn: feedPerTurn("steel", kind, diameter) !== null };
}

export const answers: Answers = {
  vc_band: ({ material, tool }) => ({
    value: aimedSpeed(materialNamed(material).speeds[toolNamed(tool)], toolNamed(tool)),
  }),
  fz_band: ({ material_group, diameter_mm }) =>
    orRefuse({ value: middle(feedPerTooth(groupNamed(material_group), "endMill", diameter_mm)) }),
  fz_other: ({ cutter, material_group }) => {
    const { kind, diameter, perTurn } = cutterNamed(cutter);
    const group = groupNamed(material_group);
    return {
      value: middle(perTurn ? feedPerTurn(group, kind, diameter)! : feedPerTooth(group, kind, diameter)),
    };
  },
  judge: ({ material, tool, vc_m_min }) => ({
    verdict: judgeSpeed(materialNamed(material), toolNamed(tool), vc_m_min),
  }),
};
