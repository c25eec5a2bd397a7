import { usualBias } from "../handbook/index.ts";
import { type Mm, mm, quantity } from "../quantity/index.ts";
import { isOverdue } from "../inspect/index.ts";
import {
  ageOfCheck,
  type CheckId,
  checkLasts,
  daysBelieved,
  type Instrument,
  type Machine,
  type Shop,
  type Vise,
  squareError,
  stretchOf,
} from "../shop/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";

/** One thing to know before tight work: what was found, or what to check. */
export interface ReadinessItem {
  what: string;
  /** Found and good enough, found and too much, or not known: then the usual is reckoned with. */
  state: "ready" | "tooMuch" | "unknown";
  found: Phrase;
  /** What to do; null when it is ready. */
  todo: Phrase | null;
  /** The guided test that finds it, by its id; null where there is none. */
  check: CheckId | null;
}

/** Thousandths count here. */
const fine = (value: Mm) => precise(mm(value), 3);

/** Over this length the readiness sheet speaks, mm. */
const over = 100;

/**
 * The sheet "ready for this tolerance?" of a machine and vise (domain.md 5): what was checked and when, and what should be
 * before this job. A bias may take a third of the tolerance.
 * @param within half of the tightest tolerance of the job, mm
 * @param today ISO date: what was tried too long ago is known no more
 */
