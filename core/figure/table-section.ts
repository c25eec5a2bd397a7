import { isGlued } from "../holding/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { strapAcross, underOnTable } from "./strapped.ts";
import type { Mm } from "../quantity/index.ts";

const bed = 10;
/** Beside the part there is room for straps with their heels, mm. */
const beside = 52;

/** How a part lies on the table while features are cut, seen along X, its back edge at the right. */
export function tableSection(
  { seat, at, section }: Pick<FeatureSetup, "seat" | "at" | "section">,
  small: boolean,
): Figure {
  const { table, between, standing } = seat;
  const under = table?.packing ?? 0;
  const top = under + standing;
  const margin = small ? 4 : 24;
  const width = between + 2 * (beside + margin);
  const height = top + 30 + bed + (small ? 4 : 24);
  const zero = height - bed - (small ? 2 : 10);
  const y = (z: number) => zero - z;
  const left = margin + beside;
  const right = left + between;
  const text = width * 0.034;
  const edges = table ? (table.at.length > 0 ? [...new Set(table.at.map((s) => s.edge))] : []) : [];
  const shapes: Shape[] = [
    { kind: "rect", x: 2, y: zero, w: width - 4, h: bed, ink: "bed" },
    ...(seat.blocks
      ? blockUnder(left, right, under, y)
      : [
          ...underOnTable(seat, { left, right, y }),
          { kind: "rect", x: left, y: y(top), w: between, h: standing, ink: "part", strong: true } as const,
        ]),
    ...section.map(({ from, to, depth }): Shape => ({
      kind: "rect",
      x: right - to,
      y: y(top),
      w: to - from,
      h: Math.min(depth, standing),
      ink: "remove",
    })),
    ...edges.flatMap((edge) =>
      strapAcross({
        edge: edge === "back" ? right : left,
        way: edge === "back" ? 1 : -1,
        reach: table?.reach ?? 0,
        top,
        y,
      }),
    ),
  ];
  const how = seat.blocks
    ? "strapped in V-blocks"
    : isGlued(seat)
      ? "glued to a plate"
      : table?.plate
        ? "strapped on a plate"
        : "strapped on packing";
  const title = `Seen along X: the ${at.up} up, the ${at.fixed} at the back, ${how}.`;
  if (small) return { title, width, height, shapes };
  shapes.push({
    kind: "text",
    x: width / 2,
    y: height - 2,
    text: "seen along X, to scale",
    size: text * 0.9,
    anchor: "middle",
    ink: "thin",
  });
  return { title, width, height, shapes };
}

/** A shaft from its end in a V-block. */
function blockUnder(left: Mm, right: Mm, under: Mm, y: (z: Mm) => Mm): Shape[] {
  const r = (right - left) / 2;
  const middle = (left + right) / 2;
  const half = r + 10;
  return [
    {
      kind: "rect",
      x: middle - half,
      y: y(under + r * 0.7),
      w: 2 * half,
      h: under + r * 0.7,
      ink: "rod",
    },
    { kind: "circle", x: middle, y: y(under + r), r, ink: "part" },
  ];
}
