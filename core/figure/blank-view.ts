import { type Axis, type Face, facesOf, opposite, rectangle } from "../frame/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import type { Spare } from "../stock/index.ts";
import type { Figure, Shape } from "./figure.ts";

/** What comes off each of two faces, mm: the one cut first is only cleaned up, the other gives the rest. */
export function offEach(axis: Axis, spare: Spare, first: Face): Partial<Record<Face, Mm>> {
  const cleaned = Math.min(Math.max(spare.first[first] ?? 0, 0), Math.max(spare.smallest - spare.target, 0));
  return facesOf(axis).includes(first)
    ? { [first]: cleaned, [opposite(first)]: Math.max(spare.smallest - spare.target - cleaned, 0) }
    : {};
}

/**
 * The finished part inside its blank, to scale: from above, and beside it from the front; at each face what comes off it.
 * Null while a size is not measured.
 * @param first of each pair the face that is cut first
 */
export function blankView(spares: Record<Axis, Spare>, first: Record<Axis, Face>): Figure | null {
  const { length, width, height } = spares;
  if ([length, width, height].some((s) => s.verdict === "unmeasured" || !(s.smallest > 0))) return null;
  const off = {
    ...offEach("length", length, first.length),
    ...offEach("width", width, first.width),
    ...offEach("height", height, first.height),
  };
  const unit = Math.max(length.smallest, width.smallest, height.smallest) / 15;
  const [side, gap] = [unit * 4.6, unit * 2.4];
  const view = (x: Mm, low: Face, high: Face, across: Spare, name: string): Shape[] => {
    const y = gap;
    const [w, h] = [length.smallest, across.smallest];
    const at = (face: Face) => off[face] ?? 0;
    const told = (px: Mm, py: Mm, face: Face, align: "left" | "right" | "below"): Shape => ({
      kind: "dimension",
      from: [px, py],
      to: [px, py],
      value: mm(at(face)),
      label: `off the ${face}`,
      size: unit,
      side: align,
      bare: true,
    });
    return [
      {
        kind: "path",
        outlines: [
          rectangle([x, x + w], [y, y + h]),
          rectangle(
            [x + at("left"), x + Math.max(w - at("right"), at("left"))],
            [y + at(high), y + Math.max(h - at(low), at(high))],
          ),
        ],
        ink: "remove",
      },
      {
        kind: "path",
        outlines: [
          rectangle(
            [x + at("left"), x + Math.max(w - at("right"), at("left"))],
            [y + at(high), y + Math.max(h - at(low), at(high))],
          ),
        ],
        ink: "part",
      },
      {
        kind: "text",
        x: x + w / 2,
        y: y + h / 2 + unit * 0.3,
        text: name,
        size: unit * 0.9,
        anchor: "middle",
        ink: "thin",
      },
      told(x + w / 2, y - unit * 0.4, high, "below"),
      told(x + w / 2, y + h + unit * 2.3, low, "below"),
      ...(name === "from above"
        ? [
            told(x - unit * 0.2, y + h / 2, "left", "left"),
            told(x + w + unit * 0.2, y + h / 2, "right", "right"),
          ]
        : []),
    ];
  };
  return {
    title: "The finished part inside its blank, and what comes off each face",
    width: 2 * length.smallest + 2.4 * side,
    height: Math.max(width.smallest, height.smallest) + 2 * gap,
    shapes: [
      ...view(side, "front", "back", width, "from above"),
      ...view(2.2 * side + length.smallest, "bottom", "top", height, "from the front"),
    ],
  };
}
