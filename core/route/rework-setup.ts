import { axisOf, type Face, faceNames, orientation, type Orientation, turnBetween } from "../frame/index.ts";
import type { Prism } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { extentOf, type NextCut, type OperationKey } from "../squaring/index.ts";
import { parallelsById } from "../shop/index.ts";
import type { Piece } from "../stock/index.ts";
import { done, type Outcome, refused, rule, warn, words } from "../working/index.ts";
import { planFaceSetup, toldFaceSetup } from "./face-setup.ts";
import { type AnyKey, type FeatureKey, isFaceKey } from "./feature-key.ts";
import type { RouteContext } from "./route-context.ts";
import { contactIn, leastSupport, type SeatContact } from "./seat-contact.ts";
import { faceOf, type FaceSetup, type Setup } from "./setup.ts";
import type { FaceTold } from "./told.ts";

/** Whether an operation cuts once more what was cut: it is done as that was, and takes no settings of its own. */
export const isRework = (key: AnyKey): boolean =>
  isFaceKey(key) ? extentOf(key) === "again" : /~\d+$/.test(key);

/** The key of the nth time that an operation of a feature is done once more. */
export const reworkKey = (base: FeatureKey, n: number): FeatureKey => `${base}~${n}`;

/** A face whose size was read and is not good: it is clamped and cut once more. */
export interface FaceRework {
  key: OperationKey;
  face: Face;
  /** Largest size read, mm. */
  from: Mm;
  /** Size it is cut to for its form, mm; left out where it is cut to the target. */
  to?: Mm;
  /** The face it has to come square to: it is tried at the fixed jaw first. */
  against?: Face;
}

export interface ReworkAsked {
  rework: FaceRework;
  /** As it was told when it began; null before. */
  told: FaceTold | null;
  /** The part as it is, and the setups it went through. */
  piece: Piece;
  done: readonly Setup[];
  /** What is cut out of it by now. */
  gone: readonly Prism[];
}

/**
 * The setup in which a face is cut once more: held as it was when it was cut first where the jaws and supports still find metal
 * there, else by another face. A face that was left standing beside straps or jaws cannot be reached whole in one clamping.
 */
export function reworkSetup(
  { rework, told, piece, done: before, gone }: ReworkAsked,
  route: RouteContext,
): Outcome<FaceSetup> {
  const { key, face, from, to, against } = rework;
  const context = to === undefined ? route : { ...route, target: { ...route.target, [axisOf(face)]: to } };
  const now: Piece = { ...piece, sizes: { ...piece.sizes, [axisOf(face)]: from } };
  const last = before.at(-1);
  const placed = (setup: FaceSetup): FaceSetup => ({
    ...setup,
    number: before.length + 1,
    clamping: (last?.clamping ?? 0) + 1,
    entry: "placed",
    stays: false,
    turn: last ? turnBetween(last.at, setup.at) : "none",
  });
  if (told) return done(placed(toldFaceSetup(now, told, null, context, 0, true)));
  const first = before.find((s): s is FaceSetup => faceIn(s) === face && s.operations[0].by === "face");
  const square = against && orientation(face, against);
  const ways = [
    ...(square ? [square] : []),
    ...(first && first.at.up === face ? [first.at] : []),
    ...faceNames.flatMap((fixed) => orientation(face, fixed) ?? []),
  ];
  let firm: FaceSetup | null = null;
  let why: Outcome<FaceSetup> | null = null;
  for (const at of ways) {
    const made = planFaceSetup(now, { ...wholeFace(face, at), extent: extentOf(key) }, null, context);
    if (!made.ok) {
      why ??= made;
      continue;
    }
    const setup = { ...made.value, operations: [{ ...faceOf(made.value), key }] } as const;
    const lost = lostContact(setup, gone, context);
    if (lost === null) return done(placed(setup));
    firm ??= { ...setup, warnings: [...setup.warnings, lost] };
  }
  if (firm) return done(placed(firm));
  return (
    why ??
    refused(
      words("This face can no longer be held to be cut once more."),
      words("Change the mate to what was read, or scrap the piece."),
    )
  );
}

const wholeFace = (face: Face, at: Orientation): Omit<NextCut, "extent"> => ({
  at,
  face,
  hold: "vise",
  over: null,
});

const faceIn = (setup: Setup): Face | null =>
  setup.operations[0].by === "face" ? setup.operations[0].face : null;

/** Least share of what a jaw held of the whole block that must still be there (guess). */
const stillHeld = 0.6;

/** What jaws and supports lack where features were cut out since; null where they find metal all the same. */
function lostContact(
  { seat, at, before }: FaceSetup,
  gone: readonly Prism[],
  { vise, shop }: Pick<RouteContext, "vise" | "shop">,
) {
  if (gone.length === 0 || seat.table) return null;
  const long = parallelsById(shop.parallels, seat.parallels?.id)?.length ?? vise.jawWidth;
  const whole = contactIn({ seat, at }, [], before.sizes, vise, long);
  const now = contactIn({ seat, at }, gone, before.sizes, vise, long);
  const least = Math.min(now.fixed, now.moving);
  const held = least >= stillHeld * Math.min(whole.fixed, whole.moving);
  if (held && carried(now, whole)) return null;
  return warn(
    held
      ? rule(
          "M08.cutAway",
        )`Part of what the block stands on is cut away. Try each support by hand before you tighten, and tap only over metal.`
      : rule(
          "M08.jaws",
        )`Only ${mm(tidy(least))} of the block still stands between the jaws: features were cut away there. Take light passes, and set a stop against the cut.`,
  );
}

const carried = (now: SeatContact, whole: SeatContact): boolean =>
  now.supports.every(
    ({ area }, i) => area >= Math.max(leastSupport, stillHeld * (whole.supports[i]?.area ?? 0)),
  );
