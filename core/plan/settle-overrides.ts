import {
  chooseCut,
  type Cut,
  type CutTask,
  cutWith,
  nothingOwn,
  type OwnConditions,
} from "../cutting/index.ts";
import { quantity } from "../quantity/index.ts";
import { orientation } from "../frame/index.ts";
import { jackUnder } from "../holding/index.ts";
import {
  type Begun,
  faceOf,
  type FaceSetup,
  holdFor,
  keyOfSetup,
  noOwnSeat,
  noRoomOver,
  type OwnSeat,
  planRoute,
  type RouteContext,
  twoInVise,
} from "../route/index.ts";
import { faceUp } from "../squaring/index.ts";
import type { Piece } from "../stock/index.ts";
import { done, type Outcome, type Phrase, type Refusal, refused, say, words } from "../working/index.ts";
import type { Override, PlainOverride } from "../job/index.ts";
import { depthApplied, settleCondition, type Settled, withOwn } from "./settle-cut.ts";
import { parallelsById } from "../shop/index.ts";

/** What became of an override in this plan: none is dropped silently. */
export interface OverrideReport {
  override: Override;
  state: "applied" | "impossible" | "withoutObject";
  why: Phrase;
}

/** What becomes of a thickness of paper: there is nothing it could not be used for. */
export const paperCounted = {
  state: "applied",
  why: words("Counted at every touch through paper."),
} as const;

/** Settles how setups are held first, then what is cut with what: the cuts hang on the seats. */
export function settleAll(
  wanted: PlainOverride[],
  raw: Piece,
  begun: Begun[],
  context: RouteContext,
): OverrideReport[] {
  const begunKeys = new Set(begun.map((b) => b.told.key));
  const seats = wanted.filter(isOfSeat);
  const rest = wanted.filter((o) => !isOfSeat(o));
  const settle = (some: PlainOverride[]) =>
    some.length === 0 ? [] : settleOverrides(some, planRoute(raw, begun, context).setups, begunKeys, context);
  const reports = [...settle(seats), ...settle(rest)];
  return wanted.flatMap((o) => reports.find((r) => r.override === o) ?? []);
}

const seatWhats = ["fixed", "parallels", "packing", "jack", "stop", "together"] as const;
/** Overrides of how a setup is held. */
type SeatOverride = Extract<PlainOverride, { what: (typeof seatWhats)[number] }>;
const isOfSeat = (o: PlainOverride): o is SeatOverride => (seatWhats as readonly string[]).includes(o.what);

/** What the person wants of a seat, on top of what they wanted before. */
function wantedSeat(before: OwnSeat, override: SeatOverride): OwnSeat {
  switch (override.what) {
    case "fixed":
      return { ...before, fixed: override.value };
    case "parallels":
      return { ...before, parallels: override.value };
    case "packing":
      return { ...before, paper: true };
    case "jack":
      return { ...before, jack: true };
    case "stop":
      return { ...before, stop: true };
    case "together":
      return { ...before, together: override.value };
  }
}

/** Why an aid cannot be set in this setup; null when it can. */
function aidMissing(override: SeatOverride, setup: FaceSetup, context: RouteContext): Refusal | null {
  if (override.what === "stop" && !context.shop.aids.some((a) => a.kind === "stop"))
    return refused(words("There is no stop in the shop."), words("Enter one, or take it back."));
  if (override.what !== "jack") return null;
  if (faceOf(setup).cut.kind !== "side" || setup.seat.overhang === null)
    return refused(
      words("Nothing overhangs in this setup: a jack has nothing to support."),
      words("Overhang the end, or go back to the plan's."),
    );
  const jack = jackUnder(setup.seat, context.vise, context.shop.aids);
  return jack.ok ? null : jack;
}

