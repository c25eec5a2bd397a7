import { type Axis, axisOf, clampingAxes, downOf, type Face, faceNames, facesOf } from "../frame/index.ts";
import { type BiasName, offCenterTwist, seatScatter } from "../handbook/index.ts";
import { grippedOffCenter, liftedByJaw } from "../holding/index.ts";
import type { Vise } from "../shop/index.ts";
import { isReference } from "../stock/index.ts";
import { extentOf } from "../squaring/index.ts";
import { faceOf, type FaceOperation, type FaceSetup } from "./setup.ts";

/**
 * The reference chain: what every cut face was located from, with signs (domain.md 4 and 13). A face's error is a small
 * rotation about each part axis across its normal, a sum of causes: biases of machine and vise carried with their sign, so
 * that they cancel or double as the part is turned, and random ones of each seat.
 */

/**
 * A bias by name, `seat:` of a clamping (random), `raw:` of a seat on a face that is no reference, or `witness:` of a face cut
 * in two parts.
 */
export type Cause = BiasName | `seat:${string}` | `raw:${string}` | `witness:${Face}`;
/** Rotation in rad as a sum of causes: how often each counts, with sign; a random one in rad. */
export type Rotation = ReadonlyMap<Cause, number>;

export interface ChainLink {
  face: Face;
  /** Clamping it was cut in. */
  clamping: number;
  /** What it was located from, about each axis; a raw face is a provisional seat. */
  from: { face: Face; by: "jaw" | "bed" | "square" | "indicator"; axis: Axis; reference: boolean }[];
  rotations: Partial<Record<Axis, Rotation>>;
  /** Cut in two parts: where they meet a step stays. */
  witness: boolean;
}

function add(to: Map<Cause, number>, rotation: Iterable<readonly [Cause, number]>, factor: number) {
  for (const [cause, count] of rotation) {
    const sum = (to.get(cause) ?? 0) + count * factor;
    if (Math.abs(sum) < 1e-12) to.delete(cause);
    else to.set(cause, sum);
  }
}

/** What the chain asks of a setup: a planned one, or one the search only looks at. */
export type Located = Pick<FaceSetup, "at" | "seat" | "clamping" | "placed"> &
  Pick<FaceOperation, "face"> & { cut: Pick<FaceOperation["cut"], "kind" | "lanes"> };

/** Planned setups as the chain asks of them; scale that only came off locates nothing. */
export const locatedIn = (setups: readonly FaceSetup[]): Located[] =>
  setups.flatMap((setup) => {
    const { face, cut, key } = faceOf(setup);
    return extentOf(key) === "rough" ? [] : [{ ...setup, face, cut }];
  });

/** What sets the part about an axis of the machine: a face, by what, and how far that is out. */
interface Set {
  about: "x" | "y" | "z";
  located: Face;
  by: ChainLink["from"][number]["by"];
  bias: BiasName | null;
  over: number;
}

/** How a seat sets the part about each axis: the jaw or the bed across, the bed or a square along, the jaw in the plane. */
function settingsOf({ at, seat, placed: before }: Located): Set[] {
  const down = downOf(at);
  const along = Math.max(seat.along, 10);
  const between = Math.max(seat.between, 10);
  if (seat.table)
    return [
      { about: "x", located: down, by: "bed", bias: null, over: between },
      { about: "y", located: down, by: "bed", bias: null, over: along },
      { about: "z", located: seat.fixed, by: "indicator", bias: null, over: along },
    ];
  const flatDown = isReference(before, down) && seat.tap;
  // Tapped down on a machined face it lies on the bed; a rod lets it settle at a machined face at the jaw instead.
  const byBed = flatDown && !seat.square && !(seat.rod && isReference(before, seat.fixed));
  const ends = clampingAxes(at).x.axis;
  const upright = facesOf(ends).find((f) => isReference(before, f)) ?? facesOf(ends)[0];
  return [
    byBed
      ? { about: "x", located: down, by: "bed", bias: "bedAcross", over: between }
      : {
          about: "x",
          located: seat.fixed,
          by: "jaw",
          bias: "jawSquare",
          over: Math.max(seat.effectiveGrip, 10),
        },
    seat.square
      ? { about: "y", located: upright, by: "square", bias: "square", over: Math.max(seat.standing, 10) }
      : { about: "y", located: down, by: "bed", bias: "bedAlong", over: along },
    { about: "z", located: seat.fixed, by: "jaw", bias: "jawLine", over: Math.min(along, 100) },
  ];
}

