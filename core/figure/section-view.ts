import {
  type Axis,
  circle,
  extentOfOutline,
  facesOf,
  mapOutline,
  type Outline,
  rectangle,
  spansWithin,
} from "../frame/index.ts";
import { acrossAxis, type Prism, type Site } from "../part/index.ts";
import type { Figure, Shape } from "./figure.ts";
import type { DrawnCutout } from "./drawn-cutouts.ts";

/** Where a piece is cut by a plane across an axis: outlines of what is missing there, over the two other axes. */
function cutBy(
  { axis, outline, island, span, inset, thread }: Prism,
  across: Axis,
  at: number,
  site: Site,
): Outline[][] {
  if (thread) return [];
  const [a, b] = acrossAxis(across);
  if (axis === across) return at > span[0] && at < span[1] ? [[outline, ...(island ? [island] : [])]] : [];
  // The plane meets the outline in spans; each is as long as the piece.
  const other = axis === a ? b : a;
  const [first] = acrossAxis(axis);
  const planeIsX = first === across;
  const spans = (of: Outline) => spansWithin(of, planeIsX ? "x" : "y", at);
  const put = (of: readonly [number, number], run: readonly [number, number]): Outline =>
    other === a ? rectangle(of, run) : rectangle(run, of);
  if (inset) {
    const { x, y } = extentOfOutline(outline);
    const r = (x[1] - x[0]) / 2;
    const off = Math.abs(at - (planeIsX ? (x[0] + x[1]) / 2 : (y[0] + y[1]) / 2));
    const middle = planeIsX ? (y[0] + y[1]) / 2 : (x[0] + x[1]) / 2;
    if (off >= r) return [];
    const high = span[1] >= site.sizes[axis] - 1e-6;
    const half = (radius: number) => Math.sqrt(Math.max(0, radius ** 2 - off ** 2));
    const [atFace, deep] = high ? [span[1], span[0]] : [span[0], span[1]];
    const points: [number, number][] = [
      [middle - half(r), atFace],
      [middle + half(r), atFace],
      [middle + half(r - inset), deep],
      [middle - half(r - inset), deep],
    ];
    return [[points.map(([c, d]) => (other === a ? { x: c, y: d, bulge: 0 } : { x: d, y: c, bulge: 0 }))]];
  }
  return spans(outline).map((of) => [
    put(of, span),
    ...(island ? spans(island).map((stands) => put(stands, span)) : []),
  ]);
}

/** The bare part where a plane cuts it. */
function bare({ sizes, shaft }: Site, across: Axis, at: number): Outline[] {
  const [a, b] = acrossAxis(across);
  if (!shaft) return [rectangle([0, sizes[a]], [0, sizes[b]])];
  const middle = sizes.height / 2;
  if (across === "length") {
    const section = shaft.find((s) => at <= s.to) ?? shaft.at(-1)!;
    return [circle(middle, middle, section.diameter / 2)];
  }
  return shaft.flatMap(({ diameter, from, to }) => {
    const half = Math.sqrt(Math.max(0, (diameter / 2) ** 2 - (at - middle) ** 2));
    return half > 0 ? [rectangle([from, to], [middle - half, middle + half])] : [];
  });
}

/**
 * The part cut by a plane across an axis, to scale: metal hatched, what is cut away empty.
 * @param at where the plane lies, mm from the low face of that axis
 */
export function sectionView(site: Site, cutouts: readonly DrawnCutout[], across: Axis, at: number): Figure {
  const [a, b] = acrossAxis(across);
  const [w, h] = [site.sizes[a], site.sizes[b]];
  const unit = Math.max(w, h) / 60;
  const [left, top] = [4 * unit, 8 * unit];
  const seenFrom = across === "width" ? "front" : facesOf(across)[1];
  const put = (outline: Outline): Outline => mapOutline(outline, (x, y) => [left + x, top + h - y], true);
  const edges = cutouts.flatMap(({ cutout, id }) =>
    cutout.prisms.flatMap((prism) =>
      cutBy(prism, across, at, site).map((outlines) => ({
        kind: "path" as const,
        outlines: outlines.map(put),
        ink: "void" as const,
        of: id,
      })),
    ),
  );
  const shapes: Shape[] = [
    ...bare(site, across, at).map((outline): Shape => ({
      kind: "path",
      outlines: [put(outline)],
      ink: "section",
    })),
    ...edges,
    // Filled once more without edges: where two meet there is no wall.
    ...edges.map((shape): Shape => ({ ...shape, ink: "ground" })),
    {
      kind: "text",
      x: left,
      y: top - 3 * unit,
      text: `section across the ${across}, seen from the ${seenFrom}`,
      size: 2.6 * unit,
      anchor: "start",
      ink: "thin",
    },
  ];
  return {
    title: `Section of the part across its ${across}.`,
    width: w + 8 * unit,
    height: h + 12 * unit,
    shapes,
  };
}
