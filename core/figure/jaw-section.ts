import { parallelSpans } from "../holding/index.ts";
import { mm } from "../quantity/index.ts";
import { faceOf, type FaceOperation, type FaceSetup } from "../route/index.ts";
import type { Cutter, Vise } from "../shop/index.ts";
import { downOf, movingOf } from "../frame/index.ts";
import type { Piece } from "../stock/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { jointInSection } from "./joint.ts";
import { freeSides } from "./free-sides.ts";
import { slabs } from "./slabs.ts";

const bedThickness = 10;

export interface SectionOptions {
  /** Without dimensions and words, for a card in the ribbon. */
  small: boolean;
}

const numberOn = (piece: Piece, face: FaceOperation["face"]) => piece.faces[face].order;

/** Jaw section to scale: seen along the jaws, fixed jaw at the right, part with what comes off, cutter at its depth. */
export function jawSection(setup: FaceSetup, vise: Vise, cutter: Cutter, { small }: SectionOptions): Figure {
  const { cut } = faceOf(setup);
  if (setup.seat.table || (cut.kind === "side" && setup.seat.overhang === null))
    return freeSides(setup, vise, cutter, small);
  return cut.kind === "side"
    ? overhangView(setup, vise, cutter, small)
    : crossSection(setup, vise, cutter, small);
}

