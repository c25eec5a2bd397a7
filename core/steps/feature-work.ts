import { type Stroke, type Measured, minutesOfEach, strokesAgain } from "../recipes/index.ts";
import { cautions, handlingTimes } from "../handbook/index.ts";
import {
  featureMoves,
  setupMoves,
  pickupNow,
  highestLeft,
  type TouchedOn,
  type Swath,
  swathsOf,
  type Locating,
  type Pickup,
  depthScrew,
  isByQuill,
  settledAgainstSlack,
  crownPlace,
  slackOf,
  topPickup,
  type Toucher,
  zeroedToward,
} from "../locate/index.ts";
import { type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { cutForFluid, type FeatureOperation, type FeatureSetup, handFeed } from "../route/index.ts";
import { pickSetting } from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, stop, warn, words } from "../working/index.ts";
import { coarseDial, dialGives, type HeadOpened, headOpened, headPhrase } from "./boring.ts";
import { expectedBefore, fitNotes, leftOver, mostRounds, type States, wallShifts } from "./wall-fit.ts";
import { lockTick, quillTick } from "./lock-ticks.ts";
import { lostZeros, stales, type ZeroAxis } from "./lost-zeros.ts";
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
import { howMeasured } from "./step-parts.ts";
import { isFirstFeed, wayBack } from "./stroke-order.ts";
import { answered, type MakeTick, type Tick } from "./tick.ts";
import { moveNotes } from "./move-notes.ts";
import { byEyeTick } from "./record.ts";
import { newStep, staleWords, type Step, type StepKind } from "./step.ts";

/**
 * The cuts of features in a setup: pick-up on every axis, then tool by tool and move by move, with what is measured and deburred.
 * No move before its zero is good (M44); order locked so that nothing ploughs in (M24).
 */
