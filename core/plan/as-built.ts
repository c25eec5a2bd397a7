import { axisNames } from "../frame/index.ts";
import type { Feature, Part } from "../part/index.ts";
import { type Dimension, dimensionOf, type Mm } from "../quantity/index.ts";
import type { Requirement } from "./characteristic.ts";
import { meanOf } from "./judged-reading.ts";

/** What a size came out as: the mean of the readings that count, mm; null where nobody read it. */
export const builtOf = ({ readings, gauge, drawn }: Requirement): Mm | null =>
  gauge || !drawn ? null : meanOf(readings);

/** A part with the sizes and places it came out with, as far as they were read; the rest stays as drawn. */
export function asBuilt(part: Part, requirements: readonly Requirement[]): Part {
  const read = new Map<string, Mm>(
    requirements.flatMap((r) => {
      const built = builtOf(r);
      return built === null ? [] : [[r.of, built] as const];
    }),
  );
  const built = (drawn: Dimension | null, of: string): Dimension | null => {
    const value = read.get(of);
    return drawn === null || value === undefined ? drawn : dimensionOf(value, drawn.written.unit);
  };
  const byId = Object.fromEntries(
    Object.entries(part.features.byId).map(([id, feature]) => [
      id,
      {
        ...feature,
        sizes: Object.fromEntries(
          Object.entries(feature.sizes as { [key: string]: Dimension | null }).map(([key, size]) => [
            key,
            built(size, `${id}/${key}`),
          ]),
        ),
        first: { ...feature.first, at: built(feature.first.at, `${id}/place-first`) },
        second: { ...feature.second, at: built(feature.second.at, `${id}/place-second`) },
      } as Feature,
    ]),
  );
  return {
    ...part,
    sizes: Object.fromEntries(
      axisNames.map((axis) => [axis, built(part.sizes[axis], axis)]),
    ) as Part["sizes"],
    features: { ...part.features, byId },
  };
}
