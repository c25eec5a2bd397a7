import { axesAcross, axisOf, circle, facesOf } from "../../../frame/index.ts";
import { emptyFeature, middleOn } from "../base.ts";
import { cutoutFrom, depthOf, type Prism } from "../cutout.ts";
import { angle, count, type EntryField, type FeatureRules, length } from "../rules.ts";
import { depthSpan, surfaceOf } from "../site.ts";
import { checkHole } from "./check-hole.ts";
import { holeFacts } from "./facts.ts";
import { holeMiddles, patternProblem } from "./pattern.ts";
import { type Hole, holeNumbers, holeSchema, holeSizes } from "./schema.ts";
import { boreOf, headOf, screwNames, threadNames, threadOf } from "./screw.ts";

const patternFields = ({ pattern, face }: Hole): EntryField[] => {
  const [a, b] = axesAcross(face);
  if (pattern === "grid")
    return [
      count("countFirst", `Holes along the ${a}`),
      length("pitchFirst", `Pitch along the ${a}`, "one row"),
      count("countSecond", `Holes along the ${b}`),
      length("pitchSecond", `Pitch along the ${b}`, "one row"),
    ];
  if (pattern === "circle")
    return [
      length("circle", "Bolt circle diameter"),
      count("count", "Holes on the circle"),
      angle("start", "First hole at, degrees", "0"),
    ];
  return [];
};

const formFields = ({ form, screw }: Hole): EntryField[] => {
  switch (form) {
    case "tapped":
      return [
        length("drill", "Tapping drill", "the usual"),
        length("depth", "Drill depth", "through"),
        length("threadDepth", "Thread depth", "as deep as drilled"),
      ];
    case "counterbored":
    case "countersunk": {
      const own = screw === "" ? null : "by the screw";
      return [
        length("diameter", "Hole diameter", own),
        length("depth", "Hole depth", "through"),
        length(
          "headDiameter",
          form === "counterbored" ? "Counterbore diameter" : "Countersink diameter",
          own,
        ),
        ...(form === "counterbored"
          ? [length("headDepth", "Counterbore depth", own)]
          : [angle("headAngle", "Countersink angle, degrees", "90")]),
      ];
    }
    default:
      return [length("diameter", "Hole diameter"), length("depth", "Hole depth", "through")];
  }
};

export { holeSchema };

/** A hole, drilled, bored, reamed, tapped, counterbored or countersunk; one, a grid, on a bolt circle, or at every corner. */
export const holeRules: FeatureRules<Hole> = {
  schema: holeSchema,
  word: "hole",
  what: "a hole, plain, tapped or with a head, one or a pattern",
  on: "both",
  choices: ({ form, pattern, face }) => {
    const [a, b] = axesAcross(face);
    return [
      {
        key: "form",
        label: "Made by",
        options: [
          ["drilled", "drilling"],
          ["bored", "boring"],
          ["reamed", "reaming"],
          ["tapped", "tapping"],
          ["counterbored", "drilling and counterboring"],
          ["countersunk", "drilling and countersinking"],
        ],
      },
      ...(form === "tapped"
        ? [{ key: "screw", label: "Thread", options: threadNames.map((t) => [t, t] as const) }]
        : []),
      ...(form === "counterbored" || form === "countersunk"
        ? [
            {
              key: "screw",
              label: "For the screw",
              options: [["", "own sizes"] as const, ...screwNames.map((t) => [t, t] as const)],
            },
          ]
        : []),
      {
        key: "pattern",
        label: "Pattern",
        options: [
          ["one", "one hole"],
          ["grid", "rows"],
          ["circle", "bolt circle"],
          ["corners", "one at every corner"],
        ],
      },
      ...(pattern === "grid"
        ? [
            {
              key: "towardFirst",
              label: "Rows run toward the",
              options: facesOf(a).map((f) => [f, f] as const),
            },
            { key: "towardSecond", label: "and the", options: facesOf(b).map((f) => [f, f] as const) },
          ]
        : []),
    ];
  },
  fields: (feature) => [...formFields(feature), ...patternFields(feature)],
  places: () => ["first", "second"],
  make(id, face) {
    const [a, b] = axesAcross(face);
    return {
      ...emptyFeature("hole", id, face, holeSizes, holeNumbers),
      form: "drilled",
      screw: "",
      pattern: "one",
      towardFirst: facesOf(a)[1],
      towardSecond: facesOf(b)[1],
    };
  },
  cutout(feature, site) {
    const { face, sizes: own } = feature;
    const at = middleOn(feature, site);
    const bore = boreOf(feature);
    if (!at || bore === null) return null;
    const middles = holeMiddles(feature, at, site);
    const head = headOf(feature);
    if (!middles || head === "unfinished") return null;
    const axis = axisOf(face);
    const thread = threadOf(feature);
    const along = axesAcross(face)[0] === "length" ? at[0] : null;
    const deep = depthSpan(site, face, own.depth?.nominal ?? null, along);
    const surface = surfaceOf(site, face, along);
    const down = face === facesOf(axis)[0] ? 1 : -1;
    const below = (depth: number) =>
      down > 0 ? ([surface, surface + depth] as const) : ([surface - depth, surface] as const);
    return cutoutFrom(
      face,
      middles.flatMap(([x, y]): Prism[] => [
        { axis, outline: circle(x, y, bore / 2), span: deep },
        ...(thread
          ? [
              {
                axis,
                outline: circle(x, y, thread.diameter / 2),
                span: own.threadDepth ? below(own.threadDepth.nominal) : deep,
                thread: true as const,
              },
            ]
          : []),
        ...(head
          ? [
              {
                axis,
                outline: circle(x, y, head.diameter / 2),
                span: below(head.depth),
                ...(head.tapers ? { inset: (head.diameter - bore) / 2 } : {}),
              },
            ]
          : []),
      ]),
      site,
    );
  },
  impossible: (feature) => patternProblem(feature),
  check: (feature, cutout, bench) => checkHole(feature, depthOf(cutout), bench),
  facts: (feature, site) => holeFacts(feature, site),
  /** The first hole of a bolt circle goes round to its mirror. */
  mirror(feature, axis) {
    const { start } = feature.numbers;
    const [a, b] = axesAcross(feature.face);
    if (feature.pattern !== "circle" || (axis !== a && axis !== b)) return feature;
    const turned = axis === a ? 180 - (start ?? 0) : -(start ?? 0);
    return { ...feature, numbers: { ...feature.numbers, start: ((turned % 360) + 360) % 360 } };
  },
};
