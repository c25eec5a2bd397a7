import { axisNames } from "../frame/index.ts";
import { asFitted, asMilled, type Part } from "../part/index.ts";
import { tidy } from "../quantity/index.ts";
import type { Job } from "./job.ts";

/**
 * The part to be milled: the drawing with its recorded deviations, made to mates that were measured, a shaft as thick as it was
 * measured, what is left for a next process.
 */
export const effectivePart = (job: Job): Part =>
  asMilled(asTurned(asFitted(drawnPart(job)), job.stock.turned));

/** A shaft with its sections as thick as they were measured, within the limits they were drawn with: seats count from what is there. */
function asTurned(part: Part, turned: Job["stock"]["turned"]): Part {
  if (!part.shaft) return part;
  const sections = Object.entries(part.shaft.byId).map(([id, section]) => {
    const read = turned[id]?.value;
    const { diameter } = section;
    if (read === undefined || !diameter) return [id, section] as const;
    const off = tidy(read - diameter.nominal);
    const moved = (limit: number | null) => (limit === null ? null : tidy(limit - off));
    return [
      id,
      {
        ...section,
        diameter: {
          ...diameter,
          nominal: read,
          upper: moved(diameter.upper),
          lower: moved(diameter.lower),
        },
      },
    ] as const;
  });
  return { ...part, shaft: { ...part.shaft, byId: Object.fromEntries(sections) } };
}

/** The part as drawn, its sizes with their recorded deviations. */
export function drawnPart(job: Job): Part {
  const sizes = { ...job.part.sizes };
  for (const axis of axisNames) {
    const retarget = job.retargets[axis];
    if (retarget) sizes[axis] = retarget.size;
  }
  return { ...job.part, sizes };
}
