import {
  type Material,
  type MaterialGroup,
  materialById,
  type ToolMaterial,
} from "../../core/handbook/index.ts";

/** The cases' names of materials, by what they contain; the first that fits. */
const names: [pattern: RegExp, id: string][] = [
  [/12L14|11SMn/, "steel-free"],
  [/1018|S235|A36/, "steel-low-drawn"],
  [/1045|C45/, "steel-medium"],
  [/4140|42CrMo4/, "steel-alloy-prehard"],
  [/\bO1\b|100MnCrW4/, "tool-steel-o1"],
  [/\bA2\b/, "tool-steel-a2"],
  [/\bD2\b|X153/, "tool-steel-d2"],
  [/303/, "stainless-303"],
  [/304/, "stainless-304"],
  [/316/, "stainless-316"],
  [/420/, "stainless-420"],
  [/GG25|grey iron|GJL/, "iron-grey"],
  [/GGG|ductile|GJS/, "iron-ductile"],
  [/6061/, "aluminum-6061"],
  [/6082/, "aluminum-6082"],
  [/7075/, "aluminum-7075"],
  [/AlSi|cast alumin/, "aluminum-cast"],
  [/CuZn39|brass/, "brass"],
  [/bronze|CuSn/, "bronze"],
  [/copper|Cu-ETP/, "copper"],
  [/Ti-6|titanium/, "titanium"],
  [/magnesium|AZ\d/, "magnesium"],
  [/acetal|POM/, "acetal"],
  [/nylon|PA6/, "nylon"],
  [/PTFE/, "ptfe"],
  [/PVC/, "pvc"],
];

export function materialNamed(name: string): Material {
  const id = names.find(([pattern]) => pattern.test(name))?.[1];
  const found = id ? materialById(id) : undefined;
  if (!found) throw new Error(`no material for "${name}"`);
  return found;
}

export const toolNamed = (name: string): ToolMaterial =>
  /cobalt/i.test(name)
    ? "cobalt"
    : /HSS/.test(name)
      ? "hss"
      : /uncoated/.test(name)
        ? "carbide"
        : "coatedCarbide";

export const groupNamed = (name: string): MaterialGroup =>
  /^steel/.test(name)
    ? "steel"
    : /tool steel|stainless|titanium/.test(name)
      ? "tough"
      : /alumin/.test(name)
        ? "aluminum"
        : /iron/.test(name)
          ? "iron"
          : /brass|bronze/.test(name)
            ? "brass"
            : "plastic";
