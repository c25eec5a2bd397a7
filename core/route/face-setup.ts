import { cutAsTold, type CutChoice, type CutTask } from "../cutting/index.ts";
import { axisOf, type Face, opposite, type Orientation, turnBetween } from "../frame/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { newCutter } from "../shop/index.ts";
import { cutFace, type Piece } from "../stock/index.ts";
import { done, type Outcome, rule, say, warn } from "../working/index.ts";
import { describeFaceSetup } from "./describe-face-setup.ts";
import { type Held, leftAsItIs, leftStanding, locatedBy, noCut, pieceAfter } from "./held.ts";
import { cutterFor, heldTask, holdFor, taskOf } from "./hold.ts";
import { extentOf, faceOperation, type NextCut } from "../squaring/index.ts";
import type { RouteContext } from "./route-context.ts";
import { type Entry, faceOf, type FaceSetup } from "./setup.ts";
import type { FaceTold } from "./told.ts";
import { heldToFinish, scaleFirst, stillToFinish, withoutScale } from "./two-cutters.ts";

/** Plans the setup that cuts the face on top; refuses with the reason when vise, drawer or cutters cannot. */
export function planFaceSetup(
  piece: Piece,
  next: NextCut,
  previous: FaceSetup | null,
  context: RouteContext,
): Outcome<FaceSetup> {
  const whole = heldNext(piece, next, previous, context);
  if (!whole.ok) return whole;
  const first = cutterIn(piece, next.face, whole.value, context);
  if (!first.ok) return first;
  const { task, choice } = first.value;
  const rough = scaleFirst(next, { held: whole.value, task, cutter: choice.best.cutter }, context);
  const roughed = rough && cutterIn(piece, next.face, rough, context);
  if (rough && roughed?.ok) return done(faceSetup(piece, next.face, rough, roughed.value, previous, context));
  return done(faceSetup(piece, next.face, whole.value, first.value, previous, context));
}

/** How the part is held for the next cut: still as it was when only the scale came off before. */
function heldNext(
  piece: Piece,
  next: NextCut,
  previous: FaceSetup | null,
  context: RouteContext,
): Outcome<Held> {
  if (previous && stillToFinish(previous)) return done(heldToFinish(piece, previous, context));
  return holdFor(piece, next, context, previous && { seat: previous.seat, ...faceOf(previous) });
}

interface Chosen {
  task: CutTask;
  choice: CutChoice;
}

/** The cut of a face held so, with the cutter chosen for it. */
function cutterIn(piece: Piece, face: Face, held: Held, context: RouteContext): Outcome<Chosen> {
  const task = heldTask(piece, face, held, context);
  const choice = cutterFor(task, held.seat, context);
  return choice.ok ? done({ task, choice: choice.value }) : choice;
}

function faceSetup(
  piece: Piece,
  face: Face,
  held: Held,
  { task, choice }: Chosen,
  previous: FaceSetup | null,
  context: RouteContext,
): FaceSetup {
  const { at, seat, entry, from, to, sized, endReason, extent } = held;
  const axis = axisOf(face);
  return describeFaceSetup(
    {
      number: (previous?.number ?? 0) + 1,
      clamping: clampingAfter(previous, entry),
      entry,
      stays: false,
      key: faceOperation(face, extent),
      face,
      axis,
      at,
      seat,
      cut: choice.best,
      task,
      why: choice.why,
      from,
      to,
      sized,
      limits: context.limits[axis],
      before: piece,
      placed: placedAs(piece, entry, previous),
      after: extent === "rough" ? withoutScale(piece, face, to) : pieceAfter(piece, face, held),
      turn: previous ? turnBetween(previous.at, at) : "none",
      endReason,
    },
    context,
  );
}

const clampingAfter = (previous: FaceSetup | null, entry: Entry): number =>
  (previous?.clamping ?? 0) + (entry === "placed" ? 1 : 0);

const placedAs = (piece: Piece, entry: Entry, previous: FaceSetup | null): Piece =>
  entry === "placed" || !previous ? piece : previous.placed;

/** How a told seat came about: by itself unless it is that of the cut before. */
function toldEntry(told: FaceTold, previous: FaceSetup | null): Entry {
  if (!previous || told.clamping === null) return "placed";
  if (told.clamping !== previous.clamping) return "placed";
  return told.seat.table?.over === previous.seat.table?.over ? "stays" : "swapped";
}

/** A cutter that is gone from the shop, as far as what was told of it says. */
const standIn = ({ conditions, kind }: FaceTold) =>
  newCutter({
    id: conditions.cutter,
    name: "a cutter no longer in the shop",
    kind: kind === "side" ? "endMill" : kind === "face" ? "shellMill" : "slabMill",
    material: "hss",
    diameter: Math.max(20, kind === "face" ? conditions.width : 20),
    teeth: 4,
    fluteLength: Math.max(20, conditions.width + 5),
  });

/** A setup that was begun: seat and conditions as told, whatever the plan would say now. */
export function toldFaceSetup(
  piece: Piece,
  told: FaceTold,
  previous: FaceSetup | null,
  context: RouteContext,
  moreOff: Mm,
  clean: boolean,
): FaceSetup {
  const at: Orientation = { up: told.seat.up, fixed: told.seat.fixed };
  const axis = axisOf(told.face);
  const to = tidy(told.to - moreOff);
  const extent = extentOf(told.key);
  const sized = extent !== "rough" && piece.faces[opposite(told.face)].order !== null;
  const entry = toldEntry(told, previous);
  const task = taskOf(
    told.kind,
    told.seat,
    Math.max(0, tidy(told.from - to)),
    { face: told.face, key: told.key, sized, before: piece },
    context,
  );
  const known = context.everyCutter.find((c) => c.id === told.conditions.cutter);
  const cut = cutAsTold(task, known ?? standIn(told), context, told.conditions);
  if (!known)
    cut.warnings.push(
      warn(
        rule(
          "shop.cutterGone",
        )`The cutter this setup was begun with is no longer in the shop: check what stands in the spindle.`,
      ),
    );
  const total = tidy(told.from - to);
  const rest = extent === "part" && total > noCut ? leftStanding(told.kind, told.seat, total, context) : null;
  return describeFaceSetup(
    {
      number: (previous?.number ?? 0) + 1,
      clamping: clampingAfter(previous, entry),
      entry,
      stays: false,
      key: told.key,
      face: told.face,
      axis,
      at,
      seat: told.seat,
      cut,
      task,
      why: say`The setup was begun with it.`,
      from: told.from,
      to,
      sized,
      limits: context.limits[axis],
      before: piece,
      placed: placedAs(piece, entry, previous),
      after:
        extent === "rough"
          ? withoutScale(piece, told.face, to)
          : total > noCut
            ? cutFace(piece, told.face, locatedBy(told.seat, told.face), to, clean, rest)
            : leftAsItIs(piece, told.face, locatedBy(told.seat, told.face)),
      turn: previous ? turnBetween(previous.at, at) : "none",
      endReason: null,
      machine: told.machine,
    },
    context,
  );
}
