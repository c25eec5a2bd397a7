import { axisNames, type Axis, type Face, opposite } from "../frame/index.ts";
import type { BiasName } from "../handbook/index.ts";
import { biasesFrom, type BiasFound } from "../inspect/index.ts";
import { faceOf, type FaceSetup } from "../route/index.ts";
import { isReference } from "../stock/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import type { JudgedBy } from "./judged-reading.ts";
import type { Plan } from "./plan.ts";
import { firstCuts, linksOf, readOver, slopesOn, slopesSeen, usualSlopes } from "./shop-biases.ts";

/** Pieces to cut that would tell what the readings so far do not. */
export interface TellingBlock {
  /** How many, cut alike. */
  pieces: number;
  /** One setup that is done otherwise: its clamping of the plan, and the face that is cut in it; null where all is as before. */
  otherwise: { clamping: number; face: Face; change: Otherwise } | null;
  /** Sizes to read at the corners then. */
  read: Axis[];
  /** Biases in the readings so far that only these pieces tell. */
  tells: BiasName[];
}

/** Held turned half round, the other face at the fixed jaw; or cut in two lanes instead of one. */
export type Otherwise = { turned: Face } | "twoLanes";

/** More pieces than this are not cut to learn of a vise. */
const mostPieces = 6;

/** Standard uncertainty of the readings of the piece to come, mm: a micrometer (guess). */
const usualU = 0.002;

type Variant = { otherwise: TellingBlock["otherwise"]; faces: readonly FaceSetup[] };

/** The setups of a plan as they are, then with one of them done otherwise. */
function variants(faces: readonly FaceSetup[]): Variant[] {
  const changed = faces.flatMap((setup, i): Variant[] => {
    const { at, seat, placed, clamping } = setup;
    const [operation] = setup.operations;
    const instead = (change: Otherwise, other: FaceSetup): Variant => ({
      otherwise: { clamping, face: faceOf(setup).face, change },
      faces: faces.map((s, k) => (k === i ? other : s)),
    });
    const turned = opposite(seat.fixed);
    const canTurn = !seat.table && isReference(placed, seat.fixed) && isReference(placed, turned);
    const oneLane = operation.by === "face" && operation.cut.kind === "face" && operation.cut.lanes === 1;
    return [
      ...(canTurn
        ? [instead({ turned }, { ...setup, at: { ...at, fixed: turned }, seat: { ...seat, fixed: turned } })]
        : []),
      ...(oneLane
        ? [
            instead("twoLanes", {
              ...setup,
              operations: [{ ...operation, cut: { ...operation.cut, lanes: 2 } }],
            }),
          ]
        : []),
    ];
  });
  return [{ otherwise: null, faces }, ...changed];
}

/** The design alone says what a piece would tell: its readings are not needed for that. */
function wouldShow(faces: readonly FaceSetup[], target: NonNullable<Plan["target"]>) {
  const links = linksOf(faces);
  return axisNames.flatMap((axis) => {
    const setup = readOver(axis, faces);
    const seen = setup ? slopesOn(setup, links, target, usualU, { x: 0, y: 0 }) : [];
    return seen.length > 0 ? [{ axis, seen }] : [];
  });
}

const told = (found: readonly BiasFound[]) => new Set(found.flatMap((b) => (b.told ? [b.name] : [])));

/**
 * The fewest pieces that tell biases which the pieces so far leave mixed or unknown: cut as before, or with one setup done otherwise,
 * whichever tells more. Null where nothing was read yet, all is told, or no such pieces tell more.
 */
export function tellingBlock(
  { setups, target }: Pick<Plan, "setups" | "target">,
  records: readonly JobRecord[],
  by: JudgedBy,
): TellingBlock | null {
  const seen = slopesSeen({ setups, target }, records, by);
  if (!target || seen.length === 0) return null;
  const open = new Set(biasesFrom(seen, usualSlopes).flatMap((b) => (b.told ? [] : [b.name])));
  const shows = variants(firstCuts(setups)).map(({ otherwise, faces }) => ({
    otherwise,
    show: wouldShow(faces, target),
  }));
  for (let pieces = 1; pieces <= mostPieces; pieces++) {
    const ranked = shows
      .map(({ otherwise, show }) => {
        const more = Array.from({ length: pieces }, () => show.flatMap((s) => s.seen)).flat();
        const tells = [...told(biasesFrom([...seen, ...more], usualSlopes))].filter((name) => open.has(name));
        const read = show.flatMap((s) =>
          s.seen.some((row) => tells.some((name) => row.counts.has(name))) ? [s.axis] : [],
        );
        return { pieces, otherwise, read, tells: tells as BiasName[] };
      })
      // As before wins where another way tells no more: the sort is stable.
      .sort((a, b) => b.tells.length - a.tells.length);
    if (ranked[0] && ranked[0].tells.length > 0) return ranked[0];
  }
  return null;
}
