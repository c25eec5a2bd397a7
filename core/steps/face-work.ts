import {
  cautions,
  conditionFacts,
  type FaceCondition,
  handlingTimes,
  witnessStep,
} from "../handbook/index.ts";
import { cutWindow } from "../inspect/index.ts";
import { type Limits, type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { extentOf } from "../squaring/index.ts";
import { cutForFluid, faceOf, type FaceOperation, type FaceSetup } from "../route/index.ts";
import { note, type Phrase, precise, rule, say, stop, warn, type Warning, words } from "../working/index.ts";
import { type LivePass, livePasses, minutesOfPasses, strokesOfPass } from "./live-passes.ts";
import { measureStep } from "./face-measure.ts";
import type { FaceProgress } from "./face-progress.ts";
import type { MakeFaceStep } from "./face-step.ts";
import { endHeight, touchStep } from "./face-touch.ts";
import { lockTick } from "./lock-ticks.ts";
import {
  type InSpindle,
  type SpindleAsked,
  speedTicks,
  spindleTicks,
  startedAgainTick,
  toolNotes,
  turnsOf,
  type WalkPlace,
} from "./spindle-ticks.ts";
import { type FaceStep, newStep } from "./step.ts";
import { byIndicator, type MakeTick, type Tick } from "./tick.ts";

/**
 * The cut of a face in the order it is done: tool and speed, Z and the zero, pass by pass with what is read, then cleaned, deburred
 * and measured. Handle, wrench and guard before the spindle turns (M40); deburr and wipe before the next seat (M07); no cut
 * without a fresh zero (M44).
 * @param spindle what stands in it before
 */
export function faceWork(
  setup: FaceSetup,
  state: FaceProgress | null,
  place: WalkPlace,
  spindle: InSpindle | null,
): FaceStep[] {
  const { machine, shop } = place;
  const op = faceOf(setup);
  const { cut, face } = op;
  const passes = livePasses(op, state, place);
  const ticked = state?.ticks ?? new Map<string, number>();
  const make: MakeFaceStep = (kind, id, title, more = {}) =>
    newStep(op.key, setup.number, kind, id, title, more);
  const tick = (id: string, phrase: Phrase): Tick => ({ id, phrase, done: ticked.has(id) });
  const steps: FaceStep[] = [];
  const number = setup.after.faces[face].order ?? setup.number;
  if (passes.length > 0) {
    const cutter = shop.cutters.find((c) => c.id === cut.cutter);
    const stays = spindle?.tool === cut.cutter;
    const name = cutter?.name ?? cut.cutter;
    // What was cut already was cut with it, whatever an older plan asked for.
    const before = (id: string, phrase: Phrase): Tick => {
      const asked = tick(id, phrase);
      return { ...asked, done: asked.done || (state?.cuts.length ?? 0) > 0 };
    };
    const asked = { cutter, machine, shop, set: cut, before: spindle?.rpm ?? null };
    if (!stays || spindle.rpm !== cut.rpm)
      steps.push(
        make("check", "check", say`${name} ${stays ? "stays" : "in"}, ${quantity("spindleSpeed", cut.rpm)}`, {
          ticks: stays ? speedTicks(asked, before) : spindleTicks(name, asked, before),
          turns: turnsOf(cutter, machine),
          notes: toolNotes(place, cutForFluid(op)),
        }),
      );
    if (op.looks !== null) steps.push(endHeight(setup, state, place, name, make));
    steps.push(touchStep(setup, state, place, make));
    steps.push(...cuttingSteps(op, state, passes, { make, tick, asked, raw: setup.before.faces[face] }));
    // Only the scale is off: it is cleaned, deburred and measured once its size is cut.
    if (extentOf(op.key) === "rough") return steps;
    steps.push(
      make(
        "cleanup",
        "clean",
        say`Is face ${number} clean${setup.after.faces[face].rest ? " as far as it is cut" : " all over"}?`,
        {
          notes: [
            note(
              words(
                op.sized
                  ? "Look for spots the cutter missed. It is at size: no more can come off."
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
      say`Deburr ${passes.length > 0 ? say`face ${number}` : say`the ${face} face`}, then wipe`,
      {
        ticks: [
          tick(`stopped-${after}`, words("Spindle stopped, chips brushed away, not by hand")),
          tick(
            `deburred-${after}`,
            passes.length > 0
              ? say`Every edge of the face deburred with a file or stone: the burr stands most at the ${burrSide(op)}, where the cutter came out`
              : words("Every edge of the face deburred with a file or stone"),
          ),
          ...(op.matched ? [whereTheyMeet(state, after)] : []),
          tick(`wiped-${after}`, words("Part, jaws and bed wiped clean")),
        ],
        notes: [warn(rule("M07.burr")`A burr or chip under the next reference face tilts every later cut.`)],
        minutes: handlingTimes.deburr,
      },
    ),
  );
  if (op.matched) return steps;
  if (passes.length > 0 || op.sized) steps.push(measureStep(op, state, passes.length, true, op.to, make));
  return steps;
}

/** A side cut in two clampings: the step between both cuts, run over with an indicator. */
function whereTheyMeet(state: FaceProgress | null, after: number): Tick {
  const id = `met-${after}`;
  const has = (tick: string) => state?.ticks.has(tick) ?? false;
  return byIndicator(
    {
      id,
      phrase: rule(
        "match.step",
      )`Indicator across the line where both cuts meet: a step of no more than ${precise(mm(witnessStep.usual), 2)}`,
      // A job that went on before this was asked is not sent back to it.
      done: has(id) || has(`wiped-${after}`),
      tries: state?.runs.get(id) ?? [],
    },
    witnessStep.usual,
  );
}

/** Where the cutter comes out of the metal in its last pass: the burr is largest there. */
function burrSide({ sweep }: Pick<FaceOperation, "sweep">): string {
  const ahead = sweep.lastToward > 0;
  return sweep.along === "x" ? (ahead ? "right end" : "left end") : ahead ? "back edge" : "front edge";
}

/** Wider limits than these, mm, ask for one reading before the last pass, or for none: the handle alone keeps them (guess). */
const oneReading = 0.3;
const noReading = 0.8;

/** How many of the last passes a reading is taken before. */
function readingsBeforeLast({ lower, upper }: Limits): number {
  const width = upper - lower;
  return width > noReading ? 0 : width > oneReading ? 1 : 2;
}

/** The nearest division is not quite where the pass should stop. */
const leavesOver = ({ residue }: LivePass): boolean => Math.abs(residue) >= 0.0005;

/** Cut steps with the measuring before the last two passes of a size (domain.md 7). */
function cuttingSteps(
  op: FaceOperation,
  state: FaceProgress | null,
  passes: LivePass[],
  {
    make,
    tick,
    asked,
    raw,
  }: { make: MakeFaceStep; tick: MakeTick; asked: SpindleAsked; raw: { condition: FaceCondition } },
): FaceStep[] {
  let stoodStill = false;
  return passes.flatMap((pass, i) => {
    const left = passes.length - 1 - i;
    const strokes = strokesOfPass(op, pass);
    const unchanged = missed(state, pass.number);
    const before = [
      // Nothing is set deeper until the reason is found.
      ...(unchanged === null
        ? []
        : [tick(`unchanged-${pass.number}`, words("Found and fixed why nothing came off"))]),
      ...(op.matched && i === 0
        ? [
            tick(
              "dyed",
              words("Layout dye on the part of this side that is cut already, below, all along it"),
            ),
          ]
        : []),
      lockTick({ number: pass.number, fed: op.cut.feedAlong, machine: asked.machine }, tick),
      ...(stoodStill ? [startedAgainTick(asked, pass.number, tick)] : []),
    ];
    const step = make("cut", `cut-${pass.number}`, say`Pass ${pass.number} of ${passes.length}`, {
      pass,
      strokes,
      ticks: before.map((t) => ({ ...t, done: t.done || pass.done })),
      done: pass.done,
      minutes: minutesOfPasses(op, [pass]),
      notes: [
        ...(unchanged === null ? [] : [nothingCameOff(unchanged)]),
        ...(op.matched ? [byDye(pass.last)] : []),
        ...(i === 0 && op.cut.first > 0 && conditionFacts[raw.condition].hardSkin
          ? [
              warn(
                rule(
                  "skin.first",
                )`The first pass goes under the skin. Do not take it lighter: the skin dulls the edge.`,
              ),
            ]
          : [warn(words(cautions.chips))]),
        ...(pass.last && op.cut.spring
          ? [
              note(
                rule(
                  "spring.again",
                )`Then a spring pass at the same setting: the cutter was pushed off the wall.`,
              ),
            ]
          : []),
        ...taperWarning(op, state, pass),
        ...(pass.proves && !pass.done ? [proving(state?.light.has(pass.number) ?? false)] : []),
        ...(state && state.rate !== 1 && !pass.done ? [movesOtherwise(state.rate)] : []),
        // Said where it is first so, and where it stays: every stop between counts from zero too.
        ...(leavesOver(pass) && (pass.last || passes.find(leavesOver) === pass)
          ? [
              note(
                rule(
                  "M04.rounding",
                )`Nearest division ${pass.residue > 0 ? "leaves" : "cuts"} ${precise(mm(Math.abs(pass.residue)), 3)} ${pass.residue > 0 ? "uncut" : "deeper"}; stops count from zero, so errors do not accumulate.`,
              ),
            ]
          : []),
      ],
    });
    const measured = state?.measured.has(pass.number) ?? false;
    const wanted =
      pass.proves || (op.sized && !op.matched && left >= 1 && left <= readingsBeforeLast(op.limits));
    stoodStill = wanted || (measured && left > 0);
    return stoodStill ? [step, measureStep(op, state, pass.number, false, pass.sizeAfter, make)] : [step];
  });
}

/** A cut of less than this may hide in a reading, mm; of a larger one at least this share must have come off. */
const seen = { least: 0.3, share: 0.25 } as const;

/** What should have come off by the pass before, where the size is what it was; null where it came off, mm. */
function missed(state: FaceProgress | null, next: number): Mm | null {
  const cut = state?.cuts[next - 2];
  const after = state?.readings.get(next - 1);
  if (!state || !cut || !after) return null;
  const before = state.readings.get(next - 2) ?? [state.cuts[next - 3]?.expected ?? state.told.from];
  const meant = tidy(Math.min(...before) - cut.expected);
  const came = Math.min(...before) - Math.min(...after);
  return meant < seen.least || came >= seen.share * meant ? null : meant;
}

/** domain.md 4: sides cut in two clampings are matched by layout dye. */
const byDye = (last: boolean): Warning =>
  last
    ? warn(
        rule(
          "match.dye",
        )`Go in a little at a time from here, a cut each, until the cutter just takes the dye off below: that is the size, whatever the figure says.`,
      )
    : note(
        rule("match.sooner")`Where the dye below is marked already, stop and say so: nothing more is cut.`,
      );

/** Why a pass is taken that only proves the setting. */
const proving = (asked: boolean): Warning =>
  note(
    asked
      ? rule("prove.asked")`A light pass first: read the size after it. What comes off proves the setting.`
      : rule(
          "prove.surprise",
        )`The last reading was a surprise. Not all that is left comes off at once: cut this much, read again, then take the rest.`,
  );

/** Three cuts took more or less than was set, each by its share: the axis does not move what it shows. */
const movesOtherwise = (rate: number): Warning =>
  warn(
    rule(
      "surprise.scale",
    )`Three cuts running took ${`${(100 * Math.abs(rate - 1)).toFixed(1)} %`} ${rate > 1 ? "more" : "less"} than was set. The stops below are put right by it. Try the axis against a gauge block: a worn screw, a wrong lead, or a readout set for another scale.`,
  );

const nothingCameOff = (meant: Mm): Warning =>
  stop(
    rule(
      "surprise.unchanged",
    )`The last pass should have taken ${precise(mm(meant), 2)}, and the size hardly changed. Find out why before you go deeper: right axis and direction, zero, part tight, right size measured.`,
  );

/** M34: when the readings spread wider than the limits no single cut brings every point inside. */
function taperWarning(
  { sized, limits }: FaceOperation,
  state: FaceProgress | null,
  pass: LivePass,
): Warning[] {
  const readings = state?.readings.get(pass.number - 1) ?? [];
  if (!sized || readings.length < 2 || cutWindow(readings, limits.lower, limits.upper)) return [];
  return [
    warn(
      rule(
        "M34.taper",
      )`The readings spread ${precise(mm(tidy(Math.max(...readings) - Math.min(...readings))), 3)}, the limits only ${precise(mm(tidy(limits.upper - limits.lower)), 3)}: no single cut brings every point inside. Look for what tilts the part (chip, burr, parallel) and take the taper out first.`,
    ),
  ];
}
