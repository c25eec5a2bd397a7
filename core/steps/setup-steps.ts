import { faceNames } from "../frame/index.ts";
import { cautions, type FaceCondition, handlingTimes } from "../handbook/index.ts";
import type { Locating } from "../locate/index.ts";
import { conditionsOf, cutterOf, faceOf, isFaceSetup, keyOfSetup, type Setup } from "../route/index.ts";
import { type Phrase, rule, warn, words } from "../working/index.ts";
import { tooSmall } from "./face-measure.ts";
import { faceWork } from "./face-work.ts";
import { cutSinceOf } from "./feature-progress.ts";
import { featureWork } from "./feature-work.ts";
import { clampTicks, type Moved, placeTicks, takeOutTicks } from "./holding-ticks.ts";
import { type Progress, progressOf } from "./progress.ts";
import type { InSpindle, WalkPlace } from "./spindle-ticks.ts";
import { forTheHands, saidOnce } from "./said-once.ts";
import type { MakeTick, Tick, Try } from "./tick.ts";
import { newStep, type Step } from "./step.ts";
import { isGlued } from "../holding/index.ts";

export interface SetupWalked {
  setup: Setup;
  /** Where zero lies in a setup of features; null in one of a face, which is touched off. */
  locating: Locating | null;
  progress: Progress;
  place: WalkPlace;
  /** What stands in the spindle when the setup begins. */
  spindle: InSpindle | null;
}

/**
 * The steps of a setup in the order they are done, with their ticks: placed and tightened, what is cut in it, taken out. What was
 * put in is ticked out at the end (M08); the rod is a tick of placing (M06); tighten, then tap, then try the parallels, no pull
 * after that (M50).
 */
export function stepsOf({ setup, locating, progress, place, spindle }: SetupWalked): Step[] {
  const first = keyOfSetup(setup);
  const last = setup.operations.at(-1)!.key;
  const moved = movedIn(setup, progress);
  const tickOf = (key: Step["op"], since: number) => (id: string, phrase: Phrase) => ({
    id,
    phrase,
    done: (progressOf(progress, key)?.ticks.get(id) ?? -1) > since,
    ...triesSince(progressOf(progress, key)?.runs.get(id), since),
  });
  // A job that went on before this was asked is not sent back to it.
  const goneOn = [...progress.faces.values()].some(({ told }) => told.number > setup.number);
  const face = isFaceSetup(setup) ? (progress.faces.get(keyOfSetup(setup)) ?? null) : null;
  const work = isFaceSetup(setup)
    ? faceWork(setup, face, place, spindle)
    : locating
      ? featureWork(setup, locating, progress.features, place)
      : [];
  return saidOnce([
    ...(setup.number === 1 ? [beforeStarting(setup, progress, tickOf(first, -1))] : []),
    newStep(first, setup.number, "place", "place", setup.title, {
      ticks: placeTicks(setup, place.machine.name, tickOf(first, -1)),
      notes: setup.warnings.filter(forTheHands),
      minutes: handlingTimes.setup / 2 + (setup.carried ? handlingTimes.indicate : 0),
    }),
    ...(setup.entry !== "stays" || moved
      ? [
          newStep(first, setup.number, "clamp", "clamp", clampTitle(setup), {
            ticks: clampTicks(setup, moved, tickOf(first, moved?.seq ?? -1)),
            minutes: handlingTimes.setup / 2,
          }),
        ]
      : []),
    ...work,
    ...(setup.stays
      ? []
      : [
          newStep(last, setup.number, "takeOut", "out", words("Loosen and remove the part"), {
            ticks: takeOutTicks(setup, leftTilted(work), goneOn ? null : place.squareness, tickOf(last, -1)),
            notes: [
              warn(
                rule(
                  "M08.left",
                )`Clear the vise before the next setup: a parallel, rod, stop or block left in gets cut or lifts the part.`,
              ),
              ...(isFaceSetup(setup) ? tooSmall(faceOf(setup), face) : []),
            ],
          }),
        ]),
  ]);
}

