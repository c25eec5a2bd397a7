import { cautions, handlingTimes } from "../handbook/index.ts";
import { paper, topPickup, topSetting } from "../locate/index.ts";
import { cutWindow } from "../measure/index.ts";
import { type Limits, type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { extentOf, type Setup } from "../route/index.ts";
import type { Machine } from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, stop, warn, type Warning, words } from "../working/index.ts";
import { clampTicksOf, placeTicks, takeOutTicks } from "./holding-ticks.ts";
import {
  depthAxis,
  intoPart,
  type LivePass,
  livePasses,
  minutesOfPasses,
  strokesOfPass,
} from "./live-passes.ts";
import type { Progress } from "./progress.ts";
import { speedTicks, spindleTicks, toolNotes, turnsOf, type WalkPlace } from "./spindle-ticks.ts";
import { type FaceStep, newStep, staleWords, type StepKind } from "./step.ts";
import type { Tick } from "./tick.ts";

/** What stands in the spindle, and how fast it turns. */
export interface InSpindle {
  cutter: string;
  rpm: number;
}

const backOffWords = {
  down: "Drop the knee clear",
  up: "Raise the spindle clear",
  sideways: "Back off sideways",
} as const;

/**
 * The steps of one setup in the order they are done, with their ticks. What was put in is ticked out at the end (M08);
 * the rod is a tick of placing (M06); tighten, then tap, then try the parallels, no pull after that (M50); handle, wrench
 * and guard before the spindle turns (M40); deburr and wipe before the next seat (M07); no cut without a fresh zero (M44).
 * @param spindle what stands in it when the setup begins
 */
export function stepsOf(
  setup: Setup,
  state: Progress | null,
  place: WalkPlace,
  spindle: InSpindle | null,
): FaceStep[] {
  const { machine, shop } = place;
  const passes = livePasses(setup, state, machine);
  const ticked = state?.ticks ?? new Set<string>();
  const make: Make = (kind, id, title, more = {}) => newStep(setup.key, setup.number, kind, id, title, more);
  const tick = (id: string, phrase: Phrase): Tick => ({ id, phrase, done: ticked.has(id) });
  const steps: FaceStep[] = [
    make("place", "place", setup.title, {
      ticks: placeTicks(setup, tick),
      notes: setup.warnings,
      minutes: handlingTimes.setup / 2,
    }),
    ...(setup.entry !== "stays" || (state?.moves ?? 0) > 0
      ? [
          make("clamp", "clamp", clampTitle(setup), {
            ticks: clampTicksOf(setup, state, tick),
            minutes: handlingTimes.setup / 2,
          }),
        ]
      : []),
  ];
  const number = setup.after.faces[setup.face].order ?? setup.number;
  if (passes.length > 0) {
    const cutter = shop.cutters.find((c) => c.id === setup.cut.cutter);
    const stays = spindle?.cutter === setup.cut.cutter;
    const name = cutter?.name ?? setup.cut.cutter;
    // What was cut already was cut with it, whatever an older plan asked for.
    const before = (id: string, phrase: Phrase): Tick => {
      const asked = tick(id, phrase);
      return { ...asked, done: asked.done || (state?.cuts.length ?? 0) > 0 };
    };
    const asked = { cutter, machine, set: setup.cut, before: spindle?.rpm ?? null };
    if (!stays || spindle.rpm !== setup.cut.rpm)
      steps.push(
        make(
          "check",
          "check",
          say`${name} ${stays ? "stays" : "in"}, ${quantity("spindleSpeed", setup.cut.rpm)}`,
          {
            ticks: stays ? speedTicks(asked, before) : spindleTicks(name, asked, before),
            turns: turnsOf(cutter, machine),
            notes: toolNotes(place),
          },
        ),
      );
    if (axisGivesWall(setup))
      steps.push(endHeight(setup, state, machine, cutter?.name ?? setup.cut.cutter, make));
    steps.push(touchStep(setup, state, machine, make));
    steps.push(...cuttingSteps(setup, state, passes, make));
    steps.push(
      make(
        "cleanup",
        "clean",
        say`Is face ${number} clean${setup.after.faces[setup.face].rest ? " as far as it is cut" : " all over"}?`,
        {
          notes: [
            note(
              words(
                setup.sized
                  ? "Look for spots the cutter missed. The size is reached: more cannot come off."
                  : "Look for spots the cutter missed. If there are any, one more pass is planned.",
              ),
            ),
          ],
          done: state?.cleanups.at(-1)?.after === passes.length && passes.every((p) => p.done),
        },
      ),
    );
  }
  const after = passes.length;
  steps.push(
    make(
      "deburr",
      "deburr",
      say`Deburr ${passes.length > 0 ? say`face ${number}` : say`the ${setup.face} face`}, then wipe`,
      {
        ticks: [
          tick(`stopped-${after}`, words("Spindle stopped, chips brushed away, not by hand")),
          tick(
            `deburred-${after}`,
            passes.length > 0
              ? say`Every edge of the face deburred with a file or stone: the burr stands most at the ${burrSide(setup)}, where the cutter came out`
              : words("Every edge of the face deburred with a file or stone"),
          ),
          tick(`wiped-${after}`, words("Part, jaws and bed wiped clean")),
        ],
        notes: [
          warn(rule("M07.burr")`A burr or chip under the next reference face tilts everything cut after it.`),
        ],
        minutes: handlingTimes.deburr,
      },
    ),
  );
  if (passes.length > 0 || setup.sized)
    steps.push(measureStep(setup, state, passes.length, true, setup.to, make));
  if (!setup.stays)
    steps.push(
      make("takeOut", "out", words("Loosen and take out"), {
        ticks: takeOutTicks(setup, tick),
        notes: [
          warn(
            rule(
              "M08.left",
            )`What was put in comes out before the next setup: a parallel or rod left in is cut into or lifts the part.`,
          ),
          ...tooSmall(setup, state),
        ],
      }),
    );
  return steps;
}

