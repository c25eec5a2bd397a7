import { axisOf, facesOf, opposite, type Orientation } from "../frame/index.ts";
import { boxOfPrism, type Cutout, type Site } from "../part/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { CutHere } from "./hold-request.ts";

/** How far below the top the sides at the jaws must stand free: where a cut opens to them its tool comes out over them. */
export function opensAtJaws(cuts: readonly CutHere[], at: Orientation): Mm {
  const axis = axisOf(at.up);
  return Math.max(
    0,
    ...cuts
      .filter(({ cutout: { opens, face } }) =>
        [at.fixed, opposite(at.fixed)].some((f) => opens.includes(f) || face === f),
      )
      .map(({ cutout: { box }, floor }) => Math.max(box[axis][1] - box[axis][0], floor)),
  );
}

/** What comes out below, and where it lies across the jaws: measured from the fixed jaw, mm. */
export function throughSpans(cuts: readonly CutHere[], at: Orientation, sizes: Site["sizes"]): [Mm, Mm][] {
  return cuts
    .filter((cut) => comesOutBelow(cut, at, sizes) > 0)
    .flatMap(({ cutout }) => deepest(cutout, at).map((box) => fromFixedJaw(box, at, sizes)));
}

/** How far the tools of a cut come out below the part, mm; a face it opens to is gone all the same. */
export const comesOutBelow = ({ cutout, floor }: CutHere, at: Orientation, sizes: Site["sizes"]): Mm =>
  Math.max(floor - sizes[axisOf(at.up)], cutout.opens.includes(opposite(at.up)) ? 0.01 : 0);

/** Where a box lies across the jaws, measured from the fixed one, mm. */
export function fromFixedJaw(box: Cutout["box"], at: Orientation, sizes: Site["sizes"]): [Mm, Mm] {
  const across = axisOf(at.fixed);
  const [low, high] = box[across];
  return at.fixed === facesOf(across)[0]
    ? [tidy(low), tidy(high)]
    : [tidy(sizes[across] - high), tidy(sizes[across] - low)];
}

/** The pieces of a cutout that go deepest: the head of a screw stays inside where its hole comes out. */
function deepest({ prisms }: Cutout, at: Orientation): Cutout["box"][] {
  const axis = axisOf(at.up);
  const fromTop = facesOf(axis)[1] === at.up;
  const boxes = prisms.map(boxOfPrism);
  const depth = (box: Cutout["box"]) => (fromTop ? -box[axis][0] : box[axis][1]);
  const most = Math.max(...boxes.map(depth));
  return boxes.filter((box) => depth(box) > most - 0.1);
}
