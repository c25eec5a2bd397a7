import { axisOf, type Face, faceNames, faceSchema, opposite } from "../frame/index.ts";
import { note, rule, type Warning, warn } from "../working/index.ts";
import * as z from "../zod.ts";

export const formKinds = ["flat", "parallel", "square"] as const;
export type FormKind = (typeof formKinds)[number];

/** An error of form that the drawing limits, by the names of its faces. */
export const formSchema = z.object({
  id: z.string(),
  kind: z.enum(formKinds),
  face: faceSchema,
  /** What it is parallel or square to; null for a flatness. */
  to: faceSchema.nullable(),
  /** mm; squareness over 100 mm; null while not entered. */
  limit: z.number().positive().max(100).nullable(),
});
export type Form = z.infer<typeof formSchema>;

/** Faces that a face can be parallel or square to. */
export const facesFor = (kind: FormKind, face: Face): Face[] =>
  kind === "flat"
    ? []
    : kind === "parallel"
      ? [opposite(face)]
      : faceNames.filter((f) => axisOf(f) !== axisOf(face));

/** "the top parallel to the bottom" */
export const formWords = ({ kind, face, to }: Pick<Form, "kind" | "face" | "to">): string =>
  kind === "flat" ? `the ${face} flat` : `the ${face} ${kind} to the ${to ?? "…"}`;

/** What is wrong with an error of form as it is asked for. */
export function checkForm(form: Form, all: readonly Form[]): Warning[] {
  const { kind, face, to, limit, id } = form;
  if (limit === null) return [note(rule("drawing.formLimit")`Enter the limit for ${formWords(form)}.`)];
  if (kind !== "flat" && (to === null || !facesFor(kind, face).includes(to)))
    return [
      warn(
        rule(
          "drawing.formFaces",
        )`A face is ${kind} to ${kind === "square" ? "a neighbor" : "the one across from it"}: choose another than the ${to ?? "empty one"}.`,
      ),
    ];
  const twice = all.find(
    (f) => f.id !== id && f.kind === kind && f.limit !== null && f.limit !== limit && sameFaces(f, form),
  );
  return twice
    ? [
        warn(
          rule(
            "drawing.formTwice",
          )`Two limits are given for ${formWords(form)}. Keep one: the smaller counts until then.`,
        ),
      ]
    : [];
}

const sameFaces = (a: Form, b: Form): boolean =>
  (a.face === b.face && a.to === b.to) || (a.face === b.to && a.to === b.face);
