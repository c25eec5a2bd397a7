import type { ChainLink } from "../route/index.ts";
import type { Figure, Shape } from "./figure.ts";

const box = { w: 30, h: 16, gap: 10 };

/**
 * The reference chain: faces in the order of cutting, and from each an arrow to those located from it, above for the fixed
 * jaw, below for the bed or a square. A provisional seat is a short arrow from nowhere.
 */
export function referenceGraph(links: readonly ChainLink[]): Figure {
  const shapes: Shape[] = [];
  const middle = 44;
  const at = (i: number) => 6 + i * (box.w + box.gap);
  const place = new Map(links.map((link, i) => [link.face, i]));
  links.forEach((link, i) => {
    const x = at(i);
    shapes.push({ kind: "rect", x, y: middle, w: box.w, h: box.h, ink: "part", strong: true });
    shapes.push({
      kind: "text",
      x: x + box.w / 2,
      y: middle + 10,
      text: `${i + 1} ${link.face}`,
      size: 5,
      anchor: "middle",
      ink: "edge",
      bold: true,
    });
    const drawn = link.from.filter(
      (from, k) => link.from.findIndex((o) => o.face === from.face && o.by === from.by) === k,
    );
    drawn.forEach((from, k) => {
      const above = from.by === "jaw";
      const source = place.get(from.face);
      const ends = x + box.w / 2 + (k - 0.5) * 7;
      const edge = above ? middle : middle + box.h;
      // What was cut in the same clamping did not locate it.
      if (source === undefined || links[source]!.clamping >= link.clamping) {
        const start = above ? middle - 8 : middle + box.h + 8;
        shapes.push({
          kind: "line",
          points: [
            [ends, start],
            [ends, edge],
          ],
          ink: "thin",
          arrow: true,
        });
        shapes.push({
          kind: "text",
          x: ends,
          y: above ? start - 2 : start + 5,
          text: from.reference ? from.face : `raw ${from.face}`,
          size: 4,
          anchor: "middle",
          ink: "thin",
        });
        return;
      }
      const starts = at(source) + box.w / 2 + (above ? 3 : -3);
      const lift = 10 + 5 * (i - source);
      const level = above ? middle - lift : middle + box.h + lift;
      shapes.push({
        kind: "line",
        points: [
          [starts, edge],
          [starts, level],
          [ends, level],
          [ends, edge],
        ],
        ink: above ? "accent" : "dimension",
        arrow: true,
      });
    });
  });
  return {
    title: links
      .map(
        (l, i) =>
          `Face ${i + 1}, ${l.face}, from ${l.from.map((f) => `${f.face} by ${f.by}`).join(" and ")}.`,
      )
      .join(" "),
    width: at(links.length) + 2,
    height: 104,
    shapes,
  };
}
