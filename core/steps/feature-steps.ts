import { cautions, handlingTimes } from "../handbook/index.ts";
import {
  type FeatureMove,
  featureMoves,
  type Locating,
  type Pickup,
  settleAt,
  topPickup,
} from "../locate/index.ts";
import { type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { type FeatureOperation, type FeatureSetup, type Measured, widestLane } from "../route/index.ts";
import type { Machine } from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, type Warning, warn, words } from "../working/index.ts";
import { clamping, placing, takeOut } from "./feature-holding-ticks.ts";
import { expectedBefore, fitNotes, leftForWall, type States, wallShift } from "./wall-fit.ts";
import type { StaleCause } from "./record.ts";
import { spindleTicks } from "./spindle-ticks.ts";
import { newStep, staleWords, type Step, type StepKind } from "./step.ts";
import type { Tick } from "./tick.ts";

/** Which zeros a cause makes stale (M44). */
const stales: Record<StaleCause, readonly ("x" | "y" | "z")[]> = {
  moved: ["x", "y", "z"],
  restarted: ["x", "y", "z"],
  cutter: ["z"],
  knee: ["z"],
};

/** The last event in a setup that made a zero stale; null when none did. */
function staleSince(
  setup: FeatureSetup,
  states: States,
  axis: "x" | "y" | "z",
): { cause: StaleCause; seq: number } | null {
  return setup.operations
    .flatMap((o) => states.get(o.key)?.stales ?? [])
    .filter(({ cause }) => stales[cause].includes(axis))
    .reduce<{ cause: StaleCause; seq: number } | null>((a, b) => (!a || b.seq > a.seq ? b : a), null);
}

/**
 * The steps of a setup in which features are cut: placing, pick-up on every axis, then tool by tool and move by move, with what is
 * measured and deburred. No move before its zero is good (M44); order locked so that nothing ploughs in (M24).
 */
export function featureStepsOf(
  setup: FeatureSetup,
  locating: Locating,
  states: States,
  machine: Machine,
): Step[] {
  const first = setup.operations[0];
  if (!first) return [];
  const steps: Step[] = [];
  const add = (op: FeatureOperation, kind: StepKind, id: string, title: Phrase, more: Partial<Step> = {}) => {
    steps.push(newStep(op.key, setup.number, kind, id, title, more));
  };
  const tickOf =
    (op: FeatureOperation) =>
    (id: string, phrase: Phrase, after = 0): Tick => ({
      id,
      phrase,
      done: (states.get(op.key)?.ticks.get(id) ?? -1) > after,
    });
  const clampStale = staleSince(setup, states, "x");
  const moved = clampStale?.cause === "moved" ? clampStale.seq : 0;
  add(first, "place", "place", setup.title, {
    ticks: placing(setup, tickOf(first)),
    notes: setup.warnings,
    minutes: handlingTimes.setup / 2,
  });
  if (setup.entry !== "stays" || moved > 0)
    add(
      first,
      "clamp",
      "clamp",
      setup.seat.tap ? words("Tighten, then tap it down") : words("Tighten, then indicate"),
      {
        ticks: clamping(setup, (id, phrase) => tickOf(first)(id, phrase, moved)),
        minutes: handlingTimes.setup / 2,
      },
    );
  setup.operations.forEach((op, i) => {
    const tick = tickOf(op);
    if (op.by === "hand") {
      add(op, "hand", "file", op.title, {
        ticks: [tick("filed", say`Done with ${op.toolName}, to the line or the template`)],
        notes: op.warnings,
        minutes: op.minutes.cutting,
      });
    } else {
      const before = setup.operations.slice(0, i).findLast((o) => o.by !== "hand");
      // A head that was tilted is set upright again, and every zero with it.
      const upright = before !== undefined && before.tilt !== null && op.tilt === null;
      if (!op.sameTool || !before || upright)
        add(op, "check", "check", say`${op.toolName} in, ${speedOf(op)}`, toolIn(op, tick, upright));
      if (!before || upright) locating.pickups.forEach((pickup) => zero(op, pickup));
      if (!op.sameTool || op.tilt !== null || upright || before?.crown !== op.crown)
        zero(
          op,
          topPickup(machine, op.toolName, op.tilt !== null, setup.device === "vBlocks" && !setup.seat.square),
        );
      moves(op);
    }
    if (op.measure) measuring(op, op.measure);
    if (!setup.operations.slice(i + 1).some((o) => o.feature === op.feature))
      add(op, "deburr", "deburr", say`Deburr both sides, then wipe`, {
        ticks: [
          tick("stopped", words("Spindle stopped, chips brushed away, not by hand")),
          tick("deburred", words("Every edge of it deburred, at the far side too where it comes out")),
        ],
        minutes: handlingTimes.deburr,
      });
  });
  const last = setup.operations.at(-1)!;
  add(last, "takeOut", "out", words("Loosen and take out"), {
    ticks: takeOut(setup, tickOf(last)),
    notes: [
      warn(
        rule(
          "M08.left",
        )`What was put in comes out before the next setup: a parallel, stop or block left in lifts the part.`,
      ),
    ],
  });
  return steps;

  function zero(op: FeatureOperation, pickup: Pickup) {
    const stale = staleSince(setup, states, pickup.axis);
    const taken = states.get(op.key)?.ticks.get(`zero-${pickup.axis}`) ?? -1;
    const good = taken > (stale?.seq ?? 0);
    add(op, "pickup", `zero-${pickup.axis}`, pickup.title, {
      pickup: { ...pickup, stale: !good && stale ? (staleWords[stale.cause] ?? null) : null },
      notes: pickup.warnings,
      minutes: handlingTimes.touchOff,
      done: good,
    });
  }

  function moves(op: FeatureOperation) {
    const all = featureMoves(op, locating.frame, wallShift(op, setup, states)) ?? [];
    const ticks = states.get(op.key)?.ticks;
    const here: { [axis: string]: Mm } = {};
    all.forEach((move, i) => {
      const targets = (["x", "y", "z"] as const).flatMap((axis) => {
        const to = move.to[axis];
        if (to === undefined) return [];
        const from = here[axis] ?? null;
        here[axis] = to;
        return [{ axis, settled: settleAt(to, machine.axes[axis]), from }];
      });
      add(op, "move", `move-${move.number}`, say`${op.title}, move ${move.number} of ${all.length}`, {
        move: { move, targets, of: all.length },
        notes: [
          ...(i === 0 ? [warn(words(cautions.chips)), ...op.warnings] : []),
          ...moveNotes(move, op),
          ...targets
            .filter(({ settled }) => Math.abs(settled.residue) >= 0.0005)
            .map(({ axis, settled }) =>
              note(
                rule(
                  "M25.residue",
                )`${axis.toUpperCase()} set to the nearest division is ${precise(mm(Math.abs(settled.residue)), 3)} off; the next place counts from zero again, so it never adds up.`,
              ),
            ),
        ],
        minutes: op.minutes.cutting / all.length,
        done: ticks?.has(`move-${move.number}`) ?? false,
      });
    });
  }

  function measuring(op: FeatureOperation, measured: Measured) {
    const state = states.get(op.key);
    const readings = state?.readings.get(measured.size) ?? [];
    const last = measured.before
      ? setup.operations.find(
          (o) =>
            o.feature === op.feature && o.measure && !o.measure.before && o.measure.size === measured.size,
        )
      : undefined;
    const expected = measured.before ? expectedBefore(measured, last) : measured.target;
    const read = readings.length > 0 ? (Math.max(...readings) + Math.min(...readings)) / 2 : null;
    const left =
      read === null ? null : tidy(measured.grows ? measured.target - read : read - measured.target);
    add(op, "measure", `measure-${measured.size}`, say`Measure ${measured.name}`, {
      fit: { measured, path: `${op.feature}/${measured.size}`, expected, readings, left },
      notes: [warn(words(cautions.measure)), ...fitNotes(measured, left, read)],
      minutes: handlingTimes.measure,
      done: state?.measured ?? false,
    });
  }
}

