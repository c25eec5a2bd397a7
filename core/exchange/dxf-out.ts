import { DxfWriter, point3d, Units } from "@tarikjabiri/dxf";
import type { Figure, Shape } from "../figure/index.ts";
import type { Outline } from "../frame/index.ts";
import { fromMm, type LengthUnit, showFixed } from "../quantity/index.ts";

type Point = readonly [x: number, y: number];

const layers = { edge: "EDGES", hidden: "HIDDEN", center: "CENTER", text: "TEXT" } as const;
type Layer = keyof typeof layers;

/** What is felt, filled or cleared only has no line of its own. */
const layerOf = (ink: string): Layer | null =>
  ink === "touch" || ink === "ground" || ink === "erase"
    ? null
    : ink === "hidden"
      ? "hidden"
      : ink === "center"
        ? "center"
        : ink === "dimension" || ink === "thin"
          ? "text"
          : "edge";

/**
 * A drawn figure as a DXF file, true to size in a unit, Y up. Lines that the drawing clears are left out.
 * @param figure in mm, Y down
 */
export function writeDxf(figure: Figure, unit: LengthUnit): string {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === "mm" ? Units.Millimeters : Units.Inches);
  dxf.addLType("DASHED", "__ __ __", [3, -1.5]);
  dxf.addLType("CENTERLINE", "____ _ ____", [10, -2, 2, -2]);
  dxf.addLayer(layers.edge, 7, "Continuous");
  dxf.addLayer(layers.hidden, 8, "DASHED");
  dxf.addLayer(layers.center, 5, "CENTERLINE");
  dxf.addLayer(layers.text, 8, "Continuous");
  const put = ([x, y]: Point) => point3d(fromMm(x, unit), fromMm(figure.height - y, unit));
  const erased = figure.shapes.flatMap((s) =>
    s.kind === "line" && s.ink === "erase" ? [[s.points[0]!, s.points[1]!] as const] : [],
  );
  const outline = (corners: Outline, layer: Layer) =>
    dxf.addLWPolyline(
      corners.map(({ x, y, bulge }) => ({ point: put([x, y]), bulge: -bulge })),
      { layerName: layers[layer], flags: 1 },
    );
  const line = (from: Point, to: Point, layer: Layer) => {
    for (const [a, b] of leftOf(from, to, erased)) dxf.addLine(put(a), put(b), { layerName: layers[layer] });
  };
  for (const shape of figure.shapes) draw(shape);
  return dxf.stringify();

  function draw(shape: Shape): void {
    if (shape.kind === "dimension") {
      line(shape.from, shape.to, "text");
      const middle: Point = [(shape.from[0] + shape.to[0]) / 2, (shape.from[1] + shape.to[1]) / 2];
      const shown = showFixed(fromMm(shape.value.value, unit), unit === "mm" ? 2 : 4);
      dxf.addText(put(middle), fromMm(shape.size, unit), shown, { layerName: layers.text });
      return;
    }
    const layer = layerOf(shape.ink);
    if (!layer) return;
    switch (shape.kind) {
      case "rect": {
        const { x, y, w, h } = shape;
        const corners: Point[] = [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ];
        corners.forEach((from, i) => line(from, corners[(i + 1) % 4]!, layer));
        return;
      }
      case "circle":
        dxf.addCircle(put([shape.x, shape.y]), fromMm(shape.r, unit), { layerName: layers[layer] });
        return;
      case "path":
        for (const corners of shape.outlines) outline(corners, layer);
        return;
      case "line":
        shape.points.slice(1).forEach((to, i) => line(shape.points[i]!, to, layer));
        return;
      case "text":
        dxf.addText(put([shape.x, shape.y]), fromMm(shape.size, unit), shape.text, {
          layerName: layers.text,
        });
    }
  }
}

/** Outlines alone as a DXF file, in a unit. */
export function writeOutlines(outlines: readonly Outline[], unit: LengthUnit): string {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === "mm" ? Units.Millimeters : Units.Inches);
  for (const corners of outlines)
    dxf.addLWPolyline(
      corners.map(({ x, y, bulge }) => ({ point: { x: fromMm(x, unit), y: fromMm(y, unit) }, bulge })),
      { flags: 1 },
    );
  return dxf.stringify();
}

const near = 1e-6;

/** What is left of an upright or level line where others on it clear it. */
function leftOf(from: Point, to: Point, erased: readonly (readonly [Point, Point])[]): [Point, Point][] {
  const along = Math.abs(to[0] - from[0]) < near ? 1 : Math.abs(to[1] - from[1]) < near ? 0 : null;
  if (along === null) return [[from, to]];
  const across = along === 0 ? 1 : 0;
  const cuts = erased
    .filter(
      ([a, b]) => Math.abs(a[across] - from[across]) < near && Math.abs(b[across] - from[across]) < near,
    )
    .map(([a, b]): [number, number] => [Math.min(a[along], b[along]), Math.max(a[along], b[along])])
    .sort((a, b) => a[0] - b[0]);
  const [low, high] = [Math.min(from[along], to[along]), Math.max(from[along], to[along])];
  const spans: [number, number][] = [];
  let at = low;
  for (const [a, b] of cuts) {
    if (b <= at || a >= high) continue;
    if (a > at + near) spans.push([at, a]);
    at = Math.max(at, b);
  }
  if (at < high - near) spans.push([at, high]);
  const point = (value: number): Point => (along === 0 ? [value, from[1]] : [from[0], value]);
  return spans.map(([a, b]) => [point(a), point(b)]);
}
