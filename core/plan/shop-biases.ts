import {
  axesAcross,
  type Axis,
  axisNames,
  axisOf,
  clampingAxes,
  type Face,
  facesOf,
  opposite,
  type Sizes,
} from "../frame/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type BiasName, usualBias } from "../handbook/index.ts";
import { type BiasFound, biasesFrom, type BiasSeen, liesOf, type Spot } from "../inspect/index.ts";
import {
  type ChainLink,
  faceOf,
  type FaceSetup,
  faceSetupsOf,
  locatedIn,
  referenceChain,
  type Rotation,
} from "../route/index.ts";
import { formsOf } from "../part/index.ts";
import { extentOf } from "../squaring/index.ts";
import { effective, type Record as JobRecord } from "../steps/index.ts";
import { faceSpan } from "./advice.ts";
import { type JudgedBy, judgedReadings } from "./judged-reading.ts";
import type { Plan } from "./plan.ts";
import { lastReadings } from "./series.ts";

export interface ShopBias extends BiasFound {
  name: BiasName;
}

/** The axes of a part as directions: length, width and height are right-handed. */
const direction: Record<Axis, readonly [number, number, number]> = {
  length: [1, 0, 0],
  width: [0, 1, 0],
  height: [0, 0, 1],
};
const outward = (face: Face) => {
  const sign = facesOf(axisOf(face))[1] === face ? 1 : -1;
  return direction[axisOf(face)].map((v) => v * sign) as [number, number, number];
};
const cross = (a: readonly number[], b: readonly number[]): [number, number, number] => [
  a[1]! * b[2]! - a[2]! * b[1]!,
  a[2]! * b[0]! - a[0]! * b[2]!,
  a[0]! * b[1]! - a[1]! * b[0]!,
];
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((s, v, i) => s + v * b[i]!, 0);

/**
 * How the thickness over a pair of faces slopes along a part axis, as a sum of biases: what the two faces are turned against each
 * other about the axis across it. Null where they were never located from one another.
 */
function slopeAlong(
  along: Axis,
  a: ChainLink,
  b: ChainLink,
): { counts: Map<BiasName, number>; scatter: number } | null {
  const about = axesAcross(a.face).find((axis) => axis !== along)!;
  // A face turned by ω lies lower by (ω × n)·r at a place r on it.
  const lever = -dot(cross(direction[about], outward(a.face)), direction[along]);
  return turnedApart(a.rotations[about], b.rotations[about], lever);
}

/** Two rotations less each other, each bias times a lever; null where they were never located from one another. */
function turnedApart(
  one: Rotation | undefined,
  other: Rotation | undefined,
  lever: number,
): { counts: Map<BiasName, number>; scatter: number } | null {
  if (!one || !other) return null;
  const counts = new Map<BiasName, number>();
  let squares = 0;
  const causes = new Map(one);
  for (const [cause, count] of other) causes.set(cause, (causes.get(cause) ?? 0) - count);
  for (const [cause, count] of causes) {
    if (Math.abs(count) < 1e-12) continue;
    if (cause in usualBias) counts.set(cause as BiasName, count * lever);
    else if (cause.startsWith("seat:")) squares += count ** 2;
    else return null;
  }
  return { counts, scatter: Math.sqrt(squares) };
}

/** U of an instrument that is not known any more, mm (guess). */
const unknownU = 0.03;

/** What the readings of one face of a piece say: its slope along both sides, each with the biases that are in it. */
function seenOn(
  setup: FaceSetup,
  readings: readonly { value: number; spot: Spot; u: number }[],
  links: Links,
  sizes: Sizes,
): BiasSeen[] {
  const lies = liesOf(readings);
  const u = Math.max(...readings.map((r) => r.u)) / 2;
  return lies ? slopesOn(setup, links, sizes, u, { x: lies.right, y: lies.back }) : [];
}

/**
 * Slopes along both sides of a face against the one opposite, each with the biases that are in it.
 * @param u standard uncertainty of a reading, mm
 * @param rise of the size over the face along X and Y, mm
 */
export function slopesOn(
  setup: FaceSetup,
  links: Links,
  sizes: Sizes,
  u: Mm,
  rise: { x: Mm; y: Mm },
): BiasSeen[] {
  const { face } = faceOf(setup);
  const [a, b] = [links.get(face), links.get(opposite(face))];
  if (!a || !b) return [];
  const axes = clampingAxes(setup.at);
  const span = faceSpan(setup, sizes);
  return (["x", "y"] as const).flatMap((side): BiasSeen[] => {
    const { axis, sign } = axes[side];
    const told = slopeAlong(axis, a, b);
    if (!told || told.counts.size === 0) return [];
    return [
      {
        counts: told.counts,
        slope: (rise[side] / span[side]) * sign,
        sigma: Math.hypot(u / span[side], told.scatter),
      },
    ];
  });
}