/** Indicator runs noted for a tick since the part was set; nothing where there were none. */
function triesSince(runs: readonly (Try & { seq: number })[] | undefined, since: number): { tries?: Try[] } {
  const tries = (runs ?? []).flatMap(({ seq, start, end }) => (seq > since ? [{ start, end }] : []));
  return tries.length > 0 ? { tries } : {};
}

/** Whether the head was tilted in a setup and not set upright again in it. */
function leftTilted(work: readonly Step[]): boolean {
  const lastWith = (id: string) => work.findLastIndex((s) => s.ticks.some((t) => t.id === id));
  return lastWith("tilted") > lastWith("upright");
}

/** Asked before anything is placed: what a person brings to the machine, and what has to be in reach. */
function beforeStarting(setup: Setup, progress: Progress, tick: MakeTick): Step {
  const first = keyOfSetup(setup);
  // A job begun before this was asked is not sent back to it.
  const ticks = progressOf(progress, first)?.ticks;
  const under = ticks !== undefined && ticks.size > 0 && !ticks.has("dressed");
  const asked: MakeTick = (id, phrase) => {
    const made = tick(id, phrase);
    return { ...made, done: under || made.done };
  };
  return newStep(first, setup.number, "look", "ready", words("Before you start"), {
    ticks: [
      asked(
        "dressed",
        words("Safety glasses on; sleeves tight, hair tied back, no gloves, rings or watch near the spindle"),
      ),
      asked(
        "in-reach",
        words("Brush and cutting fluid at hand, the floor clear, the stop button tried, first aid known"),
      ),
      ...(isFaceSetup(setup) && faceNames.some((face) => sawnEdges.has(setup.before.faces[face].condition))
        ? [edgesFiled(tick, ticks)]
        : []),
    ],
    notes: [warn(words(cautions.manual))],
  });
}

/** Conditions of a face that leave a burr all round it: it cuts hands, and keeps the blank off jaws and parallels. */
const sawnEdges = new Set<FaceCondition>(["sawn", "flameCut"]);

/** The edges of a sawn blank are filed before it is clamped for the first time. A job that went on before this was asked is past it. */
function edgesFiled(tick: MakeTick, ticks: ReadonlyMap<string, number> | undefined): Tick {
  const made = tick(
    "edges-filed",
    words("Edges of the sawn faces filed, no burr left that would lie on a jaw or a parallel"),
  );
  const past = [...(ticks?.keys() ?? [])].some((id) => id !== "dressed" && id !== "in-reach");
  return { ...made, done: made.done || past };
}

/** What stands in the spindle once a setup is walked; null where nothing was cut in it. */
export function spindleAfter({ operations }: Setup, steps: readonly Step[]): InSpindle | null {
  const last = steps.findLast((s) => s.kind === "cut" || s.kind === "move");
  const operation = operations.find((o) => o.key === last?.op);
  if (!operation) return null;
  const tool = cutterOf(operation);
  return tool === null ? null : { tool, rpm: conditionsOf(operation)?.rpm ?? 0 };
}

/** When the part or a clamp moved last in a setup, and whether metal was cut by then; null where it never did. */
function movedIn(setup: Setup, progress: Progress): (Moved & { seq: number }) | null {
  const states = setup.operations.flatMap(({ key }) => progressOf(progress, key) ?? []);
  const seq = Math.max(
    -1,
    ...states.flatMap((s) => s.stales.flatMap(({ cause, seq }) => (cause === "moved" ? [seq] : []))),
  );
  if (seq < 0) return null;
  return { seq, cut: states.some((s) => (("cuts" in s ? s.cutSince : cutSinceOf(s)) ?? Infinity) < seq) };
}

function clampTitle({ seat, entry, device }: Setup): Phrase {
  if (entry === "swapped") return words("Check that nothing moved");
  if (isGlued(seat)) return words("Let the glue set, then look along the edge");
  if (device === "vBlocks" && seat.table) return words("Tighten in turn, then indicate");
  if (device === "table") return words("Tighten in turn, then look along the edge");
  if (seat.tap) return words("Tighten, then tap it down");
  return words(device === "vBlocks" ? "Tighten, then indicate" : "Snug the vise");
}
