import { describe, expect, test } from "vitest";
import { featureOf } from "../../tests/support/cheek-block.ts";
import { checkForm, type Form, formWords } from "./form.ts";

const slot = featureOf("slot", "s", "top", { sizes: { width: "10", depth: "6" }, first: "left 20" });
const names = new Map([["s", "slot 1"]]);
const of = (form: Partial<Form>): Form => ({
  id: "f",
  kind: "parallel",
  face: "left",
  to: "right",
  feature: null,
  limit: 0.05,
  ...form,
});

describe("an error of form by name", () => {
  test.each<[Partial<Form>, string | null]>([
    [{}, null],
    [{ limit: null }, "drawing.formLimit"],
    [{ to: null }, "drawing.formFaces"],
    [{ kind: "square" }, "drawing.formFaces"],
    [{ kind: "square", to: "top" }, null],
    [{ kind: "flat", to: null }, null],
    [{ kind: "symmetric", feature: "s" }, null],
    [{ kind: "symmetric" }, "drawing.formFeature"],
    [{ kind: "symmetric", feature: "gone" }, "drawing.formFeature"],
    [{ kind: "symmetric", feature: "s", face: "bottom", to: "top" }, "drawing.formAcross"],
    [{ kind: "position", feature: "s", to: null }, null],
    [{ kind: "position", to: null }, "drawing.formFeature"],
    [{ kind: "angle", feature: "s", to: null }, "drawing.formNone"],
  ])("%j: %s", (form, id) => {
    expect(checkForm(of(form), [of(form)], [slot]).map((w) => w.phrase.id)).toEqual(id ? [id] : []);
  });

  test("two limits for the same are told; the same limit for two features is not", () => {
    const pair = of({ kind: "symmetric", feature: "s" });
    const turned = of({ ...pair, id: "g", face: "right", to: "left", limit: 0.1 });
    const other = featureOf("slot", "t", "top", { sizes: { width: "10", depth: "6" } });
    expect(checkForm(pair, [pair, turned], [slot]).map((w) => w.phrase.id)).toEqual(["drawing.formTwice"]);
    expect(checkForm(pair, [pair, { ...turned, feature: "t" }], [slot, other])).toEqual([]);
  });

  test.each<[Partial<Form>, string]>([
    [{ kind: "flat", to: null }, "the left flat"],
    [{ kind: "square", to: "top" }, "the left square to the top"],
    [{ kind: "symmetric", feature: "s" }, "slot 1 in the middle between left and right"],
  ])("%j is called %s", (form, called) => {
    expect(formWords(of(form), names)).toBe(called);
  });
});
