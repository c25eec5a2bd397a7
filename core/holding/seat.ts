import {
  alongJaws,
  axisOf,
  downOf,
  type Face,
  faceSchema,
  movingOf,
  type Orientation,
} from "../frame/index.ts";
import { leastGrip, wordsFor } from "../handbook/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import {
  isStack,
  type Parallels,
  parallelsById,
  type Rod,
  type Stack,
  stackedParallels,
  type Vise,
} from "../shop/index.ts";
import { isReference, type Piece, squareAsBought } from "../stock/index.ts";
import {
  done,
  note,
  type Outcome,
  type Phrase,
  refused,
  rule,
  say,
  warn,
  type Warning,
  words,
} from "../working/index.ts";
import * as z from "../zod.ts";
import { clearOfParallels, pastJaw } from "./parallel-reached.ts";
import { clearPlace, parallelsSchema } from "./parallels-lie.ts";

/** Cutter clearance left above the jaws after the last pass, mm (domain.md 5). */
export const cutterClearance = 2;
/** A rod at the moving jaw stays this far below the finished face, mm. */
const rodClear = 1;
/** What an edge break takes from the grip, mm. */
const edgeBreak = 0.5;

/** How two pieces lie in one vise: end to end along the jaws, one behind the other between them, one on the other. */
export const togetherWays = ["end to end", "between the jaws", "stacked"] as const;
export type Together = (typeof togetherWays)[number];

export const seatSchema = z.object({
  up: faceSchema,
  fixed: faceSchema,
  vise: z.string(),
  /** What the part stands on: the bed of the vise or a pair of parallels. */
  parallels: parallelsSchema.nullable(),
  /** Round rod at the moving jaw; height of its middle above the bed. */
  rod: z.object({ id: z.string(), diameter: z.number(), height: z.number() }).nullable(),
  /** Strips of paper between part and jaws, for friction. */
  paper: z.boolean().default(false),
  /** Tapped down after tightening; else hand pressure only. */
  tap: z.boolean(),
  /**
   * Soft packing at the fixed jaw: the face there is raw, the one below is machined, and only one of them can lie flush. With packing
   * that gives the part settles on the machined one.
   */
  soft: z.boolean().default(false),
  /** Set with a square before tightening: nothing else holds it upright. */
  square: z.boolean(),
  /** All mm. Grip from the bottom of the part to the top of the jaws; projection above the jaws after the last pass. */
  grip: z.number(),
  effectiveGrip: z.number(),
  projection: z.number(),
  /** Height and width of the part as it stands, before the cut. */
  standing: z.number(),
  between: z.number(),
  along: z.number(),
  /** How far the end stands out past the side of the jaws; null when it does not. */
  overhang: z.number().nullable(),
  /** A jack under the end that hangs out. */
  jack: z.boolean().default(false),
  /** A stop that the part is set against along the jaws. */
  stop: z.boolean().default(false),
  /** Rests on three points, one of them set until the average surface lies level: nothing flat to stand on yet. */
  points: z.boolean().default(false),
  /** How a second piece lies in the vise with it; grip, sizes and cuts are those of both. Null where it is alone. */
  together: z.enum(togetherWays).nullable().default(null),
  /** Where V-blocks stand under a lying shaft, their middles from its left end, mm; null where nothing comes out below. */
  blocks: z.array(z.number()).nullable().default(null),
  /** On the table, not in the vise. */
  table: z
    .object({
      /** Height of what lies under it, mm. */
      packing: z.number(),
      /** Straps over one edge, and how far they reach in, mm; none where it is glued. */
      straps: z.number().int(),
      over: faceSchema,
      reach: z.number(),
      /** The plate under all of it that a tool may go into: it lies on it, or is glued to it. Null for pieces of packing. */
      plate: z
        .object({
          id: z.string(),
          glued: z.boolean(),
          /** How much of the face below still stands on it, as a share. */
          rests: z.number().default(1),
        })
        .nullable()
        .default(null),
      /** Straps that stand where nothing is cut: the edge, and the middle of the strap from the left end as the part lies, mm. Empty: evenly over one edge. */
      at: z.array(z.object({ edge: z.enum(["back", "front"]), left: z.number() })).default([]),
    })
    .nullable()
    .default(null),
});
/** How the part sits for one setup. */
export type Seat = z.infer<typeof seatSchema>;

