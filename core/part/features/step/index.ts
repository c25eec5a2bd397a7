import {
  axesAcross,
  axisNames,
  axisOf,
  faceNames,
  faceSchema,
  facesOf,
  rectangle,
} from "../../../frame/index.ts";
import * as z from "../../../zod.ts";
import { emptyFeature, featureShape, placeFor } from "../base.ts";
import { cutoutFrom, type Span, span } from "../cutout.ts";
import { placeAlong } from "../locate.ts";
import { type FeatureRules, length } from "../rules.ts";
import { depthSpan } from "../site.ts";

const sizes = ["width", "depth", "length"] as const;
export const stepSchema = featureShape("step", sizes, [], {
  /** The face beside it that it opens to. */
  side: faceSchema,
  /** The whole edge, from one of its ends, or between them. */
  end: z.union([z.enum(["whole", "between"]), faceSchema]),
});
export type StepFeature = z.infer<typeof stepSchema>;

/** The size the edge of a step runs along. */
const edgeOf = ({ face, side }: Pick<StepFeature, "face" | "side">) =>
  axisNames.find((a) => a !== axisOf(face) && a !== axisOf(side))!;

/** A step along an edge: so far in from the side, so far down from the face; open to one, two or three sides. */
export const stepRules: FeatureRules<StepFeature> = {
  schema: stepSchema,
  word: "step",
  what: "a step along an edge, the whole of it or a part",
  on: "both",
  choices: (feature) => [
    {
      key: "side",
      label: "Open to the side",
      options: faceNames.filter((f) => axisOf(f) !== axisOf(feature.face)).map((f) => [f, f] as const),
    },
    {
      key: "end",
      label: "Along the edge",
      options: [
        ["whole", "the whole of it"],
        ...facesOf(edgeOf(feature)).map((f) => [f, `from the ${f} end`] as const),
        ["between", "between its ends"],
      ],
    },
  ],
  fields: ({ end }) => [
    length("width", "In from the side"),
    length("depth", "Down from the face"),
    ...(end === "whole" ? [] : [length("length", "Step length")]),
  ],
  places: (feature) => (feature.end === "between" ? [placeFor(feature.face, edgeOf(feature))] : []),
  make: (id, face) => ({
    ...emptyFeature("step", id, face, sizes),
    side: faceNames.find((f) => axisOf(f) !== axisOf(face))!,
    end: "whole",
  }),
  cutout(feature, site) {
    const { face, side, end, sizes: own } = feature;
    const axes = axesAcross(face);
    if (!own.width || !own.depth || !axes.includes(axisOf(side))) return null;
    const edge = edgeOf(feature);
    const whole: Span = [0, site.sizes[edge]];
    const runOf = (): Span | null => {
      if (end === "whole") return whole;
      if (!own.length) return null;
      if (end === "between") {
        const at = placeAlong(feature[placeFor(face, edge)], edge, site);
        return at === null ? null : span(at, own.length.nominal);
      }
      if (axisOf(end) !== edge) return null;
      return end === facesOf(edge)[0] ? [0, own.length.nominal] : [whole[1] - own.length.nominal, whole[1]];
    };
    const run = runOf();
    if (!run) return null;
    const deep = site.sizes[axisOf(side)];
    const inward: Span =
      side === facesOf(axisOf(side))[0] ? [0, own.width.nominal] : [deep - own.width.nominal, deep];
    const outline = axes[0] === edge ? rectangle(run, inward) : rectangle(inward, run);
    // On a shaft its depth counts from the section it lies in.
    const lies = edge === "length" ? run : inward;
    const down = depthSpan(site, face, own.depth.nominal, (lies[0] + lies[1]) / 2);
    return cutoutFrom(face, [{ axis: axisOf(face), outline, span: down }], site);
  },
  check: () => [],
};
