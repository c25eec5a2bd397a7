import { isGlued, parallelSpans } from "../holding/index.ts";
import { alongJaws, axisOf, sideOf } from "../frame/index.ts";
import { mm } from "../quantity/index.ts";
import { faceOf, type FaceOperation, type FaceSetup } from "../route/index.ts";
import type { Cutter, Vise } from "../shop/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { slabs } from "./slabs.ts";
import { strap, strapAcross, underOnTable } from "./strapped.ts";

const bed = 10;

/**
 * A part whose sides stand free, to scale: gripped by its lowest quarter, or strapped to the table. Seen along X, the fixed
 * side at the right; a wall across the table is seen from the front.
 */
export function freeSides(setup: FaceSetup, vise: Vise, cutter: Cutter, small: boolean): Figure {
  const { seat } = setup;
  const op = faceOf(setup);
  const { face, task, key } = op;
  const wall = op.cut.kind === "side";
  const fromFront = wall && axisOf(face) === alongJaws(seat);
  const size = fromFront ? seat.along : seat.between;
  const removal = op.from - op.to;
  const under = seat.table ? seat.table.packing : (seat.parallels?.height ?? 0);
  const top = under + seat.standing;
  const atRight = fromFront
    ? sideOf(seat, face, seat.table ? "back" : vise.fixedJaw) === "right"
    : face === seat.fixed;
  const margin = small ? 4 : 30 + size * 0.14;
  const head = small ? 20 : 30;
  const rod = fromFront ? 0 : (seat.rod?.diameter ?? 0);
  const beside = Math.max(
    wall ? cutter.diameter + 4 : 0,
    seat.table ? 46 : fromFront ? 0 : vise.jawThickness + rod,
  );
  const width = size + 2 * (beside + margin);
  const foot = small ? 2 : 20;
  const height = Math.max(top, seat.table ? 0 : vise.jawDepth) + head + bed + foot;
  const zero = height - bed - foot;
  const y = (z: number) => zero - z;
  const left = margin + beside;
  const right = left + size;
  const text = width * 0.034;
  const band = removal > 0.005 ? Math.max(removal, width * 0.012) : 0;
  const bottom = top - (wall ? task.across : 0);
  const shapes: Shape[] = [{ kind: "rect", x: 2, y: zero, w: width - 4, h: bed, ink: "bed" }];
  if (seat.table) {
    shapes.push(...underOnTable(seat, { left, right, y }));
  } else {
    const jaw = { y: y(vise.jawDepth), h: vise.jawDepth };
    if (fromFront) {
      const shown = Math.min(vise.jawWidth, size + 2 * beside);
      shapes.push({ kind: "rect", x: left + size / 2 - shown / 2, w: shown, ink: "movingJaw", ...jaw });
    } else {
      shapes.push(
        { kind: "rect", x: left - rod - vise.jawThickness, w: vise.jawThickness, ink: "movingJaw", ...jaw },
        { kind: "rect", x: right, w: vise.jawThickness, ink: "fixedJaw", ...jaw },
      );
      if (seat.parallels)
        for (const x of parallelSpans(seat.parallels, seat.between).map(({ to }) => right - to))
          shapes.push(...slabs(seat.parallels, x, y));
      if (seat.rod)
        shapes.push({ kind: "circle", x: left - rod / 2, y: y(seat.rod.height), r: rod / 2, ink: "rod" });
    }
  }
  // Behind the jaw that is nearer only what stands above it is seen.
  const hidden = fromFront && !seat.table ? vise.jawDepth : under;
  const body = { y: wall ? y(top) : y(top - removal), to: y(Math.max(under, hidden)) };
  shapes.push({
    kind: "rect",
    x: left + (wall && !atRight ? band : 0),
    y: body.y,
    w: size - (wall ? band : 0),
    h: body.to - body.y,
    ink: "part",
    strong: true,
  });
  const wallX = atRight ? right - band : left;
  if (wall && setup.after.faces[face].rest && y(bottom) < body.to)
    shapes.push({ kind: "rect", x: wallX, y: y(bottom), w: band, h: body.to - y(bottom), ink: "part" });
  const covered = seat.table && task.across < size ? seat.table.reach : 0;
  const strapAtRight = seat.table?.over === seat.fixed;
  if (band > 0 && wall)
    shapes.push(
      { kind: "rect", x: wallX, y: y(top), w: band, h: y(bottom) - y(top), ink: "remove" },
      {
        kind: "rect",
        x: atRight ? right - band : left + band - cutter.diameter,
        y: y(top) - head * 0.75,
        w: cutter.diameter,
        h: y(bottom) + (seat.table ? 1 : 0) - (y(top) - head * 0.75),
        ink: "cutter",
      },
    );
  else if (band > 0) {
    // What was left standing lies on the side away from the straps.
    const free = covered > 0 && key.endsWith("/rest") ? task.across : size - covered;
    const from = strapAtRight ? left : right - free;
    shapes.push({ kind: "rect", x: from, y: y(top - removal) - band, w: free, h: band, ink: "remove" });
    if (covered > 0)
      shapes.push({
        kind: "rect",
        x: strapAtRight ? right - covered : left,
        y: y(top - removal) - band,
        w: covered,
        h: band,
        ink: "part",
      });
    const w = Math.min(cutter.diameter, free);
    shapes.push({
      kind: "rect",
      x: from + free * 0.1,
      y: y(top - removal) - head * 0.7,
      w: Math.min(w, free * 0.8),
      h: head * 0.7,
      ink: "cutter",
    });
  }
  if (seat.table) shapes.push(...straps(setup, { left, right, y, top, fromFront, strapAtRight }));
  const title = titleOf(setup, op);
  if (small) return { title, width, height, shapes };
  const number = setup.after.faces[face].order;
  // In a part too thin for it the number stands beside.
  const thin = seat.standing - removal < text * 2.2;
  const inside = atRight ? right - text * 1.6 : left + text * 1.6;
  const outside = atRight ? left - text : right + text;
  const onTop = thin ? right + text : left + size * 0.5;
  const middle = y(top - (seat.standing - removal) / 2) + text * 0.5;
  shapes.push(
    {
      kind: "text",
      x: wall ? (thin ? outside : inside) : onTop,
      y: thin
        ? middle
        : wall
          ? y((top + Math.max(bottom, hidden)) / 2) + text * 0.5
          : y(top - removal) + text * 1.8,
      text: String(number ?? setup.number),
      size: text * 1.4,
      anchor: "middle",
      ink: "accent",
      bold: true,
    },
    {
      kind: "text",
      x: width / 2,
      y: height - 2,
      text: `seen ${fromFront ? "from the front" : seat.table ? "along X" : "along the jaws"}, to scale`,
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
  );
  if (wall)
    shapes.push({
      kind: "dimension",
      from: [atRight ? margin * 0.8 : width - margin * 0.8, y(bottom)],
      to: [atRight ? margin * 0.8 : width - margin * 0.8, y(top)],
      value: mm(task.across),
      label: "cut down",
      size: text,
      side: atRight ? "left" : "right",
    });
  if (!seat.table)
    shapes.push({
      kind: "dimension",
      from: [atRight ? width - margin * 0.8 : margin * 0.8, y(under)],
      to: [atRight ? width - margin * 0.8 : margin * 0.8, y(Math.min(vise.jawDepth, top))],
      value: mm(seat.grip),
      label: "grip",
      size: text,
      side: atRight ? "right" : "left",
    });
  return { title, width, height, shapes };
}

/** Straps over an edge: end on from the front, else with stud and heel. */
function straps(
  { seat }: FaceSetup,
  on: {
    left: number;
    right: number;
    y: (z: number) => number;
    top: number;
    fromFront: boolean;
    strapAtRight: boolean;
  },
): Shape[] {
  const { table } = seat;
  if (!table || table.straps === 0) return [];
  const { left, right, y, top, fromFront, strapAtRight } = on;
  if (fromFront)
    return Array.from({ length: table.straps }, (_, i): Shape => {
      const x = left + ((right - left) * (i + 1)) / (table.straps + 1);
      return { kind: "rect", x: x - 9, y: y(top + strap.thick), w: 18, h: strap.thick, ink: "rod" };
    });
  return strapAcross({
    edge: strapAtRight ? right : left,
    way: strapAtRight ? 1 : -1,
    reach: table.reach,
    top,
    y,
  });
}

const titleOf = ({ number, seat }: FaceSetup, { face }: FaceOperation) =>
  isGlued(seat)
    ? `Cut ${number}: the ${face} face is cut, the part glued to a plate.`
    : seat.table
      ? `Cut ${number}: the ${face} face is cut, the part strapped to the table over its ${seat.table.over} edge.`
      : `Cut ${number}: the ${face} face is cut, the part gripped by its lowest quarter.`;