/** M01: a reading under the lower limit is not passed over: nothing puts the metal back. */
function tooSmall(setup: Setup, state: Progress | null): Warning[] {
  const read = state?.readings.get(state.cuts.length) ?? [];
  const smallest = Math.min(...read);
  if (!setup.sized || read.length === 0 || smallest >= setup.limits.lower) return [];
  return [
    stop(
      rule(
        "M01.under",
      )`You read ${precise(mm(smallest), 3)}, under the lower limit of ${precise(mm(setup.limits.lower), 3)}: it cannot be put back. Measure again; if it stays so, mark the piece, and ask whether it may be used before you work on.`,
    ),
  ];
}

/** Where the cutter comes out of the metal in its last pass: the burr is largest there. */
function burrSide({ sweep }: Pick<Setup, "sweep">): string {
  const ahead = sweep.lastToward > 0;
  return sweep.along === "x" ? (ahead ? "right end" : "left end") : ahead ? "back edge" : "front edge";
}

const clampTitle = ({ seat, entry }: Setup): Phrase =>
  entry === "swapped"
    ? words("Check that nothing moved")
    : seat.table
      ? words("Tighten in turn, then look along the edge")
      : seat.tap
        ? words("Tighten, then tap it down")
        : words("Tighten by hand feel");

type Make = (kind: StepKind, id: string, title: Phrase, more?: Partial<FaceStep>) => FaceStep;

/** Whether the depth is across: then Z says how far down the side of the cutter reaches. */
const axisGivesWall = (setup: Setup): boolean => setup.looks !== null;

/** For a cut with the side of the cutter Z is touched on the top first: from there the cutter hangs as far down as it cuts. */
function endHeight(
  setup: Setup,
  state: Progress | null,
  machine: Machine,
  tool: string,
  make: Make,
): FaceStep {
  const pickup = topPickup(machine, { kind: "cutter", id: setup.cut.cutter, name: tool }, false, null);
  return make("pickup", "zero-z", pickup.title, {
    pickup: { ...pickup, stale: state?.stale ? (staleWords[state.stale] ?? null) : null },
    notes: pickup.warnings,
    done: (state?.ticks.has("zero-z") ?? false) || (state?.zeroed ?? false),
    minutes: handlingTimes.touchOff,
  });
}

/** Touch-off through paper, its thickness counted on the axis it touches (M23): on a raw face at the highest of three spots. */
function touchStep(setup: Setup, state: Progress | null, machine: Machine, make: Make): FaceStep {
  const axis = depthAxis(setup);
  const screw = machine.axes[axis];
  const surface = state?.present ?? setup.from;
  const name = axis.toUpperCase();
  const backOff = axis !== "z" ? "sideways" : machine.depthBy === "knee" ? "down" : "up";
  const setting = screw.readout === null ? 0 : tidy(-intoPart(setup) * topSetting(0, paper));
  const sizeAtZero = tidy(screw.readout === null ? surface + paper : surface);
  const raw =
    setup.before.faces[setup.face].condition !== "milled" &&
    setup.before.faces[setup.face].condition !== "ground";
  return make(
    "touch",
    "touch",
    axis === "z"
      ? say`Touch off the face in ${name} with paper`
      : say`Touch off the ${setup.face} ${setup.seat.overhang !== null ? "end" : "face"} in ${name} with paper`,
    {
      touch: {
        axis,
        setting,
        sizeAtZero,
        medium: paper,
        from: setup.looks ?? "above",
        stale: state?.stale ? (staleWords[state.stale] ?? null) : null,
        backOff,
      },
      notes: [
        note(
          raw && (state?.cuts.length ?? 0) === 0
            ? words(
                "The face is raw: try at least three spots and zero at the highest, where the paper drags first.",
              )
            : words("Zero where the paper just drags."),
        ),
        warn(
          words(
            "A long strip of paper, fingers well away from the cutter; better, turn the spindle by hand.",
          ),
        ),
        note(
          screw.readout === null
            ? rule(
                "M23.paper",
              )`Set the ${name} collar to 0 as the paper drags. The paper, ${precise(mm(paper), 2)}, is counted in every stop below.`
            : rule(
                "M23.readout",
              )`Set ${name} to ${precise(mm(setting), 2)} as the paper drags: then 0 is the face itself.`,
        ),
        warn(rule("M24.back")`${backOffWords[backOff]} first, then move off the part, then go to depth.`),
      ],
      done: state?.zeroed ?? false,
      minutes: handlingTimes.touchOff,
    },
  );
}

