import { strapHold } from "../handbook/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";

/** Where a strap reaches over an edge: its middle from the left end of the part as it lies, mm. */
export interface StrapPlace {
  edge: "back" | "front";
  left: Mm;
}

/** What is cut, seen from above: from the left end of the part to the right, and from its back edge to the front; mm. */
export interface CutFromAbove {
  x: readonly [Mm, Mm];
  y: readonly [Mm, Mm];
}

const half = strapHold.wide / 2;
/** How near the middle of a strap may come to the end of an edge, mm. */
const fromEnd = 14;
/** From what is cut to a strap: half of a holder of 44 that stands over a narrow cut, and what is left between them, mm (guess). */
const clearOfCut = 24;
/** How far strap and heel stand out beyond the edge, mm. */
const standsOut = 60;
/** Two straps on one edge stand so far apart at least, and places are tried so often, mm. */
const apart = 45;
const step = 3;
/** How far straps reach in, the best first, mm; a shorter reach bruises the edge. */
const reaches = [strapHold.reach, 18, 12] as const;

const meet = (a: readonly [Mm, Mm], b: readonly [Mm, Mm], room: Mm): boolean =>
  Math.min(a[1], b[1]) - Math.max(a[0], b[0]) > -room;

/**
 * Places for straps over the back and the front edge that stand clear of all that is cut: at both ends of both edges where four are owned
 * and there is room, else across from each other, else two on one edge.
 * @param owned how many straps with stud and T-nut there are
 * @returns the places and how far the straps reach in; null where two cannot stand
 */
export function strapPlaces(of: {
  along: Mm;
  between: Mm;
  cuts: readonly CutFromAbove[];
  /** Where nothing stands to be pressed on, or to carry it. */
  gone: readonly CutFromAbove[];
  owned: number;
}): { places: StrapPlace[]; reach: Mm } | null {
  const { between, owned } = of;
  for (const reach of reaches) {
    if (2 * reach + 2 > between) continue;
    const free = (edge: StrapPlace["edge"]) => placesOver(edge, reach, of);
    const places = chosenOf(free("back"), free("front"), owned);
    if (places) return { places, reach };
  }
  return null;
}

/** Where a strap can stand over an edge, from the left end on, mm. */
function placesOver(
  edge: StrapPlace["edge"],
  reach: Mm,
  {
    along,
    between,
    cuts,
    gone,
  }: Pick<Parameters<typeof strapPlaces>[0], "along" | "between" | "cuts" | "gone">,
): Mm[] {
  const y: [Mm, Mm] = edge === "back" ? [-standsOut, reach] : [between - reach, between + standsOut];
  const under = (of: readonly CutFromAbove[], left: Mm, room: Mm) =>
    of.some((cut) => meet(cut.x, [left - half, left + half], room) && meet(cut.y, y, room));
  const places: Mm[] = [];
  for (let left = fromEnd; left <= along - fromEnd + 1e-9; left += step)
    if (!under(cuts, left, clearOfCut) && !under(gone, left, 0)) places.push(tidy(left));
  return places;
}

function chosenOf(back: readonly Mm[], front: readonly Mm[], owned: number): StrapPlace[] | null {
  const at = (edge: StrapPlace["edge"], left: Mm | undefined): StrapPlace[] =>
    left === undefined ? [] : [{ edge, left }];
  const ends = (edge: StrapPlace["edge"], places: readonly Mm[]): StrapPlace[] => {
    const [first, last] = [places[0], places.at(-1)];
    return first !== undefined && last !== undefined && last - first >= apart
      ? [...at(edge, first), ...at(edge, last)]
      : at(edge, first);
  };
  const all = [...ends("back", back), ...ends("front", front)];
  if (owned < 2 || all.length < 2) return null;
  if (all.length <= owned) return all;
  if (back.length === 0 || front.length === 0) return all.slice(0, 2);
  // Across from each other: the two that stand farthest apart.
  const falling = Math.abs(front.at(-1)! - back[0]!) >= Math.abs(back.at(-1)! - front[0]!);
  return falling
    ? [...at("back", back[0]), ...at("front", front.at(-1))]
    : [...at("back", back.at(-1)), ...at("front", front[0])];
}