/** Whether the part is glued to a plate: nothing stands over or beside it. */
export const isGlued = ({ table }: Pick<Seat, "table">): boolean => table?.plate?.glued ?? false;

/** Parallels with the height of the lower pair, where one lies on another. */
type Owned = Parallels & Partial<Pick<Stack, "lower">>;

export interface SeatRequest {
  piece: Piece;
  at: Orientation;
  /** What comes off the face that is up, mm; 0 for a side cut. */
  removal: Mm;
  /** End standing out past the jaws, mm; null for a cut from above. */
  overhang: Mm | null;
  /** An end standing upright that a square sets. */
  square: boolean;
  vise: Vise;
  parallels: readonly Owned[];
  rods: Rod[];
  /** What comes off an end that hangs out, mm. */
  offEnd: Mm;
  /** Parallels the person chose. */
  ownParallels: string | null;
  paper: boolean;
  jack: boolean;
  stop: boolean;
  points: boolean;
  /** Grip aimed at so that the sides stand free above the jaws, mm; null for as deep as it goes. */
  wantedGrip: Mm | null;
  /** What comes out below, from the fixed jaw inward, mm: parallels lie clear of it. */
  comesOut?: readonly (readonly [Mm, Mm])[];
}

/** Parallels keep so far from what comes out below, mm. */
export const clearBelow = 1;

/** Why chosen parallels do not do. */
function whyNotThose(chosen: Parallels, needed: Mm, between: Mm, through: boolean): [Phrase, Phrase] {
  return chosen.height < needed
    ? [
        rule(
          "holding.tooLow",
        )`The ${chosen.name} are too low: ${mm(needed)} is needed for the cutter to clear the jaws.`,
        say`Use taller ones, or take less off in this setup.`,
      ]
    : [
        rule(
          "holding.tooThick",
        )`The ${chosen.name} do not fit between the jaws, ${mm(between)} apart${through ? ", clear of what is cut through" : ""}.`,
        say`Use thinner ones.`,
      ];
}

/** Flat jaws take up no more than this between two faces out of parallel, mm (guess). */
const jawsTakeUp = 0.1;

/** A rod is needed unless both faces at the jaws are machined and clean (M06), and known to be parallel: by readings, by how they were made. */
export const needsRod = (piece: Piece, at: Orientation): boolean =>
  !(isReference(piece, at.fixed) && isReference(piece, movingOf(at))) ||
  piece.uneven[axisOf(at.fixed)] > jawsTakeUp ||
  !squareAsBought(piece, axisOf(at.fixed));

/** Least height of parallels in mm: jaw depth + cut + clearance − present height. Zero or less: it stands on the bed. */
export const parallelHeightNeeded = (vise: Vise, removal: Mm, standing: Mm): Mm =>
  tidy(vise.jawDepth + removal + cutterClearance - standing);

/** One pair is laid on another where that grips at least this much deeper, mm (guess). */
const worthStacking = 1;

/**
 * Seats a part in a plain vise: rod, parallels, grip, projection (domain.md 5). One pair of parallels is laid on another where no pair
 * alone has a height that does, or only with a shallow grip. Catches M06, and M11 and M12 as far as opening and grip go.
 * @returns the seat, or why this vise and drawer cannot hold the part so
 */
export function seatInVise(request: SeatRequest): Outcome<Seat> {
  const { ownParallels } = request;
  if (ownParallels !== null && isStack(ownParallels)) {
    const stack = parallelsById(request.parallels, ownParallels);
    return seatOnPair({ ...request, parallels: stack ? [stack] : [] });
  }
  const onPair = seatOnPair(request);
  if (ownParallels !== null || (onPair.ok && onPair.value.effectiveGrip >= leastGrip.roughing)) return onPair;
  const stacks = stackedParallels(request.parallels);
  const onStack = seatOnPair({ ...request, parallels: stacks });
  if (!onStack.ok || onStack.value.parallels === null) return onPair;
  return !onPair.ok || onStack.value.effectiveGrip >= onPair.value.effectiveGrip + worthStacking
    ? onStack
    : onPair;
}