/**
 * How far the cut itself is out about an axis: a wall follows the tram both ways, a wall across the table its ways. A face fed
 * along X in one lane lies as the head is tilted across; tilted along X it is hollow, but no slope.
 */
function cutterBias(about: Set["about"], { cut }: Located, wallAcross: boolean): BiasName | null {
  if (about === "z") return wallAcross ? "tableSquare" : null;
  if (cut.kind === "side") return about === "x" ? "tramAcross" : "tramAlong";
  return cut.lanes === 1 && about === "x" ? "tramAcross" : null;
}

/**
 * The link of the face cut in a setup, on those of the faces cut before it.
 * @param vise to reckon with how its moving jaw lifts and twists; null to leave that out
 */
export function linkOf(
  setup: Located,
  links: ReadonlyMap<Face, ChainLink>,
  vise: Vise | null = null,
): ChainLink {
  const { at, face, seat, clamping, placed } = setup;
  const axes = clampingAxes(at);
  const link: ChainLink = { face, clamping, from: [], rotations: {}, witness: false };
  /** ρ = τ − λ + ρ of the locating face, turned from the machine's axis to the part's. */
  for (const { about, located, by, bias, over } of settingsOf(setup)) {
    const { axis, sign } = axes[about];
    if (axis === axisOf(face)) continue;
    const reference = isReference(placed, located);
    const sum = new Map<Cause, number>();
    const cutter = cutterBias(about, setup, axisOf(face) === axes.x.axis);
    if (cutter) add(sum, [[cutter, 1]], sign);
    if (bias) add(sum, [[bias, -1]], sign);
    // The same seat for all that is cut in one clamping.
    add(sum, [[`seat:${clamping}${about}`, seatScatter / over]], 1);
    if (about === "x" && vise && liftedByJaw(seat, vise) > 0)
      add(sum, [[`seat:${clamping}lift`, liftedByJaw(seat, vise) / Math.max(seat.between, 10)]], 1);
    if (about === "z" && vise && grippedOffCenter(seat, vise))
      add(sum, [[`seat:${clamping}twist`, offCenterTwist / over]], 1);
    // Straps moved to another edge: what the indicator would not show.
    if (seat.table && seat.table.over !== seat.fixed)
      add(sum, [[`seat:${clamping}${about}swapped`, seatScatter / over]], 1);
    // A face cut in this very clamping did not locate it.
    const cutBefore = links.get(located);
    const known = cutBefore && cutBefore.clamping !== clamping ? cutBefore.rotations[axis] : undefined;
    if (known) add(sum, known, 1);
    // Bought milled or ground and never cut here: it is its own beginning.
    else add(sum, [[`raw:${reference ? located : `${located}${clamping}`}`, 1]], 1);
    link.from.push({ face: located, by, axis, reference });
    link.rotations[axis] = sum;
  }
  return link;
}

/** Links of the faces cut in these setups, in order. */
export function referenceChain(setups: readonly Located[], vise: Vise | null = null): ChainLink[] {
  const links = new Map<Face, ChainLink>();
  // What is left of a face is matched to what was cut of it first.
  for (const setup of setups) {
    const first = links.get(setup.face);
    links.set(setup.face, first ? { ...first, witness: true } : linkOf(setup, links, vise));
  }
  return [...links.values()];
}

/** Faces whose position or squareness hangs on a face: they are looked at again when it is recut or the part moved (M39). */
export function hangingOn(links: readonly ChainLink[], face: Face): Face[] {
  const found = new Set<Face>();
  const cutIn = new Map(links.map((link) => [link.face, link.clamping]));
  const visit = (of: Face) => {
    for (const link of links) {
      // What stood on the face before it was cut stood on another surface.
      const stoodOn = link.from.some((f) => f.face === of) && link.clamping > (cutIn.get(of) ?? Infinity);
      if (link.face === face || found.has(link.face) || !stoodOn) continue;
      found.add(link.face);
      visit(link.face);
    }
  };
  visit(face);
  return faceNames.filter((f) => found.has(f));
}