/** Holds a setup as the person wants it: the face at the fixed jaw, the parallels, paper, a jack, a stop. */
function seatApplied(override: SeatOverride, setup: FaceSetup, context: RouteContext): Outcome<OwnSeat> {
  const wanted = wantedSeat(context.ownSeats[keyOfSetup(setup)] ?? noOwnSeat, override);
  if (setup.entry !== "placed")
    return refused(
      words("The part stays where it is from the cut before: it is held as it was placed there."),
      words("Change how that one is held."),
    );
  if (override.what === "fixed" && context.next(setup.before)?.hold === "quarter")
    return refused(
      words(
        "All four sides are cut while the bottom quarter is gripped; the method decides which face meets the fixed jaw.",
      ),
      words("Use another way of squaring it."),
    );
  const missing = aidMissing(override, setup, context);
  if (missing) return missing;
  if (override.what === "together") {
    const two = twoInVise(override.value, setup, { ...context, parallels: context.shop.parallels });
    if (two.may === "no") return refused(two.why, words("Take them one by one."));
  }
  if (setup.seat.table && (override.what === "fixed" || override.what === "parallels"))
    return refused(
      words("The part is strapped to the table: neither jaw nor parallels hold it."),
      words("Use another way of squaring it."),
    );
  if (
    override.what === "fixed" &&
    (faceOf(setup).cut.kind === "side" || !orientation(faceOf(setup).face, override.value))
  )
    return refused(
      faceOf(setup).cut.kind === "side"
        ? words("An end that hangs out lies flat: its fixed face follows from that.")
        : words("That face cannot be at the jaw while this one is up."),
      words("Use one of the four faces beside it."),
    );
  if (override.what === "parallels" && !parallelsById(context.shop.parallels, override.value))
    return refused(
      words("Those parallels are not in the shop, or were retired."),
      words("Choose others, or bring them back in the shop."),
    );
  const next = context.next(setup.before);
  const held = holdFor(setup.before, next ?? faceUp(setup.at)!, {
    ...context,
    ownSeats: { ...context.ownSeats, [keyOfSetup(setup)]: wanted },
  });
  return held.ok ? done(wanted) : held;
}

/**
 * Puts what the person set into the context where it can be, and reports on each.
 * @param setups the route as it would be without; begun ones keep what they were told but for the depth
 */
function settleOverrides(
  wanted: PlainOverride[],
  setups: FaceSetup[],
  begun: ReadonlySet<string>,
  context: RouteContext,
): OverrideReport[] {
  return wanted.map((override): OverrideReport => {
    if (override.what === "aim") {
      return {
        override,
        state: "applied",
        why: words("As quick as possible: at the hard limits and the fast end of the ranges."),
      };
    }
    if (override.what === "paper") {
      return { override, ...paperCounted };
    }
    if (override.what === "split") {
      return { override, state: "applied", why: words("Stock comes off both faces equally.") };
    }
    if (override.what === "on")
      return {
        override,
        state: "impossible",
        why: words(
          "The way of squaring decides what holds it here: choose another one under Ways to square it.",
        ),
      };
    if (override.what === "school") {
      return { override, state: "applied", why: words("Squared another way than round the block.") };
    }
    if (override.what === "ends") {
      const ends = setups.filter((s) => faceOf(s).axis === context.ends);
      const stands = ends.some((s) => faceOf(s).cut.kind !== "side");
      return stands === (override.value === "upright") || ends.length === 0
        ? { override, state: "applied", why: words("Both ends are cut so.") }
        : {
            override,
            state: "impossible",
            why: words("There is no room under the spindle to stand the end up; it overhangs."),
          };
    }
    if (override.what === "way" || override.what === "first" || override.what === "pickup")
      return {
        override,
        state: "withoutObject",
        why: words("A face is cut one way, in the order of its method. Saved for features."),
      };
    const setup = override.at === "route" ? undefined : setups.find((s) => keyOfSetup(s) === override.at);
    if (!setup) {
      return {
        override,
        state: "withoutObject",
        why: words("This plan has no such cut now. Saved for when it does."),
      };
    }
    if (isOfSeat(override)) {
      const seat = begun.has(keyOfSetup(setup))
        ? refused(
            words("The setup has begun: it stays as it was clamped."),
            words("Finish it, or remove the part and start over."),
          )
        : seatApplied(override, setup, context);
      if (!seat.ok) return { override, state: "impossible", why: seat.reason };
      context.ownSeats[keyOfSetup(setup)] = seat.value;
      return {
        override,
        state: "applied",
        why: words(
          override.what === "together"
            ? "A second piece is cut with it, stroke by stroke: grip, cutter and minutes are those of both."
            : "Held as you chose.",
        ),
      };
    }
    const outcome = begun.has(keyOfSetup(setup))
      ? onBegun(override, setup)
      : applied(override, setup, context);
    if (!outcome.ok) return { override, state: "impossible", why: outcome.reason };
    context.own[keyOfSetup(setup)] = withOwn(context.own[keyOfSetup(setup)], outcome.value.own);
    return { override, state: "applied", why: outcome.value.why };
  });
}