/** Seats a part on one of the pairs of parallels that are given, or on the bed. */
function seatOnPair(request: SeatRequest): Outcome<Seat> {
  const { piece, at, removal, vise, overhang } = request;
  const standing = piece.sizes[axisOf(at.up)];
  const between = piece.sizes[axisOf(at.fixed)];
  const along = piece.sizes[alongJaws(at)];
  const pressed = needsRod(piece, at);
  const [usual] = pressed ? request.rods : [];
  if (pressed && !usual) {
    return refused(
      rule("M06.none")`The face at the moving jaw is not machined and there is no round rod in the shop.`,
      say`Cut a length of soft round bar, about ${mm(12)} thick, and enter it in the shop.`,
    );
  }
  const room = between + (usual?.diameter ?? 0);
  if (room > vise.opening) {
    return refused(
      rule(
        "M11.opening",
      )`${mm(room)} ${usual ? "with the rod " : ""}must go between the jaws; the ${vise.name} opens ${mm(vise.opening)}.`,
      say`Turn the part, use a wider vise, or strap it to the table.`,
    );
  }
  const needed = parallelHeightNeeded(vise, removal, standing);
  const places = new Map(
    request.parallels.map((p) => [p, clearPlace(p.thickness, between, request.comesOut ?? [], clearBelow)]),
  );
  const fits = (p: Parallels) => places.get(p) !== null;
  /** A pair before one alone, at the jaws before further in. */
  const rank = (p: Parallels) => (places.get(p)!.single ? 2 : places.get(p)!.inset > 0 ? 1 : 0);
  const reached = (p: Parallels) =>
    overhang !== null && pastJaw(p, vise) > overhang - request.offEnd - clearOfParallels ? 1 : 0;
  const high = request.parallels.filter((p) => p.height >= needed && fits(p));
  const chosen = request.parallels.find((p) => p.id === request.ownParallels);
  if (chosen && !high.includes(chosen))
    return refused(...whyNotThose(chosen, needed, between, (request.comesOut ?? []).length > 0));
  const pair =
    chosen ??
    (request.wantedGrip !== null
      ? nearestToGrip(high, request.wantedGrip, needed, vise)
      : needed > 0
        ? high.sort(
            (a, b) =>
              reached(a) - reached(b) ||
              rank(a) - rank(b) ||
              a.height - b.height ||
              a.thickness - b.thickness,
          )[0]
        : undefined);
  if (needed > 0 && !pair) {
    const tallest = Math.max(0, ...request.parallels.filter(fits).map((p) => p.height));
    return refused(
      rule(
        "holding.parallels",
      )`Parallels of ${mm(needed)} or more are needed for the cutter to clear the jaws; the tallest that fit between the jaws are ${mm(tallest)}.`,
      say`Use taller packing, or take less off in this setup.`,
    );
  }
  const under = pair?.height ?? 0;
  const grip = tidy(Math.min(vise.jawDepth - under, standing));
  const effectiveGrip = tidy(grip - vise.jawChamfer - edgeBreak);
  if (effectiveGrip < leastGrip.any) {
    return refused(
      rule(
        "M12.shallow",
      )`Only ${mm(Math.max(effectiveGrip, 0))} of the part would be held, after the chamfers; at least ${mm(leastGrip.any)} is needed.`,
      say`Take less off in this setup, or hold the part another way.`,
    );
  }
  // Above its middle a rod may stand no higher than the cutter comes down.
  const free = 2 * (standing - removal - rodClear - grip / 2);
  const rod = removal > 0 ? request.rods.find((r) => r.diameter <= free) : usual;
  if (pressed && !rod)
    return refused(
      rule(
        "M06.high",
      )`The rod of ${mm(usual!.diameter)} at the moving jaw would stand up to the finished face: the cutter would meet it.`,
      free > 0
        ? say`Enter a rod of at most ${mm(tidy(free))}, or hold the part on a plate.`
        : words("Hold the part on a plate."),
    );
  return done({
    up: at.up,
    fixed: at.fixed,
    vise: vise.id,
    parallels: pair
      ? {
          id: pair.id,
          height: pair.height,
          thickness: pair.thickness,
          lower: pair.lower ?? null,
          ...places.get(pair)!,
        }
      : null,
    rod: pressed && rod ? { id: rod.id, diameter: rod.diameter, height: tidy(under + grip / 2) } : null,
    paper: request.paper,
    jack: request.jack && overhang !== null,
    stop: request.stop,
    points: request.points,
    together: null,
    blocks: null,
    table: null,
    // An end that a square sets is not tapped down again on a face that was bought: it is not known to be square.
    tap: isReference(piece, downOf(at)) && !(request.square && piece.faces[downOf(at)].order === null),
    soft: overhang === null && isReference(piece, downOf(at)) && !isReference(piece, at.fixed),
    square: request.square,
    grip,
    effectiveGrip,
    projection: tidy(under + standing - removal - vise.jawDepth),
    standing,
    between,
    along,
    overhang,
  });
}

