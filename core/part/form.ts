import { axisOf, type Face, faceNames, faceSchema, opposite } from "../frame/index.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import * as z from "../zod.ts";
import { featureNames } from "./features/check-features.ts";
import type { Feature } from "./features/index.ts";

export const formKinds = ["flat", "parallel", "square", "symmetric"] as const;
export type FormKind = (typeof formKinds)[number];

/** An error of form that the drawing limits, by the names of its faces. */
export const formSchema = z.object({
  id: z.string(),
  kind: z.enum(formKinds),
  face: faceSchema,
  /** What it is parallel or square to; null for a flatness. */
  to: faceSchema.nullable(),
  /** What lies in the middle between the two faces; null for what is of faces alone. */
  feature: z.string().nullable().default(null),
  /** mm; squareness over 100 mm; symmetry as the difference of the two sides; null while not entered. */
  limit: z.number().positive().max(100).nullable(),
});
export type Form = z.infer<typeof formSchema>;

/** Faces that a face can be parallel or square to. */
export const facesFor = (kind: FormKind, face: Face): Face[] =>
  kind === "flat"
    ? []
    : kind === "parallel" || kind === "symmetric"
      ? [opposite(face)]
      : faceNames.filter((f) => axisOf(f) !== axisOf(face));

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

const sameFaces = (a: Form, b: Form): boolean =>
  a.feature === b.feature && ((a.face === b.face && a.to === b.to) || (a.face === b.to && a.to === b.face));
