import { type LengthUnit, mm, showFixed, tidy, toMm } from "../quantity/index.ts";
import type { Instrument } from "../shop/index.ts";
import { type Phrase, precise, rule, say } from "../working/index.ts";

/** A reading that should be asked about before it is believed, and what else it may have meant. */
export interface Question {
  phrase: Phrase;
  /** Another reading of the same digits that would make sense, mm. */
  perhaps: number | null;
}

export interface Believed {
  /** mm */
  value: number;
  /** Decimals as typed in the unit typed. */
  text: string;
  unit: LengthUnit;
}

/** How far a reading may lie from what is expected before it is asked about, as a share; beyond it a unit slip is tried. */
const farOff = 0.2;

/** Factors a slip multiplies by: inch for mm and back, a lost or added decimal place. */
const slips = [25.4, 1 / 25.4, 10, 0.1];

/**
 * Questions a reading that cannot be: grew after a cut (M02), off by a unit or a decimal place (M03), finer than the
 * instrument shows (M03.finer). A reading in doubt is asked about, never swallowed; both are kept.
 * @param before smallest earlier reading or the size before the cut, mm; null when unknown
 * @param expected size expected now, mm
 * @returns the questions, most telling first; empty when the reading can be
 */
export function cannotBe(
  reading: Believed,
  expected: number,
  before: number | null,
  instrument: Instrument,
): Question[] {
  const questions: Question[] = [];
  const { value } = reading;
  const off = Math.abs(value - expected) / Math.max(expected, 1e-9);
  if (off > farOff) {
    const slip = slips.find((factor) => Math.abs(value * factor - expected) / expected < 0.05);
    const otherUnit = slip !== undefined && (slip > 20 || slip < 0.05);
    questions.push(
      slip
        ? {
            phrase: rule(
              "M03.slip",
            )`You typed ${reading.text} ${reading.unit}; about ${mm(expected)} is expected. ${otherUnit ? say`Did you mean ${reading.text} ${reading.unit === "mm" ? "in" : "mm"} (${mm(value * slip)})?` : say`Decimal point off? ${mm(value * slip)} would fit.`}`,
            perhaps: tidy(value * slip),
          }
        : {
            phrase: rule(
              "M03.far",
            )`${mm(value)} is far from the ${mm(expected)} expected. Is it the right size, on the right face?`,
            perhaps: null,
          },
    );
  } else if (before !== null && value > before + 2 * instrument.uncertainty + 1e-9) {
    questions.push({
      phrase: rule(
        "M02.grew",
      )`It reads ${mm(value)} after the cut and ${mm(before)} before: it cannot have grown. A chip or burr under the jaw of the instrument, or another spot?`,
      perhaps: null,
    });
  }
  const inUnit = reading.unit === "mm" ? instrument.resolution : instrument.resolution / 25.4;
  const typedDecimals = /[.,](\d+)/.exec(reading.text)?.[1]?.replace(/0+$/, "").length ?? 0;
  const step = instrument.resolution;
  const offStep = Math.abs(value / step - Math.round(value / step)) > 1e-6;
  const inchDecimals = Math.max(0, Math.ceil(-Math.log10(inUnit) - 1e-9));
  const finer =
    reading.unit === "mm"
      ? offStep
      : typedDecimals > Math.max(inchDecimals, 4) || (typedDecimals > 3 && instrument.resolution >= 0.02);
  if (finer && questions.length === 0) {
    const rounded =
      reading.unit === "mm"
        ? tidy(Math.round(value / step) * step)
        : tidy(toMm(Number(showFixed(value / 25.4, inchDecimals).replace("−", "-")), "in"));
    questions.push({
      phrase: rule(
        "M03.finer",
      )`${instrument.name} reads in steps of ${precise(mm(step), 3)}; ${reading.text} is finer than that. Which instrument was it?`,
      perhaps: rounded,
    });
  }
  return questions;
}