/** The parallels, or the bed, that leave a grip nearest to the wanted one and still deep enough for side cuts. */
function nearestToGrip(high: readonly Owned[], wanted: Mm, needed: Mm, vise: Vise): Owned | undefined {
  const least = leastGrip.side + vise.jawChamfer + edgeBreak;
  const off = (height: Mm) => Math.abs(vise.jawDepth - height - wanted);
  const fit = high
    .filter((p) => vise.jawDepth - p.height >= least)
    .sort((a, b) => off(a.height) - off(b.height) || a.thickness - b.thickness)[0];
  return needed <= 0 && (!fit || off(0) <= off(fit.height)) ? undefined : (fit ?? high[0]);
}

/** How far the sides can be cut from the top down in this seat: to above the jaws, or to the packing; mm. */
export const sideReach = (seat: Seat, vise: Pick<Vise, "jawDepth">): Mm =>
  seat.table || seat.overhang !== null
    ? seat.standing
    : tidy(
        Math.min(seat.standing, (seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth) -
          cutterClearance,
      );

/** The same seat with its top cut down: nothing was loosened. */
export const withTopCut = (seat: Seat, removed: Mm): Seat =>
  removed > 0 ? { ...seat, standing: tidy(seat.standing - removed) } : seat;

/**
 * What stands against this seat: provisional references (M10), shallow grip (M12), rough bottom (M07).
 * @param side the cut is one with the side of the cutter
 */
export function seatWarnings(piece: Piece, seat: Seat, side = seat.overhang !== null): Warning[] {
  const found: Warning[] = [];
  const fixed = piece.faces[seat.fixed];
  if (fixed.order !== null && !fixed.clean) {
    found.push(
      warn(
        rule(
          "M10.notClean",
        )`Face ${fixed.order} at the fixed jaw did not clean up, so it is not a reference. Cut it clean first.`,
      ),
    );
  } else if (!isReference(piece, seat.fixed)) {
    found.push(
      note(
        rule(
          "M10.provisional",
        )`The ${seat.fixed} face ${seat.table ? "that was indicated" : "at the fixed jaw"} is ${wordsFor.faceCondition[fixed.condition]}, a provisional seat: nothing cut here is square to it.`,
      ),
    );
  }
  if (seat.table) return found;
  if (side && seat.effectiveGrip < leastGrip.side) {
    found.push(
      warn(
        rule(
          "M12.side",
        )`${mm(seat.effectiveGrip)} is held after the chamfers; a side cut needs ${mm(leastGrip.side)}. Use lower parallels, or take light cuts.`,
      ),
    );
  } else if (seat.effectiveGrip < leastGrip.roughing) {
    found.push(
      warn(
        rule(
          "M12.roughing",
        )`${mm(seat.effectiveGrip)} is held after the chamfers; roughing needs ${mm(leastGrip.roughing)}. Take light passes.`,
      ),
    );
  } else if (seat.projection > 1.5 * seat.grip) {
    found.push(
      warn(
        rule(
          "M12.tall",
        )`${mm(seat.projection)} sticks up above the jaws on ${mm(seat.grip)} of grip. A heavy cut can tip it: take light passes, and try it by hand first.`,
      ),
    );
  }
  return found;
}

/** A face named for a person: its number when cut, else its place and condition. */
export function faceCalled(piece: Piece, face: Face): string {
  const state = piece.faces[face];
  return state.order !== null
    ? `face ${state.order}`
    : `the ${wordsFor.faceCondition[state.condition]} ${face} face`;
}
