import { usualBias } from "../handbook/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import type { Instrument, Machine, Vise } from "../shop/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";

/** One thing to know before tight work: what was found, or what to check. */
export interface ReadinessItem {
  what: string;
  /** Found and good enough, found and too much, or not known: then the usual is reckoned with. */
  state: "ready" | "tooMuch" | "unknown";
  found: Phrase;
  /** What to do; null when it is ready. */
  todo: Phrase | null;
}

/** Thousandths count here. */
const fine = (value: Mm) => precise(mm(value), 3);

/** Over this length the readiness sheet speaks, mm. */
const over = 100;

/**
 * The sheet "ready for this tolerance?" of a machine and vise (domain.md 5): what was checked and when, and what should be
 * before this job. A bias may take a third of the tolerance.
 * @param within half of the tightest tolerance of the job, mm
 */
export function readiness(
  machine: Machine,
  vise: Vise,
  instruments: readonly Instrument[],
  within: Mm,
): ReadinessItem[] {
  const may = within / 3;
  const slope = (
    what: string,
    value: number | null,
    sweep: Mm,
    usual: { rise: Mm; over: Mm },
    todo: string,
  ): ReadinessItem => {
    if (value === null)
      return {
        what,
        state: "unknown",
        found: say`not checked; ${fine((usual.rise / usual.over) * over)} over ${mm(over)} is usual (guess)`,
        todo: words(`${todo} Enter the reading in the shop.`),
      };
    const rise = (Math.abs(value) / sweep) * over;
    const good = rise <= may + 1e-9;
    return {
      what,
      state: good ? "ready" : "tooMuch",
      found: say`${fine(rise)} over ${mm(over)} as entered; this job allows ${fine(may)}`,
      todo: good ? null : words(todo),
    };
  };
  const amount = (what: string, value: number | null, todo: string): ReadinessItem => {
    if (value === null)
      return {
        what,
        state: "unknown",
        found: words("not measured"),
        todo: words(`${todo} Enter the reading in the shop.`),
      };
    const good = value <= may + 1e-9;
    return {
      what,
      state: good ? "ready" : "tooMuch",
      found: say`${fine(value)} as entered; this job allows ${fine(may)}`,
      todo: good ? null : words(todo),
    };
  };
  return [
    slope(
      "Head square to the table, along X",
      machine.tramAlong,
      machine.tramSweep,
      usualBias.tramAlong,
      "Sweep an indicator in the spindle over the table, left and right, and nod or tilt the head.",
    ),
    slope(
      "Head square to the table, across",
      machine.tramAcross,
      machine.tramSweep,
      usualBias.tramAcross,
      "Sweep an indicator in the spindle over the table, front and back.",
    ),
    slope(
      "Fixed jaw square to the table",
      vise.jawSquareness,
      50,
      usualBias.jawSquare,
      "Run an indicator up a ground block held at the fixed jaw; shim or regrind the jaw.",
    ),
    amount(
      "Jaw flex when tightened",
      vise.stretch,
      "Set an indicator at the fixed jaw and tighten as you do in work: set zero after clamping.",
    ),
    {
      what: "Fixed jaw in line with X, bed to table",
      state: "unknown",
      found: say`changes every time the vise is set; ${mm(usualBias.jawLine.rise)} over ${mm(usualBias.jawLine.over)} is usual (guess)`,
      todo: words(
        "Run an indicator along the fixed jaw and the bed when the vise is set up, and again after a crash.",
      ),
    },
    ...instruments
      .filter((i) => i.uncertainty <= within)
      .map((i): ReadinessItem =>
        i.lastCheck === ""
          ? {
              what: i.name,
              state: "unknown",
              found: say`good to ±${fine(i.uncertainty)}, no check date`,
              todo: words("Check it at zero and on a gauge block, and enter the date."),
            }
          : {
              what: i.name,
              state: "ready",
              found: say`good to ±${fine(i.uncertainty)}, checked ${i.lastCheck}`,
              todo: null,
            },
      ),
    ...(instruments.some((i) => i.uncertainty <= within)
      ? []
      : [
          {
            what: "A precise enough instrument",
            state: "tooMuch" as const,
            found: say`none in the shop is better than ±${fine(within)}`,
            todo: words("Measure with a finer one, or agree on a wider tolerance."),
          },
        ]),
  ];
}
