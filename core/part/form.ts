import { axisOf, type Face, faceNames, faceSchema, opposite } from "../frame/index.ts";
import { capital, note, rule, type Warning, warn } from "../working/index.ts";
import * as z from "../zod.ts";
import { featureNames } from "./features/check-features.ts";
import type { Feature } from "./features/index.ts";

export const formKinds = ["flat", "parallel", "square", "symmetric", "angle", "position"] as const;
export type FormKind = (typeof formKinds)[number];

/** An error of form that the drawing limits, by the names of its faces. */
export const formSchema = z.object({
  id: z.string(),
  kind: z.enum(formKinds),
  face: faceSchema,
  /** What it is parallel or square to; null for a flatness. */
  to: faceSchema.nullable(),
  /** The feature that it is of: in the middle between two faces, at its angle, in its place; null for what is of faces alone. */
  feature: z.string().nullable().default(null),
  /** mm; squareness and angle over 100 mm; symmetry as the difference of the two sides, position as a diameter; null while not entered. */
  limit: z.number().positive().max(100).nullable(),
});
export type Form = z.infer<typeof formSchema>;

/** Kinds that are of a feature, and those that are of it alone. */
export const isOfFeature = (kind: FormKind): boolean => kind === "symmetric" || isOfFeatureAlone(kind);
export const isOfFeatureAlone = (kind: FormKind): boolean => kind === "angle" || kind === "position";

/** Faces that a face can be parallel or square to. */
export const facesFor = (kind: FormKind, face: Face): Face[] => {
  if (kind === "parallel" || kind === "symmetric") return [opposite(face)];
  return kind === "square" ? faceNames.filter((f) => axisOf(f) !== axisOf(face)) : [];
};

/**
 * "the top parallel to the bottom", "slot 1 in the middle between left and right"
 * @param names of the features
 */
export const formWords = (
  { kind, face, to, feature }: Pick<Form, "kind" | "face" | "to" | "feature">,
  names: ReadonlyMap<string, string>,
): string => {
  switch (kind) {
    case "flat":
      return `the ${face} flat`;
    case "angle":
      return `${names.get(feature ?? "") ?? "…"} at its angle`;
    case "position":
      return `${names.get(feature ?? "") ?? "…"} in its place, true position`;
    case "symmetric":
      return `${names.get(feature ?? "") ?? "…"} in the middle between ${face} and ${to ?? "…"}`;
    default:
      return `the ${face} ${kind} to the ${to ?? "…"}`;
  }
};

/** What is wrong with an error of form as it is asked for. */
export function checkForm(form: Form, all: readonly Form[], features: readonly Feature[]): Warning[] {
  const { kind, face, to, feature, limit, id } = form;
  const words = formWords(form, featureNames(features));
  if (limit === null) return [note(rule("drawing.formLimit")`Enter the limit for ${words}.`)];
  if (isOfFeatureAlone(kind)) return checkFeatureOf(form, features);
  if (kind !== "flat" && (to === null || !facesFor(kind, face).includes(to)))
    return [
      warn(
        rule(
          "drawing.formFaces",
        )`A face is ${kind} to ${kind === "square" ? "a neighbor" : "the one across from it"}: choose another than the ${to ?? "empty one"}.`,
      ),
    ];
  if (kind === "symmetric") {
    const middle = features.find((f) => f.id === feature);
    if (!middle)
      return [
        warn(rule("drawing.formFeature")`Choose what lies in the middle between ${face} and ${to ?? ""}.`),
      ];
    if (axisOf(middle.face) === axisOf(face))
      return [
        warn(
          rule(
            "drawing.formAcross",
          )`${words}: it is cut in from the ${middle.face}, and has no sides there. Choose the faces beside it.`,
        ),
      ];
  }
  const twice = all.find(
    (f) => f.id !== id && f.kind === kind && f.limit !== null && f.limit !== limit && sameFaces(f, form),
  );
  return twice
    ? [
        warn(
          rule(
            "drawing.formTwice",
          )`Two limits are given for ${words}. Keep one: the smaller counts until then.`,
        ),
      ]
    : [];
}

/** What is wrong with an angle or a place that is limited: of nothing, or of what has none. */
function checkFeatureOf({ kind, feature }: Form, features: readonly Feature[]): Warning[] {
  const of = features.find((f) => f.id === feature);
  if (!of)
    return [
      warn(
        rule(
          "drawing.formFeature",
        )`Choose what ${kind === "angle" ? "has the angle" : "has its place limited"}.`,
      ),
    ];
  const has = kind === "angle" ? angleOfFeature(of) !== null : of.first.at !== null || of.second.at !== null;
  return has
    ? []
    : [
        warn(
          rule(
            "drawing.formNone",
          )`${capital(featureNames(features).get(of.id) ?? of.kind)} has no ${kind === "angle" ? "angle" : "place"} of its own: choose another feature.`,
        ),
      ];
}

/** The angle a feature is drawn with, degrees; null for what has none. */
export const angleOfFeature = ({ numbers }: Feature): number | null =>
  (numbers as { angle?: number | null }).angle ?? null;

const sameFaces = (a: Form, b: Form): boolean =>
  a.feature === b.feature && ((a.face === b.face && a.to === b.to) || (a.face === b.to && a.to === b.face));