export function featureWork(
  setup: FeatureSetup,
  locating: Locating,
  states: States,
  place: WalkPlace,
): Step[] {
  const { machine, shop } = place;
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
  const cutterOf = (op: FeatureOperation) => shop.cutters.find((c) => c.id === op.cutter);
  const shifts = wallShifts(setup, states);
  const movesOf = setupMoves(setup, locating, shifts);
  const lost = lostZeros(setup, states, movesOf);
  /** What stands in the spindle, and how fast it turns. */
  let spindle: InSpindle | null = null;
  /** The spindle was stopped to measure, and no tool was put in since. */
  let stoodStill = false;
  /** Which way each axis moved when it was last set (M25). */
  const toward: { x: 1 | -1; y: 1 | -1; z: 1 | -1 } = { x: 1, y: 1, z: -1 };
  setup.operations.forEach((op, i) => {
    const tick = tickOf(op);
    if (op.by === "hand") {
      add(op, "hand", "file", op.title, {
        ticks: [tick("filed", say`Done with ${op.toolName}, to the line or the template`)],
        notes: op.warnings,
        minutes: op.minutes.cutting,
      });
    } else if ((movesOf.get(op.key) ?? []).length > 0) {
      const before = setup.operations
        .slice(0, i)
        .findLast((o) => o.by !== "hand" && (movesOf.get(o.key) ?? []).length > 0);
      // A head that was tilted is set upright again, and every zero with it.
      const upright = before !== undefined && before.tilt !== null && op.tilt === null;
      const again = (axis: ZeroAxis) =>
        Math.max(
          0,
          ...lost.flatMap((l) => (l.op === op.key && stales[l.cause].includes(axis) ? [l.seq] : [])),
        );
      const sides = locating.pickups
        .filter((p) => !before || upright || again(p.axis) > 0)
        .map((p) => pickupNow(p, locating, cutBefore(i, again(p.axis))));
      const early = sides.filter(({ toucher }) => !isCutter(toucher, op));
      const toucher = early[0]?.toucher;
      const since = Math.max(...(["x", "y"] as const).map(again));
      if (toucher) {
        touchTool(op, toucher, since);
        early.forEach((pickup) => zero(op, pickup, again(pickup.axis)));
        if (since > 0) tryNewZero(op, setup.operations.slice(0, i), since);
        spindle = { tool: toucher.kind === "cutter" ? toucher.id : toucher.kind, rpm: 0 };
      }
      const fresh = spindle?.tool !== op.cutter;
      const turnsElse = spindle !== null && op.set !== null && spindle.rpm !== op.set.rpm;
      const asked: SpindleAsked = {
        cutter: cutterOf(op),
        machine,
        shop,
        set: op.set,
        before: spindle && spindle.rpm > 0 ? spindle.rpm : null,
      };
      if (fresh || upright)
        add(
          op,
          "check",
          "check",
          say`${op.toolName} in, ${speedOf(op)}`,
          toolIn(op, asked, place, (id, phrase) => tick(id, phrase, toucher ? since : 0), upright),
        );
      else if (turnsElse)
        add(op, "check", "check", say`${op.toolName} stays, ${speedOf(op)}`, {
          ticks: speedTicks(asked, tick),
          turns: turnsOf(asked.cutter, machine),
          notes: [warn(words(cautions.eyes))],
        });
      if (fresh || upright || turnsElse) stoodStill = false;
      spindle = { tool: op.cutter ?? "", rpm: op.set?.rpm ?? 0 };
      const late = sides.filter(({ toucher }) => isCutter(toucher, op));
      // A disc cutter finds the middle of the shaft by Z before its edge comes to the side.
      const beside = late.filter((p) => p.axis === "y" && op.sweep.kind === "disc");
      late.filter((p) => !beside.includes(p)).forEach((pickup) => zero(op, pickup, again(pickup.axis)));
      const quill = isByQuill(op, machine);
      const other = before === undefined || isByQuill(before, machine) !== quill || before.crown !== op.crown;
      // With the head tilted no figure holds: the cutter is set over the stairs by eye and touches them.
      if (op.tilt === null && (fresh || upright || other || again("z") > 0))
        zero(
          op,
          topPickup(
            place,
            { kind: "cutter", id: op.cutter ?? "", name: op.toolName },
            touchedOn(op, cutBefore(i, Math.max(since, again("z")))),
            quill,
          ),
          again("z"),
        );
      beside.forEach((pickup) => zero(op, pickup, again(pickup.axis)));
      if (op.tilt === null) moves(op, asked);
      else tilted(op, op.tilt);
    }
    // A burr is measured with the size: it comes off first.
    const over = !setup.operations.slice(i + 1).some((o) => o.feature === op.feature);
    if (over || (op.measure && !op.measure.before))
      add(
        op,
        "deburr",
        "deburr",
        over ? words("Deburr both sides, then wipe") : words("Deburr what you measure over"),
        {
          ticks: [
            tick("stopped", words("Spindle stopped, chips brushed away, not by hand")),
            tick(
              "deburred",
              over
                ? words("Every edge of it deburred, at the far side too where it comes out")
                : words("The edges you measure over deburred and wiped"),
            ),
          ],
          minutes: handlingTimes.deburr,
        },
      );
    if (op.measure) measuring(op, op.measure);
    stoodStill ||= op.measure !== null;
  });
  return steps;

  /** What touches the sides goes in first, where it is not the cutter of the operation itself. */
  function touchTool(op: FeatureOperation, toucher: Toucher, since: number) {
    const tick = tickOf(op);
    const speed = toucher.kind === "finder" ? pickSetting(machine, finderSpeed, finderSpeed) : null;
    add(op, "check", "finder", say`Fit ${toucher.name}`, {
      ticks: [
        tick("finder-in", words("Spindle stopped, fit it and tighten, key or wrench off again"), since),
        speed
          ? tick(
              "finder-speed",
              say`Spindle set to ${quantity("spindleSpeed", speed.rpm)}: ${speed.setting}. No faster with a finder in: it comes apart`,
              since,
            )
          : tick("finder-off", words("Spindle in neutral or switched off: turn it by hand"), since),
      ],
      tool: { id: toucher.kind === "cutter" ? toucher.id : null, rpm: speed?.rpm ?? null },
      notes: [warn(words(cautions.eyes))],
      minutes: handlingTimes.cutterChange,
    });
  }

  function zero(op: FeatureOperation, pickup: Pickup, since: number) {
    const taken = states.get(op.key)?.ticks.get(`zero-${pickup.axis}`) ?? -1;
    const good = taken > since;
    const cause = lost.findLast((l) => l.seq === since)?.cause;
    toward[pickup.axis] = zeroedToward(pickup);
    add(op, "pickup", `zero-${pickup.axis}`, pickup.title, {
      pickup: { ...pickup, stale: !good && cause ? (staleWords[cause] ?? null) : null },
      notes: pickup.warnings,
      minutes: handlingTimes.touchOff,
      done: good,
    });
  }

  function touchedOn(op: FeatureOperation, swaths: readonly Swath[]): TouchedOn {
    const round = setup.device === "vBlocks" && !setup.seat.square;
    const at = round ? crownPlace(setup, locating, op, movesOf, swaths) : null;
    const floor = at === null ? highestLeft(setup, locating, swaths, op.diameter, op.crown) : null;
    if (floor) return { what: "floor", of: round ? "crown" : "top", floor };
    return round ? { what: "crown", at } : { what: "top" };
  }

  /** What cutters went over in this setup up to an operation, and in it up to when its zero was lost. */
  function cutBefore(count: number, lostAt: number): Swath[] {
    const { operations } = setup;
    return operations.slice(0, count + 1).flatMap((op, i) => {
      const moves = movesOf.get(op.key) ?? [];
      const ticks = states.get(op.key)?.ticks;
      const made =
        i < count ? moves : moves.filter((m) => (ticks?.get(`move-${m.number}`) ?? Infinity) <= lostAt);
      return swathsOf(made, op);
    });
  }

  /** A zero taken anew is tried on a hole that was made from the old one, before anything is cut by it (M44). */
  function tryNewZero(op: FeatureOperation, before: readonly FeatureOperation[], since: number) {
    const hole = before.findLast((o) => o.by === "hole" && o.set !== null);
    const place = hole && movesOf.get(hole.key)?.find((m) => m.kind === "go")?.to;
    if (!hole || place?.x === undefined || place.y === undefined) return;
    const tick = (id: string, phrase: Phrase) => tickOf(op)(`${id}-${since}`, phrase, since);
    const within = setup.closest ?? usualPlace;
    add(op, "look", `try-${since}`, words("Check the new zero on a finished hole"), {
      ticks: [
        tick(
          "over",
          say`Spindle off; table at X ${precise(mm(place.x), 3)} Y ${precise(mm(place.y), 3)}, where you drilled: ${hole.title}`,
        ),
        answered(
          tick(
            "true",
            say`An indicator swept in the hole, or a pin that fits it in the spindle, agrees within ${precise(mm(within), 2)}`,
          ),
          {
            id: "off",
            says: words("It is off"),
            then: stop(
              rule(
                "M44.off",
              )`Cut nothing from this zero: new cuts would not line up with the finished ones. Look for a chip at the datum, a part that slipped, a finder that runs out; then say under "Something is wrong" that the readout was restarted, and pick it up again.`,
            ),
            serves: false,
          },
          tick,
        ),
      ],
      minutes: handlingTimes.touchOff,
    });
  }

  function moves(op: FeatureOperation, asked: SpindleAsked) {
    const tick = tickOf(op);
    const all = movesOf.get(op.key) ?? [];
    const ticks = states.get(op.key)?.ticks;
    const since = lostSince(op);
    const firstIn = all.find((m) => m.kind !== "go");
    const opened = headOpened(op, setup, states);
    follow(op, all, "move", (move, i) => ({
      title: say`${op.title}, move ${move.number} of ${all.length}`,
      notes: [
        ...(move.number === 1 ? [warn(words(cautions.chips)), ...op.warnings] : []),
        ...(opened && move === firstIn && op.measure && !op.measure.before
          ? coarseDial(asked.cutter, opened, op.measure.limits)
          : []),
      ],
      head: move === firstIn ? opened : null,
      ticks: [
        ...(opened && move === firstIn
          ? [tick("head", headPhrase(asked.cutter, opened)), startedAgainTick(asked, move.number, tick)]
          : []),
        ...(!opened && stoodStill && op.set && move === firstIn
          ? [startedAgainTick(asked, move.number, tick)]
          : []),
        ...(isByQuill(op, machine) && move === firstIn
          ? [quillTick(move.number, machine, (id, phrase) => tick(id, phrase, since))]
          : []),
        ...(isFirstFeed(all, i)
          ? [
              lockTick({ number: move.number, fed: move.axis, machine }, (id, phrase) =>
                tick(id, phrase, since),
              ),
            ]
          : []),
      ].map((t) => ({ ...t, done: t.done || (ticks?.has(`move-${move.number}`) ?? false) })),
    }));
    stoodStill = false;
  }

  /** When a zero of an operation was lost last, as a place in the sequence; 0 where none was. */
  function lostSince(op: FeatureOperation): number {
    return Math.max(0, ...lost.flatMap((l) => (l.op === op.key ? [l.seq] : [])));
  }

  /** Strokes one after the other. After a zero was lost in the middle of one the way leads back to where it began. */
  function follow(
    op: FeatureOperation,
    all: readonly Stroke[],
    round: "move" | `again-${number}`,
    more: (move: Stroke, index: number) => MoreOfMove,
  ) {
    const ticks = states.get(op.key)?.ticks;
    const since = lostSince(op);
    const doneAt = (move: Stroke) => ticks?.get(`${round}-${move.number}`) ?? Infinity;
    const interrupted = since === 0 ? undefined : all.find((m) => doneAt(m) > since);
    const put = told(op, all);
    const minutes = minutesOfEach(all, op.set?.vf ?? handFeed, op.top);
    const of = round === "move" ? "" : `${round}-`;
    all.forEach((move, i) => {
      if (move === interrupted && move.kind !== "go")
        for (const back of wayBack(all, move, op.set?.plunge?.vf ?? move.vf)) {
          const id = `back-${of}${move.number}-${back.kind}`;
          put(back, id, say`Back to where you were: ${op.title}`, { done: (ticks?.get(id) ?? -1) > since });
        }
      const { title, ...rest } = more(move, i);
      put(move, `${round}-${move.number}`, title, {
        minutes: minutes[i]!,
        done: ticks?.has(`${round}-${move.number}`) ?? false,
        ...rest,
      });
    });
  }

  /** What is cut with the head tilted: over the stairs by eye, and down until they are gone. */
  function tilted(op: FeatureOperation, tilt: number) {
    const tick = tickOf(op);
    const rad = (tilt * Math.PI) / 180;
    // The end of the cutter lies on the slope, or its side along the flank.
    const perStep = op.cut?.kind === "side" ? Math.sin(rad) : Math.cos(rad);
    const down = tidy((op.floor - op.top) / perStep);
    add(op, "hand", "by-eye", op.title, {
      ticks: [
        tick("over", words("Set over the stairs by eye, so that the end covers all of the slope")),
        tick(
          byEyeTick,
          say`Touched the highest stair, then down a little at a time and fed along, until the stairs are just gone: about ${mm(down)} in all`,
        ),
      ],
      notes: [warn(words(cautions.chips)), ...op.warnings],
      minutes: op.minutes.cutting,
    });
    stoodStill = false;
  }

  /** Tells moves one after the other, each from where the one before it ended. */
  function told(op: FeatureOperation, all: readonly Stroke[]) {
    const here: Partial<Record<ZeroAxis, Mm>> = {};
    const quill = isByQuill(op, machine);
    const screws = { ...machine.axes, z: depthScrew(quill, machine) };
    return (
      move: Stroke,
      id: string,
      title: Phrase,
      { head = null, ...more }: Partial<Step> & Pick<MoreOfMove, "head">,
    ) => {
      const targets = (["x", "y", "z"] as const).flatMap((axis) => {
        const to = move.to[axis];
        if (to === undefined) return [];
        const from = here[axis] ?? null;
        here[axis] = to;
        const asked = { to, from, kind: move.kind, toward: toward[axis] };
        // The weight of knee or head keeps the slack of Z on one side.
        const slack = axis === "z" ? 0 : slackOf(screws[axis]);
        return [{ axis, from, ...settledAgainstSlack(asked, slack, screws[axis]) }];
      });
      add(op, "move", id, title, {
        ...more,
        move: { move, targets, of: all.length, quill, head },
        notes: [
          ...(more.notes ?? []),
          ...moveNotes(move, op, place.material),
          ...targets
            // Less than a third of what the place allows is nothing to think about.
            .filter(({ settled }) => Math.abs(settled.residue) >= Math.max(0.0005, move.exact / 3))
            .map(({ axis, settled }) =>
              note(
                rule(
                  "M25.residue",
                )`Nearest division in ${axis.toUpperCase()} is ${precise(mm(Math.abs(settled.residue)), 3)} off; places count from zero, so errors do not accumulate.`,
              ),
            ),
        ],
      });
    };
  }

  /** A size is measured, and cut once more by what was read, until it is within its limits. */
  function measuring(op: FeatureOperation, measured: Measured) {
    const state = states.get(op.key);
    const last = measured.before
      ? setup.operations.find(
          (o) =>
            o.feature === op.feature && o.measure && !o.measure.before && o.measure.size === measured.size,
        )
      : undefined;
    const expected = measured.before ? expectedBefore(measured, last) : measured.target;
    const rounds = state?.readings.get(measured.size) ?? [];
    let cutAgain = 0;
    for (let round = 0; round <= (state?.measured ?? 0); round++) {
      const readings = rounds[round] ?? [];
      const read = readings.length > 0 ? (Math.max(...readings) + Math.min(...readings)) / 2 : null;
      const left =
        read === null ? null : tidy(measured.grows ? measured.target - read : read - measured.target);
      const done = (state?.measured ?? 0) > round;
      const id = round === 0 ? `measure-${measured.size}` : `measure-${measured.size}-${round + 1}`;
      add(op, "measure", id, say`Measure ${measured.name}${round > 0 ? " again" : ""}`, {
        measure: {
          of: `${op.feature}/${measured.size}`,
          how: howMeasured(measured),
          expected,
          after: 0,
          final: !measured.before,
          required: measured.critical === true && !measured.before,
          readings,
          above: null,
          fit: { measured, left },
        },
        notes: [
          warn(words(cautions.measure)),
          ...fitNotes(op, measured, left, readings, round + 1 < mostRounds),
        ],
        minutes: handlingTimes.measure,
        done,
      });
      const more =
        done && (op.opensFrom === null || dialGives(cutterOf(op), left ?? 0))
          ? leftOver(op, measured, readings)
          : 0;
      if (more <= 0 || round + 1 >= mostRounds) break;
      cutAgain = tidy(cutAgain + more);
      again(op, { all: cutAgain, now: more }, round + 1);
    }
  }

  /** The cut that makes a size once more: further than it was first told by all that was read since, and by what was read now. */
  function again(op: FeatureOperation, more: { all: Mm; now: Mm }, round: number) {
    if (op.tilt !== null) {
      add(op, "hand", `again-${round}-by-eye`, say`${op.title}, recut by what you measured`, {
        ticks: [
          tickOf(op)(`again-${round}-by-eye`, words("A little more off by the knee, then measured again")),
        ],
        minutes: op.minutes.cutting,
      });
      return;
    }
    if (op.opensFrom !== null) return boredAgain(op, more.now, round);
    const wall = op.cut?.kind === "side";
    const shift = shifts[op.key] ?? 0;
    const all = featureMoves(op, locating.frame, wall ? tidy(shift + more.all) : shift) ?? [];
    const strokes = strokesAgain(all, wall ? { wall: more.now } : { floor: more.all });
    follow(op, strokes, `again-${round}`, (stroke) => ({
      title: say`${op.title}, recut by what you measured, move ${stroke.number} of ${strokes.length}`,
    }));
  }

  /** Bored once more, the head opened by what was read to be left. */
  function boredAgain(op: FeatureOperation, left: Mm, round: number) {
    const { target } = op.measure!;
    const head = { from: tidy(target - left), to: target, first: false };
    const all = movesOf.get(op.key) ?? [];
    const firstIn = all.find((m) => m.kind !== "go");
    follow(op, all, `again-${round}`, (stroke) => ({
      title: say`${op.title}, recut by what you measured, move ${stroke.number} of ${all.length}`,
      head: stroke === firstIn ? head : null,
      ticks: stroke === firstIn ? [tickOf(op)(`head-${round}`, headPhrase(cutterOf(op), head))] : [],
    }));
  }
}

/** What a move is told with. */
type MoreOfMove = Partial<Step> & { title: Phrase; head?: HeadOpened | null };

/** How near a hole has to lie to a zero taken anew, where the drawing does not say, mm (guess). */
const usualPlace = 0.05;

/** A finder kicks over best at about this, and is not made for more; rpm. */
const finderSpeed = 1000;

const isCutter = (toucher: Toucher, op: FeatureOperation): boolean =>
  toucher.kind === "cutter" && toucher.id === op.cutter;

const speedOf = (op: FeatureOperation): Phrase =>
  op.set ? say`${quantity("spindleSpeed", op.set.rpm)}` : words("by hand");

function toolIn(
  op: FeatureOperation,
  asked: SpindleAsked,
  place: WalkPlace,
  tick: MakeTick,
  upright: boolean,
): Partial<Step> {
  return {
    turns: op.set ? turnsOf(asked.cutter, asked.machine) : null,
    ticks: spindleTicks(op.toolName, asked, tick, [
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
    notes: toolNotes(place, cutForFluid(op)),
    minutes: handlingTimes.cutterChange,
  };
}