export function readiness(
  machine: Machine,
  vise: Vise,
  { instruments, aids }: Pick<Shop, "instruments" | "aids">,
  within: Mm,
  today: string,
): ReadinessItem[] {
  const may = within / 3;
  /** When it was tried; what is too old is known no more. */
  const aged = (on: string, lasts: number): { said: Phrase; stale: boolean } => {
    const { days, stale } = ageOfCheck({ on }, lasts, today);
    return { said: say`, tried ${on}${stale ? say`, ${days} days ago: too long` : say``}`, stale };
  };
  const dated = (of: Pick<Machine | Vise, "checks">, check: CheckId): { said: Phrase; stale: boolean } => {
    const made = of.checks?.[check];
    return made ? aged(made.on, checkLasts[check]) : { said: words(" as entered"), stale: false };
  };
  const slope = (
    what: string,
    value: number | null,
    sweep: Mm,
    usual: { rise: Mm; over: Mm },
    todo: string,
    check: CheckId,
    of: Machine | Vise | Instrument,
  ): ReadinessItem => {
    if (value === null)
      return {
        what,
        state: "unknown",
        found: say`not checked; ${fine((usual.rise / usual.over) * over)} over ${mm(over)} is usual (guess)`,
        todo: words(todo),
        check,
      };
    const rise = (Math.abs(value) / sweep) * over;
    return judged(what, rise <= may + 1e-9, say`${fine(rise)} over ${mm(over)}`, todo, check, of);
  };
  const judged = (
    what: string,
    good: boolean,
    found: Phrase,
    todo: string,
    check: CheckId,
    of: Machine | Vise | Instrument,
  ): ReadinessItem => {
    const { said, stale } = dated(of, check);
    const state = !good ? "tooMuch" : stale ? "unknown" : "ready";
    return {
      what,
      state,
      found: say`${found}${said}; this job allows ${fine(may)}`,
      todo: state === "ready" ? null : words(todo),
      check,
    };
  };
  const amount = (
    what: string,
    value: number | null,
    todo: string,
    check: CheckId,
    of: Machine | Vise | Instrument,
  ): ReadinessItem => {
    if (value === null)
      return {
        what,
        state: "unknown",
        found: words("not measured"),
        todo: words(todo),
        check,
      };
    return judged(what, value <= may + 1e-9, say`${fine(value)}`, todo, check, of);
  };
  /** Something that was tried on a day and is believed for a while. */
  const believed = (
    what: string,
    { value, on, lasts }: { value: Phrase | null; on: string; lasts: number },
    good: boolean,
    todo: string,
  ): ReadinessItem => {
    if (value === null || on === "")
      return {
        what,
        state: "unknown",
        found: value === null ? words("not tried") : say`${value}, not checked`,
        todo: words(todo),
        check: null,
      };
    const { said, stale } = aged(on, lasts);
    return {
      what,
      state: !good ? "tooMuch" : stale ? "unknown" : "ready",
      found: say`${value}${said}`,
      todo: good && !stale ? null : words(todo),
      check: null,
    };
  };
  const squares = instruments.filter((i) => i.kind === "square" && !i.retired);
  const square = squares.find((i) => i.checks?.reversal) ?? squares[0];
  return [
    slope(
      "Head square to the table, along X",
      machine.tramAlong,
      machine.tramSweep,
      usualBias.tramAlong,
      "Sweep an indicator in the spindle over the table, left and right, and nod or tilt the head.",
      "check-tram",
      machine,
    ),
    slope(
      "Head square to the table, across",
      machine.tramAcross,
      machine.tramSweep,
      usualBias.tramAcross,
      "Sweep an indicator in the spindle over the table, front and back.",
      "check-tram",
      machine,
    ),
    slope(
      "Fixed jaw square to the table",
      vise.jawSquareness,
      50,
      usualBias.jawSquare,
      "Run an indicator up a ground block held at the fixed jaw; shim or regrind the jaw.",
      "check-jaw-upright",
      vise,
    ),
    amount(
      "Jaw flex when tightened",
      stretchOf(vise),
      "Set an indicator at the fixed jaw and tighten as you do in work: set zero after clamping.",
      "check-stretch",
      vise,
    ),
    slope(
      "Fixed jaw in line with X",
      vise.jawLine,
      100,
      usualBias.jawLine,
      "Run an indicator along the fixed jaw when the vise is set up, and again after a crash.",
      "check-jaw-line",
      vise,
    ),
    slope(
      "Bed of the vise along the table",
      vise.bedAlong,
      100,
      usualBias.bedAlong,
      "Run an indicator over the bed, and clean or regrind its foot.",
      "check-bed",
      vise,
    ),
    believed(
      "Pull at the handle of the vise",
      { value: say`${quantity("torque", vise.pull)}`, on: vise.pullChecked, lasts: daysBelieved.pull },
      true,
      "Hang a spring balance on the handle, or use a torque wrench, and pull as you do in work: the grip is worked out from it.",
    ),
    ...aids
      .filter((aid) => aid.kind === "stop" && !aid.retired)
      .map((aid) =>
        believed(
          aid.name,
          {
            value: aid.comesBack === null ? null : say`comes back within ${fine(aid.comesBack)}`,
            on: aid.tried,
            lasts: daysBelieved.stop,
          },
          (aid.comesBack ?? 0) <= may + 1e-9,
          "Put the part against it five times with an indicator at the far end: the spread is what it comes back within. Try it anew after the table or the vise was moved.",
        ),
      ),
    ...(square
      ? [
          slope(
            "The square that ends are set with",
            squareError({ instruments }),
            100,
            usualBias.square,
            "Read it against a face, turn it round, and read again: half of the difference is its own.",
            "reversal",
            square,
          ),
        ]
      : []),
    ...instruments
      .filter((i) => i.uncertainty <= within)
      .map((i): ReadinessItem =>
        i.lastCheck === ""
          ? {
              what: i.name,
              state: "unknown",
              found: say`good to ±${fine(i.uncertainty)}, no check date`,
              todo: words("Check it at zero and on a gauge block."),
              check: "check-instrument",
            }
          : isOverdue(i.lastCheck, i.every, today)
            ? {
                what: i.name,
                state: "unknown",
                found: say`good to ±${fine(i.uncertainty)} when it was checked, ${i.lastCheck}: overdue, so half as much again`,
                todo: words("Check it at zero and on a gauge block."),
                check: "check-instrument",
              }
            : {
                what: i.name,
                state: "ready",
                found: say`good to ±${fine(i.uncertainty)}, checked ${i.lastCheck}`,
                todo: null,
                check: null,
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
            check: null,
          },
        ]),
  ];
}