const speedOf = (op: FeatureOperation): Phrase =>
  op.set ? say`${quantity("spindleSpeed", op.set.rpm)}` : words("by hand");

function toolIn(
  op: FeatureOperation,
  tick: (id: string, phrase: Phrase) => Tick,
  upright: boolean,
): Partial<Step> {
  return {
    ticks: spindleTicks(op.toolName, op.set, tick, [
      ...(upright ? [tick("upright", words("Head upright again, trammed and locked"))] : []),
      ...(op.tilt !== null
        ? [
            tick(
              "tilted",
              say`Head tilted ${quantity("angle", op.tilt)}, checked with a sine bar or an angle block, and locked`,
            ),
          ]
        : []),
    ]),
    notes: [warn(words(cautions.eyes)), note(words(cautions.manual))],
    minutes: handlingTimes.cutterChange,
  };
}

/** What is said of a move besides where it ends. */
function moveNotes(move: FeatureMove, op: FeatureOperation): Warning[] {
  if (move.kind === "go") return [note(words("Spindle up clear first. Lock the table when you are there."))];
  if (move.kind === "down" && op.by === "hole")
    return [note(words("Back out every so often to clear the chips; ease off where it breaks through."))];
  if (move.kind === "down" && move.cuts === "down")
    return [warn(rule("M20.into")`Into solid metal: slowly, out again to clear chips.`)];
  if (move.kind === "feed" && move.notPast)
    return [
      ...cornerFeed(move, op),
      note(
        rule(
          "M27.stop",
        )`Stop with the axis there, not with the edge of the cutter: its edge is ${mm(tidy(op.diameter / 2))} ahead.`,
      ),
    ];
  return [];
}

/**
 * In the corner of a ring the tooth stays in the metal for up to a quarter turn more: the feed there falls in proportion
 * (domain.md 6: engagement arccos(1 − 2 ae / D), and 90° more).
 */
function cornerFeed(move: FeatureMove, op: FeatureOperation): Warning[] {
  const ring = op.sweep.kind === "clear" || op.sweep.kind === "walls";
  if (!ring || move.cuts !== "conventional" || !op.set || !op.cut) return [];
  const ae = op.sweep.kind === "walls" ? leftForWall(op) : widestLane * op.diameter;
  const angle = (Math.acos(1 - (2 * Math.min(ae, op.diameter)) / op.diameter) * 180) / Math.PI;
  return [
    note(
      rule(
        "corner.feed",
      )`Into the corner ease the feed to ${quantity("feed", (op.set.vf * angle) / (angle + 90))} for the last ${mm(tidy(op.diameter / 2))}: the cutter is in metal for a quarter turn more there.`,
    ),
  ];
}