/** Wider limits than these, mm, ask for one reading before the last pass, or for none: the handle alone keeps them (guess). */
const oneReading = 0.3;
const noReading = 0.8;

/** How many of the last passes a reading is taken before. */
function readingsBeforeLast({ lower, upper }: Limits): number {
  const width = upper - lower;
  return width > noReading ? 0 : width > oneReading ? 1 : 2;
}

/** Cut steps with the measuring before the last two passes of a size (domain.md 7). */
function cuttingSteps(setup: Setup, state: Progress | null, passes: LivePass[], make: Make): FaceStep[] {
  return passes.flatMap((pass, i) => {
    const left = passes.length - 1 - i;
    const strokes = strokesOfPass(setup, pass);
    const step = make("cut", `cut-${pass.number}`, say`Pass ${pass.number} of ${passes.length}`, {
      pass,
      strokes,
      done: pass.done,
      minutes: minutesOfPasses(setup, [pass]),
      notes: [
        ...(i === 0 && setup.cut.first > 0
          ? [
              warn(
                rule(
                  "skin.first",
                )`The first pass goes under the skin. Do not take it lighter: the skin dulls the edge.`,
              ),
            ]
          : [warn(words(cautions.chips))]),
        ...(pass.last && setup.cut.spring
          ? [
              note(
                rule(
                  "spring.again",
                )`Then once more at the same setting: the cutter was pushed off the wall and comes back.`,
              ),
            ]
          : []),
        ...taperWarning(setup, state, pass),
        ...(Math.abs(pass.residue) >= 0.0005
          ? [
              note(
                rule(
                  "M04.rounding",
                )`Set to the nearest division, ${precise(mm(Math.abs(pass.residue)), 3)} is left ${pass.residue > 0 ? "uncut" : "over"}; the next stop counts from zero again, so it never adds up.`,
              ),
            ]
          : []),
      ],
    });
    const measured = state?.measured.has(pass.number) ?? false;
    const wanted = setup.sized && left >= 1 && left <= readingsBeforeLast(setup.limits);
    return wanted || (measured && left > 0)
      ? [step, measureStep(setup, state, pass.number, false, pass.sizeAfter, make)]
      : [step];
  });
}

/** M34: when the readings spread wider than the limits no single cut brings every point inside. */
function taperWarning(setup: Setup, state: Progress | null, pass: LivePass): Warning[] {
  const readings = state?.readings.get(pass.number - 1) ?? [];
  if (!setup.sized || readings.length < 2 || cutWindow(readings, setup.limits.lower, setup.limits.upper))
    return [];
  return [
    warn(
      rule(
        "M34.taper",
      )`The readings spread ${precise(mm(tidy(Math.max(...readings) - Math.min(...readings))), 3)}, the limits only ${precise(mm(tidy(setup.limits.upper - setup.limits.lower)), 3)}: no one cut brings every point inside. Look for what tilts the part (chip, burr, parallel) and take the taper out first.`,
    ),
  ];
}

function measureStep(
  setup: Setup,
  state: Progress | null,
  after: number,
  final: boolean,
  expected: Mm,
  make: Make,
): FaceStep {
  const reached = (state?.cuts.length ?? 0) >= after;
  const above = setup.looks !== null && extentOf(setup.key) !== "face" ? setup.cut.width : null;
  const where = above === null ? say`` : say` above the jaws, where it is cut`;
  return make(
    "measure",
    final ? "measure" : `measure-${after}`,
    final
      ? say`Measure the ${setup.axis}${where}`
      : say`Measure the ${setup.axis}${where} before the next pass`,
    {
      measure: {
        of: setup.axis,
        expected: reached && after > 0 ? (state?.cuts[after - 1]?.expected ?? expected) : expected,
        after,
        final,
        readings: state?.readings.get(after) ?? [],
        above,
      },
      notes: [
        warn(words(cautions.measure)),
        ...tooSmall(setup, state),
        note(
          words(
            final
              ? "Read at four corners: the verdict goes by all of them."
              : "One reading is enough; several say more.",
          ),
        ),
      ],
      done: state?.measured.has(after) ?? false,
      minutes: handlingTimes.measure,
    },
  );
}
