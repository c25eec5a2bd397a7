import { angleOfFeature, featuresOf, formOf, type Part } from "../part/index.ts";
import { type LengthUnit, type Mm, parseQuantity, tidy } from "../quantity/index.ts";
import { say, type Phrase, words } from "../working/index.ts";

/** Two lengths one after the other, with one unit behind them: "12.02 11.98", "0.4731, 0.4724 in", "0.03 -0.02". */
function twoTyped(text: string, unit: LengthUnit): [Mm, Mm] | null {
  const typed = /^\s*([-+−]?[\d.]+)(?:\s*[,;]\s+|\s*;\s*|\s+)([-+−]?[\d.]+)\s*([a-z"″”]*)\s*$/i.exec(text);
  if (!typed) return null;
  const read = [typed[1]!, typed[2]!].map((t) =>
    parseQuantity(`${t.replace("−", "-").replace("+", "")} ${typed[3]!}`.trim(), "length", unit, true),
  );
  const [one, other] = read;
  return one!.ok && other!.ok ? [one!.value, other!.value] : null;
}

/** An angle as a protractor shows it: "29.8°", "29.8 deg", "29 48'"; degrees. */
function degreesTyped(text: string): number | null {
  const typed = /^\s*(\d+(?:[.,]\d+)?)\s*(?:°|deg\w*)\s*(?:(\d+(?:[.,]\d+)?)\s*['′’]?)?\s*$/i.exec(text);
  if (!typed) return null;
  const number = (t: string | undefined) => Number((t ?? "0").replace(",", "."));
  return number(typed[1]) + number(typed[2]) / 60;
}

/**
 * An error of form from what was really read: the walls on both sides of what is to lie in the middle; how far a place is off along
 * and across; the angle itself.
 * @returns mm, an angle's over 100 mm, a place's as the diameter it lies in; null where something else was typed
 */
export function formTyped(part: Part, of: string, text: string, unit: LengthUnit): Mm | null {
  const form = formOf(part, of);
  const two = form && twoTyped(text, unit);
  switch (form?.kind) {
    case "symmetric":
      return two && two[0] > 0 && two[1] > 0 ? tidy(Math.abs(two[0] - two[1])) : null;
    case "position":
      return two && tidy(2 * Math.hypot(...two));
    case "angle": {
      const feature = featuresOf(part).find((f) => f.id === form.feature);
      const [drawn, read] = [feature ? angleOfFeature(feature) : null, degreesTyped(text)];
      return drawn === null || read === null
        ? null
        : tidy(100 * Math.tan((Math.min(80, Math.abs(read - drawn)) * Math.PI) / 180));
    }
    default:
      return null;
  }
}

/** How such an error is read and typed; null where it is typed as it is read. */
export function formHint(part: Part, of: string): Phrase | null {
  switch (formOf(part, of)?.kind) {
    case "symmetric":
      return words(
        "Measure the wall on either side and type both: 12.02 11.98. Or lay the part on a plate, run an indicator over one wall, turn the part over, and type the difference.",
      );
    case "position":
      return words(
        "Pick up its middle and the edges it counts from: type how far it lies off along and across, 0.03 -0.02. Twice their root of squares is judged.",
      );
    case "angle":
      return say`Type the angle as the protractor shows it, 29.8°; or how far an indicator is off over 100 mm of it, set up on the sine bar.`;
    default:
      return null;
  }
}