type Links = ReadonlyMap<Face, ChainLink>;

/** The setups that cut the faces of a piece first, without what was cut once more. */
export const firstCuts = (setups: Plan["setups"]): FaceSetup[] =>
  faceSetupsOf(setups).filter((s) => extentOf(faceOf(s).key) !== "again");

/** Links of faces by the face. */
export const linksOf = (faces: readonly FaceSetup[]): Links =>
  new Map(referenceChain(locatedIn(faces)).map((link) => [link.face, link]));

/** The setup whose face a size is read over: its second. */
export const readOver = (axis: Axis, faces: readonly FaceSetup[]): FaceSetup | undefined =>
  faces.findLast((s) => faceOf(s).axis === axis && faceOf(s).sized);

/** Usual slopes of the biases, mm over mm. */
export const usualSlopes: ReadonlyMap<string, number> = new Map(
  Object.entries(usualBias).map(([name, { rise, over }]) => [name, rise / over]),
);

/** What two neighboring faces are turned against each other about the axis along their edge, as a sum of biases; plus opens the corner. */
function cornerOf(a: ChainLink, b: ChainLink): ReturnType<typeof turnedApart> {
  const about = axisNames.find((axis) => axis !== axisOf(a.face) && axis !== axisOf(b.face))!;
  // Turned about k, a normal n leans to another one by (k × n)·m: normals that lean together open the corner.
  const lever = dot(cross(direction[about], outward(a.face)), outward(b.face));
  return turnedApart(a.rotations[about], b.rotations[about], lever);
}

/** Squareness by name, read with which way the corner is out: each a sum of the biases of both faces. */
function cornersSeen(
  links: Links,
  records: readonly JobRecord[],
  by: JudgedBy,
  counts: (piece: number) => boolean,
) {
  return formsOf(by.part).flatMap((form): BiasSeen[] => {
    if (form.kind !== "square" || form.to === null) return [];
    const [a, b] = [links.get(form.face), links.get(form.to)];
    const told = a && b ? cornerOf(a, b) : null;
    if (!told || told.counts.size === 0) return [];
    const { byPiece } = lastReadings(`form/${form.id}`, records);
    return [...byPiece].flatMap(([piece, readings]) =>
      counts(piece)
        ? judgedReadings(readings, "form", by).flatMap((judged, i): BiasSeen[] => {
            const { corner } = readings[i]!;
            if (!corner || !judged.counts || judged.atMost) return [];
            return [
              {
                counts: told.counts,
                slope: ((corner === "open" ? 1 : -1) * judged.value) / 100,
                sigma: Math.hypot((judged.u > 0 ? judged.u : unknownU) / 200, told.scatter),
              },
            ];
          })
        : [],
    );
  });
}

/**
 * Every slope that the readings of a job's pieces tell, with the biases in it. A piece that was cut once more, or scrapped, tells
 * nothing of its first seats.
 */
export function slopesSeen(
  { setups, target }: Pick<Plan, "setups" | "target">,
  records: readonly JobRecord[],
  by: JudgedBy,
): BiasSeen[] {
  if (!target) return [];
  const faces = firstCuts(setups);
  const links = linksOf(faces);
  const changed = new Set(
    effective([...records]).flatMap((r) => (r.type === "rework" || r.type === "scrapped" ? [r.piece] : [])),
  );
  const counts = (piece: number) => !changed.has(piece);
  const corners = cornersSeen(links, records, by, counts);
  const slopes = axisNames.flatMap((axis) => {
    const setup = readOver(axis, faces);
    if (!setup) return [];
    return [...lastReadings(axis, records).byPiece].flatMap(([piece, readings]) =>
      counts(piece)
        ? seenOn(
            setup,
            judgedReadings(readings, "outside", by).flatMap(({ value, spot, u, counts: judged }) =>
              spot && judged ? [{ value, spot, u: u > 0 ? u : unknownU }] : [],
            ),
            links,
            target,
          )
        : [],
    );
  });
  return [...slopes, ...corners];
}

/** What the readings of all pieces of a job say of vise, table and head: least squares over the slopes they tell. */
export const shopBiases = (
  made: Pick<Plan, "setups" | "target">,
  records: readonly JobRecord[],
  by: JudgedBy,
): ShopBias[] => biasesFrom(slopesSeen(made, records, by), usualSlopes) as ShopBias[];