/** Overrides of a cut's conditions. */
type CutOverride = Exclude<
  PlainOverride,
  SeatOverride | { what: "aim" | "paper" | "split" | "school" | "ends" | "way" | "first" | "pickup" | "on" }
>;

/** A setup that has begun keeps its cutter, speed and feed as told; only its depth can still be changed. */
function onBegun(override: CutOverride, setup: FaceSetup): Outcome<Settled> {
  const { cut } = faceOf(setup);
  if (override.what === "depth") return depthApplied(cut, override.value);
  const asTold =
    (override.what === "cutter" && cut.cutter === override.value) ||
    (override.what === "speed" && cut.rpm === override.value) ||
    (override.what === "feed" && cut.vf === override.value) ||
    override.what === "direction";
  return asTold
    ? done({ own: {}, why: words("The setup was begun with it.") })
    : refused(
        words("The setup has begun: cutter, speed and feed stay as they are until it is done."),
        words("Change the depth, or finish the setup."),
      );
}

/** Tries an override on top of those settled before it at the same cut. */
function applied(override: CutOverride, setup: FaceSetup, context: RouteContext): Outcome<Settled> {
  const before: CutTask = { ...faceOf(setup).task, own: context.own[keyOfSetup(setup)] ?? nothingOwn };
  const with_ = (own: Partial<OwnConditions>): Outcome<Cut> => {
    const task = { ...before, own: { ...before.own, ...own } };
    const choice = chooseCut(task, cuttersFor(task, setup, context), context);
    return choice.ok ? done(choice.value.best) : choice;
  };
  const now = with_({});
  if (!now.ok) return now;
  if (override.what !== "cutter")
    return settleCondition(override, {
      machine: context.machine,
      task: before,
      now: now.value,
      cutWith: with_,
    });
  const cutter = context.shop.cutters.find((c) => c.id === override.value);
  if (!cutter)
    return refused(
      words("That cutter is not in the shop, or was retired."),
      words("Choose another, or bring it back in the shop."),
    );
  const tried = cutWith({ ...before, own: { ...before.own, cutter: cutter.id } }, cutter, context);
  if (!tried.ok) return tried;
  const noRoom = noRoomOver(before, cutter, setup.seat, context);
  if (noRoom) return noRoom;
  const more = tried.value.minutes - faceOf(setup).cut.minutes;
  return done({
    own: { cutter: cutter.id },
    why: say`${cutter.name}: ${quantity("time", Math.abs(more))} ${more >= 0 ? "more" : "less"} than the plan's choice.`,
  });
}

/** The cutter settled already, else all of them. */
function cuttersFor(task: CutTask, setup: FaceSetup, context: RouteContext) {
  const id = task.own.cutter ?? faceOf(setup).cut.cutter;
  return context.shop.cutters.filter((c) => c.id === id);
}
