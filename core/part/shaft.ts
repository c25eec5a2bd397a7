import type { Sizes } from "../frame/index.ts";
import { dimensionSchema, tidy } from "../quantity/index.ts";
import { rule, stop, type Warning, warn, words } from "../working/index.ts";
import * as z from "../zod.ts";
import type { ShaftSection } from "./features/index.ts";

const sectionSchema = z.object({
  id: z.string(),
  diameter: dimensionSchema.nullable(),
  length: dimensionSchema.nullable(),
});

/** A turned shaft along the length: its sections from the left end to the right. */
export const shaftSchema = z.ordered(sectionSchema);
export type Shaft = z.infer<typeof shaftSchema>;

export const sectionsOf = ({ byId, order }: Shaft) => order.flatMap((id) => byId[id] ?? []);

/** The sections where they lie along the shaft, mm; null while a diameter or a length is missing. */
export function shaftSections(shaft: Shaft): ShaftSection[] | null {
  let from = 0;
  const made: ShaftSection[] = [];
  for (const { diameter, length } of sectionsOf(shaft)) {
    if (!diameter || !length) return null;
    const to = tidy(from + length.nominal);
    made.push({ diameter: diameter.nominal, from, to });
    from = to;
  }
  return made.length > 0 ? made : null;
}

/** The box a shaft lies in: as long as its sections, as wide and high as its thickest. */
export function shaftSizes(sections: readonly ShaftSection[]): Sizes {
  const thickest = Math.max(...sections.map((s) => s.diameter));
  return { length: sections.at(-1)!.to, width: thickest, height: thickest };
}

/** What is missing or unusual of a shaft itself. */
export function checkShaft(shaft: Shaft): Warning[] {
  const sections = sectionsOf(shaft);
  if (sections.length === 0)
    return [
      stop(
        rule("drawing.noSection")`A shaft has at least one section: add one with its diameter and length.`,
      ),
    ];
  return sections.flatMap(({ diameter, length }, i): Warning[] => {
    const missing = !diameter ? "diameter" : !length ? "length" : null;
    if (missing) return [stop(rule("drawing.section")`The ${missing} of section ${i + 1} is missing.`)];
    const before = sections[i - 1]?.diameter;
    return before && Math.abs(before.nominal - diameter!.nominal) < 1e-6
      ? [
          warn(
            rule(
              "drawing.noShoulder",
            )`Sections ${i} and ${i + 1} have the same diameter: ${words("there is no shoulder between them. Make them one, or correct a diameter.")}`,
          ),
        ]
      : [];
  });
}
