import { faceNames } from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { faceOperation } from "../squaring/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Refusal } from "../working/index.ts";
import type { FaceTold } from "./told.ts";
import { stillToFinish } from "./two-cutters.ts";
import type { RouteContext } from "./route-context.ts";
import { planFaceSetup, toldFaceSetup } from "./face-setup.ts";
import { faceOf, type FaceSetup } from "./setup.ts";

/** What has been done on an operation that was begun. */
export interface Begun {
  told: FaceTold;
  /** More to take off because the face did not clean up, mm. */
  moreOff: Mm;
  /** Cleaned up all over, as far as known. */
  clean: boolean;
  /** Size measured after the last cut, mm; null while not measured. */
  measured: Mm | null;
}

export interface Route {
  setups: FaceSetup[];
  /** Why no further setup could be planned; null when all faces are. */
  refusal: (Refusal & { number: number }) | null;
}

/** Marks the operations after which the part stays where it is. */
const linked = (setups: FaceSetup[]): FaceSetup[] =>
  setups.map((setup, i) => ({ ...setup, stays: (setups[i + 1]?.entry ?? "placed") !== "placed" }));

/**
 * The route by the school chosen: setups already begun as they were told, the rest planned from the piece as it
 * stands. Deterministic. Never empty without a reason.
 */
export function planRoute(raw: Piece, begun: Begun[], context: RouteContext): Route {
  let piece = raw;
  const setups: FaceSetup[] = [];
  for (const { told, moreOff, clean, measured } of begun) {
    piece = passedOver(piece, told.key, setups.at(-1) ?? null, context);
    const setup = toldFaceSetup(piece, told, setups.at(-1) ?? null, context, moreOff, clean);
    if (measured !== null)
      setup.after = { ...setup.after, sizes: { ...setup.after.sizes, [faceOf(setup).axis]: measured } };
    setups.push(setup);
    piece = setup.after;
  }
  /** Roughed to size already: there is nothing to finish after it. */
  let roughed: FaceSetup | undefined;
  for (;;) {
    const last = setups.at(-1);
    const next = (last === roughed ? null : stillToFinish(last)) ?? context.next(piece);
    if (!next) return { setups: linked(setups), refusal: null };
    const planned = planFaceSetup(piece, next, setups.at(-1) ?? null, context);
    if (!planned.ok) return { setups: linked(setups), refusal: { ...planned, number: setups.length + 1 } };
    if (!isIdle(planned.value, context)) setups.push(planned.value);
    else roughed = last;
    piece = planned.value.after;
  }
}

/**
 * Faces that were bought finished and come before a cut in the order of the school: passed over before it was begun as they are
 * when it is planned, so that faces keep their numbers and a size its first side.
 */
function passedOver(piece: Piece, key: string, previous: FaceSetup | null, context: RouteContext): Piece {
  let now = piece;
  for (let i = 0; i < faceNames.length; i++) {
    const next = stillToFinish(previous ?? undefined) ? null : context.next(now);
    if (!next || faceOperation(next.face, next.extent) === key) return now;
    const planned = planFaceSetup(now, next, previous, context);
    if (!planned.ok || !isIdle(planned.value, context)) return now;
    now = planned.value.after;
  }
  return now;
}

/** Nothing comes off a face that was measured: it stays as it was bought, and is not clamped for nothing. */
const isIdle = (setup: FaceSetup, { spares }: RouteContext): boolean =>
  faceOf(setup).cut.passes.length === 0 && spares[faceOf(setup).axis].verdict !== "unmeasured";
