import {
  alongJaws,
  type Axis,
  axisNames,
  axisOf,
  downOf,
  type Face,
  faceNames,
  facesOf,
  type Orientation,
} from "../frame/index.ts";
import { type BiasName, seatScatter } from "../handbook/index.ts";
import { isReference } from "../stock/index.ts";
import type { Setup } from "./setup-facts.ts";

/**
 * The reference chain: what every cut face was located from, with signs (domain.md 4 and 13). A face's error is a small
 * rotation about each part axis across its normal, a sum of causes: biases of machine and vise carried with their sign, so
 * that they cancel or double as the part is turned, and random ones of each seat.
 */

/** A bias by name, `seat:` of a setup (random), or `raw:` of a seat on a face that is no reference. */
export type Cause = BiasName | `seat:${string}` | `raw:${string}`;
/** Rotation in rad as a sum of causes: how often each counts, with sign; a random one in rad. */
export type Rotation = ReadonlyMap<Cause, number>;

export interface ChainLink {
  face: Face;
  /** Setup it was cut in. */
  number: number;
  /** What it was located from, about each axis; a raw face is a provisional seat. */
  from: { face: Face; by: "jaw" | "bed" | "square"; axis: Axis; reference: boolean }[];
  rotations: Partial<Record<Axis, Rotation>>;
}

type Signed = { axis: Axis; sign: 1 | -1 };
const signOf = (face: Face): 1 | -1 => (facesOf(axisOf(face))[1] === face ? 1 : -1);

/** The machine's axes as signed part axes: Y to the fixed jaw, Z up, X = Y × Z along the jaws. */
function machineAxes(at: Orientation): Record<"x" | "y" | "z", Signed> {
  const y: Signed = { axis: axisOf(at.fixed), sign: signOf(at.fixed) };
  const z: Signed = { axis: axisOf(at.up), sign: signOf(at.up) };
  const x = alongJaws(at);
  // e_i × e_j = e_k for the cyclic order length, width, height.
  const cyclic = axisNames[(axisNames.indexOf(y.axis) + 1) % 3] === z.axis ? 1 : -1;
  return { x: { axis: x, sign: (y.sign * z.sign * cyclic) as 1 | -1 }, y, z };
}

function add(to: Map<Cause, number>, rotation: Iterable<readonly [Cause, number]>, factor: number) {
  for (const [cause, count] of rotation) {
    const sum = (to.get(cause) ?? 0) + count * factor;
    if (Math.abs(sum) < 1e-12) to.delete(cause);
    else to.set(cause, sum);
  }
}

/** What the chain asks of a setup: a planned one, or one the search only looks at. */
export type Located = Pick<Setup, "at" | "seat" | "face" | "number" | "before"> & {
  cut: Pick<Setup["cut"], "kind" | "lanes">;
};

/** The link of the face cut in a setup, on those of the faces cut before it. */
export function linkOf(setup: Located, links: ReadonlyMap<Face, ChainLink>): ChainLink {
  const { at, seat, cut, face, number, before } = setup;
  const machine = machineAxes(at);
  const side = cut.kind === "side";
  const down = downOf(at);
  const flatDown = isReference(before, down) && seat.tap;
  const upright = seat.square
    ? (facesOf(machine.x.axis).find((f) => isReference(before, f)) ?? facesOf(machine.x.axis)[0])
    : null;
  const link: ChainLink = { face, number, from: [], rotations: {} };
  /** ρ = τ − λ + ρ of the locating face, turned from the machine's axis to the part's. */
  const locate = (
    about: "x" | "y" | "z",
    located: Face,
    by: "jaw" | "bed" | "square",
    locator: BiasName | null,
    cutter: BiasName | null,
    over: number,
  ) => {
    const { axis, sign } = machine[about];
    const reference = isReference(before, located);
    const sum = new Map<Cause, number>();
    if (cutter) add(sum, [[cutter, 1]], sign);
    if (locator) add(sum, [[locator, -1]], sign);
    add(sum, [[`seat:${number}${about}`, seatScatter / over]], 1);
    const known = links.get(located)?.rotations[axis];
    if (known) add(sum, known, 1);
    // Bought milled or ground and never cut here: it is its own beginning.
    else add(sum, [[`raw:${reference ? located : `${located}${number}`}`, 1]], 1);
    link.from.push({ face: located, by, axis, reference });
    link.rotations[axis] = sum;
  };
  const oneLane = cut.lanes === 1;
  const length = Math.max(seat.along, 10);
  if (!side) {
    // Tapped down on a machined face it lies on the bed; a rod lets it settle at a machined face at the jaw instead.
    const byBed = flatDown && !seat.square && !(seat.rod && isReference(before, seat.fixed));
    locate(
      "x",
      byBed ? down : seat.fixed,
      byBed ? "bed" : "jaw",
      byBed ? "bedAcross" : "jawSquare",
      oneLane ? "tramAcross" : null,
      byBed ? Math.max(seat.between, 10) : Math.max(seat.effectiveGrip, 10),
    );
  } else {
    locate("z", seat.fixed, "jaw", "jawLine", "tableSquare", Math.min(length, 100));
  }
  const cutter: BiasName | null = side || oneLane ? "tramAlong" : null;
  if (upright) locate("y", upright, "square", "square", cutter, Math.max(seat.standing, 10));
  else locate("y", down, "bed", "bedAlong", cutter, length);
  return link;
}

/** Links of the faces cut in these setups, in order. */
export function referenceChain(setups: readonly Located[]): ChainLink[] {
  const links = new Map<Face, ChainLink>();
  for (const setup of setups) links.set(setup.face, linkOf(setup, links));
  return [...links.values()];
}

/** Faces whose position or squareness hangs on a face: they are looked at again when it is recut or the part moved (M39). */
export function hangingOn(links: readonly ChainLink[], face: Face): Face[] {
  const found = new Set<Face>();
  const cutIn = new Map(links.map((link) => [link.face, link.number]));
  const visit = (of: Face) => {
    for (const link of links) {
      // What stood on the face before it was cut stood on another surface.
      const stoodOn = link.from.some((f) => f.face === of) && link.number > (cutIn.get(of) ?? Infinity);
      if (link.face === face || found.has(link.face) || !stoodOn) continue;
      found.add(link.face);
      visit(link.face);
    }
  };
  visit(face);
  return faceNames.filter((f) => found.has(f));
}