function crossSection(setup: FaceSetup, vise: Vise, cutter: Cutter, small: boolean): Figure {
  const { seat } = setup;
  const { face, from, to, sized } = faceOf(setup);
  const removal = from - to;
  const under = seat.parallels?.height ?? 0;
  const top = under + seat.standing;
  const rod = seat.rod?.diameter ?? 0;
  const jawsWidth = vise.jawThickness * 2 + seat.between + rod;
  const margin = small ? 4 : Math.max(34, jawsWidth * 0.27);
  const head = small ? 14 : 24;
  const width = jawsWidth + 2 * margin;
  const height = Math.max(top, vise.jawDepth) + head + bedThickness + (small ? 2 : 20);
  const zero = height - bedThickness - (small ? 2 : 20);
  const y = (z: number) => zero - z;
  const left = margin;
  const movingEdge = left + vise.jawThickness;
  const partLeft = movingEdge + rod;
  const fixedEdge = partLeft + seat.between;
  const text = width * 0.036;
  const shapes: Shape[] = [
    { kind: "rect", x: margin / 2, y: zero, w: width - margin, h: bedThickness, ink: "bed" },
    { kind: "rect", x: left, y: y(vise.jawDepth), w: vise.jawThickness, h: vise.jawDepth, ink: "movingJaw" },
    {
      kind: "rect",
      x: fixedEdge,
      y: y(vise.jawDepth),
      w: vise.jawThickness,
      h: vise.jawDepth,
      ink: "fixedJaw",
    },
  ];
  if (seat.parallels) {
    for (const { to } of parallelSpans(seat.parallels, seat.between)) {
      const x = fixedEdge - to;
      shapes.push(...slabs(seat.parallels, x, y));
    }
  }
  if (seat.points)
    for (const x of [partLeft + seat.between * 0.12, partLeft + seat.between * 0.8])
      shapes.push({
        kind: "rect",
        x,
        y: y(under),
        w: seat.between * 0.08,
        h: Math.max(under, 3),
        ink: "rod",
      });
  if (seat.rod)
    shapes.push({ kind: "circle", x: movingEdge + rod / 2, y: y(seat.rod.height), r: rod / 2, ink: "rod" });
  shapes.push({
    kind: "rect",
    x: partLeft,
    y: y(top - removal),
    w: seat.between,
    h: seat.standing - removal,
    ink: "part",
    strong: true,
  });
  shapes.push(
    ...jointInSection(seat, {
      left: partLeft,
      right: fixedEdge,
      top: y(top - removal),
      bottom: y(under),
    }),
  );
  if (removal > 0.005) {
    // What comes off is drawn at least thick enough to see.
    const band = Math.max(removal, width * 0.014);
    shapes.push({
      kind: "rect",
      x: partLeft,
      y: y(top - removal) - band,
      w: seat.between,
      h: band,
      ink: "remove",
    });
    const bottom = y(top - removal);
    // The cutter stands to the left, so that the metal still to come off shows at the right.
    const right = partLeft + seat.between * 0.68;
    const cutterLeft = Math.max(1, right - cutter.diameter);
    const cutterWidth = right - cutterLeft;
    shapes.push(
      { kind: "rect", x: cutterLeft, y: bottom - head * 0.42, w: cutterWidth, h: head * 0.42, ink: "cutter" },
      {
        kind: "rect",
        x: cutterLeft + cutterWidth * 0.3,
        y: bottom - head * 0.85,
        w: cutterWidth * 0.4,
        h: head * 0.43,
        ink: "cutter",
      },
    );
  }
  if (small) return { title: setupWords(setup), width, height, shapes };
  const middle = partLeft + seat.between / 2;
  const close = (seat.projection + seat.grip) / 2 < text * 2.6;
  shapes.push(
    {
      kind: "text",
      x: middle,
      y: y(top - removal) + text * 2.2,
      text: String(setup.after.faces[face].order ?? setup.number),
      size: text * 1.5,
      anchor: "middle",
      ink: "accent",
      bold: true,
    },
    ...stamp(
      numberOn(setup.before, seat.fixed),
      fixedEdge - text * 0.9,
      y(under + seat.standing / 2),
      text,
      "end",
    ),
    ...stamp(
      numberOn(setup.before, movingOf(setup.at)),
      partLeft + text * 0.9,
      y(under + seat.standing / 2),
      text,
      "start",
    ),
    ...stamp(numberOn(setup.before, downOf(setup.at)), middle, y(under) - text * 0.6, text, "middle"),
    {
      kind: "text",
      x: left + vise.jawThickness * 0.45,
      y: zero + bedThickness + text * 1.15,
      text: "moving jaw",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
    {
      kind: "text",
      x: fixedEdge + vise.jawThickness / 2,
      y: zero + bedThickness + text * 1.15,
      text: "fixed jaw",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
    {
      kind: "text",
      x: width / 2,
      y: height - 2,
      text: "seen along the jaws, to scale",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
    {
      kind: "dimension",
      from: [fixedEdge + vise.jawThickness + 6, y(vise.jawDepth)],
      to: [fixedEdge + vise.jawThickness + 6, y(top - removal)],
      value: mm(seat.projection),
      label: "above",
      size: text,
      side: "right",
    },
    {
      // Beside the one above it, but where both are too short for their texts on the jaw itself.
      kind: "dimension",
      from: [fixedEdge + (close ? vise.jawThickness * 0.2 : vise.jawThickness + 6), y(under)],
      to: [
        fixedEdge + (close ? vise.jawThickness * 0.2 : vise.jawThickness + 6),
        y(Math.min(vise.jawDepth, top)),
      ],
      value: mm(seat.grip),
      label: "grip",
      size: text,
      side: "right",
    },
    {
      kind: "dimension",
      from: [margin - 8, y(under)],
      to: [margin - 8, y(top - removal)],
      value: mm(to),
      label: sized ? "to size" : "left",
      size: text,
      side: "left",
    },
  );
  if (seat.rod)
    shapes.push({
      kind: "text",
      x: movingEdge + rod / 2,
      y: y(seat.rod.height) + rod / 2 + text,
      text: "rod",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    });
  return { title: setupWords(setup), width, height, shapes };
}

function stamp(
  order: number | null,
  x: number,
  y: number,
  text: number,
  anchor: "start" | "middle" | "end",
): Shape[] {
  return order === null
    ? []
    : [{ kind: "text", x, y, text: String(order), size: text * 1.3, anchor, ink: "edge", bold: true }];
}

/** An end past the side of the jaws, seen from the front: the flank of the cutter takes the end. */
function overhangView(setup: FaceSetup, vise: Vise, cutter: Cutter, small: boolean): Figure {
  const { seat } = setup;
  const { from, to } = faceOf(setup);
  const removal = from - to;
  const under = seat.parallels?.height ?? 0;
  const top = under + seat.standing;
  const margin = small ? 4 : 22;
  const overhang = seat.overhang ?? 0;
  const shown = Math.min(vise.jawWidth, seat.along - overhang);
  const head = small ? 12 : 26;
  const width = shown + overhang + cutter.diameter + 2 * margin + (small ? 0 : 20);
  const height = Math.max(top, vise.jawDepth) + head + bedThickness + (small ? 2 : 20);
  const zero = height - bedThickness - (small ? 2 : 20);
  const y = (z: number) => zero - z;
  const jawRight = margin + shown;
  const end = jawRight + overhang;
  const text = width * 0.036;
  const band = Math.max(removal, width * 0.008);
  const shapes: Shape[] = [
    { kind: "rect", x: margin / 2, y: zero, w: shown + margin / 2, h: bedThickness, ink: "bed" },
    {
      kind: "rect",
      x: margin,
      y: y(top),
      w: shown + overhang - removal,
      h: seat.standing,
      ink: "part",
      strong: true,
    },
    { kind: "rect", x: margin, y: y(vise.jawDepth), w: shown, h: vise.jawDepth, ink: "fixedJaw" },
    { kind: "rect", x: end - removal, y: y(top), w: band, h: seat.standing, ink: "remove" },
    {
      kind: "rect",
      x: end - removal,
      y: y(top) - head * 0.8,
      w: cutter.diameter,
      h: seat.standing + head * 0.8 + 2,
      ink: "cutter",
    },
  ];
  if (seat.jack)
    shapes.push({
      kind: "rect",
      x: jawRight + overhang * 0.35,
      y: y(under),
      w: overhang * 0.25,
      h: under + bedThickness,
      ink: "rod",
    });
  if (small) return { title: setupWords(setup), width, height, shapes };
  shapes.push(
    {
      kind: "text",
      x: (jawRight + end) / 2,
      y: y(top) - text * 0.5,
      text: String(setup.number),
      size: text * 1.4,
      anchor: "middle",
      ink: "accent",
      bold: true,
    },
    {
      kind: "dimension",
      from: [jawRight, y(Math.max(top, vise.jawDepth)) - head * 0.5],
      to: [end, y(Math.max(top, vise.jawDepth)) - head * 0.5],
      value: mm(overhang),
      label: "out",
      size: text,
      side: "left",
    },
    {
      kind: "text",
      x: margin + shown / 2,
      y: y(vise.jawDepth / 2),
      text: "fixed jaw",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
    {
      kind: "text",
      x: width / 2,
      y: height - 2,
      text: "seen from the front, to scale",
      size: text * 0.9,
      anchor: "middle",
      ink: "thin",
    },
  );
  return { title: setupWords(setup), width, height, shapes };
}

const setupWords = (setup: FaceSetup) =>
  `Setup ${setup.number}: the ${faceOf(setup).face} face is cut, the ${setup.seat.fixed} face is at the fixed jaw${setup.seat.rod ? ", with a round rod" : ""}${setup.seat.parallels ? ", on parallels" : ", on the bed"}.`;
